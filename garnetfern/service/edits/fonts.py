"""Edits of owners' fonts: called otherwise, stood in for otherwise, taken away."""

from typing import Any, Literal

from pydantic import Field

from ...core.document import Site
from ...core.document.fonts import Category, FamilyName
from ...core.errors import GarnetfernError, NotFoundError
from ...core.resolve.book import FontBook
from ..files.own_fonts import renamed_font, without_family
from .common import Asked, Edited


class NameFont(Asked):
    """Call an own family, or one of its files alone, otherwise; files of one name are one family."""

    kind: Literal["name-font"] = "name-font"
    family: str
    name: FamilyName
    file: str | None = Field(None, description="one file alone, by its id; none: the whole family")


class StandIn(Asked):
    """Say what kind of letters an own family has: by it goes what stands in until it has come."""

    kind: Literal["stand-in"] = "stand-in"
    family: str
    category: Category


class RemoveFont(Asked):
    """Take an own family, or one of its files, off the shelf. Words that were set in it get another font."""

    kind: Literal["remove-font"] = "remove-font"
    family: str
    file: str | None = Field(None, description="one file alone, by its id; none: the whole family")
    instead: str | None = Field(None, max_length=60, description="none: one that ships and is of the same kind")


class SameStyleError(GarnetfernError):
    """Two files of a family would be the same style of it."""

    kind = "same-style"


def _files(site: Site, family: str, file: str | None = None) -> list[Any]:
    """The files of an own family that are asked for. Raises NotFoundError."""
    found = [f for f in site.fonts if f.family == family and file in (None, f.id)]
    if not found:
        raise NotFoundError(f"There is no font {family!r} of your own in this site.")
    return found


def name_font(site: Site, asked: NameFont, _: Any, __: FontBook) -> Edited:
    """Words follow their family; where one file alone goes to another name, they stay."""
    moved = _files(site, asked.family, asked.file)
    there = {(f.italic, f.least_weight, f.most_weight) for f in site.fonts if f.family == asked.name and f not in moved}
    clash = next((f for f in moved if (f.italic, f.least_weight, f.most_weight) in there), None)
    if clash is not None:
        raise SameStyleError(f"{asked.name} has the style of {clash.name} already. Nothing was changed.")
    fonts = tuple(f.model_copy(update={"family": asked.name}) if f in moved else f for f in site.fonts)
    changed = site.model_copy(update={"fonts": fonts})
    if not any(f.family == asked.family for f in fonts):
        changed = renamed_font(changed, asked.family, asked.name, keep=True)
    return Edited(changed, f"Call {asked.family} {asked.name}", asked.name)


def stand_in(site: Site, asked: StandIn, _: Any, __: FontBook) -> Edited:
    """For all files of the family."""
    moved = _files(site, asked.family)
    fonts = tuple(f.model_copy(update={"category": asked.category}) if f in moved else f for f in site.fonts)
    return Edited(site.model_copy(update={"fonts": fonts}), f"Stand-in for {asked.family}", asked.family)


def remove_font(site: Site, asked: RemoveFont, _: Any, book: FontBook) -> Edited:
    """Undo brings it back, with its words."""
    gone = _files(site, asked.family, asked.file)
    left = tuple(f for f in site.fonts if f not in gone)
    if any(f.family == asked.family for f in left):
        return Edited(site.model_copy(update={"fonts": left}), f"Remove {gone[0].name}", asked.family)
    kin = [f.name for f in book.shipped if f.category == gone[0].category]
    others = frozenset(f.name for f in book.shipped)
    instead = asked.instead or next(iter(kin), book.shipped[0].name)
    return Edited(without_family(site, asked.family, others, instead), f"Remove font {asked.family}")
