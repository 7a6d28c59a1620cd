"""Headless Chromium on emitted pages: what it paints and where it puts things."""

import io
import os
import re
import shutil
import tempfile
import weakref
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import cv2
import numpy as np
from numpy.typing import NDArray
from PIL import Image
from playwright.sync_api import Browser, Page, sync_playwright

CHROMIUM = next(filter(os.path.exists, ("/usr/bin/chromium-headless-shell", "/usr/bin/chromium")), "chromium")
"""Chromium built without windows, a sixth of the work for each tab that is opened; otherwise the one with windows."""
FLAGS = [
    "--no-sandbox",
    # as the one with windows draws letters on Linux; without a word, this one hints them fully
    "--font-render-hinting=slight",
    "--disable-gpu",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--no-first-run",
]

BOXES = """() => Object.fromEntries(
  [...document.querySelectorAll('.gf-words, .gf-band, .gf-column, .gf-picture, .gf-space')].map((e) => {
  const r = e.getBoundingClientRect();
  return [[...e.classList].at(-1).slice(3).replace(/_$/, ''), [r.x, r.y + scrollY, r.width, r.height]];
}))"""

READ_LETTERS = """(e) => {
  const found = [];
  const walk = document.createTreeWalker(e, NodeFilter.SHOW_TEXT);
  const range = document.createRange();
  while (walk.nextNode()) {
    if (!walk.currentNode.parentElement.checkVisibility()) continue;
    const text = walk.currentNode.data;
    for (let i = 0; i < text.length; i++) {
      range.setStart(walk.currentNode, i); range.setEnd(walk.currentNode, i + 1);
      const all = range.getClientRects();
      const r = all[all.length - 1];
      if (r) found.push([text[i], r.x, r.y + scrollY, r.width, r.height]);
    }
    found.push(['\\n', 0, 0, 0, 0]);
  }
  return found;
}"""
LETTERS = f"""() => Object.fromEntries([...document.querySelectorAll('.gf-words')].map((e) =>
  [[...e.classList].at(-1).slice(3).replace(/_$/, ''), ({READ_LETTERS})(e)]))"""
PROBE = """([selector, wanted]) => {
  const ranges = [];
  for (const block of document.querySelectorAll(selector)) {
    let top = null, line = 0, n = 0;
    const walk = document.createTreeWalker(block, NodeFilter.SHOW_TEXT);
    while (walk.nextNode()) {
      if (!walk.currentNode.parentElement.checkVisibility()) continue;
      for (let i = 0; i < walk.currentNode.data.length; i++, n++) {
        const range = document.createRange();
        range.setStart(walk.currentNode, i); range.setEnd(walk.currentNode, i + 1);
        const all = range.getClientRects();
        const r = all[all.length - 1];
        if (!r) { n -= 1; continue; }
        if (top !== null && Math.abs(r.y - top) > r.height / 4) line += 1;
        top = r.y;
        if ((line % 2) * 3 + (n % 3) === wanted) ranges.push(range);
      }
      n += 1;
    }
  }
  CSS.highlights.set('probe', new Highlight(...ranges));
}"""
LETTERING = """(id) => {
  const walk = document.createTreeWalker(document.querySelector('.gf-' + id), NodeFilter.SHOW_TEXT);
  while (walk.nextNode() && !walk.currentNode.data.trim());
  const style = getComputedStyle(walk.currentNode.parentElement);
  return [style.webkitTextFillColor, style.fontSize, style.webkitTextStrokeColor, style.webkitTextStrokeWidth,
    style.textShadow];
}"""
CLASSES = 6
"""Letters are shown in turns, every third one of every second line, so that no two of them touch."""

CUT = 24
"""Ink that differs by more levels was cut off."""

Fill = tuple[float, float, float, float]
"""Red, green and blue 0..255, alpha 0..1."""
Part = tuple[int, int, int, int]
"""Left, top, width and height of a part of a page, px."""
EAGER = """() => Promise.all([...document.images].map((i) => { i.loading = 'eager'; return i.decode(); }))"""
HIDDEN = ".gf-words { color: transparent !important; } div.gf-control { display: none !important; }"
# what is not displayed at all would begin to move anew afterwards
INK_ONLY = """* { background: none !important; } .gf-layer { visibility: hidden !important; }
div.gf-control { display: none !important; } html { background: white !important; }
.gf-behind { border-color: transparent !important; box-shadow: none !important; }
.gf-words { color: transparent !important; text-shadow: none !important; -webkit-text-stroke: 0 !important;
  -webkit-text-fill-color: currentcolor !important; }"""


