"""Pages: added, copied, named, given an address, moved, removed. Links follow the page that they lead to."""

from typing import Literal

from pydantic import Field

from ...core.css.escape import file_part
from ...core.document import Ids, Page, Site, renamed
from ...core.document.addresses import file_of, links_to, with_links
from ...core.errors import GarnetfernError, NotFoundError
from ..kinds.starts import STARTS, Maker
from .common import Asked, Edited, page_of, with_page
from .page_gone import without_page

ENDS = ("header", "footer")


class LastPageError(GarnetfernError):
    """A site has a page."""

    kind = "last-page"


class AddressError(GarnetfernError):
    """An address that a page cannot have."""

    kind = "address"


class AddPage(Asked):
    """A new page behind `after` (None: at the end), from one of our starts."""

    kind: Literal["add-page"] = "add-page"
    start: str
    after: str | None = None


class CopyPage(Asked):
    """A copy of a page right behind it."""

    kind: Literal["copy-page"] = "copy-page"
    page: str


class RemovePage(Asked):
    """Take a page away; refused for the only one. Links to it stay as they are, and are said in the step."""

    kind: Literal["remove-page"] = "remove-page"
    page: str


class MovePage(Asked):
    """Another place among the pages. The first is what visitors see who ask for the site."""

    kind: Literal["move-page"] = "move-page"
    page: str
    to: int = Field(ge=0, le=1000)


class NamePage(Asked):
    """Another title."""

    kind: Literal["name-page"] = "name-page"
    page: str
    title: str = Field(min_length=1, max_length=120)


class AddressPage(Asked):
    """Another address: the name of its file, without the ending."""

    kind: Literal["address-page"] = "address-page"
    page: str
    slug: str = Field(min_length=1, max_length=60)


def _free(wanted: str, taken: set[str]) -> str:
    name, number = wanted, 2
    while name in taken:
        name, number = f"{wanted[:54]}-{number}", number + 1
    return name


def named(site: Site, title: str) -> tuple[str, str, str]:
    """An id, an address and a title that no page of the site has."""
    title = _free_title(title, {p.title for p in site.pages})
    part = file_part(title, "page")
    return (
        _free(part[:36] if part[:1].isalpha() else f"p-{part[:34]}", {p.id for p in site.pages}),
        _free(part, {p.slug for p in site.pages} | {"index"}),
        title,
    )


def _free_title(wanted: str, taken: set[str]) -> str:
    name, number = wanted, 2
    while name in taken:
        name, number = f"{wanted[:110]} {number}", number + 1
    return name


def _copied(page: Page, ids: Ids, only: tuple[str, ...] | None = None) -> Page:
    """A page's parts with ids that a page of its own can have; of some roles only."""
    if only is not None:
        bands = tuple(band for band in page.bands if band.role in only)
        there = {band.id for band in bands}
        joins = tuple(join for join in page.joins if {join.first, join.last} <= there)
        page = page.model_copy(update={"bands": bands, "joins": joins})
    return renamed(page, ids.free)


def _put(site: Site, page: Page, at: int) -> Site:
    return with_links(site, site.model_copy(update={"pages": (*site.pages[:at], page, *site.pages[at:])}))


def _place(site: Site, page_id: str) -> int:
    page_of(site, page_id)
    return next(n for n, page in enumerate(site.pages) if page.id == page_id)


def _visited(page: Page) -> None:
    """Raises NotFoundError for a loose page, which has no place among those that visitors come to."""
    if page.loose:
        raise NotFoundError(f"{page.title} is no page that visitors come to. Nothing was changed.")


def add_page(site: Site, asked: AddPage) -> Edited:
    """Its header and footer are copies of the first page's."""
    start = STARTS.get(asked.start)
    if start is None:
        raise NotFoundError(f"There is no start {asked.start!r}; there are {', '.join(STARTS)}.")
    at = len(site.visited) if asked.after is None else _place(site, asked.after) + 1
    name, slug, title = named(site, "New page")
    bare = Page(id=name, slug=slug, title=title)
    model = site.pages[0] if site.pages else bare
    ends = _copied(model, Ids(bare), ENDS)
    page = bare.model_copy(update={"width": model.width, "backdrop": ends.backdrop, "bands": ends.bands})
    maker = Maker(site, page)
    inner = start.bands(maker)
    head = tuple(b for b in page.bands if b.role == "header")
    foot = tuple(b for b in page.bands if b.role == "footer")
    page = page.model_copy(update={"bands": (*head, *inner, *foot), **start.kind_in(site)})
    return Edited(_put(site, page, at), f"Add {title}", name)


def copy_page(site: Site, asked: CopyPage) -> Edited:
    """All that is on it is its own afterwards."""
    at = _place(site, asked.page)
    old = site.pages[at]
    _visited(old)
    name, slug, title = named(site, f"{old.title[:100]} copy")
    page = _copied(old, Ids(Page(id=name, slug=slug, title=title)))
    page = page.model_copy(update={"id": name, "slug": slug, "title": title})
    return Edited(_put(site, page, at + 1), f"Copy {old.title}", name)


def remove_page(site: Site, asked: RemovePage) -> Edited:
    """The page before it, or the first, is looked at then."""
    at = _place(site, asked.page)
    _visited(site.pages[at])
    if len(site.visited) == 1:
        raise LastPageError(f"{site.pages[0].title} is the only page; a site has one at least. Nothing was removed.")
    page, count = site.pages[at], links_to(site, asked.page)
    shares = tuple(s.model_copy(update={"out": tuple(p for p in s.out if p != page.id)}) for s in site.shares)
    rest = (*site.pages[:at], *site.pages[at + 1 :])
    left = site.model_copy(update={"pages": rest, "shares": shares, "placed": without_page(site, page.id)})
    dead = "" if count == 0 else f"; {count} {'link leads' if count == 1 else 'links lead'} nowhere now"
    return Edited(with_links(site, left), f"Remove {page.title}{dead}", left.pages[max(0, at - 1)].id)


def move_page(site: Site, asked: MovePage) -> Edited:
    """Links go on leading where they led: the first page is always the site's own address."""
    at = _place(site, asked.page)
    _visited(site.pages[at])
    rest = [*site.pages[:at], *site.pages[at + 1 :]]
    to = min(asked.to, len(site.visited) - 1)
    moved = site.model_copy(update={"pages": (*rest[:to], site.pages[at], *rest[to:])})
    return Edited(with_links(site, moved), f"Move {site.pages[at].title}", asked.page)


def name_page(site: Site, asked: NamePage) -> Edited:
    """What stands in the browser's tab."""
    page = page_of(site, asked.page)
    return Edited(with_page(site, page.model_copy(update={"title": asked.title})), f"Call it {asked.title}", page.id)


def address_page(site: Site, asked: AddressPage) -> Edited:
    """What is typed becomes an address: small letters, digits and hyphens."""
    page = page_of(site, asked.page)
    _visited(page)
    slug = file_part(asked.slug.removesuffix(".html"), "")[:60]
    if not slug:
        raise AddressError(
            f"{asked.slug!r} has no letter or digit that an address could be made of. Nothing was changed."
        )
    other = next((p for p in site.pages if p.slug == slug and p.id != page.id), None)
    if other is not None:
        raise AddressError(f"{other.title} has the address {slug} already. Nothing was changed.")
    if slug == "index" and site.pages[0].id != page.id:
        raise AddressError(f"The address index is the first page's, {site.pages[0].title}. Nothing was changed.")
    changed = with_links(site, with_page(site, page.model_copy(update={"slug": slug})))
    return Edited(changed, f"{page.title} at {file_of(changed, page.id)}", page.id)
