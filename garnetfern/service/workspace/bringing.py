"""Bringing in somebody's own stylesheet: read, looked at, and laid on areas."""

from collections.abc import Collection, Sequence
from dataclasses import dataclass
from threading import Lock
from typing import TYPE_CHECKING

import cv2
import numpy as np

from ...core.document import Asset, Height, Site
from ...core.draw.words import draw_page
from ...core.errors import FontError, NotFoundError, PictureError, StylesheetError
from ...core.fontfile import TakenFont
from ...core.limits import MB, PAGE_UPLOAD
from ...core.plain import tidied
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from ...core.stylesheet import Brought
from ...core.stylesheet.matching import match
from ...store import State
from ..edits.brought import lay_as_band, lay_on
from ..files.brought import Found, called, fonts_known, fonts_named, found_for, site_of, with_found
from ..views.bringing import BroughtView, brought_view

if TYPE_CHECKING:
    from .studio import Studio

WIDE, HIGH = 480, 200
"""An area's picture, px: what the widest screen shows of it."""
GONE = "What was read is not at hand any more; read the stylesheet again."
KEPT = 4
"""So many stylesheets that were read wait to be laid; older ones are read again."""


@dataclass(frozen=True)
class Waiting:
    """What was read, of which files, with the pictures of each area, and the fonts: what each is called in the
    stylesheets, its path and its bytes."""

    files: tuple[tuple[str, bytes], ...]
    brought: Brought
    found: list[dict[str, Found]]
    fonts: tuple[tuple[str, str, bytes], ...]


