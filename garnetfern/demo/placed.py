"""What rules show on the sample's pages: the fair before it begins, and a line on Saturdays."""

from datetime import date, timedelta
from typing import Any

from .words import words

SANS, SERIF = "Hanken Grotesk", "Literata"


def _loose(name: str, title: str, base: str, heading: str, line: str, colour: str) -> dict[str, Any]:
    blocks = [
        words(f"{name}-heading", "heading", heading, SERIF, "24px", colour, level=2),
        words(f"{name}-line", "text", line, SANS, "17px", colour),
    ]
    band = {
        "id": f"{name}-band",
        "name": title,
        "padding": {"block": "22px", "inline": "6vw"},
        "content": {"width": "1240px"},
        "backdrop": {"base": base},
        "columns": [{"id": f"{name}-column", "gap": "6px", "blocks": blocks}],
    }
    return {"id": name, "slug": name, "title": title, "loose": True, "backdrop": {"base": "#f4efe4"}, "bands": [band]}


def placed_bands(document: dict[str, Any], today: date) -> dict[str, Any]:
    """The document with bands that rules show around a day."""
    fair = _loose(
        "fair-soon",
        "Fair, soon",
        "#7a1f2b",
        "The fern fair is near",
        "Stalls under the old glass, tea in the reading room. Bring a pot.",
        "#ffffff",
    )
    warm = _loose(
        "warm-saturday", "Saturdays", "#dfe8dc", "Open until dusk", "The stove is lit on Saturdays.", "#20302a"
    )
    times = {"kind": "between", "first": str(today - timedelta(3)), "last": str(today + timedelta(24))}
    placed = [
        {
            "page": "fair-soon",
            "place": "after-header",
            "rules": [{"kind": "not-on", "pages": ["fair-page"]}, times],
        },
        {
            "page": "warm-saturday",
            "place": "before-footer",
            "rules": [{"kind": "on", "kinds": ["page"]}, {"kind": "weekdays", "days": [6]}],
        },
    ]
    return {**document, "zone": "Europe/London", "pages": [*document["pages"], fair, warm], "placed": placed}
