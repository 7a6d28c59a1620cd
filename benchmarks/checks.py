"""The full check of the sample page: the core beside a scripted browser that measures the same on screenshots.

Ordinary: every situation is loaded afresh and the whole page is photographed. The other one is `rival`.
"""

import time
from collections.abc import Callable
from typing import Any

import numpy as np
from numpy.typing import NDArray
from playwright.sync_api import Browser

from garnetfern.core.css import bundle_files
from garnetfern.core.document import Site
from garnetfern.core.reading import Reader, Situation, situations
from garnetfern.core.resolve.records import BlockRecord
from garnetfern.demo import demo_site_file
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.referee.browser import HIDDEN, INK_ONLY, Opened, chromium
from tests.referee.kinds import SAMPLES
from tests.referee.measure import letter_ratios

from .rival import MISSING, Rival

LAYERS: tuple[tuple[str, str, dict[str, Any]], ...] = (
    ("gradient", "to nothing", {"opacity": 0.4}),
    ("gradient", "glow", {"blend": "soft-light", "opacity": 0.5}),
    ("gradient", "turning", {"blend": "overlay", "opacity": 0.2}),
    ("gradient", "in oklab to nothing", {"blend": "multiply", "opacity": 0.3}),
    ("edge", "foot", {"opacity": 0.4}),
    ("edge", "vignette", {"opacity": 0.4}),
    ("pattern", "faint", {}),
    ("pattern", "turned", {"opacity": 0.06}),
    ("shape", "wave", {"opacity": 0.5}),
    ("colour", "thin", {}),
)


def _ratio(block: BlockRecord, ground: NDArray[np.float32], ink: NDArray[np.float32], letters: list[Any]) -> float:
    red, green, blue = block.fill.rgb
    fill = (red, green, blue, block.fill.alpha)
    return min(ratio for _, ratio in letter_ratios(ground, [ink] * 6, letters, block.size, fill))


def _ink(block: BlockRecord) -> str:
    return INK_ONLY + f".gf-{block.id} {{ color: black !important; }}"


def ordinary(opened: Opened, found: list[tuple[Situation, list[BlockRecord]]]) -> None:
    """Load, photograph the whole page without words, then with each block alone."""
    for situation, blocks in found:
        opened.at(int(situation.moment.viewport.width), int(situation.moment.viewport.height))
        ground = opened.styled(HIDDEN + (MISSING if situation.moment.missing else ""))
        letters = opened.letters()
        for block in blocks:
            _ratio(block, ground, opened.styled(_ink(block)), letters[block.id])


def timed(work: Callable[[], object], times: int = 1) -> float:
    """Seconds for one run, the best of several."""
    best = float("inf")
    for _ in range(times):
        start = time.perf_counter()
        work()
        best = min(best, time.perf_counter() - start)
    return best


def _changed(site: Site, opacity: float) -> Site:
    plain = site.model_dump()
    plain["pages"][0]["bands"][1]["backdrop"]["layers"][1]["opacity"] = opacity
    return Site.model_validate(plain)


def layered(site: Site) -> Site:
    """The sample site with twelve layers on its banner: ten more, of every kind, some of them blending."""
    plain = site.model_dump(mode="json")
    layers = plain["pages"][0]["bands"][1]["backdrop"]["layers"]
    for n, (kind, name, more) in enumerate(LAYERS):
        option = dict(SAMPLES[kind])[name]
        layers.append({"kind": kind, "id": f"more{n}", "name": name, **option, **more})
    return Site.model_validate(plain)


def _browser_times(browser: Browser, reader: Reader, pictures: MemoryPictures, site: Site) -> tuple[float, ...]:
    """Seconds of the ordinary one, and of the rival from nothing and after an overlay's change."""
    page = site.pages[0]
    found = []
    for situation in situations(site, page):
        record = reader.resolve(site, page, situation)
        found.append((situation, [b for band in record.bands for b in band.blocks if b.words and b.lines]))
    files = bundle_files(site, reader.fonts, pictures.file)
    opened = Opened(browser, files)
    slow = timed(lambda: ordinary(opened, found))
    opened.close()
    rivals = [Rival(browser, files, found) for _ in range(3)]
    cold = min(timed(rival.read) for rival in rivals)
    banner = page.bands[1]
    met = frozenset(block.id for column in banner.columns for block in column.blocks)
    opacities = iter(n / 20 for n in range(3, 15))
    name = banner.backdrop.layers[1].id
    after = timed(lambda: rivals[-1].read(f".gf-{name} {{ opacity: {next(opacities)}; }}", met), 6)
    for rival in rivals:
        rival.close()
    return slow, cold, after


def measure() -> list[str]:
    """Time all of it in one run and give the lines of the report."""
    file = demo_site_file()
    pictures = MemoryPictures(file.pictures)
    plain = _measured("The sample page", file.site, pictures)
    return [
        *plain,
        "",
        *_measured("The same with a banner of twelve layers of every kind", layered(file.site), pictures),
    ]


def _measured(what: str, site: Site, pictures: MemoryPictures) -> list[str]:
    fonts = shipped_fonts()
    page = site.pages[0]
    Reader(fonts, pictures).read_page(site, page)  # pictures are encoded and decoded, as they are for the browser
    cold = timed(lambda: Reader(fonts, pictures).read_page(site, page), 3)
    reader = Reader(fonts, pictures)
    reader.read_page(site, page)
    opacities = iter(n / 100 for n in range(30, 90))

    def overlay() -> None:
        changed = _changed(site, next(opacities))
        reader.read_page(changed, changed.pages[0])

    after = timed(overlay, 10)
    count = len(situations(site, page))
    with chromium() as browser:
        slow, rival, rival_after = _browser_times(browser, reader, pictures, site)
    return [
        f"{what}: {count} situations of 8 blocks of words.",
        "",
        "| full check | from nothing | after an overlay's change |",
        "|---|---|---|",
        f"| scripted browser, ordinary | {1000 * slow:.0f} ms | the same |",
        f"| scripted browser, as fast as we could make it | {1000 * rival:.0f} ms | {1000 * rival_after:.0f} ms |",
        f"| core (from nothing but decoded pictures) | {1000 * cold:.0f} ms | {1000 * after:.0f} ms |",
        f"| the fast browser takes so many times as long | {rival / cold:.0f} | {rival_after / after:.0f} |",
    ]