@dataclass(frozen=True)
class Set:
    """How the browser has set letters: their colour, their size in px, of hollow ones, whose colour is that of their
    line, how wide it is in px (0: they are filled), and whether they cast a shadow."""

    fill: Fill
    size: float
    hollow: float
    shadow: bool

    @property
    def covered(self) -> bool:
        """Whether their own shadow is painted over their colour: that of hollow ones falls on their line."""
        return bool(self.hollow) and self.shadow


UNLINED = "-webkit-text-stroke-color: transparent !important;"


def _fill(colour: str) -> Fill:
    red, green, blue, *alpha = map(float, re.findall(r"[\d.]+", colour))
    return red, green, blue, alpha[0] if alpha else 1.0


def _all(block: str) -> str:
    """Everything that letters of a block are set in, before any rule for all words."""
    return f":is(.gf-{block}, .gf-{block} *):is(*, #more)"


@contextmanager
def chromium() -> Iterator[Browser]:
    """A running browser."""
    with sync_playwright() as play:
        browser = play.chromium.launch(executable_path=CHROMIUM, args=FLAGS)
        yield browser
        browser.close()


def _finer(browser: Browser, density: int) -> Browser:
    """Another browser, on a screen of so many px per CSS px."""
    flags = [*FLAGS, f"--force-device-scale-factor={density}"]
    return browser.browser_type.launch(executable_path=CHROMIUM, args=flags)


def pixels(shot: bytes) -> NDArray[np.float32]:
    """A screenshot as an array of RGB, 0..255."""
    return np.asarray(Image.open(io.BytesIO(shot)).convert("RGB"), dtype=np.float32)


