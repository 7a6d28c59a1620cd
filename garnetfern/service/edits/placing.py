"""Bands shown by rules: begun, taken out of a page, put into another place, given rules one by one, moved, removed."""

from typing import Literal

from pydantic import Field

from ...core.document import Ids, Page, Site
from ...core.document.ids import renamed_band
from ...core.document.placing import OnPages, Place, Placed, Rule, zone_of
from ...core.errors import GarnetfernError, NotFoundError
from ..kinds.rules import PLACE_NAMES, rule_sentence
from ..kinds.starts import Maker
from .common import Asked, Edited, band_of, page_of, with_page
from .page_gone import rules_without
from .pages import named


class PlacingError(GarnetfernError):
    """A band that cannot be shown so."""

    kind = "placing"


class NewPlaced(Asked):
    """A new band that rules show, with a heading and a line; on every page, until it has rules."""

    kind: Literal["new-placed"] = "new-placed"


class PlaceBand(Asked):
    """A band of a page is kept once from now on, and shown by rules: at first where it was."""

    kind: Literal["place-band"] = "place-band"
    page: str
    band: str


class OfPlaced(Asked):
    """Base of what is asked about one of them."""

    page: str


class RemovePlaced(OfPlaced):
    """Take it away, with its band."""

    kind: Literal["remove-placed"] = "remove-placed"


class MovePlaced(OfPlaced):
    """Another place in the list: the first that could stand wins."""

    kind: Literal["move-placed"] = "move-placed"
    to: int = Field(ge=0, le=1000)


class PutPlaced(OfPlaced):
    """Another place on the page."""

    kind: Literal["put-placed"] = "put-placed"
    place: Place


class AddRule(OfPlaced):
    """One rule more."""

    kind: Literal["add-rule"] = "add-rule"
    rule: Rule


class ChangeRule(OfPlaced):
    """Another rule in the place of one."""

    kind: Literal["change-rule"] = "change-rule"
    number: int = Field(ge=0, le=100)
    rule: Rule


class RemoveRule(OfPlaced):
    """One rule less."""

    kind: Literal["remove-rule"] = "remove-rule"
    number: int = Field(ge=0, le=100)


class SetZone(Asked):
    """Whose days the rules mean."""

    kind: Literal["set-zone"] = "set-zone"
    zone: str = Field(max_length=60)


def _with(site: Site, placed: tuple[Placed, ...]) -> Site:
    return site.model_copy(update={"placed": placed})


def _find(site: Site, page: str) -> tuple[int, Placed]:
    for n, placed in enumerate(site.placed):
        if placed.page == page:
            return n, placed
    raise NotFoundError(f"There is no band {page!r} that rules show.")


def _title(site: Site, placed: Placed) -> str:
    return page_of(site, placed.page).title


def _replaced(site: Site, new: Placed) -> Site:
    return _with(site, tuple(new if p.page == new.page else p for p in site.placed))


def new_placed(site: Site, _: NewPlaced) -> Edited:
    """It is the last in the list, so that it takes nothing's place unasked."""
    name, slug, title = named(site, "Shown by rules")
    page = Page(id=name, slug=slug, title=title, loose=True)
    maker = Maker(site, page)
    band = maker.band(title, maker.dark, 1, "heading", "text", high="0px")
    page = page.model_copy(update={"bands": (band,)})
    site = site.model_copy(update={"pages": (*site.pages, page), "placed": (*site.placed, Placed(page=name))})
    return Edited(site, f"A new band that rules show: {title}", name)


