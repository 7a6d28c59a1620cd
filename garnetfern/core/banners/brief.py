"""What whole banners are made of: a band, its words and its picture, where the picture's subject stands, the colours of
the site."""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from ..colour.contrast import is_light
from ..document import Area, Asset, Backdrop, Band, Column, ImageLayer, Join, Page, Site, without
from ..picture.beside import of_parts
from ..picture.look import Look
from ..picture.subject import EVEN
from ..reading import Reader
from ..remedy.fills import fill_of
from ..resolve.book import FontBook
from .palette import Palette, needed, palette_of
from .sketch import BannerError
from .words import CONTENT, INNER, bounded, coloured

Looked = Callable[[Asset], Look]
"""How a picture looks."""
WIDE = 0.6
"""A subject that takes up more of the picture's width is not moved aside."""
SPREAD = 0.1
"""The share of the subject at either side that is not counted in how wide it is."""
LEFT = 0.45
"""A subject whose middle lies further left than this stands there."""
LARGEST = 96.0
"""Words are no larger than that in a banner, px, but where an idea makes them so."""
MOVED = 0.002
"""A focal point further from the middle than this, in fractions, says where the subject stands."""


@dataclass(frozen=True)
class Subject:
    """Where the subject of a picture stands across it, 0..1, and how much of the width it takes up; `known`: pixels, or
    somebody, tell it clearly."""

    middle: float
    width: float
    known: bool


def subject_in(asset: Asset, look: Look, focal: tuple[float, float]) -> Subject:
    """From its marked parts, else from what is seen in it, else from its focal point."""
    if asset.parts or (look.subject and look.clear >= EVEN):
        cells = of_parts([p.box for p in asset.parts]) if asset.parts else np.array(look.subject, dtype=np.float64)
        across = cells.sum(axis=0)
        if across.sum() > 0:
            share = across.cumsum() / across.sum()
            places = (np.arange(len(share)) + 1) / len(share)
            first, middle, last = (float(np.interp(s, share, places)) for s in (SPREAD, 0.5, 1 - SPREAD))
            return Subject(middle, last - first, True)
    return Subject(focal[0], 0.4, abs(focal[0] - 0.5) > MOVED)


@dataclass(frozen=True)
class Brief:
    """`before` is the page as it is, `whole` the same as banners begin with it: the band with all its words in one
    column and nothing behind them, no join around it. `page` is that as far as what is touched. `said` is what of that
    has to be told; `words` are the ids of the band's blocks of words, `touched` those and the words of neighbours that
    lose a picture they shared."""

    reader: Reader
    site: Site
    before: Page
    whole: Page
    page: Page
    band: Band
    picture: ImageLayer
    asset: Asset
    look: Look
    palette: Palette
    subject: Subject
    words: tuple[str, ...]
    touched: frozenset[str]
    said: str

    @property
    def colours(self) -> tuple[str, ...]:
        """The picture's main colours, the most common first."""
        return tuple(swatch.colour for swatch in self.look.colours)

    @property
    def fonts(self) -> FontBook:
        """The fonts that words are set in."""
        return self.reader.fonts

    @property
    def least(self) -> float:
        """The ratio that a ground which is made must bear."""
        return needed(self.site.requirement)

    @property
    def words_left(self) -> bool:
        """Whether words stand best at the left: where the subject does not clearly stand there."""
        return self.subject.middle >= LEFT

    def with_band(self, band: Band) -> Page:
        """The page with the band made anew."""
        return with_band(self.page, band)

    def finished(self, page: Page) -> Page:
        """The whole page with the band as it is on one that was made."""
        return with_band(self.whole, next(b for b in page.bands if b.id == self.band.id))


def with_band(page: Page, band: Band) -> Page:
    """A page with another band in the place of one of the same id."""
    bands = tuple(band if b.id == band.id else b for b in page.bands)
    return page.model_copy(update={"bands": bands})


def _around(page: Page, band: str) -> tuple[Join, ...]:
    order = [b.id for b in page.bands]
    return tuple(j for j in page.joins if order.index(j.first) <= order.index(band) <= order.index(j.last))


