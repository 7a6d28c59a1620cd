"""What travels between the interface and the application: while a strength is pulled on a large site, and at first."""

import re
import tempfile
from collections import Counter
from pathlib import Path
from typing import Any

from playwright.sync_api import CDPSession, Page, sync_playwright

from garnetfern.api.local import run_locally
from garnetfern.cli import start_site
from garnetfern.core.document import Page as SitePage
from garnetfern.core.document import Site
from garnetfern.demo import FERN_HOUSE, demo_site_file
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.workspace.house import first_site
from tests.referee.browser import CHROMIUM

from .edits import SETTINGS, percentile

PULLS = 60
PREVIEW = ("/api/live", "/api/readings")
_OF_SITE = re.compile(r"^/of/[^/]+/")
"""Before what is asked of one of several sites."""


def _again(page: SitePage, n: int, bands: int) -> SitePage:
    """A page like another one, with ids of its own and so many more bands."""
    wanted = [page.bands[1]] * bands
    copies = tuple(
        band.model_copy(
            update={
                "id": f"band-{n}-{k}",
                "name": f"Band {k}",
                "role": "band",
                "columns": tuple(
                    column.model_copy(
                        update={
                            "id": f"column-{n}-{k}-{c}",
                            "blocks": tuple(
                                b.model_copy(update={"id": f"block-{n}-{k}-{c}-{m}"})
                                for m, b in enumerate(column.blocks)
                            ),
                        }
                    )
                    for c, column in enumerate(band.columns)
                ),
                "backdrop": band.backdrop.model_copy(
                    update={
                        "layers": tuple(
                            layer.model_copy(update={"id": f"layer-{n}-{k}-{m}"})
                            for m, layer in enumerate(band.backdrop.layers)
                        ),
                        "over": None,
                    }
                ),
            }
        )
        for k, band in enumerate(wanted)
    )
    if n == 0:
        return page.model_copy(update={"bands": (*page.bands, *copies)})
    names = {"id": f"page-{n}", "slug": f"page-{n}", "title": f"Page {n}", "joins": ()}
    return page.model_copy(update={**names, "bands": copies})


def large(site: Site) -> Site:
    """The sample site, grown to 30 pages with 60 areas besides: half of them on the page that is worked on."""
    home = site.pages[0]
    others = tuple(_again(home, n, 1) for n in range(1, 30))
    return site.model_copy(update={"pages": (_again(home, 0, 30), *others)})


class Wire:
    """Counts what travels, by the path it is for."""

    def __init__(self, session: CDPSession) -> None:
        self.up: Counter[str] = Counter()
        self.down: Counter[str] = Counter()
        self.times: Counter[str] = Counter()
        self._paths: dict[str, str] = {}
        session.send("Network.enable")
        session.on("Network.requestWillBeSent", self._sent)
        session.on("Network.loadingFinished", self._got)

    def _sent(self, event: dict[str, Any]) -> None:
        path = "/" + event["request"]["url"].split("/", 3)[-1].split("?")[0]
        path = _OF_SITE.sub("/", path)
        self._paths[event["requestId"]] = path
        self.up[path] += len(event["request"].get("postData", "")) + sum(
            len(name) + len(str(value)) + 4 for name, value in event["request"]["headers"].items()
        )
        self.times[path] += 1

    def _got(self, event: dict[str, Any]) -> None:
        self.down[self._paths.get(event["requestId"], "?")] += int(event["encodedDataLength"])

    def clear(self) -> None:
        """Begin anew."""
        for counter in (self.up, self.down, self.times):
            counter.clear()


def _pull(page: Page) -> None:
    track = page.locator(f"{SETTINGS} input[type=range]")
    box = track.bounding_box()
    assert box is not None
    page.mouse.move(box["x"] + box["width"] * 0.2, box["y"] + box["height"] / 2)
    page.mouse.down()
    for n in range(PULLS):
        page.mouse.move(box["x"] + box["width"] * (0.2 + 0.6 * n / PULLS), box["y"] + box["height"] / 2)
        page.wait_for_timeout(60)
    page.mouse.up()
    page.wait_for_timeout(2500)


def _first(page: Page, address: str) -> float:
    """How long after the page is asked for the first readings are in sight, ms."""
    page.goto("about:blank")
    begun = page.evaluate("performance.timeOrigin + performance.now()")
    page.goto(address, wait_until="commit")
    page.locator("ul[aria-label^='Readings on'] b").first.wait_for()
    return float(page.evaluate("performance.timeOrigin + performance.now()")) - float(begun)


def measure() -> list[str]:
    """Pull an overlay of a large site, open the sample site warm, and give the lines of the report."""
    rows = ["| on the wire | this | wanted |", "|---|---|---|"]
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        demo = demo_site_file()
        studio = first_site(Path(folder))
        studio.start(SiteFile(large(demo.site), demo.pictures), "A large site")
        studio.close()
        running = run_locally(Path(folder))
        browser = play.chromium.launch(executable_path=CHROMIUM, args=["--no-sandbox", "--disable-gpu"])
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        wire = Wire(page.context.new_cdp_session(page))
        page.goto(running.address)
        page.get_by_role("button", name="Make it").wait_for(timeout=120_000)
        page.wait_for_timeout(3000)
        script = sum(size for path, size in wire.down.items() if path.endswith(".js"))
        wire.clear()
        _pull(page)
        previews = wire.times[PREVIEW[0]]
        if previews < 2:
            raise RuntimeError(f"The drag made {previews} previews: nothing was measured. Sent: {dict(wire.times)}")
        up = sum(wire.up[path] for path in PREVIEW) / previews
        down = sum(wire.down[path] for path in PREVIEW) / previews
        whole = sum(wire.down.values())
        large_first = percentile([_first(page, running.address) for _ in range(9)], 0.5)
        running.stop()
        with tempfile.TemporaryDirectory() as other:
            start_site(Path(other), demo=True)
            sample = run_locally(Path(other))
            _first(page, f"{sample.address}?site={FERN_HOUSE}")
            first = percentile([_first(page, f"{sample.address}?site={FERN_HOUSE}") for _ in range(9)], 0.5)
            sample.stop()
        browser.close()
    rows += [
        f"| a preview on a site of 30 pages and 60 areas, up | {up / 1000:.1f} kB | 6 kB |",
        f"| the same, down | {down / 1000:.1f} kB | 30 kB |",
        f"| a whole drag ({previews} previews and what settles after it), down | {whole / 1000:.0f} kB | |",
        f"| script of the first view, compressed | {script / 1000:.0f} kB | 350 kB |",
        f"| first readings in sight on the sample site, warm, median of 9 | {first:.0f} ms | 1200 ms |",
        f"| the same on the large site | {large_first:.0f} ms | |",
    ]
    return rows
