"""The sample site's noticeboard, pinned up in a hurry: a fault of each family, for the application to find."""

from typing import Any

from .words import phrase, words

Plain = dict[str, Any]
SANS, SERIF = "Hanken Grotesk", "Young Serif"
INK, PAPER = "#34453c", "#f4efe4"
TIGHT = {"gap": "0px"}


def _title() -> Plain:
    """Light words on a light picture; dark ones behind it, should it not come; another colour under the pointer."""
    heading = words(
        "board-title",
        "heading",
        "Pteridologically speaking",
        SERIF,
        "clamp(46px, 6vw, 84px)",
        "#ffffff",
        level=1,
        lettering={"line": 1.0},
    )
    line = words("board-line", "text", "Pinned up as it came, and not looked at since.", SANS, "20px", "#ffffff")
    button = words(
        "board-button",
        "button",
        "Pin up a notice",
        SANS,
        "17px",
        "#ffffff",
        link="#",
        lettering={"over": "#a9b8a4"},
    )
    button["plate"] = {"backdrop": {"base": "#7a1f2b", "over": {"base": "#8fa58a"}}}
    photo = {"kind": "image", "id": "board-photo", "name": "Misted panes", "asset": "misted-panes"}
    return {
        "id": "board-banner",
        "name": "Board banner",
        "role": "banner",
        "height": {"min": "56vh"},
        "padding": {"block": "56px", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "center"},
        "backdrop": {"base": "#e9efe6", "layers": [photo]},
        "columns": [{"id": "board-words", "gap": "16px", "blocks": [heading, line, button]}],
    }


ROTA = (
    "Whoever waters on Sundays fills the cans on Saturday, leaves the small door on the latch, and writes the height "
    "of the tank on the slate beside it, in litres, not in buckets, since nobody's buckets are alike."
)
ASK = "Gloves were found; ask the warden for them."


def _notices() -> Plain:
    """Lines too long and too close, letters too small, a word a line, a link that only its hue tells."""
    rota = words("rota", "text", ROTA, SANS, "17px", INK, lettering={"line": 1.1})
    small = words("small-print", "text", "Pots are lent, not given.", SANS, "11px", INK)
    narrow = words("slip", "text", "Tea money goes into the blue tin please", SANS, "17px", INK, width="64px")
    asked = phrase(ASK, "ask the warden", link="#", underlined=False, colour="#5a3038")
    found = words("gloves", "text", ASK, SANS, "17px", INK, phrases=[asked])
    return {
        "id": "notices",
        "name": "Notices",
        "padding": {"block": "32px", "inline": "6vw"},
        "content": {"width": "1600px"},
        "backdrop": {"base": PAPER},
        "columns": [{"id": "notices-column", "gap": "20px", "blocks": [rota, small, narrow, found]}],
    }


def _entries(name: str, *said: str, size: str = "17px", line: float = 1.5) -> Plain:
    menu = words(name, "menu", "", SANS, size, INK, lettering={"line": line})
    return {**menu, "items": [{"wording": entry, "link": "#"} for entry in said]}


def _links() -> Plain:
    """A menu that has no room, two whose entries are hard to hit, a button under somebody else's shadow."""
    wide = _entries("loans", "Everything about the plants on loan from the old collection", size="26px")
    first = _entries("days", "Mon", "Tue", "Wed", size="15px", line=1.0)
    second = _entries("more-days", "Thu", "Fri", "Sat", size="15px", line=1.0)
    button = words("swap", "button", "Swap your morning", SANS, "17px", "#ffffff", link="#")
    button["plate"] = {"backdrop": {"base": "#204030"}, "padding": {"block": "9px", "inline": "14px"}}
    note = words("pinned", "text", "Pinned over it", SANS, "17px", "#ffffff")
    cast = {"down": "-50px", "blur": "0px", "spread": "30px", "colour": "#0b1a14"}
    note["plate"] = {"backdrop": {"base": "#204030"}, "padding": {"block": "2px", "inline": "4px"}, "shadow": cast}
    left = {"id": "links-left", **TIGHT, "blocks": [wide, first, second]}
    right = {"id": "links-right", **TIGHT, "blocks": [button, note]}
    return {
        "id": "links",
        "name": "Rota",
        "padding": {"block": "32px", "inline": "6vw"},
        "content": {"width": "1240px"},
        "layout": "row",
        "backdrop": {"base": PAPER},
        "columns": [left, right],
    }


def _poster() -> Plain:
    """Lines on each other; a picture that stays put, so that words run over its bright parts."""
    heading = words(
        "poster-head",
        "heading",
        "Spores, plugs,\nfrogs (large)",
        "Oswald",
        "58px",
        "#fbf7ee",
        level=2,
        lettering={"line": 0.7},
    )
    line = words("poster-line", "text", "Swaps on the long bench, every second Sunday.", SANS, "19px", "#fbf7ee")
    photo = {
        "kind": "image",
        "id": "poster-photo",
        "name": "Glasshouse at dawn",
        "asset": "glasshouse-dawn",
        "attachment": "fixed",
    }
    return {
        "id": "poster",
        "name": "Poster",
        "height": {"min": "44vh"},
        "padding": {"block": "48px", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "end"},
        "backdrop": {"base": "#20302a", "layers": [photo]},
        "columns": [{"id": "poster-words", "gap": "20px", "blocks": [heading, line]}],
    }


def _colours(name: str, *colours: str) -> Plain:
    own = {"shape": "linear", "angle": 90, "stops": [{"colour": c} for c in colours]}
    return {"layer": {"kind": "gradient", "id": name, "name": name.capitalize(), "gradient": own}}


def _lamp() -> Plain:
    """Colours that take turns: beside one of them the words are gone."""
    line = words("lamp-line", "text", "The lamp by the door is being mended. Mind the step.", SANS, "20px", "#fbf7ee")
    members = [_colours("lit", "#f2d98c", "#fbf0c8"), _colours("out", "#20302a", "#0b1a14")]
    lamp = {"kind": "sequence", "id": "lamp", "name": "Lamp", "members": members, "stay": 1.5, "change": 0.5}
    return {
        "id": "lamp-band",
        "name": "Lamp",
        "padding": {"block": "40px", "inline": "6vw"},
        "content": {"width": "1240px"},
        "backdrop": {"base": "#20302a", "layers": [lamp]},
        "columns": [{"id": "lamp-column", "blocks": [line]}],
    }


def notices_page(header: Plain, footer: Plain) -> Plain:
    """The page as plain JSON."""
    return {
        "id": "noticeboard",
        "slug": "noticeboard",
        "title": "Noticeboard",
        "backdrop": {"base": PAPER},
        "bands": [header, _title(), _notices(), _links(), _poster(), _lamp(), footer],
    }
