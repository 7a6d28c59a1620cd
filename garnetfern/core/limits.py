"""Every limit of what is taken from elsewhere, in one place. docs/reliability.md gives the reason of each.

Sizes are in bytes, times in seconds, sides in px, unless the name says otherwise.
"""

KB = 1000
MB = 1000 * KB

# requests
JSON_BODY = 4 * MB
JSON_DEPTH = 64
WHOLE_NUMBER = 2**53
"""The greatest whole number that JSON carries without loss (RFC 8259, section 6)."""
PATCH_STEPS = 200
HEADER_HOST = 255

# the document
DOCUMENT = 8 * MB
DOCUMENT_AREAS = 6_000
DOCUMENT_LAYERS = 8_000
DOCUMENT_BLOCKS = 10_000
DOCUMENT_STOPS = 40_000
DOCUMENT_WORDS = 200_000

# pictures
PICTURE = 50 * MB
PICTURE_SIDE = 16_383
"""The greatest side of a WebP picture (RFC 9649, section 2.7)."""
PICTURE_PIXELS = 80_000_000
PROFILE = 4 * MB

# films
FILM = 200 * MB
FILM_SIDE = 4_096
FILM_SECONDS = 600
FILM_PART = 60
"""The longest part of a film that is shown, s."""
FILM_RATE = 240
"""Pictures in a second."""
FILM_FRAMES = 150_000

# drawings (SVG)
SVG = 4 * MB
SVG_SIDE = 8_000
SVG_ELEMENTS = 60_000
SVG_NESTING = 200
SVG_REFERENCES = 24
"""How many references may follow from one another: a use in what is used, a mask in a mask."""
SVG_FILTERS = 200
"""Filter primitives, counted each time that a filter is used."""
SVG_BLUR = 250.0
"""The widest standard deviation of a blur, px of the drawing as it is drawn."""
SVG_SHEETS = 3_000
"""Elements that are painted on a sheet of their own (filter, mask, clip, opacity), counted each time they are used."""
SVG_SHEETS_DEEP = 16
"""How many such sheets may lie within one another."""
SVG_TEXT = 200_000

# stylesheets
STYLESHEET = 2 * MB
STYLESHEET_DEPTH = 64
STYLESHEET_RULES = 20_000
"""Rules with declarations that are looked at, over all stylesheets together."""
PAGE_TAGS = 20_000
PAGE_UPLOAD = 60 * MB
"""A stylesheet, or a page with its stylesheets and pictures, as it comes in."""
PAGE_UNFOLDED = 120 * MB
PAGE_MEMBERS = 2_000

# fonts
FONT = 8 * MB
FONT_UNFOLDED = 30 * MB
FONT_MEMBERS = 24
"""Fonts in one collection."""
FONT_POINTS = 30_000
"""Points of one letter, letters that it is made of unfolded."""
FONT_NESTING = 16
"""How deep a letter may be made of letters."""

# site files
SITE_FILE = 500 * MB
SITE_FILE_UNFOLDED = 600 * MB
SITE_FILE_MEMBERS = 2_200
SITE_FILE_RATIO = 200
"""How many times as large as its packed form a member may be."""

# the room in which bytes from elsewhere are opened
ROOM_MEMORY = 3_000 * MB
ROOM_UPLOAD_SECONDS = 20.0
ROOM_SECONDS = 60.0
"""For work on what was taken already: a little time must not turn away what was welcome before."""
ROOM_FONT_SECONDS = 60.0
"""For a font to be tried out and written anew."""
ROOM_FILM_SECONDS = 45.0
"""For a film to be looked at when it comes in."""
ROOM_CODING_SECONDS = 1_200.0
"""For one file of a film to be made, in the background."""
ROOM_FILES = 32

# the door
TOKEN_WAIT = 1.0
TOKEN_WAITING = 8
"""How many wrong tokens may wait at a time; more are turned away at once."""

# keeping
COPIES = 7
LOG_BYTES = 1 * MB
LOG_FILES = 5
