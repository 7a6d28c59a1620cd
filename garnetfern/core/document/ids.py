"""Ids that nothing on a page has, and giving the parts of a page other ids."""

from collections.abc import Callable

from .backdrop import Backdrop
from .block import Block
from .model import Band, Column, Page

RESERVED = frozenset({"base", "words"})
Naming = Callable[[str], str]
"""The new id of an old one; asked once for each."""


def ids_of(page: Page) -> set[str]:
    """Every id on a page."""
    found = set(RESERVED)
    for area in page.areas():
        found.add(area.id)
        found.update(*(layer.ids() for layer in area.backdrop.layers))
    return found | {block.id for block in page.blocks()}


class Ids:
    """Gives ids that nothing on the page has."""

    def __init__(self, page: Page) -> None:
        self._taken = ids_of(page)

    def free(self, stem: str) -> str:
        """The stem itself, or with a number behind it."""
        name, number = stem[:34], 2
        while name in self._taken:
            name, number = f"{stem[:34]}-{number}", number + 1
        self._taken.add(name)
        return name


def renamed_backdrop(backdrop: Backdrop, name: Naming) -> Backdrop:
    """A backdrop whose layers have other ids; what changes under the pointer follows them."""
    if not backdrop.layers:
        return backdrop
    layers = tuple(x.with_ids(name) for x in backdrop.layers)
    names = {old.id: new.id for old, new in zip(backdrop.layers, layers, strict=True)}
    over = backdrop.over
    if over is not None:
        over = over.model_copy(update={"layers": {names[k]: v for k, v in over.layers.items()}})
    return backdrop.model_copy(update={"layers": layers, "over": over})


def renamed_block(block: Block, name: Naming) -> Block:
    """A block with another id, and its plate's layers with others."""
    if block.plate is None:
        return block.model_copy(update={"id": name(block.id)})
    plate = block.plate.model_copy(update={"backdrop": renamed_backdrop(block.plate.backdrop, name)})
    return block.model_copy(update={"id": name(block.id), "plate": plate})


def renamed_column(column: Column, name: Naming) -> Column:
    """A column and all that is in it with other ids."""
    blocks = tuple(renamed_block(b, name) for b in column.blocks)
    backdrop = renamed_backdrop(column.backdrop, name)
    return column.model_copy(update={"id": name(column.id), "blocks": blocks, "backdrop": backdrop})


def renamed_band(band: Band, name: Naming) -> Band:
    """A band and all that is in it with other ids."""
    columns = tuple(renamed_column(c, name) for c in band.columns)
    backdrop = renamed_backdrop(band.backdrop, name)
    return band.model_copy(update={"id": name(band.id), "columns": columns, "backdrop": backdrop})


def renamed(page: Page, name: Naming) -> Page:
    """A page whose bands, joins and layers have other ids; the page keeps its own."""
    bands = tuple(renamed_band(band, name) for band in page.bands)
    names = {old.id: new.id for old, new in zip(page.bands, bands, strict=True)}
    joins = tuple(
        join.model_copy(
            update={
                "id": name(join.id),
                "first": names[join.first],
                "last": names[join.last],
                "backdrop": renamed_backdrop(join.backdrop, name),
            }
        )
        for join in page.joins
    )
    return page.model_copy(update={"bands": bands, "joins": joins, "backdrop": renamed_backdrop(page.backdrop, name)})
