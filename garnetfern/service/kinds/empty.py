"""A site to begin with: one page, one banner with a heading, and no picture yet."""

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


def empty_site() -> Site:
    """The document of a new site."""
    heading = _words("headline", "heading", "Your heading", "clamp(34px, 5vw, 72px)", level=1)
    line = _words("opening", "text", "A line beneath it.", "18px")
    banner = {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": "60vh"},
        "content": {"stand": "end"},
        "backdrop": {"base": "#33413a"},
        "columns": [{"id": "banner-words", "blocks": [heading, line]}],
    }
    page = {"id": "home", "slug": "home", "title": "Home", "backdrop": {"base": "#ffffff"}, "bands": [banner]}
    document = {
        "format": "garnetfern-site",
        "version": 4,
        "name": "My site",
        "palette": ["#ffffff", "#f4efe4", "#33413a", "#141b17"],
        "screens": SCREENS,
        "pages": [page],
    }
    return read_site(document)
