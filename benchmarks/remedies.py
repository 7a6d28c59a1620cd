"""The run over widths and the ways out, on the sample home page, beside what a scripted browser takes for a width."""

import time
from collections.abc import Callable

from playwright.sync_api import Browser

from garnetfern.core.banners import Banner, Banners, brief_of
from garnetfern.core.css import bundle_files
from garnetfern.core.document import Asset, Site
from garnetfern.core.picture.decode import load
from garnetfern.core.picture.look import Look, look_of
from garnetfern.core.reading import Reader, situations
from garnetfern.core.reading.widths import FIRST, LAST, WidthRun
from garnetfern.core.remedy.mend import mend, short_blocks
from garnetfern.core.remedy.remedies import Remedies
from garnetfern.demo import demo_site_file
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile
from tests.referee.browser import chromium

from .checks import _changed, timed
from .rival import Rival


def _one_width(browser: Browser, reader: Reader, pictures: MemoryPictures, site: Site) -> float:
    """Seconds the fast script takes for one width."""
    page = site.pages[0]
    rest = next(s for s in situations(site, page) if s.kind == "rest")
    found = [(rest, [b for b in reader.resolve(site, page, rest).blocks() if b.words and b.lines])]
    files = bundle_files(site, reader.fonts, pictures.file)
    rivals = [Rival(browser, files, found) for _ in range(3)]
    result = min(timed(rival.read) for rival in rivals)
    for rival in rivals:
        rival.close()
    return result


def _ways(fresh: Callable[[], Reader], site: Site, colours: Callable[[Asset], tuple[str, ...]]) -> list[str]:
    page = site.pages[0]
    first, last, kinds = [], [], 0
    for _ in range(5):
        reader = fresh()
        block = short_blocks(reader, site, page)[0]
        start = time.perf_counter()
        times = [time.perf_counter() - start for _ in Remedies(reader, site, page, block, colours)]
        first.append(times[0])
        last.append(time.perf_counter() - start)
        kinds = len(times)
    reader = fresh()
    whole = timed(lambda: mend(reader, site, page, colours))
    middle = sorted(first)[2], sorted(last)[2]
    return [
        f"| ways out for the worst words, the first of {kinds}, median of 5 | {1000 * middle[0]:.0f} ms | 1000 ms |",
        f"| all of them | {1000 * middle[1]:.0f} ms | 4000 ms |",
        f"| the whole page mended | {1000 * whole:.0f} ms | |",
    ]


def _banners(file: SiteFile, looked: Callable[[Asset], Look]) -> list[str]:
    """Whole banners of the sample's first banner: with its pictures cut for them, and once they are."""
    page = file.site.pages[0]
    band = next(b.id for b in page.bands if b.role == "banner")
    pictures = MemoryPictures(file.pictures)
    rows = []
    for said in ("its pictures cut anew", "cut before"):
        reader = Reader(shipped_fonts(), pictures)
        reader.read_page(file.site, page)
        start = time.perf_counter()
        times = [
            time.perf_counter() - start
            for one in Banners(brief_of(reader, file.site, page, band, looked)).found()
            if isinstance(one, Banner)
        ]
        rows.append(f"| whole banners, the first, {said} | {1000 * times[0]:.0f} ms | 1200 ms |")
        rows.append(f"| all {len(times)} of them, {said} | {1000 * times[-1]:.0f} ms | 4000 ms |")
    return rows


def measure() -> list[str]:
    """The lines of the report."""
    file = demo_site_file()
    site, page = file.site, file.site.pages[0]
    pictures = MemoryPictures(file.pictures)
    fonts = shipped_fonts()
    still = {asset.hash for asset in site.assets if not asset.moves}
    looks = {name: look_of(load(file.pictures[name])) for name in still}

    def fresh() -> Reader:
        reader = Reader(fonts, pictures)
        reader.read_page(site, page)
        return reader

    WidthRun(Reader(fonts, pictures), site, page).run()  # pictures are encoded and decoded
    points = 0

    def cold() -> None:
        nonlocal points
        points = len(WidthRun(Reader(fonts, pictures), site, page).run())

    cold_time = timed(cold, 3)
    reader = Reader(fonts, pictures)
    WidthRun(reader, site, page).run()
    opacities = iter(n / 100 for n in range(21, 40))

    def overlay() -> None:
        changed = _changed(site, next(opacities))
        WidthRun(reader, changed, changed.pages[0]).run()

    after = timed(overlay, 5)
    with chromium() as browser:
        one = _one_width(browser, reader, pictures, site)
    share = one * (LAST - FIRST + 1) / cold_time
    return [
        f"The run over widths looks at {points} of {LAST - FIRST + 1} widths of the sample home page; a fast script",
        f"in the browser takes {1000 * one:.0f} ms for one width, {share:.0f} times as long as this for all of them.",
        "",
        "| widths and ways out | time | wanted |",
        "|---|---|---|",
        f"| every width, nothing cached but decoded pictures | {1000 * cold_time:.0f} ms | 2000 ms |",
        f"| every width, after an overlay change | {1000 * after:.0f} ms | 300 ms |",
        *_ways(fresh, site, lambda asset: tuple(swatch.colour for swatch in looks[asset.hash].colours)),
        *_banners(file, lambda asset: looks[asset.hash]),
    ]
