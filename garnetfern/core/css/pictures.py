"""The picture files of a page: one for each serving range, at one and two px per CSS px."""

from collections.abc import Iterator
from copy import copy
from dataclasses import dataclass

from ..document import Area, Asset, Block, ImageLayer, Page, Site, VideoLayer, ever_visible
from ..resolve.book import FontBook
from ..resolve.film import PHONE_BELOW, Cut, cut_of
from ..resolve.image import choose_rendition
from ..resolve.page import Windows
from ..resolve.picture import picture_crop, picture_size
from ..resolve.serving import ServingRange, serving_ranges
from ..resolve.sheets import Rendition
from .escape import css_string, css_url
from .urls import File, Urls


@dataclass(frozen=True)
class Served:
    """What a serving range gets of a picture, at 1x and at 2x."""

    span: ServingRange
    once: Rendition
    twice: Rendition


def _merged(found: list[Served]) -> list[Served]:
    """Equal neighbours are one."""
    kept: list[Served] = []
    for served in found:
        if not kept or (kept[-1].once, kept[-1].twice) != (served.once, served.twice):
            kept.append(served)
    return kept


class Emission:
    """One page being emitted: which picture files it asks for, and by which addresses."""

    def __init__(self, site: Site, page: Page, fonts: FontBook, urls: Urls) -> None:
        self.site, self.page, self.fonts, self.urls = site, page, fonts, urls
        self.windows = Windows(site, page, fonts)
        self.spans = serving_ranges(site.screens)

    def for_page(self) -> "Emission":
        """The same emission with addresses as seen from the page."""
        other = copy(self)
        other.urls = self.urls.for_page()
        return other

    def served(self, area_id: str, layer: ImageLayer) -> list[Served]:
        """The serving ranges of a layer in rising order. Empty where it is never to be seen."""
        asset = self.site.asset(layer.asset)
        found = []
        for span in self.spans:
            needed = self.windows.needed(area_id, layer, span)
            if needed is not None:
                own, width = needed
                once = choose_rendition(asset, own.crop, width, own.at)
                found.append(Served(span, once, choose_rendition(asset, own.crop, 2 * width, own.at)))
        return _merged(found)

    def served_block(self, block: Block) -> list[Served]:
        """The serving ranges of a picture block."""
        asset = self.site.asset(block.asset or "")
        crop = picture_crop(self.site, block)
        found = []
        for span in self.spans:
            width = self.windows.picture_needed(block, span)
            found.append(Served(span, choose_rendition(asset, crop, width), choose_rendition(asset, crop, 2 * width)))
        return _merged(found)

    def image_set(self, asset: Asset, served: Served) -> str:
        """The image as a CSS value: url(), or image-set() with kinds and densities (CSS Images 4, section 5)."""
        once = self.urls.files(asset, served.once)
        twice = [] if served.twice == served.once else self.urls.files(asset, served.twice)
        if len(once) == 1 and not twice:
            return css_url(once[0].address)
        options = [
            f"{css_url(file.address)}{f' type({css_string(file.kind)})' if file.kind else ''} {density}"
            for files, density in ((once, "1x"), (twice, "2x"))
            for file in files
        ]
        return f"image-set({', '.join(options)})"

    def picture_sources(self, block: Block) -> tuple[list[tuple[int, str, str]], int, int]:
        """Sources of a picture element from the widest range to the narrowest, and its width and height."""
        asset = self.site.asset(block.asset or "")
        found: list[tuple[int, str, str]] = []
        for served in reversed(self.served_block(block)):
            once, twice = self.urls.files(asset, served.once), self.urls.files(asset, served.twice)
            for one, two in zip(once, twice, strict=True):
                srcset = one.address if served.once == served.twice else f"{one.address} 1x, {two.address} 2x"
                kind = f' type="{one.kind}"' if one.kind else ""
                found.append((served.span.least, srcset, kind))
        width, height = picture_size(self.site, block)
        return found, width, height

    def cuts(self, layer: VideoLayer) -> list[tuple[str, Cut]]:
        """The files that a film is needed as, each with the viewports that get it: phones, and others."""
        if not ever_visible(layer):
            return []
        asset, budget = self.site.asset(layer.asset), self.site.budget
        others = cut_of(layer, asset, False, budget.film_desktop * 1000)
        found = [(f"(min-width: {PHONE_BELOW}px)", others)]
        if layer.phones == "film":
            phone = cut_of(layer, asset, True, budget.film_phone * 1000)
            found.append((f"(max-width: {PHONE_BELOW - 0.02}px)", phone))
        return found

    def film_sources(self, layer: VideoLayer) -> list[tuple[str, str, str]]:
        """A film's files: for which viewports, the address, and the media type."""
        asset = self.site.asset(layer.asset)
        return [
            (media, file.address, file.kind or "")
            for media, cut in self.cuts(layer)
            for file in self.urls.film(asset, cut)
        ]

    def film_files(self) -> Iterator[File]:
        """The files of its films that there are."""
        for asset, cut in self.films():
            yield from self.urls.film(asset, cut)

    def films(self) -> Iterator[tuple[Asset, Cut]]:
        """The films of the page, in the files that they are needed as."""
        for area in self.page.areas():
            for layer in area.backdrop.layers:
                for film in layer.films():
                    yield from ((self.site.asset(film.asset), cut) for _, cut in self.cuts(film))

    def pictures(self) -> Iterator[tuple[str, ImageLayer]]:
        """Area ids and the pictures behind the words of the page."""
        for area in self.page.areas():
            for layer in area.backdrop.layers:
                yield from ((area.id, picture) for picture in layer.pictures())

    def renditions(self) -> Iterator[tuple[Asset, Rendition]]:
        """Everything the emitted page may ask for."""
        for area_id, layer in self.pictures():
            for served in self.served(area_id, layer):
                yield self.site.asset(layer.asset), served.once
                yield self.site.asset(layer.asset), served.twice
        for block in self.page.blocks():
            if block.assets():
                for served in self.served_block(block):
                    yield self.site.asset(block.asset or ""), served.once
                    yield self.site.asset(block.asset or ""), served.twice

    def preloads(self, chosen: frozenset[str] = frozenset()) -> str:
        """Markup that fetches the banner's lowest picture early: it is the page's largest paint. What is `chosen` among
        on the visitor's machine may never be seen, and is not fetched so."""
        banner = next((b for b in self.page.bands if b.role == "banner" and b.id not in chosen), None)
        if banner is None:
            return ""
        order = [b.id for b in self.page.bands]
        at = order.index(banner.id)
        joins = [j for j in self.page.joins if order.index(j.first) <= at <= order.index(j.last)]
        areas: tuple[Area, ...] = (*joins, banner)
        layers = ((a.id, x) for a in areas for x in a.backdrop.layers if x.visible and x.pictures())
        area, layer = next(layers, ("", None))
        first = next(iter(layer.first_pictures()), None) if layer else None
        return self._preload(self.site.asset(first.asset), self.served(area, first)) if first else ""

    def _preload(self, asset: Asset, ranges: list[Served]) -> str:
        lines = ""
        for n, served in enumerate(ranges):
            media = [f"(min-width: {served.span.least}px)"] if served.span.least else []
            if n + 1 < len(ranges):
                media.append(f"(max-width: {ranges[n + 1].span.least - 0.02:g}px)")
            one, two = self.urls.files(asset, served.once)[0], self.urls.files(asset, served.twice)[0]
            dense = "" if one == two else f' imagesrcset="{one.address} 1x, {two.address} 2x"'
            when = f' media="{" and ".join(media)}"' if media else ""
            kind = f' type="{one.kind}"' if one.kind else ""
            lines += f'<link rel="preload" as="image" href="{one.address}"{dense}{when}{kind} fetchpriority="high">\n'
        return lines
