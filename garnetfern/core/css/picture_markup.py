"""Pictures behind words as picture elements (HTML, section 4.8.1), where a host wants those."""

from ..document import Area, Page, Site
from ..resolve.book import FontBook
from .escape import html_attribute
from .pictures import Emission, Served
from .urls import Urls


def _sources(emission: Emission, asset_id: str, ranges: list[Served]) -> tuple[list[str], str]:
    """The source elements from the widest range on, and the addresses that an img element takes."""
    asset = emission.site.asset(asset_id)
    found: list[str] = []
    srcset = ""
    for served in reversed(ranges):
        once, twice = emission.urls.files(asset, served.once), emission.urls.files(asset, served.twice)
        for one, two in zip(once, twice, strict=True):
            srcset = one.address if served.once == served.twice else f"{one.address} 1x, {two.address} 2x"
            kind = f' type="{one.kind}"' if one.kind else ""
            media = f' media="(min-width: {served.span.least}px)"' if served.span.least else ""
            found.append(f'  <source{media} srcset="{html_attribute(srcset)}"{kind}>\n')
    return found, srcset


def pictures_of(site: Site, page: Page, area: Area, fonts: FontBook, urls: Urls) -> list[tuple[str, str]]:
    """The name and the markup of each picture behind an area's words, for every screen the part that it shows and no
    more px than it needs."""
    emission = Emission(site, page, fonts, urls)
    found: list[tuple[str, str]] = []
    for layer in area.backdrop.layers:
        for picture in layer.pictures():
            ranges = emission.served(area.id, picture)
            if not ranges:
                continue
            asset = site.asset(picture.asset)
            sources, srcset = _sources(emission, picture.asset, ranges)
            first = html_attribute(srcset.split(" ", 1)[0])
            size = f'width="{ranges[-1].once.width}" height="{ranges[-1].once.height}"'
            alternative = html_attribute(asset.lettering or "")
            style = "display: block; width: 100%; height: auto"
            image = (
                f'  <img src="{first}" srcset="{html_attribute(srcset)}" {size} alt="{alternative}" style="{style}">\n'
            )
            found.append((layer.name, f"<picture>\n{''.join(sources)}{image}</picture>\n"))
    return found
