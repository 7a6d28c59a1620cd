"""A site to begin with: one page, one banner with a heading, and no picture yet."""

from ..core.document import read_site
from ..service.files.site_file import SiteFile
from .site import SCREENS
from .words import words


def empty_site_file() -> SiteFile:
    """The site file of a new site."""
    heading = words(
        "headline", "heading", "Your heading", "Hanken Grotesk", "clamp(34px, 5vw, 72px)", "#ffffff", level=1
    )
    line = words("opening", "text", "A line beneath it.", "Hanken Grotesk", "18px", "#ffffff")
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
        "version": 2,
        "name": "My site",
        "palette": ["#ffffff", "#f4efe4", "#33413a", "#141b17"],
        "screens": SCREENS,
        "pages": [page],
    }
    return SiteFile(read_site(document), {})
