"""Line breaks over many widths: the same words on every line as in the browser."""

import random
from html import escape

from playwright.sync_api import Browser

from garnetfern.core.resolve.lines import broken_lines
from garnetfern.core.resolve.shape import Setting
from garnetfern.fonts import FOLDER, shipped_fonts

from .banners import WORDINGS
from .browser import READ_LETTERS, lines_of

Case = tuple[str, str, int, float, float]
"""Wording, family, weight, size, width."""

READ = f"() => [...document.querySelectorAll('p')].map({READ_LETTERS})"


def cases(count: int, seed: int) -> list[Case]:
    """Text and width pairs; widths are what viewports from 320 to 2560 px leave for the words."""
    rng = random.Random(seed)
    families = shipped_fonts().families
    found = []
    for _ in range(count):
        family = rng.choice(families)
        width = int(rng.uniform(320, 2560) * rng.uniform(0.3, 0.9) * 64) / 64
        wording = " ".join(rng.sample(WORDINGS, rng.choice([1, 2, 4]))).replace("\n", " ")
        size = rng.choice([14.0, 16.0, 17.3, 20.0, rng.uniform(12, 90)])
        found.append((wording, family.name, family.weight(rng.choice([300, 400, 600, 800])), size, width))
    return found


def _page(batch: list[Case]) -> str:
    faces = ""
    for family in shipped_fonts().families:
        weights = f"{family.least_weight} {family.most_weight}"
        for face in family.faces:
            address = (FOLDER / face.id).as_uri()
            faces += (
                f'@font-face {{ font-family: "{family.name}"; font-weight: {weights}; '
                f'src: url("{address}"); unicode-range: {face.unicode_range}; }}\n'
            )
    paragraphs = "".join(
        f"<p style='width:{width}px;font:{weight} {size!r}px/1.3 \"{family}\"'>{escape(wording)}</p>"
        for wording, family, weight, size, width in batch
    )
    return f"<meta charset=utf-8><style>{faces} p {{ margin: 0; overflow-wrap: break-word; }}</style>{paragraphs}"


def differing(browser: Browser, found: list[Case], folder: str) -> list[tuple[Case, list[str], list[str]]]:
    """The cases whose lines differ: the case, our lines, the browser's."""
    page = browser.new_page()
    wrong = []
    for at in range(0, len(found), 100):
        batch = found[at : at + 100]
        file = f"{folder}/widths-{at}.html"
        with open(file, "w", encoding="utf-8") as out:
            out.write(_page(batch))
        page.goto("file://" + file)
        page.evaluate("document.fonts.ready")
        for case, letters in zip(batch, page.evaluate(READ), strict=True):
            wording, family, weight, size, width = case
            setting = Setting(shipped_fonts().family(family), weight, size)
            ours = [text for _, text, _ in broken_lines(wording, width, setting)]
            theirs = lines_of(letters)
            if ours != theirs:
                wrong.append((case, ours, theirs))
    page.close()
    return wrong
