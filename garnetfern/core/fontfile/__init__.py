"""Font files that somebody brings along: opened, looked at, tried, and written as WOFF2. All of it happens in the room.

What is kept is what visitors get: outlines, lines and layout; colours and pictures of letters are left out and said.
"""

from .facts import FontFacts
from .opened import KINDS, TakenFont, looks_like_font, take_fonts

__all__ = ["KINDS", "FontFacts", "TakenFont", "looks_like_font", "take_fonts"]