class Bringing:
    """What one site brings in."""

    def __init__(self, studio: "Studio") -> None:
        self._studio = studio
        self._waiting: dict[int, Waiting] = {}
        self._count = 0
        self._lock = Lock()

    def read(self, files: Sequence[tuple[str, bytes]], beside: int | None = None) -> BroughtView:
        """Read what somebody hands in, together with what was read before (`beside`). Raises StylesheetError; nothing
        of the site is changed by reading."""
        files = self._together(files, beside)
        site = self._studio.site()
        brought, pictures, letters = self._studio.room.bring(
            files, site.screens, fonts_known(self._studio.fonts.of(site))
        )
        dropped = self._taken(site, brought, pictures)
        shelf = {asset.name: asset for asset in site.assets}
        found = [found_for(area, dropped, shelf) for area in brought.areas]
        with self._lock:
            self._count += 1
            fonts = tuple((name, path, letters[path]) for name, path in fonts_named(brought.faces, letters))
            self._waiting[self._count] = Waiting(tuple(files), brought, found, fonts)
            for old in sorted(self._waiting)[:-KEPT]:
                del self._waiting[old]
            here = {(file.family, file.name) for file in site.fonts}
            names = ((family, path.rpartition("/")[2]) for family, path, _ in fonts)
            new = [name for family, name in names if not _there(here, family, name)]
            return brought_view(self._count, brought, found, new)

    def _together(self, files: Sequence[tuple[str, bytes]], beside: int | None) -> Sequence[tuple[str, bytes]]:
        """Files with those that were read before; one of the same name takes the other's place."""
        with self._lock:
            before = self._waiting.get(beside) if beside is not None else None
        if beside is not None and before is None:
            raise NotFoundError(GONE)
        whole = list({**dict(before.files if before else ()), **dict(files)}.items())
        if sum(len(data) for _, data in whole) > PAGE_UPLOAD:
            most = PAGE_UPLOAD // MB
            raise StylesheetError(f"Files that are read together have {most} MB at the most. Nothing was read.")
        return whole

    def _taken(self, site: Site, brought: Brought, pictures: dict[str, bytes]) -> dict[str, Asset]:
        """The pictures that came with it and are named, kept in the store, by the paths that they came with."""
        addresses = {address for area in brought.areas for address in area.pictures.values()}
        wanted = {name for address in addresses if (name := match(address, pictures).name) is not None}
        taken: dict[str, Asset] = {}
        names = {a.id for a in site.assets}
        for path in sorted(wanted):
            try:
                asset = self._studio.add_picture(pictures[path], path.rpartition("/")[2])
            except PictureError:
                continue
            same = next((a for a in site.assets if a.hash == asset.hash), None)
            asset = same or asset.model_copy(update={"id": _free(asset.id, names)})
            names.add(asset.id)
            taken[path] = asset
        return taken

    def take_fonts(self, based_on: int, number: int) -> tuple[State, BroughtView, list[str]]:
        """Put the fonts that came with it on the shelf as one step, under the names that its stylesheets give them, and
        read it again. Gives also why some were not taken. Raises NotFoundError, or FontError where none could be."""
        with self._lock:
            waiting = self._waiting.get(number)
        if waiting is None:
            raise NotFoundError(GONE)
        found: list[tuple[str, list[TakenFont]]] = []
        refused = []
        for family, path, data in waiting.fonts:
            name = path.rpartition("/")[2]
            try:
                taken = self._studio.room.fonts(data, tidied(name))
            except FontError as error:
                refused.append(error.message)
                continue
            found.append((name, [called(font, family) for font in taken] if family else taken))
        if not found:
            raise FontError(refused[0] if refused else "No font came with it. Nothing was changed.")
        state = self._studio.own_fonts.put(found, based_on)
        return state, self.read((), number), refused

    def _of(self, number: int, area: int) -> tuple[Waiting, int]:
        with self._lock:
            waiting = self._waiting.get(number)
        if waiting is None or not 0 <= area < len(waiting.brought.areas):
            raise NotFoundError(GONE)
        return waiting, area

    def picture(self, number: int, area: int) -> bytes:
        """What an area would look like on the widest screen, as a JPEG. Raises NotFoundError."""
        waiting, n = self._of(number, area)
        studio, found = self._studio, waiting.found[n]
        assets = [f.asset for f in found.values() if f.asset is not None]
        screen = max(studio.site().screens, key=lambda s: s.width)
        high = round(screen.width * HIGH / WIDE)
        band = with_found(waiting.brought.areas[n], found)
        if not any(block.said for block in band.blocks()):
            # a rule alone has no words that would hold it open
            band = band.model_copy(update={"height": Height(min=f"{high}px")})
        site = site_of(studio.site(), [band], assets, studio.fonts)
        record = resolve_page(site, site.pages[0], Moment(Viewport(screen.width, screen.height)), studio.fonts)
        drawn = draw_page(record, (0, 0, screen.width, high), studio.reader.pictures, studio.reader.glyphs)
        small = np.asarray(cv2.resize(drawn, (WIDE, HIGH), interpolation=cv2.INTER_AREA))
        _, data = cv2.imencode(".jpg", small[:, :, ::-1], [cv2.IMWRITE_JPEG_QUALITY, 86])
        return data.tobytes()

    def lay(self, based_on: int, number: int, area: int, page: str, on: str, as_band: bool) -> tuple[State, str | None]:
        """Lay an area on one of a page, or below it as a band of its own with its words, as one step."""
        waiting, n = self._of(number, area)
        site = self._studio.site(None, based_on)
        found = waiting.found[n]
        known = {a.hash: a for a in site.assets}
        present = {k: Found(f.address, f.asset and known.get(f.asset.hash, f.asset), f.said) for k, f in found.items()}
        assets = [f.asset for f in present.values() if f.asset is not None]
        band = with_found(waiting.brought.areas[n], present)
        target = self._studio.area(self._studio.page(site, page), on)
        if as_band:
            done = lay_as_band(site, page, target.id, band, assets)
            return self._studio.keep(based_on, done.site, done.label), done.chosen
        done = lay_on(site, page, target, band, assets)
        return self._studio.keep(based_on, done.site, done.label), done.chosen


def _there(here: Collection[tuple[str, str]], family: str, name: str) -> bool:
    """Whether a font of this file's name is on the shelf; `family`: what it is called, where that is said."""
    return any(own == name and family in ("", of) for of, own in here)


def _free(name: str, taken: set[str]) -> str:
    found, number = name, 2
    while found in taken:
        found, number = f"{name}-{number}", number + 1
    return found
