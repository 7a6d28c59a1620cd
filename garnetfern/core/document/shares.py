"""What is the same on several pages: kept on each of them, and alike after every change.

A page holds its parts itself, so that it can be laid out, read and handed out by itself. What is shared is brought
into line after a change: the page on which it was changed is the model for the others. Alike is compared up to ids,
which are unique on a page and so may differ from page to page.
"""

from collections.abc import Callable, Collection, Iterator
from dataclasses import dataclass
from itertools import count

from ..errors import Problem
from .ids import Ids, renamed, renamed_band
from .model import Band, Join, Page, Share, Site

STYLE = ("backdrop", "height", "padding", "space", "content", "layout")
"""What of a banner is its style; its words and its exceptions by screen are the page's own."""


@dataclass(frozen=True)
class Shareable:
    """A part that can be shared. `bare(page)` is the part alone, as a page; None where this one cannot have it.
    `put(page, model)` gives the page the part of another."""

    name: str
    bare: Callable[[Page], Page | None]
    put: Callable[[Page, Page], Page]
    areas: Callable[[Page], Collection[str]]


def _empty(page: Page) -> Page:
    return Page(id=page.id, slug=page.slug, title="-")


def _without(page: Page, bands: Collection[str]) -> Page:
    return page.model_copy(update={"bands": tuple(b for b in page.bands if b.id not in bands), "joins": ()})


def _of_role(role: str) -> Shareable:
    def mine(page: Page) -> tuple[Band, ...]:
        return tuple(b for b in page.bands if b.role == role)

    def put(page: Page, model: Page) -> Page:
        old = {b.id for b in mine(page)}
        ids = Ids(_with_joins_of(_without(page, old), page))
        new = tuple(renamed_band(b, ids.free) for b in mine(model))
        at = next((n for n, b in enumerate(page.bands) if b.id in old), 0 if role == "header" else len(page.bands))
        rest = [b for b in page.bands if b.id not in old]
        bands = (*rest[:at], *new, *rest[at:])
        ends = (new[0].id, new[-1].id) if new else (None, None)
        return page.model_copy(update={"bands": bands, "joins": tuple(_held(page, bands, old, ends))})

    return Shareable(
        name=role,
        bare=lambda page: _empty(page).model_copy(update={"bands": mine(page)}),
        put=put,
        areas=lambda page: {a for b in mine(page) for a in _inside(b)},
    )


def _with_joins_of(rest: Page, page: Page) -> Page:
    """A page whose joins count as taken ids, whatever bands they run behind."""
    return rest.model_copy(update={"joins": page.joins})


def _held(
    page: Page, bands: tuple[Band, ...], old: Collection[str], ends: tuple[str | None, str | None]
) -> Iterator[Join]:
    """The joins of a page of which some bands were put in the place of others; one that holds nothing is let go."""
    there = [b.id for b in bands]
    for join in page.joins:
        first = join.first if join.first not in old else ends[0]
        last = join.last if join.last not in old else ends[1]
        if first in there and last in there and there.index(first) < there.index(last):
            yield join.model_copy(update={"first": first, "last": last})


def _inside(band: Band) -> Iterator[str]:
    yield band.id
    for column in band.columns:
        yield column.id
        yield from (block.id for block in column.blocks)


def _banner_of(page: Page) -> Band | None:
    return next((b for b in page.bands if b.role == "banner"), None)


def _bare_banner(page: Page) -> Page | None:
    band = _banner_of(page)
    if band is None:
        return None
    plain = Band(id="banner", name="-", **{name: getattr(band, name) for name in STYLE})
    return _empty(page).model_copy(update={"bands": (plain,)})


def _put_banner(page: Page, model: Page) -> Page:
    old, new = _banner_of(page), _banner_of(model)
    if old is None or new is None:
        return page
    bare = old.model_copy(update={"backdrop": old.backdrop.model_copy(update={"layers": (), "over": None})})
    rest = page.model_copy(update={"bands": tuple(bare if b.id == old.id else b for b in page.bands)})
    style = {name: getattr(new, name) for name in STYLE}
    named = renamed(_empty(page).model_copy(update={"backdrop": new.backdrop}), Ids(rest).free)
    changed = old.model_copy(update={**style, "backdrop": named.backdrop})
    return page.model_copy(update={"bands": tuple(changed if b.id == old.id else b for b in page.bands)})


def _bare_outer(page: Page) -> Page:
    return _empty(page).model_copy(update={"backdrop": page.backdrop, "width": page.width})


def _put_outer(page: Page, model: Page) -> Page:
    rest = page.model_copy(update={"backdrop": page.backdrop.model_copy(update={"layers": (), "over": None})})
    named = renamed(_bare_outer(model), Ids(rest).free)
    return page.model_copy(update={"backdrop": named.backdrop, "width": model.width})


def _top_join(page: Page) -> Join | None:
    return next((j for j in page.joins if page.bands and j.first == page.bands[0].id), None)


