"""Bands and columns: added, removed, moved, duplicated."""

from collections.abc import Callable
from typing import Literal

from pydantic import Field

from ...core.document import Backdrop, Band, Height, Ids, Padding, Page, Site
from ...core.document.ids import renamed_band
from ...core.document.model import BandException, Content
from ...core.document.screens import at_screen
from ...core.errors import GarnetfernError, NotFoundError
from ..kinds.columns import Filling, filled_column
from ..kinds.fresh import by_light
from .common import (
    Asked,
    Edited,
    band_of,
    page_of,
    with_band,
    with_page,
)


class KeepsJoinError(GarnetfernError):
    """The change would tear a join apart."""

    kind = "join"


class AddBand(Asked):
    """A new band below `after` (None: at the top), with one to four columns `of` something."""

    kind: Literal["add-band"] = "add-band"
    page: str
    after: str | None = None
    columns: int = Field(1, ge=1, le=4)
    of: Filling = "words"


class RemoveBand(Asked):
    """Take a band away, with all that is in it."""

    kind: Literal["remove-band"] = "remove-band"
    page: str
    band: str


class MoveBand(Asked):
    """Move a band up or down by one."""

    kind: Literal["move-band"] = "move-band"
    page: str
    band: str
    by: Literal[-1, 1]


class DuplicateBand(Asked):
    """A copy of a band right below it."""

    kind: Literal["duplicate-band"] = "duplicate-band"
    page: str
    band: str


class SetColumns(Asked):
    """Give a band one to four columns. Blocks of columns that go move into the last that stays."""

    kind: Literal["set-columns"] = "set-columns"
    page: str
    band: str
    count: int = Field(ge=1, le=4)


class MoveColumn(Asked):
    """Let a column stand one place earlier or later. On one screen (`screen`) it only stands there; everywhere it is
    read there too."""

    kind: Literal["move-column"] = "move-column"
    page: str
    band: str
    column: str
    by: Literal[-1, 1]
    screen: str | None = None


def add_band(site: Site, asked: AddBand) -> Edited:
    """A band on the site's lightest colour, its words in the darkest. Raises NoPictureError where it shows pictures and
    the site has none."""
    page = page_of(site, asked.page)
    at = 0 if asked.after is None else band_of(page, asked.after)[0] + 1
    ids = Ids(page)
    names = {b.name for b in page.bands}
    name = next(n for n in (f"Band {k}" for k in range(1, 99)) if n not in names)
    base = by_light(site)[-1]
    # in line with what stands above it
    above = page.bands[at - 1] if at else next(iter(page.bands), None)
    width = above.content.width if above is not None else Content().width
    inline = above.padding.inline if above is not None else Padding().inline
    band = Band(
        id=ids.free("band"),
        name=name,
        height=Height(min="0px"),
        padding=Padding(block="44px", inline=inline),
        content=Content(width=width),
        backdrop=Backdrop(base=base),
        columns=tuple(filled_column(asked.of, site, page, ids, n) for n in range(asked.columns)),
    )
    bands = (*page.bands[:at], band, *page.bands[at:])
    return Edited(with_page(site, page.model_copy(update={"bands": bands})), f"Add {name}", band.id)


def _joined(page: Page, band_id: str) -> bool:
    order = [b.id for b in page.bands]
    at = order.index(band_id)
    return any(order.index(j.first) <= at <= order.index(j.last) for j in page.joins)


def remove_band(site: Site, asked: RemoveBand) -> Edited:
    """A join that ran to this band runs to its neighbour; one that ran behind two bands goes, its backdrop stays."""
    page = page_of(site, asked.page)
    at, band = band_of(page, asked.band)
    order = [b.id for b in page.bands]
    bands = tuple(b for b in page.bands if b.id != band.id)
    joins = []
    for join in page.joins:
        first, last = order.index(join.first), order.index(join.last)
        if not first <= at <= last:
            joins.append(join)
            continue
        inner = [i for i in order[first : last + 1] if i != band.id]
        if len(inner) >= 2:
            joins.append(join.model_copy(update={"first": inner[0], "last": inner[-1]}))
        else:
            bands = tuple(b.model_copy(update={"backdrop": join.backdrop}) if b.id == inner[0] else b for b in bands)
    left = bands[min(at, len(bands) - 1)].id if bands else None
    changed = page.model_copy(update={"bands": bands, "joins": tuple(joins)})
    return Edited(with_page(site, changed), f"Remove {band.name}", left)


