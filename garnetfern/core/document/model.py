"""The document: a site with pages, bands, columns and joins, and the backdrops behind them."""

from collections.abc import Callable, Iterator
from typing import Annotated, Any, Literal, TypeVar, cast

from pydantic import AfterValidator, Field

from ..colour.contrast import Requirement
from .assets import Asset, Budget, Fit, Slot
from .backdrop import Backdrop
from .base import Colour, Identifier, Model, Name
from .block import Align, Block
from .fonts import FontFile
from .gradient import Gradient
from .length import SizeText
from .placing import Placed
from .plate import Padding
from .screens import Screen, at_screen, without

Layout = Literal["auto", "row", "stack"]


class Column(Model):
    """Blocks one under the other. `share` is its part of the width among its neighbours, `height` its least height."""

    id: Identifier
    name: Name = "Column"
    share: float = Field(1, gt=0, le=12)
    gap: SizeText = "16px"
    stagger: float = Field(0, ge=0, le=3, description="how much later each arriving block begins than the last, s")
    height: SizeText = "0px"
    stand: Align | None = Field(None, description="where its blocks stand in it; none: as its band has it")
    padding: Padding = Padding(block="0px", inline="0px")
    backdrop: Backdrop = Backdrop()
    blocks: tuple[Block, ...] = Field((), max_length=40)


class Height(Model):
    """A band's least height; its content and padding may make it higher.

    `proportion` is width / height; the greater of both holds.
    """

    min: SizeText = "0px"
    proportion: float | None = Field(None, ge=0.1, le=20)


class Content(Model):
    """Where words stand: their greatest width, their alignment, and top, middle or foot of the band.

    `level` is where the words of a lower column stand beside a higher one.
    """

    width: SizeText = "1120px"
    align: Align = "start"
    stand: Align = "start"
    level: Align = "start"
    gap: SizeText = Field("32px", description="between columns")


def _no_place_twice(order: tuple[int, ...]) -> tuple[int, ...]:
    if len(set(order)) != len(order):
        raise ValueError("A column stands in one place; its number can be there only once.")
    return order


Order = Annotated[tuple[Annotated[int, Field(ge=0, le=3)], ...], Field(max_length=4), AfterValidator(_no_place_twice)]
"""Columns by their numbers, counted from 0 as they are read; those that are not there follow as they are read."""


class BandException(Model):
    """What of a band is otherwise on one screen; None: as everywhere."""

    height: Height | None = None
    padding: Padding | None = None
    content: Content | None = None
    layout: Literal["row", "stack"] | None = None
    order: Order | None = None
    visible: bool | None = None


class Band(Model):
    """One horizontal strip of a page. `space` is outer space above and below, where its backdrop does not show.

    `layout`: columns in a row, stacked, or auto: stacked on viewports narrower than 600 px. `order`: how they
    stand there where that is otherwise than they are read.
    """

    id: Identifier
    name: Name
    role: Literal["header", "banner", "band", "footer"] = "band"
    height: Height = Height()
    padding: Padding = Padding()
    space: SizeText = "0px"
    content: Content = Content()
    layout: Layout = "auto"
    order: Order = ()
    visible: bool = True
    backdrop: Backdrop = Backdrop()
    columns: tuple[Column, ...] = Field((), max_length=4)
    screens: dict[Identifier, BandException] = Field({}, max_length=12)

    def blocks(self) -> Iterator[Block]:
        """Its blocks in reading order."""
        for column in self.columns:
            yield from column.blocks

    def in_order(self) -> tuple[Column, ...]:
        """Its columns as they stand: from left to right, or from the top."""
        first = [n for n in self.order if n < len(self.columns)]
        return tuple(self.columns[n] for n in (*first, *(n for n in range(len(self.columns)) if n not in first)))

    def without_height(self) -> "Band":
        """As high as its content and its padding, on every screen."""
        return self.model_copy(update={"height": Height(), "screens": without(self.screens, "height")})


class Join(Model):
    """One backdrop that runs behind neighbouring bands, from `first` to `last`."""

    id: Identifier
    name: Name = "Join"
    first: Identifier
    last: Identifier
    backdrop: Backdrop = Backdrop()


