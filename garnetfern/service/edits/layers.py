"""Layers and whole backdrops: copied to another area, saved as looks, laid down again."""

from typing import Any, Literal

from ...core.colour.contrast import luminance_of
from ...core.document import Area, Backdrop, Block, Ids, Line, Page, Plate, SavedLook, Site, with_backdrop
from ...core.document.ids import renamed_backdrop
from ...core.errors import NotFoundError
from .common import (
    Asked,
    Edited,
    block_of,
    page_of,
    with_column,
    with_page,
)

DARK = "#0b1a14"


class CopyLayer(Asked):
    """A copy of a layer on top of another area's backdrop."""

    kind: Literal["copy-layer"] = "copy-layer"
    page: str
    area: str
    layer: str
    to: str


class SaveLook(Asked):
    """Keep an area's whole backdrop under a name."""

    kind: Literal["save-look"] = "save-look"
    page: str
    area: str
    name: str


class LayLook(Asked):
    """Put a saved look behind an area, instead of what is there."""

    kind: Literal["lay-look"] = "lay-look"
    page: str
    area: str
    look: str


class AddPlate(Asked):
    """A plate behind a block of words: dark behind light words, light behind dark ones."""

    kind: Literal["add-plate"] = "add-plate"
    page: str
    block: str


def area_of(page: Page, area_id: str) -> Area:
    """An area of a page. Raises NotFoundError."""
    area = page.area(area_id)
    if area is None:
        raise NotFoundError(f"There is no area {area_id!r} on this page.")
    return area


def name_of(area: Any) -> str:
    """What an area is called in the history."""
    if isinstance(area, Block):
        return area.wording[:30] or area.kind
    return str(getattr(area, "name", None) or area.title)


def copy_layer(site: Site, asked: CopyLayer) -> Edited:
    """The copy is chosen then."""
    page = page_of(site, asked.page)
    layer = next((x for x in area_of(page, asked.area).backdrop.layers if x.id == asked.layer), None)
    if layer is None:
        raise NotFoundError(f"There is no layer {asked.layer!r} on this area.")
    there = area_of(page, asked.to)
    copy = layer.with_ids(Ids(page).free)
    backdrop = there.backdrop.model_copy(update={"layers": (*there.backdrop.layers, copy)})
    page = with_backdrop(page, there.id, backdrop)
    return Edited(with_page(site, page), f"Copy {layer.name} to {name_of(there)}", copy.id)


def save_look(site: Site, asked: SaveLook) -> Edited:
    """The look gets an id that no other has."""
    page = page_of(site, asked.page)
    area = area_of(page, asked.area)
    name = asked.name.strip()[:120] or f"Look of {name_of(area)}"
    taken = {look.id for look in site.looks}
    number = next(n for n in range(1, len(taken) + 2) if f"look-{n}" not in taken)
    look = SavedLook(id=f"look-{number}", name=name, backdrop=area.backdrop)
    return Edited(site.model_copy(update={"looks": (*site.looks, look)}), f"Save the look {name}", look.id)


def lay_look(site: Site, asked: LayLook) -> Edited:
    """Its layers get ids of their own here. A look without a base leaves the area's."""
    page = page_of(site, asked.page)
    area = area_of(page, asked.area)
    look = next((k for k in site.looks if k.id == asked.look), None)
    if look is None:
        raise NotFoundError(f"There is no saved look {asked.look!r} in this site.")
    cleared = with_backdrop(page, area.id, Backdrop())
    copied = renamed_backdrop(look.backdrop, Ids(cleared).free)
    laid = copied.model_copy(update={"base": copied.base or area.backdrop.base})
    page = with_backdrop(page, area.id, laid)
    chosen = laid.layers[-1].id if laid.layers else "base"
    return Edited(with_page(site, page), f"Look {look.name} behind {name_of(area)}", chosen)


def add_plate(site: Site, asked: AddPlate) -> Edited:
    """Strong enough to be seen, thin enough to see through."""
    page = page_of(site, asked.page)
    column, at, block = block_of(page, asked.block)
    light = luminance_of(block.lettering.colour) > 0.18
    base = f"{DARK}c0" if light else "#ffffffd0"
    plate = Plate(backdrop=Backdrop(base=base), line=Line(colour="#ffffff66" if light else "#00000033"), radius="4px")
    changed = Block.model_validate({**block.model_dump(), "plate": plate.model_dump()})
    blocks = (*column.blocks[:at], changed, *column.blocks[at + 1 :])
    page = with_column(page, column.model_copy(update={"blocks": blocks}))
    return Edited(with_page(site, page), f"A plate behind {name_of(block)}", block.id)
