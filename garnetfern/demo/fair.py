"""The sample site's second page: the fern fair, in a frame of tiles, with columns and a picture in an exact slot."""

from typing import Any

from .words import words


def _title() -> dict[str, Any]:
    heading = words(
        "fair-title",
        "heading",
        "The fern fair",
        "Young Serif",
        "clamp(34px, 5vw, 68px)",
        "#fff6e2",
        level=1,
        lettering={"line": 1.1},
    )
    line = words(
        "fair-when",
        "text",
        "The last Saturday in May, from dusk. Bring a pot, take a fern home.",
        "Hanken Grotesk",
        "19px",
        "#fff6e2",
    )
    layers = [
        {"kind": "image", "id": "lanterns", "name": "Lantern night", "asset": "lantern-night", "focal": [0.5, 0.2]},
        {"kind": "colour", "id": "night", "name": "Night", "colour": "#060b09", "opacity": 0.35},
    ]
    return {
        "id": "fair-banner",
        "name": "Fair banner",
        "role": "banner",
        "height": {"min": "320px", "proportion": 2.4},
        "padding": {"block": "40px", "inline": "6vw"},
        "content": {"stand": "center", "align": "center"},
        "backdrop": {"base": "#0d1422", "layers": layers},
        "columns": [{"id": "fair-head", "blocks": [heading, line]}],
        "screens": {"phone": {"height": {"min": "60vh", "proportion": None}}},
    }


def _columns() -> dict[str, Any]:
    texts = (
        ("pots", "Pots and spores", "Small pots from two pounds; spores by the pinch, with advice.", "#dfe8d6"),
        ("tea", "Tea room", "Tea in the reading room until the lamps are lit.", "#f3e6cf"),
        ("walk", "Lamp walk", "A walk under the lamps at nine, for anybody who can stay up.", "#d9dfe6"),
    )
    columns = []
    for name, heading, text, base in texts:
        head = words(f"{name}-head", "heading", heading, "Young Serif", "24px", "#20302a", level=2)
        body = words(f"{name}-text", "text", text, "Hanken Grotesk", "17px", "#34453c")
        column = {"id": f"{name}-column", "blocks": [head, body], "backdrop": {"base": base}}
        columns.append({**column, "padding": {"block": "24px", "inline": "24px"}})
    return {
        "id": "fair-columns",
        "name": "What there is",
        "padding": {"block": "32px", "inline": "32px"},
        "content": {"width": "1120px", "gap": "24px"},
        "backdrop": {"base": "#fbf7ee"},
        "columns": columns,
    }


def _picture() -> dict[str, Any]:
    picture = {
        "id": "fair-room",
        "kind": "picture",
        "asset": "reading-room",
        "slot": "card",
        "wording": "The reading room",
    }
    text = words(
        "room-text",
        "text",
        "The reading room has been warm since 1904; its ferns are older than its chairs.",
        "Hanken Grotesk",
        "18px",
        "#34453c",
    )
    return {
        "id": "fair-room-band",
        "name": "Reading room",
        "padding": {"block": "32px", "inline": "32px"},
        "content": {"width": "1120px", "gap": "32px", "level": "center"},
        "backdrop": {"base": "#f4efe4"},
        "columns": [{"id": "room-picture", "blocks": [picture]}, {"id": "room-words", "blocks": [text]}],
    }


def fair_page(header: dict[str, Any], footer: dict[str, Any]) -> dict[str, Any]:
    """The page as plain JSON."""
    tile = {
        "kind": "image",
        "id": "sprigs",
        "name": "Fern tile",
        "asset": "fern-tile",
        "size": "natural",
        "repeat": ["repeat", "repeat"],
        "position": {"side": "left", "across": "0px", "end": "top", "down": "0px"},
    }
    return {
        "id": "fair-page",
        "slug": "fern-fair",
        "title": "Fern fair",
        "width": "1180px",
        "backdrop": {"base": "#e6ebdb", "layers": [tile]},
        "bands": [header, _title(), _columns(), _picture(), footer],
    }