class Page(Model):
    """A page: its own backdrop, then bands from top to bottom. `width` limits the bands; None: the screen's."""

    id: Identifier
    slug: str = Field(pattern=r"^[a-z0-9][a-z0-9-]{0,60}$")
    title: Name
    kind: Name = "page"
    loose: bool = Field(False, description="kept for its bands, which rules show on other pages")
    width: SizeText | None = None
    backdrop: Backdrop = Backdrop(base="#ffffff")
    bands: tuple[Band, ...] = Field((), max_length=60)
    joins: tuple[Join, ...] = Field((), max_length=20)

    def blocks(self) -> Iterator[Block]:
        """All blocks in reading order."""
        for band in self.bands:
            yield from band.blocks()

    def areas(self) -> Iterator["Area"]:
        """Everything with a backdrop, in the order in which it is painted."""
        yield self
        yield from self.joins
        for band in self.bands:
            yield band
            for column in band.columns:
                yield column
                yield from (block for block in column.blocks if block.plate is not None)

    def area(self, area_id: str) -> "Area | None":
        """The area of this id, or None."""
        return next((a for a in self.areas() if a.id == area_id), None)


Area = Page | Join | Band | Column | Block


Part = TypeVar("Part", bound=Model)


def _mapped(whole: Part, name: str, change: Callable[[Any], Any]) -> Part:
    """A part of a page with each item of one of its members put through `change`; itself where none is another then."""
    items = getattr(whole, name)
    changed = tuple(map(change, items))
    if all(new is old for new, old in zip(changed, items, strict=True)):
        return whole
    return whole.model_copy(update={name: changed})


def each_backdrop(page: Page, change: Callable[[str, Backdrop], Backdrop]) -> Page:
    """The page with every backdrop put through `change`, which gets the area's id too."""

    def changed(area: Any) -> Any:
        new = change(area.id, area.backdrop)
        return area if new is area.backdrop else area.model_copy(update={"backdrop": new})

    def block_changed(block: Block) -> Block:
        if block.plate is None:
            return block
        backdrop = change(block.id, block.plate.backdrop)
        if backdrop is block.plate.backdrop:
            return block
        return block.model_copy(update={"plate": block.plate.model_copy(update={"backdrop": backdrop})})

    def column_changed(column: Column) -> Column:
        return cast(Column, changed(_mapped(column, "blocks", block_changed)))

    def band_changed(band: Band) -> Band:
        return cast(Band, changed(_mapped(band, "columns", column_changed)))

    return cast(Page, changed(_mapped(_mapped(page, "bands", band_changed), "joins", changed)))


def with_backdrop(page: Page, area_id: str, backdrop: Backdrop) -> Page:
    """The page with the backdrop of one area replaced."""
    return each_backdrop(page, lambda area, old: backdrop if area == area_id else old)


def each_block(page: Page, change: Callable[[Block], Block]) -> Page:
    """The page with every block put through `change`."""

    def column_changed(column: Column) -> Column:
        return _mapped(column, "blocks", change)

    return _mapped(page, "bands", lambda band: _mapped(band, "columns", column_changed))


def pointed_at(page: Page, share: float = 1.0) -> Page:
    """The page while the pointer is over everything that answers to it; `share`: so far on the way there."""

    def block_changed(block: Block) -> Block:
        over = block.lettering.over
        if over is None:
            return block
        linked = (p.model_copy(update={"colour": over}) if p.link else p for p in block.phrases)
        changes: dict[str, object] = {"phrases": tuple(linked)}
        if block.pressed:
            changes["lettering"] = block.lettering.model_copy(update={"colour": over})
        return block.model_copy(update=changes)

    return each_block(each_backdrop(page, lambda _, backdrop: backdrop.pointed_at(share)), block_changed)


def stilled(page: Page) -> Page:
    """The page as it is for visitors who ask that nothing move."""

    def still(_: str, backdrop: Backdrop) -> Backdrop:
        return backdrop.model_copy(update={"layers": tuple(layer.stilled() for layer in backdrop.layers)})

    return each_block(each_backdrop(page, still), lambda block: block.model_copy(update={"entrance": None}))


