"""What all edits share: their base, finding things, ids that are free, and putting a changed page back."""

from dataclasses import dataclass
from typing import Any

from pydantic import BaseModel, ConfigDict

from ...core.document import Area, Band, Block, Column, Page, Site
from ...core.errors import NotFoundError


class Asked(BaseModel):
    """Base of what is asked for; unknown fields are refused."""

    model_config = ConfigDict(extra="forbid", frozen=True)


@dataclass(frozen=True)
class Edited:
    """The changed site, what to call the step, and the id of what should be chosen now."""

    site: Site
    label: str
    chosen: str | None = None


def page_of(site: Site, page_id: str) -> Page:
    """The page of this id. Raises NotFoundError."""
    page = site.page(page_id)
    if page is None:
        raise NotFoundError(f"There is no page {page_id!r} in this site.")
    return page


def band_of(page: Page, band_id: str) -> tuple[int, Band]:
    """A band and its number. Raises NotFoundError."""
    for n, band in enumerate(page.bands):
        if band.id == band_id:
            return n, band
    raise NotFoundError(f"There is no band {band_id!r} on this page.")


def column_of(page: Page, column_id: str) -> tuple[Band, Column]:
    """A column and its band. Raises NotFoundError."""
    for band in page.bands:
        for column in band.columns:
            if column.id == column_id:
                return band, column
    raise NotFoundError(f"There is no column {column_id!r} on this page.")


def block_of(page: Page, block_id: str) -> tuple[Column, int, Block]:
    """A block, its column and its place there. Raises NotFoundError."""
    for band in page.bands:
        for column in band.columns:
            for n, block in enumerate(column.blocks):
                if block.id == block_id:
                    return column, n, block
    raise NotFoundError(f"There is no block {block_id!r} on this page.")


def _holds(area: Area, layer: str) -> bool:
    return any(x.id == layer or any(p.id == layer for p in x.pictures()) for x in area.backdrop.layers)


def where_it_is(site: Site, asked: Any) -> Any:
    """An edit of a layer with the area that this lies in now: bands may have been joined or parted since it was
    asked for."""
    page = site.page(getattr(asked, "page", ""))
    layer, area_id = getattr(asked, "layer", None), getattr(asked, "area", None)
    if page is None or layer is None or area_id is None:
        return asked
    area = page.area(area_id)
    if area is not None and _holds(area, layer):
        return asked
    there = next((other.id for other in page.areas() if _holds(other, layer)), None)
    return asked if there is None else asked.model_copy(update={"area": there})


def with_page(site: Site, page: Page) -> Site:
    """The site with a page changed."""
    return site.model_copy(update={"pages": tuple(page if p.id == page.id else p for p in site.pages)})


def with_band(page: Page, band: Band) -> Page:
    """The page with a band changed."""
    return page.model_copy(update={"bands": tuple(band if b.id == band.id else b for b in page.bands)})


def with_column(page: Page, column: Column) -> Page:
    """The page with a column changed."""
    band, _ = column_of(page, column.id)
    columns = tuple(column if c.id == column.id else c for c in band.columns)
    return with_band(page, band.model_copy(update={"columns": columns}))