def _pictures(page: Page, band: Band) -> list[ImageLayer]:
    """The pictures behind a band's words, the one that is most likely meant first: uppermost, in the band itself, then
    in its columns, then in a join around it; one that fills its area before a tile."""
    areas: tuple[Area, ...] = (band, *band.columns, *_around(page, band.id))
    layers = [layer for area in areas for layer in reversed(area.backdrop.layers) if layer.visible]
    found = [picture for layer in layers for picture in layer.pictures()]
    return sorted(found, key=lambda p: p.size != "cover")


def _grounded(band: Band, palette: Palette) -> Band:
    """A neighbour that loses the picture it shared: on paper or ink, whichever its words are made for."""
    first = next((b for b in band.blocks() if b.lettered), None)
    light = first is not None and is_light(fill_of(first))
    ground, letters = (palette.ink, palette.paper) if light else (palette.paper, palette.ink)
    backdrop = band.backdrop.model_copy(update={"base": ground})
    return coloured(band.model_copy(update={"backdrop": backdrop}), letters, ground)


def _one_column(band: Band, fonts: FontBook) -> Band:
    """The band with all its words, no larger than fits, and pictures in one column, nothing behind it, on no screen
    otherwise than everywhere but for its height."""
    found = (b for c in band.columns for b in c.blocks if b.lettered or b.assets())
    blocks = tuple(bounded(b, fonts, CONTENT * INNER, top=LARGEST) if b.lettered and not b.edged else b for b in found)
    first = band.columns[0]
    column = Column(id=first.id, name=first.name, gap=first.gap, stagger=first.stagger, blocks=blocks)
    kept = without(band.screens, "content", "layout", "order", "padding")
    content = band.content.model_copy(update={"align": "start"})
    return band.model_copy(
        update={
            "backdrop": Backdrop(),
            "columns": (column,),
            "screens": kept,
            "content": content,
            "layout": "auto",
            "order": (),
        }
    )


def brief_of(reader: Reader, site: Site, page: Page, band_id: str, looked: Looked) -> Brief:
    """What banners are made of one band. Raises BannerError where it has no words, no picture, or words that remedies
    are to leave alone."""
    band = next((b for b in page.bands if b.id == band_id), None)
    if band is None:
        raise BannerError("Whole banners are made of a band with words and a picture. This is no band.")
    words = tuple(b.id for b in band.blocks() if b.lettered and b.visible and not b.heard)
    if not words:
        raise BannerError(f"{band.name} has no words. Write some first; then whole banners can be made of it.")
    pictures = _pictures(page, band)
    if not pictures:
        raise BannerError(f"{band.name} has no picture behind it. Lay one in first; then whole banners can be made.")
    if any({"picture", "place"} & set(b.keep) for b in band.blocks()):
        raise BannerError(
            f"Words of {band.name} are to be left where they are, or as their picture is. Whole banners change both."
        )
    picture, asset = pictures[0], site.asset(pictures[0].asset)
    look = looked(asset)
    palette = palette_of(site.palette, tuple(s.colour for s in look.colours), site.requirement)
    order = [b.id for b in page.bands]
    place = order.index(band.id)
    joins = _around(page, band.id)
    apart = {b for j in joins for b in order[order.index(j.first) : order.index(j.last) + 1]} - {band.id}
    own = _one_column(band, reader.fonts)
    bands = tuple(own if b.id == band.id else _grounded(b, palette) if b.id in apart else b for b in page.bands)
    left = tuple(j for j in page.joins if j not in joins)
    whole = page.model_copy(update={"bands": bands, "joins": left})
    end = max(order.index(b) for b in {band.id, *apart})
    within = tuple(j for j in left if order.index(j.last) <= end)
    shown = whole.model_copy(update={"bands": bands[: end + 1], "joins": within})
    names = [b.name for b in page.bands if b.id in apart]
    said = f" {' and '.join(names)} {'stands' if len(names) == 1 else 'stand'} on plain ground then." if names else ""
    subject = subject_in(asset, look, picture.focal)
    near = frozenset(block.id for b in bands if b.id in apart for block in b.blocks())
    touched = near.union(words)
    return Brief(
        reader, site, page, whole, shown, bands[place], picture, asset, look, palette, subject, words, touched, said
    )
