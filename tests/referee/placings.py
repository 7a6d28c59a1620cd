"""Pages whose bands each show a picture in another way: every size, repeat, kind of position and attachment."""

import io
import itertools
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Any

import numpy as np
from numpy.typing import NDArray
from PIL import Image
from playwright.sync_api import Browser

from garnetfern.core.css import bundle_files
from garnetfern.core.draw.paint import paint_backdrops, whole
from garnetfern.core.reading import Reader
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.demo.pictures import draw_picture
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile

from ..sites import document, with_picture
from .browser import HIDDEN, Opened, pixels

SIZES: tuple[dict[str, Any], ...] = (
    {"size": "cover"},
    {"size": "contain"},
    {"size": "natural"},
    {"size": "stretch"},
    {"size": "own", "width": "137px"},
    {"size": "own", "width": "23%", "height": "61.5px"},
    {"size": "own", "height": "55%"},
)
STYLES = ("no-repeat", "repeat", "space", "round")
REPEATS = (*((s, s) for s in STYLES), ("repeat", "no-repeat"), ("no-repeat", "repeat"), ("space", "round"))
POSITIONS: tuple[dict[str, Any], ...] = (
    {"focal": [0.3, 0.62]},
    {"position": {"side": "right", "across": "21px", "end": "bottom", "down": "10%"}},
    {"position": {"side": "left", "across": "-13px", "end": "top", "down": "clamp(4px, 2vw, 30px)"}},
)


@lru_cache(maxsize=4)
def picture(kind: str) -> bytes:
    """A small photograph: `photo` is 240 x 160, `small` 90 x 60 and lossless."""
    image = Image.open(io.BytesIO(draw_picture("glasshouse-dawn")))
    size = {"photo": (240, 160), "small": (90, 60)}[kind]
    out = io.BytesIO()
    image.resize(size).save(out, "PNG" if kind == "small" else "JPEG", quality=95)
    return out.getvalue()


@dataclass(frozen=True)
class Placing:
    """One way of showing a picture."""

    name: str
    layer: dict[str, Any]


def placings(attachment: str = "scroll") -> list[Placing]:
    """Every size with every repeat, and the kinds of position in turn."""
    found = []
    for n, (size, repeat) in enumerate(itertools.product(SIZES, REPEATS)):
        where = POSITIONS[n % len(POSITIONS)]
        name = f"{size} {repeat} {where} {attachment}"
        found.append(Placing(name, {**size, **where, "repeat": list(repeat), "attachment": attachment}))
    return found


def page_of(ways: list[Placing], kind: str, height: str = "197px") -> SiteFile:
    """A site whose page has a band for each way."""
    plain = document()
    banner = plain["pages"][0]["bands"][0]
    bands = []
    for n, way in enumerate(ways):
        layer = {"kind": "image", "id": f"l{n}", "name": "Layer", "asset": "picture", **way.layer}
        backdrop = {"base": "#204030", "layers": [layer]}
        bands.append({**banner, "id": f"b{n}", "columns": [], "height": {"min": height}, "backdrop": backdrop})
        bands[-1]["padding"] = {"block": "0px", "inline": "0px"}
    plain["pages"][0]["bands"] = bands
    return with_picture(plain, picture(kind), "picture.png" if kind == "small" else "picture.jpg")


@dataclass(frozen=True)
class Agreement:
    """How closely one band agrees: mean difference of 255, the share of pixels within 3, all but the worst 0.1 %."""

    name: str
    mean: float
    within: float
    worst: float = 0.0


def settled(opened: Opened) -> NDArray[np.float32]:
    """The viewport, once two looks in turn are the same."""
    last = pixels(opened.page.screenshot())
    for _ in range(20):
        opened.page.wait_for_timeout(150)
        seen = pixels(opened.page.screenshot())
        if np.array_equal(seen, last):
            break
        last = seen
    return last


def compared(
    browser: Browser, ways: list[Placing], kind: str, viewport: tuple[int, int], density: int = 1, scroll: int = 0
) -> list[Agreement]:
    """Each band beside the browser's; at two px per CSS px the browser's are averaged."""
    moving = any(way.layer["attachment"] != "scroll" for way in ways)
    return bands_beside(
        browser, page_of(ways, kind), [w.name for w in ways], viewport, density, scroll if moving else None
    )


def bands_beside(
    browser: Browser,
    file: SiteFile,
    names: list[str],
    viewport: tuple[int, int],
    density: int = 1,
    scrolled: int | None = None,
) -> list[Agreement]:
    """The bands of a site's first page beside the browser's; with `scrolled` only what is on the screen then."""
    pictures = MemoryPictures(file.pictures)
    reader = Reader(shipped_fonts(), pictures)
    scroll = scrolled or 0
    opened = Opened(browser, bundle_files(file.site, reader.fonts, pictures.file), density)
    opened.at(*viewport)
    rest = Moment(Viewport(*viewport))
    record = resolve_page(file.site, file.site.pages[0], rest, reader.fonts)
    if scroll:
        there = replace(rest, scroll=scroll / (record.height - viewport[1]))
        record = resolve_page(file.site, file.site.pages[0], there, reader.fonts)
    if scrolled is not None:
        opened.page.evaluate(f"window.scrollTo(0, {scroll})")
        seen = settled(opened)
    else:
        seen = opened.styled(HIDDEN)
    opened.close()
    if density > 1:
        high, wide = seen.shape[0] // density, seen.shape[1] // density
        seen = seen[: high * density, : wide * density].reshape(high, density, wide, density, 3).mean(axis=(1, 3))
    found = []
    for name, band in zip(names, record.bands, strict=True):
        left, top, width, high = whole(band.box.snapped())
        first, last = max(top, scroll), min(top + high, scroll + seen.shape[0])
        if last - first < 8:
            continue
        drawn = paint_backdrops(record, (left, first, width, last - first), reader.pictures)
        off = np.abs(drawn.astype(np.float32) - seen[first - scroll : last - scroll, left : left + width])
        worst = float(np.quantile(off.max(axis=2), 0.999))
        found.append(Agreement(name, float(off.mean()), float((off.max(axis=2) <= 3).mean()), worst))
    return found