def place_band(site: Site, asked: PlaceBand) -> Edited:
    """Refused for a header or footer, and where it would tear a join apart."""
    page = page_of(site, asked.page)
    at, band = band_of(page, asked.band)
    if page.loose:
        raise PlacingError(f"{page.title} is shown by rules already. Nothing was changed.")
    if band.role in ("header", "footer"):
        raise PlacingError(f"{band.name} is a {band.role}, which pages share in another way. Nothing was changed.")
    join = next((j for j in page.joins if band.id in (j.first, j.last)), None)
    if join is not None:
        raise PlacingError(f"{join.name} runs behind {band.name}; part it first. Nothing was changed.")
    name, slug, title = named(site, band.name)
    loose = Page(id=name, slug=slug, title=title, loose=True)
    loose = loose.model_copy(update={"bands": (renamed_band(band, Ids(loose).free),)})
    headers = [n for n, b in enumerate(page.bands) if b.role == "header"]
    footers = [n for n, b in enumerate(page.bands) if b.role == "footer"]
    middle = len(page.bands) / 2
    place: Place = "after-header" if at <= middle else "before-footer"
    if headers and at < headers[0]:
        place = "top"
    elif footers and at > footers[-1]:
        place = "end"
    rest = page.model_copy(update={"bands": tuple(b for b in page.bands if b.id != band.id)})
    placed = Placed(page=name, place=place, rules=(OnPages(pages=(page.id,)),))
    changed = with_page(site, rest)
    changed = changed.model_copy(update={"pages": (*changed.pages, loose), "placed": (*site.placed, placed)})
    return Edited(changed, f"{title} is shown by rules", name)


def remove_placed(site: Site, asked: RemovePlaced) -> Edited:
    """Rules of others that name it go with it."""
    _, placed = _find(site, asked.page)
    title = _title(site, placed)
    left = tuple(
        p.model_copy(update={"rules": rules_without(p.rules, asked.page)}) for p in site.placed if p.page != asked.page
    )
    pages = tuple(p for p in site.pages if p.id != asked.page)
    return Edited(site.model_copy(update={"pages": pages, "placed": left}), f"Remove {title}", pages[0].id)


def move_placed(site: Site, asked: MovePlaced) -> Edited:
    """Who stands where several could may change by it."""
    _, placed = _find(site, asked.page)
    rest = [p for p in site.placed if p.page != asked.page]
    to = min(asked.to, len(rest))
    return Edited(_with(site, (*rest[:to], placed, *rest[to:])), f"Move {_title(site, placed)}", asked.page)


def put_placed(site: Site, asked: PutPlaced) -> Edited:
    """Its rules stay."""
    _, placed = _find(site, asked.page)
    new = placed.model_copy(update={"place": asked.place})
    return Edited(_replaced(site, new), f"{_title(site, placed)} {PLACE_NAMES[asked.place]}", asked.page)


def add_rule(site: Site, asked: AddRule) -> Edited:
    """The step is called what the rule says."""
    _, placed = _find(site, asked.page)
    new = placed.model_copy(update={"rules": (*placed.rules, asked.rule)})
    return Edited(_replaced(site, new), f"{_title(site, placed)}: {rule_sentence(site, asked.rule)}"[:200], asked.page)


def _rule(placed: Placed, number: int) -> Rule:
    if number >= len(placed.rules):
        raise NotFoundError(f"There is no rule {number + 1}; there are {len(placed.rules)}.")
    return placed.rules[number]


def change_rule(site: Site, asked: ChangeRule) -> Edited:
    """The step is called what the new rule says."""
    _, placed = _find(site, asked.page)
    _rule(placed, asked.number)
    rules = (*placed.rules[: asked.number], asked.rule, *placed.rules[asked.number + 1 :])
    label = f"{_title(site, placed)}: {rule_sentence(site, asked.rule)}"[:200]
    return Edited(_replaced(site, placed.model_copy(update={"rules": rules})), label, asked.page)


def remove_rule(site: Site, asked: RemoveRule) -> Edited:
    """What holds without it is said by the calendar."""
    _, placed = _find(site, asked.page)
    old = _rule(placed, asked.number)
    rules = (*placed.rules[: asked.number], *placed.rules[asked.number + 1 :])
    label = f"{_title(site, placed)}: not any more: {rule_sentence(site, old)}"[:200]
    return Edited(_replaced(site, placed.model_copy(update={"rules": rules})), label, asked.page)


def set_zone(site: Site, asked: SetZone) -> Edited:
    """Raises PlacingError for a name that is none."""
    try:
        zone_of(asked.zone)
    except ValueError as error:
        raise PlacingError(f"{error} Nothing was changed.") from error
    return Edited(site.model_copy(update={"zone": asked.zone}), f"Days of {asked.zone}")
