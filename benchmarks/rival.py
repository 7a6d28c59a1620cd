"""A scripted browser that reads a page as fast as we could make one: what the core is measured beside.

It speaks the browser's own protocol, loads each screen once, toggles what is seen by style sheets that are there, and
takes captures that are packed for speed. Rings are made once a screen, from one picture of the letters for every third
of every second line; they are kept as places and weights. After a change of one area only what lies behind its words is
captured, in one clip, and read with the rings that are there.
"""

import base64
from typing import Any

import cv2
import numpy as np
from numpy.typing import NDArray
from playwright.sync_api import Browser

from garnetfern.core.reading import Situation
from garnetfern.core.resolve.records import BlockRecord
from tests.referee.browser import CLASSES, HIDDEN, INK_ONLY, PROBE, Opened
from tests.referee.measure import Ring, figure, letter_rings, luminance, ratio_picture

Found = list[tuple[Situation, list[BlockRecord]]]
MARGIN = 24
_LEVELS = np.zeros((256, 3, 3), dtype=np.float32)
for _n in range(3):
    _LEVELS[:, _n, _n] = np.arange(256)
LIGHT = np.stack([luminance(_LEVELS[:, _n]) for _n in range(3)], axis=-1).astype(np.float32)
"""What each level of red, green and blue gives to the luminance."""
MISSING = ".gf-dawn { display: none; }"
STYLES = f"""() => {{
  const add = (css, media) => {{
    const style = document.createElement('style');
    style.textContent = css; style.media = 'not all';
    document.head.append(style);
    return style;
  }};
  window.modes = {{ hidden: add({HIDDEN!r}), ink: add({INK_ONLY!r} + '.gf-words::highlight(probe) {{ color: black; }}'),
    missing: add({MISSING!r}), change: add('') }};
}}"""
MODE = """(on) => { for (const [name, style] of Object.entries(window.modes)) {
  style.media = on.includes(name) ? 'all' : 'not all'; } }"""
CHANGE = "(css) => { window.modes.change.textContent = css; window.modes.change.media = 'all'; }"


class Rival:
    """One page in as many tabs as there are screens."""

    def __init__(self, browser: Browser, files: dict[str, bytes], found: Found) -> None:
        self.browser, self.files, self.found = browser, files, found
        self._tabs: dict[str, Opened] = {}
        self._wires: dict[str, Any] = {}
        self._tops: dict[str, int] = {}
        self._widths: dict[str, int] = {}
        self._rings: dict[tuple[str, str], list[Ring]] = {}

    def _top(self, screen: str, blocks: list[BlockRecord]) -> int:
        """Where a capture of blocks begins, px from where that of all begins."""
        return max(0, int(min(b.box.y for b in blocks) - 2 * MARGIN - max(b.size for b in blocks)) - self._tops[screen])

    def _capture(self, screen: str, blocks: list[BlockRecord]) -> NDArray[np.uint8]:
        top = self._top(screen, blocks) + self._tops[screen]
        foot = int(max(b.box.bottom for b in blocks) + 2 * MARGIN + max(b.size for b in blocks))
        clip = {"x": 0, "y": top, "width": self._widths[screen], "height": foot - top, "scale": 1}
        asked = {"format": "png", "optimizeForSpeed": True, "captureBeyondViewport": True, "clip": clip}
        shot = base64.b64decode(self._wires[screen].send("Page.captureScreenshot", asked)["data"])
        return cv2.cvtColor(cv2.imdecode(np.frombuffer(shot, np.uint8), cv2.IMREAD_COLOR), cv2.COLOR_BGR2RGB)

    def _open(self, situation: Situation, blocks: list[BlockRecord]) -> None:
        screen, view = situation.screen, situation.moment.viewport
        opened = Opened(self.browser, self.files).at(int(view.width), int(view.height))
        opened.page.evaluate(STYLES)
        self._tabs[screen], self._wires[screen] = opened, opened.page.context.new_cdp_session(opened.page)
        self._widths[screen] = int(view.width)
        self._tops[screen] = 0
        top = self._tops[screen] = self._top(screen, blocks)
        letters = opened.letters()
        opened.page.evaluate(MODE, ["ink"])
        inks = []
        for wanted in range(CLASSES):
            opened.page.evaluate(PROBE, [".gf-words", wanted])
            inks.append(self._capture(screen, blocks).astype(np.float32))
        opened.page.evaluate("() => CSS.highlights.clear()")
        for block in blocks:
            moved = [[c, x, y - top, w, h] for c, x, y, w, h in letters[block.id]]
            self._rings[screen, block.id] = letter_rings(inks, moved, block.size)

    def read(self, change: str = "", only: frozenset[str] = frozenset()) -> list[float]:
        """The worst ratio of every block in every situation; with a change of the CSS, of those alone that it meets."""
        worst = []
        for situation, blocks in self.found:
            if situation.screen not in self._tabs:
                self._open(situation, blocks)
            page = self._tabs[situation.screen].page
            page.evaluate(MODE, ["hidden", "missing"] if situation.moment.missing else ["hidden"])
            if change:
                page.evaluate(CHANGE, change)
            met = [b for b in blocks if b.id in only] or blocks
            ground = self._capture(situation.screen, met)
            for block in met:
                rings = self._rings[situation.screen, block.id]
                top = self._top(situation.screen, met)
                first = max(0, min(where[0].start for _, where, _ in rings) - MARGIN - top)
                last = max(where[0].stop for _, where, _ in rings) + MARGIN - top
                ratios = _ratios(ground[first:last], block)
                worst.append(min(figure(ratios[_down(where, first + top)], weights) for _, where, weights in rings))
        return worst

    def close(self) -> None:
        """Close its tabs."""
        for opened in self._tabs.values():
            opened.close()


def _ratios(ground: NDArray[np.uint8], block: BlockRecord) -> NDArray[np.float64]:
    """The ratios of a fill on whole levels: luminance by a table."""
    if block.fill.alpha < 1:
        return ratio_picture(ground.astype(np.float32), block.size, (*block.fill.rgb, block.fill.alpha))
    side = 2 * int((max(3.0, 0.25 * block.size) - 1) / 2 + 0.5) + 1
    light = cv2.transform(cv2.LUT(ground, LIGHT[None]), np.ones((1, 3), dtype=np.float32))
    behind = cv2.blur(light, (side, side), borderType=cv2.BORDER_REPLICATE)
    front = float(luminance(np.array(block.fill.rgb, dtype=np.float32)))
    return np.asarray((np.maximum(front, behind) + 0.05) / (np.minimum(front, behind) + 0.05))


def _down(where: tuple[slice, slice], first: int) -> tuple[slice, slice]:
    rows, columns = where
    return slice(rows.start - first, rows.stop - first), columns
