"""What pages have in common: a part begins or ends being the same, a page steps out and comes back, kinds of page."""

from typing import Literal

from pydantic import Field

from ...core.document import Page, Share, Site
from ...core.document.shares import PARTS, members, share_of, with_model
from ...core.errors import GarnetfernError, NotFoundError
from ..kinds.parts import PART_NAMES, on_pages
from .common import Asked, Edited, page_of, with_page

Part = Literal["header", "footer", "outer", "banner", "behind"]


class ShareError(GarnetfernError):
    """A part that cannot be shared so."""

    kind = "share"


class SharePart(Asked):
    """From now on a part is that of this page on all pages, or on those of some kinds."""

    kind: Literal["share-part"] = "share-part"
    page: str
    part: Part
    kinds: tuple[str, ...] = Field((), max_length=40)


class PartAlone(Asked):
    """A part is each page's own again; every page keeps what it has."""

    kind: Literal["part-alone"] = "part-alone"
    page: str
    part: Part


class StepOut(Asked):
    """A page's part is its own from now on."""

    kind: Literal["step-out"] = "step-out"
    page: str
    part: Part


class StepIn(Asked):
    """A page that stepped out has the shared part again, in the place of its own."""

    kind: Literal["step-in"] = "step-in"
    page: str
    part: Part


class KindPage(Asked):
    """What kind of page it is; a kind that is new is added to the site's."""

    kind: Literal["kind-page"] = "kind-page"
    page: str
    word: str = Field(min_length=1, max_length=40)


def _shared(site: Site, page: Page, part: str) -> Share:
    share = share_of(site, page, part)
    if share is None:
        raise NotFoundError(f"{PART_NAMES[part]} of {page.title} is not shared. Nothing was changed.")
    return share


def _with(site: Site, old: Share | None, new: Share | None) -> Site:
    """A share in the place of another; those of some kinds come before one of all pages."""
    rest = [s for s in site.shares if s is not old]
    found = [*rest, new] if new else rest
    return site.model_copy(update={"shares": tuple(sorted(found, key=lambda s: not s.kinds))})


def share_part(site: Site, asked: SharePart) -> Edited:
    """The page's own part is the model; what others had there is replaced, and comes back with undo."""
    page = page_of(site, asked.page)
    unknown = [k for k in asked.kinds if k not in site.kinds]
    if unknown:
        raise NotFoundError(f"There is no kind of page {unknown[0]!r} in this site.")
    if asked.kinds and page.kind not in asked.kinds:
        raise ShareError(f"{page.title} is of the kind {page.kind}, which is none of those. Nothing was changed.")
    name = PART_NAMES[asked.part]
    if PARTS[asked.part].bare(page) is None:
        raise ShareError(f"{page.title} has nothing that could be {name.lower()} of others. Nothing was changed.")
    new = Share(part=asked.part, kinds=asked.kinds)
    # what was shared by the same pages begins anew; a share of other kinds goes on
    old = next((s for s in site.shares if s.part == asked.part and set(s.kinds) == set(asked.kinds)), None)
    site = _with(site, old, new)
    count = len(members(site, new))
    return Edited(with_model(site, new, page), f"{name} of {page.title} {on_pages(count)}", page.id)


def part_alone(site: Site, asked: PartAlone) -> Edited:
    """Nothing on any page changes by it."""
    page = page_of(site, asked.page)
    share = _shared(site, page, asked.part)
    return Edited(_with(site, share, None), f"{PART_NAMES[asked.part]}: each page its own", page.id)


def step_out(site: Site, asked: StepOut) -> Edited:
    """Nothing on the page changes by it."""
    page = page_of(site, asked.page)
    share = _shared(site, page, asked.part)
    if page.id in share.out:
        raise ShareError(f"{page.title} has its own {PART_NAMES[asked.part].lower()} already. Nothing was changed.")
    new = share.model_copy(update={"out": (*share.out, page.id)})
    return Edited(_with(site, share, new), f"{PART_NAMES[asked.part]} of {page.title} is its own", page.id)


def step_in(site: Site, asked: StepIn) -> Edited:
    """The part of the others is the model, whichever page it was changed on last."""
    page = page_of(site, asked.page)
    share = _shared(site, page, asked.part)
    new = share.model_copy(update={"out": tuple(name for name in share.out if name != page.id)})
    others = members(site, share)
    site = _with(site, share, new)
    if others:
        site = with_model(site, new, others[0])
    return Edited(site, f"{PART_NAMES[asked.part]} of {page.title} as on the others", page.id)


def kind_page(site: Site, asked: KindPage) -> Edited:
    """What pages of the kind share, it has from then on."""
    page = page_of(site, asked.page)
    word = " ".join(asked.word.split()).lower()
    kinds = site.kinds if word in site.kinds else (*site.kinds, word)
    changed = with_page(site.model_copy(update={"kinds": kinds}), page.model_copy(update={"kind": word}))
    new = next(p for p in changed.pages if p.id == page.id)
    for part in PARTS:
        share = share_of(changed, new, part)
        if share is None or new.id in share.out:
            continue
        model = next((p for p in members(changed, share) if p.id != new.id), None)
        if model is not None:
            changed = with_model(changed, share, model)
    return Edited(changed, f"{page.title} is a page of the kind {word}", page.id)
