"""A site to begin with: one page with a header, a banner and a footer, and no picture yet."""

from typing import Any

from ...core.document import Site, read_site

SCREENS = [
    {"id": "desktop", "name": "Desktop", "width": 1440, "height": 900, "least": 1024, "most": 10000},
    {"id": "tablet", "name": "Tablet", "width": 820, "height": 1180, "least": 600, "most": 1023},
    {"id": "phone", "name": "Phone", "width": 390, "height": 844, "least": 0, "most": 599},
]


def _words(block_id: str, kind: str, wording: str, size: str, **more: Any) -> dict[str, Any]:
    lettering = {"font": "Hanken Grotesk", "size": size, "colour": "#ffffff"}
    return {"id": block_id, "kind": kind, "wording": wording, "lettering": lettering, **more}


HEADING, LINE = "Your heading", "A line beneath it."
"""What stands there until somebody says what they have to say."""
WIDE = "6vw"


def _plain(band_id: str, role: str, base: str, colour: str, *columns: dict[str, Any], **more: Any) -> dict[str, Any]:
    for block in (block for column in columns for block in column["blocks"]):
        block["lettering"]["colour"] = colour
    return {
        "id": band_id,
        "name": role.capitalize(),
        "role": role,
        "padding": {"block": "18px", "inline": WIDE},
        "backdrop": {"base": base},
        "columns": list(columns),
        **more,
    }


def _around() -> tuple[dict[str, Any], dict[str, Any]]:
    """Header and footer."""
    logo = _words("site-name", "logo", "My site", "20px", link="index.html")
    menu = _words("menu", "menu", "", "16px", items=[{"wording": "Home", "link": "index.html"}])
    menu["lettering"]["align"] = "end"
    row = {"layout": "row", "content": {"level": "center"}}
    top = ({"id": "top-name", "blocks": [logo]}, {"id": "top-menu", "blocks": [menu]})
    foot = {"id": "foot-words", "blocks": [_words("foot-line", "text", "My site", "15px")]}
    header = _plain("header", "header", "#f4efe4", "#141b17", *top, **row)
    return header, _plain("footer", "footer", "#141b17", "#f4efe4", foot)


def empty_site() -> Site:
    """The document of a new site."""
    heading = _words("headline", "heading", HEADING, "clamp(34px, 5vw, 72px)", level=1)
    line = _words("opening", "text", LINE, "18px")
    header, footer = _around()
    banner = {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": "60vh"},
        "padding": {"block": "clamp(24px, 4vw, 56px)", "inline": WIDE},
        "content": {"stand": "end"},
        "backdrop": {"base": "#33413a"},
        "columns": [{"id": "banner-words", "blocks": [heading, line]}],
    }
    page = {
        "id": "home",
        "slug": "home",
        "title": "Home",
        "backdrop": {"base": "#ffffff"},
        "bands": [header, banner, footer],
    }
    document = {
        "format": "garnetfern-site",
        "version": 4,
        "name": "My site",
        "palette": ["#ffffff", "#f4efe4", "#33413a", "#141b17"],
        "screens": SCREENS,
        "pages": [page],
    }
    return read_site(document)
