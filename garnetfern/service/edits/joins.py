"""One backdrop behind neighbouring bands."""

from typing import Literal

from ...core.document import Backdrop, Ids, Join, Site
from ...core.errors import NotFoundError
from .bands import KeepsJoinError
from .common import (
    Asked,
    Edited,
    band_of,
    page_of,
    with_page,
)


class JoinBands(Asked):
    """Let one backdrop run behind the bands from `first` to `last`: that of the band with the richest one."""

    kind: Literal["join"] = "join"
    page: str
    first: str
    last: str


class PartBands(Asked):
    """Take a join apart; its backdrop goes to the band that was tallest in it, the last one."""

    kind: Literal["part"] = "part"
    page: str
    join: str


def join_bands(site: Site, asked: JoinBands) -> Edited:
    """The bands' own backdrops are emptied, so that the joined one shows through; undo brings them back."""
    page = page_of(site, asked.page)
    first, last = band_of(page, asked.first)[0], band_of(page, asked.last)[0]
    if first > last:
        first, last = last, first
    inner = page.bands[first : last + 1]
    order = [b.id for b in page.bands]
    if any(order.index(j.first) <= last and order.index(j.last) >= first for j in page.joins):
        raise KeepsJoinError("One of these bands lies in a join already. Part that first; nothing was changed.")
    if len(inner) < 2:
        raise KeepsJoinError("A join runs behind two bands or more.")
    richest = max(inner, key=lambda b: len(b.backdrop.layers))
    name = " + ".join(b.name for b in inner)[:120]
    join = Join(id=Ids(page).free("join"), name=name, first=inner[0].id, last=inner[-1].id, backdrop=richest.backdrop)
    emptied = {b.id: b.model_copy(update={"backdrop": Backdrop()}) for b in inner}
    bands = tuple(emptied.get(b.id, b) for b in page.bands)
    changed = page.model_copy(update={"bands": bands, "joins": (*page.joins, join)})
    return Edited(with_page(site, changed), f"One backdrop behind {name}", join.id)


def part_bands(site: Site, asked: PartBands) -> Edited:
    """The other bands get the join's base colour, so that none is left bare."""
    page = page_of(site, asked.page)
    join = next((j for j in page.joins if j.id == asked.join), None)
    if join is None:
        raise NotFoundError(f"There is no join {asked.join!r} on this page.")
    order = [b.id for b in page.bands]
    inner = set(order[order.index(join.first) : order.index(join.last) + 1])
    keeper = next((b.id for b in page.bands if b.id in inner and b.role == "banner"), join.last)
    plain = Backdrop(base=join.backdrop.base)
    bands = tuple(
        b.model_copy(update={"backdrop": join.backdrop if b.id == keeper else plain})
        if b.id in inner and not (b.backdrop.layers or b.backdrop.base)
        else b
        for b in page.bands
    )
    joins = tuple(j for j in page.joins if j.id != join.id)
    changed = page.model_copy(update={"bands": bands, "joins": joins})
    return Edited(with_page(site, changed), f"Part {join.name}", keeper)