def _behind_top(page: Page) -> tuple[str, str] | None:
    """The bands that one picture at the top runs behind: from the first to the first banner, or the next."""
    if len(page.bands) < 2:
        return None
    banner = next((n for n, b in enumerate(page.bands) if n and b.role == "banner"), 1)
    inner = {b.id for b in page.bands[: banner + 1]}
    if any(j.first in inner or j.last in inner for j in page.joins if j is not _top_join(page)):
        return None
    return page.bands[0].id, page.bands[banner].id


def _bare_behind(page: Page) -> Page | None:
    join = _top_join(page)
    if join is None:
        return None if _behind_top(page) is None else _empty(page)
    return _empty(page).model_copy(update={"backdrop": join.backdrop})


def _put_behind(page: Page, model: Page) -> Page:
    old, new = _top_join(page), _top_join(model)
    rest = page.model_copy(update={"joins": tuple(j for j in page.joins if j is not old)})
    if new is None:
        return rest
    ends = (old.first, old.last) if old else _behind_top(page)
    if ends is None:
        return page
    ids = Ids(rest)
    named = renamed(_empty(page).model_copy(update={"backdrop": new.backdrop}), ids.free)
    join = Join(
        id=ids.free(old.id if old else new.id), name=new.name, first=ends[0], last=ends[1], backdrop=named.backdrop
    )
    return rest.model_copy(update={"joins": (*rest.joins, join)})


def _one(found: Band | Join | None) -> set[str]:
    return {found.id} if found else set()


PARTS: dict[str, Shareable] = {
    "header": _of_role("header"),
    "footer": _of_role("footer"),
    "outer": Shareable("outer", _bare_outer, _put_outer, lambda page: {page.id}),
    "banner": Shareable("banner", _bare_banner, _put_banner, lambda page: _one(_banner_of(page))),
    "behind": Shareable("behind", _bare_behind, _put_behind, lambda page: _one(_top_join(page))),
}


def share_of(site: Site, page: Page, part: str) -> Share | None:
    """The share that a page's part is meant by, whether it has stepped out of it or not: the first that fits."""
    return next((s for s in site.shares if s.part == part and (not s.kinds or page.kind in s.kinds)), None)


def members(site: Site, share: Share) -> list[Page]:
    """The pages on which a part is the same."""
    bare = PARTS[share.part].bare
    return [
        page
        for page in site.visited
        if share_of(site, page, share.part) is share and page.id not in share.out and bare(page) is not None
    ]


def _look(part: Shareable, page: Page) -> Page | None:
    """A part up to ids."""
    bare = part.bare(page)
    if bare is None:
        return None
    numbers = count(1)
    known: dict[str, str] = {}
    plain = renamed(bare, lambda old: known.setdefault(old, f"n{next(numbers)}"))
    return plain.model_copy(update={"id": "page", "slug": "page"})


def with_model(site: Site, share: Share, model: Page) -> Site:
    """The site with a part of one page on all pages of a share."""
    part = PARTS[share.part]
    wanted = _look(part, model)
    ids = {page.id for page in members(site, share)} - {model.id}
    pages = tuple(part.put(p, model) if p.id in ids and _look(part, p) != wanted else p for p in site.pages)
    return site.model_copy(update={"pages": pages})


def alike(before: Site | None, after: Site) -> Site:
    """The site with all that is shared brought into line: the first page on which it was changed is the model, else
    one on which it was shared before. The same object where there is nothing to do."""
    for share in after.shares:
        part, there = PARTS[share.part], members(after, share)
        looks = [_look(part, page) for page in there]
        if all(look == looks[0] for look in looks[1:]):
            continue
        old = {page.id: page for page in before.pages} if before else {}
        known = {page.id for s in (before.shares if before else ()) if s.part == share.part
                 for page in members(before, s)} if before else set()  # fmt: skip
        changed = (p for p, k in zip(there, looks, strict=True) if p.id in known and _look(part, old[p.id]) != k)
        model = next(changed, None) or next((p for p in there if p.id in known), there[0])
        after = with_model(after, share, model)
    return after


def share_problems(site: Site) -> Iterator[Problem]:
    """Kinds of page that the site does not have, and pages that are not there."""
    pages = {page.id for page in site.pages}
    for n, page in enumerate(site.pages):
        if page.kind not in site.kinds:
            message = f"There is no kind of page {page.kind!r} in this site; there are {', '.join(site.kinds)}."
            yield Problem("kind", message, f"$.pages[{n}].kind")
    for n, share in enumerate(site.shares):
        yield from (
            Problem("kind", f"There is no kind of page {kind!r} in this site.", f"$.shares[{n}].kinds")
            for kind in share.kinds
            if kind not in site.kinds
        )
        yield from (
            Problem("page", f"There is no page {name!r} in this site.", f"$.shares[{n}].out")
            for name in share.out
            if name not in pages
        )