def move_band(site: Site, asked: MoveBand) -> Edited:
    """Refused where it would pull a band out of a join."""
    page = page_of(site, asked.page)
    at, band = band_of(page, asked.band)
    to = at + asked.by
    if not 0 <= to < len(page.bands):
        raise KeepsJoinError(f"{band.name} is already {'at the top' if asked.by < 0 else 'at the foot'}.")
    if _joined(page, band.id) or _joined(page, page.bands[to].id):
        raise KeepsJoinError(f"{band.name} or its neighbour lies in a join. Part the join first; nothing was moved.")
    bands = [b for b in page.bands if b.id != band.id]
    bands.insert(to, band)
    return Edited(with_page(site, page.model_copy(update={"bands": tuple(bands)})), f"Move {band.name}", band.id)


def duplicate_band(site: Site, asked: DuplicateBand) -> Edited:
    """The copy stands outside any join."""
    page = page_of(site, asked.page)
    at, band = band_of(page, asked.band)
    order = [b.id for b in page.bands]
    ends = [order.index(j.last) for j in page.joins if order.index(j.first) <= at <= order.index(j.last)]
    at = max([at, *ends])
    ids = Ids(page)
    copy = renamed_band(band, ids.free).model_copy(update={"name": f"{band.name[:110]} copy"})
    bands = (*page.bands[: at + 1], copy, *page.bands[at + 1 :])
    return Edited(with_page(site, page.model_copy(update={"bands": bands})), f"Duplicate {band.name}", copy.id)


def set_columns(site: Site, asked: SetColumns) -> Edited:
    """New columns are empty but for a heading and a line; nothing written is lost."""
    page = page_of(site, asked.page)
    _, band = band_of(page, asked.band)
    columns = list(band.columns)
    ids = Ids(page)
    while len(columns) < asked.count:
        columns.append(filled_column("words", site, page, ids, len(columns)))
    if len(columns) > asked.count:
        rest = [b for c in columns[asked.count :] for b in c.blocks]
        columns = columns[: asked.count]
        columns[-1] = columns[-1].model_copy(update={"blocks": (*columns[-1].blocks, *rest)})
    changed = _in_orders(band, lambda order: tuple(n for n in order if n < asked.count)).model_copy(
        update={"columns": tuple(columns)}
    )
    words = "one column" if asked.count == 1 else f"{asked.count} columns"
    return Edited(with_page(site, with_band(page, changed)), f"{band.name}: {words}", band.id)


def _in_orders(band: Band, change: Callable[[tuple[int, ...]], tuple[int, ...]]) -> Band:
    """A band whose orders of columns, everywhere and on single screens, are put through `change`."""
    screens = {
        name: own if own.order is None else own.model_copy(update={"order": change(own.order)})
        for name, own in band.screens.items()
    }
    return band.model_copy(update={"order": change(band.order), "screens": screens})


def move_column(site: Site, asked: MoveColumn) -> Edited:
    """On a screen its place is an exception, which is gone where it comes to what holds everywhere."""
    page = page_of(site, asked.page)
    _, band = band_of(page, asked.band)
    if asked.screen is not None and asked.screen not in {s.id for s in site.screens}:
        raise NotFoundError(f"There is no screen {asked.screen!r} in this site.")
    there = at_screen(band, asked.screen)
    ids = [column.id for column in band.columns]
    standing = [ids.index(column.id) for column in there.in_order()]
    if asked.column not in ids:
        raise NotFoundError(f"There is no column {asked.column!r} in {band.name}.")
    at = standing.index(ids.index(asked.column))
    to = min(max(at + asked.by, 0), len(standing) - 1)
    standing[at], standing[to] = standing[to], standing[at]
    name = band.columns[ids.index(asked.column)].name
    if asked.screen is None:
        new = {old: n for n, old in enumerate(standing)}
        columns = tuple(band.columns[n] for n in standing)
        moved = _in_orders(band, lambda order: tuple(new[n] for n in order if n in new))
        changed = moved.model_copy(update={"columns": columns, "order": ()})
        where = ""
    else:
        own = band.screens.get(asked.screen, BandException())
        everywhere = [ids.index(column.id) for column in band.in_order()]
        order = None if standing == everywhere else tuple(standing)
        screens = {**band.screens, asked.screen: own.model_copy(update={"order": order})}
        kept = {name: one for name, one in screens.items() if any(value is not None for _, value in one)}
        changed = band.model_copy(update={"screens": kept})
        where = f" on the {next(s.name for s in site.screens if s.id == asked.screen).lower()}"
    way = "earlier" if asked.by < 0 else "later"
    return Edited(with_page(site, with_band(page, changed)), f"{name} {way}{where}", band.id)
