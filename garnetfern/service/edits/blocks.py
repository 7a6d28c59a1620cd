"""Blocks: added, removed, moved, duplicated."""

from typing import Literal

from ...core.document import Ids, KindOfBlock, Site
from ...core.document.ids import renamed_block
from ...core.errors import GarnetfernError
from ..kinds.blocks import new_block
from ..kinds.fresh import fresh_in
from .common import (
    Asked,
    Edited,
    block_of,
    column_of,
    page_of,
    with_column,
    with_page,
)


class AddBlock(Asked):
    """A new block at the foot of a column, or below `after`."""

    kind: Literal["add-block"] = "add-block"
    page: str
    column: str
    block: KindOfBlock
    after: str | None = None


class RemoveBlock(Asked):
    """Take a block away."""

    kind: Literal["remove-block"] = "remove-block"
    page: str
    block: str


class MoveBlock(Asked):
    """Move a block up or down by one in its column, or into the column beside at its ends."""

    kind: Literal["move-block"] = "move-block"
    page: str
    block: str
    by: Literal[-1, 1]


class DuplicateBlock(Asked):
    """A copy of a block right below it."""

    kind: Literal["duplicate-block"] = "duplicate-block"
    page: str
    block: str


def add_block(site: Site, asked: AddBlock) -> Edited:
    """Its lettering follows its neighbours."""
    page = page_of(site, asked.page)
    _, column = column_of(page, asked.column)
    block = new_block(asked.block, fresh_in(site, page, column), Ids(page))
    places = [b.id for b in column.blocks]
    at = places.index(asked.after) + 1 if asked.after in places else len(places)
    changed = column.model_copy(update={"blocks": (*column.blocks[:at], block, *column.blocks[at:])})
    return Edited(with_page(site, with_column(page, changed)), f"Add a {asked.block}", block.id)


def remove_block(site: Site, asked: RemoveBlock) -> Edited:
    """What stands above it is chosen then."""
    page = page_of(site, asked.page)
    column, at, block = block_of(page, asked.block)
    blocks = tuple(b for b in column.blocks if b.id != block.id)
    chosen = blocks[max(0, at - 1)].id if blocks else None
    page = with_column(page, column.model_copy(update={"blocks": blocks}))
    return Edited(with_page(site, page), f"Remove {block.wording[:30] or 'a ' + block.kind}", chosen)


def move_block(site: Site, asked: MoveBlock) -> Edited:
    """At the ends of its column it goes into the next one."""
    page = page_of(site, asked.page)
    column, at, block = block_of(page, asked.block)
    band, _ = column_of(page, column.id)
    blocks = [b for b in column.blocks if b.id != block.id]
    to = at + asked.by
    label = f"Move {block.wording[:30] or 'a ' + block.kind}"
    if 0 <= to <= len(blocks):
        blocks.insert(to, block)
        page = with_column(page, column.model_copy(update={"blocks": tuple(blocks)}))
        return Edited(with_page(site, page), label, block.id)
    beside = [c.id for c in band.columns].index(column.id) + asked.by
    if not 0 <= beside < len(band.columns):
        raise GarnetfernError(f"It is already {'at the top' if asked.by < 0 else 'at the foot'} of its band.")
    page = with_column(page, column.model_copy(update={"blocks": tuple(blocks)}))
    _, other = column_of(page, band.columns[beside].id)
    there = (*other.blocks, block) if asked.by < 0 else (block, *other.blocks)
    return Edited(with_page(site, with_column(page, other.model_copy(update={"blocks": there}))), label, block.id)


def duplicate_block(site: Site, asked: DuplicateBlock) -> Edited:
    """The copy is chosen then."""
    page = page_of(site, asked.page)
    column, at, block = block_of(page, asked.block)
    copy = renamed_block(block, Ids(page).free)
    blocks = (*column.blocks[: at + 1], copy, *column.blocks[at + 1 :])
    page = with_column(page, column.model_copy(update={"blocks": blocks}))
    return Edited(with_page(site, page), f"Duplicate {block.wording[:30] or 'a ' + block.kind}", copy.id)