class Opened:
    """An emitted page in a tab, at a viewport. With more px per CSS px it is a tab of a browser that was started
    so: one that is only told to appear so lays px out otherwise. Pictures of it are in px of the screen."""

    def __init__(self, browser: Browser, files: dict[str, bytes], density: int = 1) -> None:
        self.root = Path(tempfile.mkdtemp())
        # a test that fails leaves it open: its files go with it, and no other test is blamed
        self._remove = weakref.finalize(self, shutil.rmtree, self.root, ignore_errors=True)
        for name, data in files.items():
            target = self.root / name
            target.parent.mkdir(parents=True, exist_ok=True)
            target.write_bytes(data)
        self.density = density
        self._own = _finer(browser, density) if density != 1 else None
        self.page: Page = self._own.new_page(no_viewport=True) if self._own else browser.new_page()
        self.page.set_default_timeout(180_000)
        self._address = (self.root / "index.html").as_uri()

    def at(self, width: int, height: int) -> "Opened":
        """Load the page at this viewport."""
        if self._own is None:
            self.page.set_viewport_size({"width": width, "height": height})
        else:
            size = {"width": width, "height": height, "deviceScaleFactor": 0, "mobile": False}
            self.page.context.new_cdp_session(self.page).send("Emulation.setDeviceMetricsOverride", size)
        self.page.goto(self._address)
        assert self.page.evaluate("devicePixelRatio") == self.density
        self.page.evaluate("document.fonts.ready")
        self.page.evaluate(EAGER)
        return self

    def boxes(self) -> dict[str, list[float]]:
        """Boxes of bands and blocks by id: left, top, width, height."""
        return dict(self.page.evaluate(BOXES))

    def letters(self) -> dict[str, list[list[Any]]]:
        """Characters of every block with their boxes, in the order of the text."""
        return dict(self.page.evaluate(LETTERS))

    def lettering(self, block: str) -> "Set":
        """How the block's letters are set."""
        fill, size, line, width, shadow = self.page.evaluate(LETTERING, block)
        inside, around = _fill(fill), _fill(line)
        hollow = float(width.removesuffix("px")) if inside[3] == 0 else 0.0
        return Set(around if hollow else inside, float(size.removesuffix("px")), hollow, shadow != "none")

    def ground(self, block: str, part: Part | None = None) -> NDArray[np.float32]:
        """The page, or a part of it, without the letters of the block."""
        hollow = self.lettering(block).hollow
        return self.styled(HIDDEN + (f"{_all(block)} {{ {UNLINED} }}" if hollow else ""), part)

    def styled(self, css: str, part: Part | None = None) -> NDArray[np.float32]:
        """The whole page, or a part of it, with more CSS, as pixels."""
        handle = self.page.add_style_tag(content=css)
        clip: Any = None if part is None else dict(zip(("x", "y", "width", "height"), part, strict=True))
        shot = self.page.screenshot(full_page=True, clip=clip)
        handle.evaluate("e => e.remove()")
        return pixels(shot)

    def ink(self, block: str, part: Part | None = None) -> list[NDArray[np.float32]]:
        """The block's letters, of hollow ones their line, in black on white, a picture for each class of letters."""
        found = []
        for wanted in range(CLASSES):
            self.page.evaluate(PROBE, [f".gf-{block}", wanted])
            found.append(self.styled(INK_ONLY + f".gf-{block}::highlight(probe) {{ color: black; }}", part))
        self.page.evaluate("() => CSS.highlights.clear()")
        hollow = self.lettering(block).hollow
        if not hollow:
            # an own colour of a phrase would win over its block's
            return whole_letters(found, self.styled(f"{INK_ONLY}{_all(block)} {{ color: black !important; }}", part))
        line = f"-webkit-text-fill-color: transparent !important; -webkit-text-stroke: {hollow}px black !important;"
        return _nearest(found, self.styled(f"{INK_ONLY}{_all(block)} {{ {line} }}", part))

    def front(self, block: str, fill: Fill, part: Part | None = None) -> NDArray[np.float32]:
        """How letters of the block would look if they covered everything there, with what is painted over them."""
        red, green, blue, alpha = fill
        colour = f"rgb({red:g} {green:g} {blue:g} / {alpha:g})"
        own, order = "text-shadow: none !important; -webkit-text-stroke: 0 !important", "auto"
        if self.lettering(block).hollow:  # the shadow of hollow letters falls on their line
            own, order = UNLINED, "-1"
        bare = f".gf-{block} {{ {own} }}"
        flat = f".gf-{block}:not(.gf-plated) {{ background: {colour} !important; box-shadow: 0 0 0 1em {colour}; }}"
        over = f"content: ''; position: absolute; inset: -1em; background: {colour}; z-index: {order};"
        raised = f".gf-{block}.gf-plated::after {{ {over} }}"
        return self.styled(HIDDEN + bare + flat + raised, part)

    def close(self) -> None:
        """Close the tab and remove its files."""
        self.page.close()
        if self._own is not None:
            self._own.close()
        self._remove()


def _away(inks: list[NDArray[np.float32]]) -> NDArray[np.intp]:
    """Of which class the letter is that a pixel is nearest to."""
    away = [cv2.distanceTransform((ink[..., 0] > 127).astype(np.uint8), cv2.DIST_L2, 5) for ink in inks]
    return np.asarray(np.stack(away).argmin(axis=0), dtype=np.intp)


def _nearest(inks: list[NDArray[np.float32]], lines: NDArray[np.float32]) -> list[NDArray[np.float32]]:
    """The lines along all letters by class: a highlight shows letters filled alone, so each pixel of a line belongs to
    the filled letter that it is nearest to."""
    nearest = _away(inks)
    return [255 - (255 - lines) * (nearest == n)[..., None] for n in range(len(inks))]


def whole_letters(inks: list[NDArray[np.float32]], every: NDArray[np.float32]) -> list[NDArray[np.float32]]:
    """Letters by class with what a highlight cuts off at their advance: ink that is in the picture of all of them alone
    belongs to the letter that it is nearest to."""
    darkest = np.min(inks, axis=0)
    cut = np.clip(darkest - every, 0, 255)
    where = cut.max(axis=2) > CUT
    if not where.any():
        return inks
    nearest = _away(inks)
    return [ink - cut * (where & (nearest == n))[..., None] for n, ink in enumerate(inks)]


def lines_of(letters: list[list[Any]]) -> list[str]:
    """The words of each line, from the places of their letters."""
    lines: list[str] = [""]
    top: float | None = None
    for character, _, y, _, height in letters:
        if character == "\n":
            lines.append("")
            top = None
            continue
        if top is not None and abs(y - top) > height / 2 and character != " ":
            lines.append("")
            top = y
        if top is None:
            top = y
        lines[-1] += character
    return [line.strip() for line in lines if line.strip()]
