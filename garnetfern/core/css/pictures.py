"""The picture files of an image layer: one for each serving range, at one and two px per CSS px."""

from collections.abc import Iterator

from ..document import Band, ImageLayer, Page, Site
from ..resolve.fonts import FontBook
from ..resolve.image import choose_rendition
from ..resolve.page import image_needed
from ..resolve.records import Rendition
from ..resolve.serving import ServingRange, serving_ranges
from .urls import Urls

Served = tuple[ServingRange, Rendition, Rendition]
"""A serving range with its rendition at 1x and at 2x."""


def served(site: Site, band: Band, layer: ImageLayer, fonts: FontBook) -> list[Served]:
    """Serving ranges in rising order with the rendition at 1x and at 2x; equal neighbours are one."""
    asset = site.asset(layer.asset)
    found: list[Served] = []
    for span in serving_ranges(site.screens):
        needed = image_needed(site, band, layer, span, fonts)
        once, twice = choose_rendition(asset, needed), choose_rendition(asset, 2 * needed)
        if not found or found[-1][1:] != (once, twice):
            found.append((span, once, twice))
    return found


def image_set(site: Site, layer: ImageLayer, once: Rendition, twice: Rendition, urls: Urls) -> str:
    """The image as a CSS value: url(), or image-set() where a denser screen gets more px (CSS Images 4, section 5)."""
    asset = site.asset(layer.asset)
    plain = f'url("{urls.picture(asset, once)}")'
    if once == twice:
        return plain
    return f'image-set({plain} 1x, url("{urls.picture(asset, twice)}") 2x)'


def page_renditions(site: Site, page: Page, fonts: FontBook) -> Iterator[tuple[str, Rendition]]:
    """Asset ids and renditions that an emitted page may ask for."""
    for band in page.bands:
        for layer in band.backdrop.layers:
            if isinstance(layer, ImageLayer) and layer.visible:
                for _, once, twice in served(site, band, layer, fonts):
                    yield layer.asset, once
                    yield layer.asset, twice
