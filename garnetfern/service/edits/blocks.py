"""Blocks: added, removed, moved, duplicated."""

from typing import Any, Literal

from ...core.colour.contrast import luminance_of
from ...core.colour.notations import read_colour
from ...core.document import Backdrop, Block, Column, Ids, Lettering, MenuItem, Over, Page, Plate, Site
from ...core.errors import GarnetfernError
from .common import (
    Asked,
    Edited,
    block_of,
    by_light,
    column_of,
    copied_block,
    fonts_of,
    page_of,
    with_column,
    with_page,
)


class NoPictureError(GarnetfernError):
    """A picture block needs a picture."""

    kind = "picture"


class AddBlock(Asked):
    """A new block at the foot of a column, or below `after`."""

    kind: Literal["add-block"] = "add-block"
    page: str
    column: str
    block: Literal["heading", "text", "button", "logo", "menu", "picture", "space"]
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


def _colour(site: Site, page: Page, column: Column) -> str:
    """What its neighbours have, or what stands out from the base behind them."""
    band, _ = column_of(page, column.id)
    near = next((b for c in (column, *band.columns) for b in c.blocks if b.kind != "space"), None)
    if near is not None:
        return near.lettering.colour
    base = column.backdrop.base or band.backdrop.base or page.backdrop.base or "#ffffff"
    ordered = by_light(site)
    return ordered[0] if luminance_of(base) > 0.18 else ordered[-1]


def _button_colour(site: Site) -> str:
    """The palette's most colourful colour on which white can be read; its darkest where there is none."""
    ordered = by_light(site)
    dark = [c for c in ordered if 1.05 / (luminance_of(c) + 0.05) >= 4.5]
    return max(dark, key=lambda c: read_colour(c).oklch[1], default=ordered[0])


def _made(site: Site, page: Page, column: Column, asked: AddBlock) -> Block:
    kind = asked.block
    font, heads = fonts_of(page)
    colour = _colour(site, page, column)
    parts: dict[str, Any] = {"id": Ids(page).free(kind), "kind": kind}
    if kind == "heading":
        parts |= {"level": 2, "wording": "A heading"}
        parts["lettering"] = Lettering(font=heads, size="28px", line=1.2, colour=colour)
    elif kind == "logo":
        parts |= {"wording": site.name[:60], "link": "index.html"}
        parts["lettering"] = Lettering(font=heads, size="20px", line=1.4, colour=colour)
    elif kind == "menu":
        parts["items"] = tuple(
            MenuItem(wording=p.title[:80], link="index.html" if n == 0 else f"{p.slug}.html")
            for n, p in enumerate(site.pages[:8])
        )
        parts["lettering"] = Lettering(font=font, size="16px", line=1.5, colour=colour)
    elif kind == "picture":
        if not site.assets:
            raise NoPictureError("There is no picture on the shelf yet. Bring one first.")
        parts |= {"asset": site.assets[0].id, "wording": site.assets[0].title}
    elif kind == "button":
        parts |= {"wording": "Come and see", "link": "index.html"}
        parts["lettering"] = Lettering(font=font, weight=600, size="17px", line=1.3, colour="#ffffff", over="#ffffff")
        fill = _button_colour(site)
        over = Over(base=by_light(site)[0])
        parts["plate"] = Plate(backdrop=Backdrop(base=fill, over=over), radius="4px")
    elif kind == "text":
        parts |= {"wording": "A few words."}
        parts["lettering"] = Lettering(font=font, size="17px", colour=colour)
    return Block(**parts)


def add_block(site: Site, asked: AddBlock) -> Edited:
    """Its lettering follows its neighbours."""
    page = page_of(site, asked.page)
    _, column = column_of(page, asked.column)
    block = _made(site, page, column, asked)
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
    copy = copied_block(block, Ids(page))
    blocks = (*column.blocks[: at + 1], copy, *column.blocks[at + 1 :])
    page = with_column(page, column.model_copy(update={"blocks": blocks}))
    return Edited(with_page(site, page), f"Duplicate {block.wording[:30] or 'a ' + block.kind}", copy.id)
