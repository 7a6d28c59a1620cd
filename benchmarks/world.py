"""A site of 40 pages with 12 rules: opened, its calendar, its complete check; 40 pages with 30 pictures put live; a
large stylesheet read; fonts brought in."""

import io
import statistics
import tempfile
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np
from PIL import Image

from garnetfern.api.local import run_locally
from garnetfern.core.cache import Cache
from garnetfern.core.document import Site, read_site
from garnetfern.core.reading import Reader
from garnetfern.core.resolve.fonts import unpack_woff2
from garnetfern.fonts import FOLDER, shipped_fonts
from garnetfern.sandbox import shared_room
from garnetfern.service.files.brought import fonts_known
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.kinds.empty import empty_site
from garnetfern.service.views.whole_check import check_all
from garnetfern.service.workspace.house import House
from tests.referee.browser import chromium
from tests.sites import HEADING, colour_layer, document, image_layer, with_assets

PAGES, PICTURES = 40, 30
RUNS = 3


def _band(name: str, base: str, **more: Any) -> dict[str, Any]:
    column = {"id": f"{name}-column", "blocks": [{**HEADING, "id": f"{name}-words", "level": 2}]}
    return {"id": name, "name": name.title(), "backdrop": {"base": base}, "columns": [column], **more}


def with_rules() -> Site:
    """Forty pages, and twelve bands that rules show: for weeks, on Saturdays, on lists, in turn."""
    plain = document()
    banner = plain["pages"][0]["bands"][0]
    bands = [_band("header", "#20302a", role="header"), banner, _band("footer", "#20302a", role="footer")]
    kinds = ("page", "list")
    plain["pages"] = [
        {"id": f"p{n}", "slug": f"p{n}", "title": f"P{n}", "kind": kinds[n % 2], "bands": bands} for n in range(PAGES)
    ]
    plain["placed"] = []
    for n in range(12):
        plain["pages"].append(
            {"id": f"b{n}", "slug": f"b{n}", "title": f"B{n}", "loose": True, "bands": [_band("band", "#302010")]}
        )
        rules: list[dict[str, Any]] = [
            {"kind": "between", "first": f"2026-{n % 9 + 1:02}-01", "last": f"2026-{n % 9 + 3:02}-15"}
        ]
        rules += [{"kind": "weekdays", "days": [6]}] if n % 3 == 0 else []
        rules += [{"kind": "on", "kinds": ["list"]}] if n % 3 == 1 else []
        rules += [{"kind": "in-turn", "others": [f"b{(n + 4) % 12}"]}] if n % 4 == 0 else []
        plain["placed"].append({"page": f"b{n}", "place": ["after-header", "before-footer"][n % 2], "rules": rules})
    return read_site(plain)


def _noise(seed: int) -> bytes:
    small = np.random.default_rng(seed).integers(0, 255, (90, 160, 3), dtype=np.uint8)
    out = io.BytesIO()
    Image.fromarray(small).resize((1280, 720), Image.Resampling.BICUBIC).save(out, "JPEG")
    return out.getvalue()


def with_pictures() -> SiteFile:
    """Forty pages over thirty pictures."""
    plain = document(image_layer(asset="a0"), colour_layer("#000000", 0.6))
    pages = []
    for n in range(PAGES):
        page = document(image_layer(asset=f"a{n % PICTURES}"), colour_layer("#000000", 0.6))["pages"][0]
        pages.append({**page, "id": f"p{n}", "slug": f"p{n}", "title": f"P{n}"})
    plain["pages"] = pages
    return with_assets(plain, *((f"a{n}", f"a{n}.jpg", _noise(n)) for n in range(PICTURES)))


def _timed(call: Callable[[], Any]) -> float:
    begin = time.perf_counter()
    call()
    return time.perf_counter() - begin


