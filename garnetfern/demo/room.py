"""The second site of the sample: the reading room of Marrowby Fern House, with a page for its hours."""

from typing import Any

from .words import words

PICTURE = "reading-room"
SANS, SERIF = "Hanken Grotesk", "Literata"
GREEN, CREAM = "#20302a", "#f4efe4"


def _header() -> dict[str, Any]:
    name = words("room-name", "logo", "The Reading Room", SERIF, "22px", CREAM, link="index.html")
    entries = [{"wording": "Opening hours", "link": "hours.html"}]
    menu = words("room-menu", "menu", "", SANS, "16px", CREAM, items=entries)
    columns = [{"id": "room-left", "blocks": [name]}, {"id": "room-right", "blocks": [menu]}]
    return {
        "id": "room-header",
        "name": "Header",
        "role": "header",
        "padding": {"block": "18px", "inline": "6vw"},
        "layout": "row",
        "content": {"width": "1240px"},
        "backdrop": {"base": GREEN},
        "columns": columns,
    }


def _banner(heading: str, line: str, level: int = 1) -> dict[str, Any]:
    size = "clamp(34px, 5vw, 68px)"
    blocks = [
        words("room-heading", "heading", heading, SERIF, size, "#ffffff", level=level),
        words("room-line", "text", line, SANS, "19px", "#ffffff"),
    ]
    picture = {"id": "shelves", "kind": "image", "name": "Shelves", "asset": PICTURE}
    veil = {"id": "veil", "kind": "colour", "name": "Veil", "colour": "#0b1a14", "opacity": 0.72}
    return {
        "id": "room-banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": "52vh"},
        "padding": {"block": "56px", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "end"},
        "backdrop": {"base": GREEN, "layers": [picture, veil]},
        "columns": [{"id": "room-words", "blocks": blocks}],
    }


def _below(title: str, text: str) -> dict[str, Any]:
    blocks = [
        words("below-title", "heading", title, SERIF, "30px", GREEN, level=2),
        words("below-text", "text", text, SANS, "18px", GREEN),
    ]
    return {
        "id": "below",
        "name": "Below the banner",
        "padding": {"block": "48px", "inline": "6vw"},
        "content": {"width": "1240px"},
        "backdrop": {"base": CREAM},
        "columns": [{"id": "below-words", "blocks": blocks}],
    }


def room_document(entry: dict[str, Any]) -> dict[str, Any]:
    """The document of the second site; `entry` is that of its picture."""
    pages = [
        ("home", "The Reading Room", "Books about ferns", "Two hundred of them, and a stove.", "New on the shelf",
         "A guide to the ferns of old walls, given by a friend of the house."),
        ("hours", "Opening hours", "When we are open", "Saturdays, and whenever the lamp is lit.", "Lending",
         "Three books at a time, for as long as you need them."),
    ]  # fmt: skip
    return {
        "format": "garnetfern-site",
        "version": 4,
        "name": "The Reading Room",
        "language": "en-GB",
        "palette": [GREEN, "#0b1a14", CREAM, "#ffffff"],
        "assets": [entry],
        "pages": [
            {
                "id": name,
                "slug": name,
                "title": title,
                "backdrop": {"base": CREAM},
                "bands": [_header(), _banner(heading, line), _below(below, text)],
            }
            for name, title, heading, line, below, text in pages
        ],
    }