def _on(backdrop: Backdrop, screen: str) -> Backdrop:
    layers = tuple(layer.on_screen(screen) for layer in backdrop.layers)
    same = all(new is old for new, old in zip(layers, backdrop.layers, strict=True))
    return backdrop if same else backdrop.model_copy(update={"layers": layers})


def page_on(page: Page, screen: str | None) -> Page:
    """The page as it is on a screen, without exceptions: everything after this reads plain settings."""
    if screen is None:
        return page
    shown = each_block(each_backdrop(page, lambda _, backdrop: _on(backdrop, screen)), lambda block: block.on(screen))
    return _mapped(shown, "bands", lambda band: at_screen(band, screen))


class SavedGradient(Model):
    """A gradient kept under a name, to be used again."""

    id: Identifier
    name: Name
    gradient: Gradient


class SavedLook(Model):
    """A whole backdrop kept under a name, to be put behind another area."""

    id: Identifier
    name: Name
    backdrop: Backdrop


class Visits(Model):
    """How many visits came on screens of one width, CSS px."""

    width: int = Field(ge=200, le=10_000)
    visits: int = Field(ge=0, le=10**12)


class Share(Model):
    """A part that is the same on all pages, or on those of some kinds, but for pages that stepped out.

    `outer` is a page's own backdrop and width; `banner` the style of its first banner; `behind` the backdrop that runs
    from the top behind header and banner.
    """

    part: Literal["header", "footer", "outer", "banner", "behind"]
    kinds: tuple[Name, ...] = Field((), max_length=40, description="none: pages of every kind")
    out: tuple[Identifier, ...] = Field((), max_length=200)


class Site(Model):
    """A whole site, the root of the document."""

    format: Literal["garnetfern-site"] = "garnetfern-site"
    version: Literal[4] = 4
    name: Name
    language: str = Field("en", pattern=r"^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$")
    requirement: Requirement = Requirement.AA
    edges: bool = Field(False, description="buttons must stand out at 3 to 1, though their words tell what they are")
    palette: tuple[Colour, ...] = Field((), max_length=24)
    screens: tuple[Screen, ...] = Field(min_length=1, max_length=12)
    assets: tuple[Asset, ...] = Field((), max_length=2000)
    fonts: tuple[FontFile, ...] = Field((), max_length=120, description="the owner's own, beside those that ship")
    slots: tuple[Slot, ...] = Field((), max_length=60)
    fits: tuple[Fit, ...] = Field((), max_length=2000)
    budget: Budget = Budget()
    gradients: tuple[SavedGradient, ...] = Field((), max_length=200)
    looks: tuple[SavedLook, ...] = Field((), max_length=200)
    visits: tuple[Visits, ...] = Field((), max_length=400, description="none: the table that ships")
    kinds: tuple[Name, ...] = Field(("home", "page", "list", "article"), min_length=1, max_length=40)
    shares: tuple[Share, ...] = Field((), max_length=40)
    zone: str = Field("UTC", max_length=60, description="whose days rules mean: a time zone's IANA name")
    placed: tuple[Placed, ...] = Field((), max_length=100, description="the first that could stand wins")
    pages: tuple[Page, ...] = Field(min_length=1, max_length=200)

    @property
    def visited(self) -> tuple[Page, ...]:
        """The pages that visitors come to."""
        return tuple(page for page in self.pages if not page.loose)

    def asset(self, asset_id: str) -> Asset:
        """The asset of this id; the document guarantees that every layer's is there."""
        return next(a for a in self.assets if a.id == asset_id)

    def slot(self, slot_id: str) -> Slot:
        """The slot of this id; the document guarantees that every block's is there."""
        return next(s for s in self.slots if s.id == slot_id)

    def fit(self, slot_id: str, asset_id: str) -> Fit | None:
        """How a picture was cut for a slot, or None."""
        return next((f for f in self.fits if (f.slot, f.asset) == (slot_id, asset_id)), None)

    def page(self, page_id: str) -> Page | None:
        """The page of this id, else that of this slug, or None."""
        return next((p for p in self.pages if p.id == page_id), None) or next(
            (p for p in self.pages if p.slug == page_id), None
        )