def _opened(folder: Path, site: Site) -> tuple[list[float], float]:
    """The bench on the first page, each time anew, and the calendar, s."""
    house = House(folder / "rules")
    house.add(SiteFile(site, {}), "Forty pages")
    house.close()
    running = run_locally(folder / "rules")
    with chromium() as browser:
        page = browser.new_page(viewport={"width": 1280, "height": 800})

        def arrive() -> None:
            page.goto(running.address)
            page.get_by_text("without what rules show").or_(page.get_by_text("short on")).first.wait_for()

        def calendar() -> None:
            views = page.get_by_role("navigation", name="Views")
            views.get_by_role("button", name="Calendar").click()
            page.get_by_role("region", name="Rules of B0").wait_for()

        opened = [_timed(arrive) for _ in range(RUNS + 1)]
        found = opened, _timed(calendar)
    running.stop()
    return found


def _checked(site: Site) -> tuple[float, float]:
    """The complete check, cold and after one change, s."""
    cache = Cache()
    reader = Reader(shipped_fonts(), MemoryPictures({}), cache)
    cold = _timed(lambda: check_all(reader, cache, site))
    first = site.pages[0]
    band = first.bands[1].model_copy(update={"name": "Other"})
    changed = first.model_copy(update={"bands": (first.bands[0], band, *first.bands[2:])})
    after = site.model_copy(update={"pages": (changed, *site.pages[1:])})
    return cold, _timed(lambda: check_all(reader, cache, after))


def _published(folder: Path) -> float:
    """Putting forty pages with thirty pictures live, all that it needs being there, s."""
    house = House(folder / "pictures")
    studio = house.add(with_pictures(), "Thirty pictures")
    studio.publishing.look(1, studio.reader)
    found = _timed(lambda: studio.publishing.publish(1, studio.reader, True))
    house.close()
    return found


def stylesheet(size: int) -> bytes:
    """A stylesheet of so many bytes, a tenth of its rules with something behind words."""
    rules: list[str] = []
    length = 0
    while length < size:
        n = len(rules)
        behind = f"background: linear-gradient(#{n % 4096:03x}8, #0008), url(p{n % 30}.jpg) center / cover"
        said = behind if n % 10 == 0 and n < 900 else f"margin: {n % 40}px; color: #{n % 4096:03x}; padding: 4px 8px"
        rules.append(f".part-{n} .inner-{n % 7} > p {{ {said} }}\n")
        length += len(rules[-1])
    return "".join(rules).encode()


def _read() -> float:
    room, screens, fonts = shared_room(), empty_site().screens, fonts_known(shipped_fonts())
    data = stylesheet(300_000)
    return statistics.median(_timed(lambda: room.bring([("style.css", data)], screens, fonts)) for _ in range(5))


def _fonts() -> tuple[float, float]:
    """A font of 60 kB that stays as it is, and one that is packed anew, s."""
    room = shared_room()
    packed = (FOLDER / "literata-latin-wght-normal.woff2").read_bytes()
    plain = unpack_woff2(packed)
    return tuple(  # type: ignore[return-value]
        statistics.median(_timed(lambda data=data: room.fonts(data, "font")) for _ in range(5))  # type: ignore[misc]
        for data in (packed, plain)
    )


def measure() -> list[str]:
    """The lines of the report."""
    site = with_rules()
    shared_room().pool.warm()
    with tempfile.TemporaryDirectory() as folder:
        opened, calendar = _opened(Path(folder), site)
        published = _published(Path(folder))
    cold, changed = _checked(site)
    kept, anew = _fonts()
    return [
        f"A site of {PAGES} pages with 12 rules, and what comes in and goes out:",
        "",
        "| | measured | wanted |",
        "|---|---|---|",
        f"| opened for the first time, until its verdict stands | {opened[0]:.1f} s | 1.5 s |",
        f"| opened again, median of {RUNS} | {statistics.median(opened[1:]):.1f} s | 1.5 s |",
        f"| its calendar | {calendar:.1f} s | 1.0 s |",
        f"| its complete check, cold | {cold:.1f} s | 60 s |",
        f"| the same after one change | {changed:.2f} s | 3 s |",
        f"| {PAGES} pages with {PICTURES} pictures put live, read and fitted before | {published:.1f} s | 4 s |",
        f"| 300 kB of CSS read, median of 5 | {_read():.2f} s | 0.5 s |",
        f"| a font brought in that stays as it is; one that is packed anew | {kept:.2f} s, {anew:.2f} s | |",
    ]
