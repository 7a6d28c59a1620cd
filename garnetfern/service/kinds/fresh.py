"""What new blocks take from what is there: its fonts, and colours that stand out."""

from collections.abc import Callable
from dataclasses import dataclass

from ...core.colour.contrast import luminance_of
from ...core.colour.notation import parse_colour
from ...core.colour.notations import read_colour
from ...core.document import Column, Page, Site


def by_light(site: Site) -> list[str]:
    """The site's opaque colours from dark to light; black and white where it has none."""
    colours = [c for c in site.palette if parse_colour(c).alpha >= 1] or ["#1c1c1c", "#ffffff"]
    light: Callable[[str], float] = lambda c: float(luminance_of(c))  # noqa: E731
    return sorted(colours, key=light)


def fonts_of(page: Page) -> tuple[str, str]:
    """The fonts that new texts and new headings of a page take: those of what is there already."""
    firsts: dict[str, str] = {}
    for block in page.blocks():
        firsts.setdefault(block.kind, block.lettering.font)
    text = firsts.get("text", "Hanken Grotesk")
    return text, firsts.get("heading", text)


@dataclass(frozen=True)
class Fresh:
    """Where a new block comes to stand: in a site, on a page, with words in a colour."""

    site: Site
    page: Page
    colour: str

    @property
    def font(self) -> str:
        """For texts."""
        return fonts_of(self.page)[0]

    @property
    def heads(self) -> str:
        """For headings."""
        return fonts_of(self.page)[1]


def fresh_in(site: Site, page: Page, column: Column) -> Fresh:
    """In a column: in the colour that its neighbours have, or that stands out from the base behind them."""
    band = next(b for b in page.bands if column in b.columns)
    near = next((b for c in (column, *band.columns) for b in c.blocks if b.lettered), None)
    if near is not None:
        return Fresh(site, page, near.lettering.colour)
    base = column.backdrop.base or band.backdrop.base or page.backdrop.base or "#ffffff"
    ordered = by_light(site)
    return Fresh(site, page, ordered[0] if luminance_of(base) > 0.18 else ordered[-1])


def button_colour(site: Site) -> str:
    """The palette's most colourful colour on which white can be read; its darkest where there is none."""
    ordered = by_light(site)
    dark = [c for c in ordered if 1.05 / (luminance_of(c) + 0.05) >= 4.5]
    return max(dark, key=lambda c: read_colour(c).oklch[1], default=ordered[0])
