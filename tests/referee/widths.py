"""Line breaks over many widths: the same words on every line as in the browser."""

import random
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from html import escape
from pathlib import Path

from playwright.sync_api import Browser

from garnetfern.core.document import FontFile
from garnetfern.core.resolve.fonts import Family
from garnetfern.core.resolve.lines import broken_lines
from garnetfern.core.resolve.shape import Setting, shape
from garnetfern.fonts import FOLDER, shipped_fonts

from .banners import WORDINGS
from .browser import READ_LETTERS, lines_of

READ = f"() => [...document.querySelectorAll('p')].map({READ_LETTERS})"


@dataclass(frozen=True)
class Case:
    """A wording as it is set, in a column so many px wide."""

    wording: str
    setting: Setting
    width: float

    @property
    def style(self) -> str:
        """The same in CSS."""
        setting = self.setting
        font = f'{setting.weight} {setting.size!r}px/1.3 "{setting.family.name}"'
        slanted = "italic " if setting.italic else ""
        axes = ", ".join(f'"{tag}" {value}' for tag, value in setting.variation)
        return f"width:{self.width}px;font:{slanted}{font}" + (f";font-variation-settings:{axes}" if axes else "")


def cases(
    count: int, seed: int, families: Sequence[Family] | None = None, brought: Sequence[FontFile] = ()
) -> list[Case]:
    """Text and width pairs; widths are what viewports from 320 to 2560 px leave for the words. With font files that
    were brought along, axes of variable ones are set otherwise now and then, and words are slanted."""
    rng = random.Random(seed)
    families = families or shipped_fonts().families
    found = []
    for _ in range(count):
        family = rng.choice(families)
        width = int(rng.uniform(320, 2560) * rng.uniform(0.3, 0.9) * 64) / 64
        wording = " ".join(rng.sample(WORDINGS, rng.choice([1, 2, 4]))).replace("\n", " ")
        size = rng.choice([14.0, 16.0, 17.3, 20.0, rng.uniform(12, 90)])
        wanted = rng.choice([300, 400, 600, 800])
        if not brought:
            found.append(Case(wording, Setting(family, family.weight(wanted), size), width))
            continue
        italic = bool(family.italics) and rng.random() < 0.3
        entry = next(f for f in brought if f.family == family.name and f.italic == italic)
        axes = [axis for axis in entry.axes if axis.tag != "wght" and rng.random() < 0.4]
        variation = tuple(sorted((axis.tag, round(rng.uniform(axis.least, axis.most), 2)) for axis in axes))
        setting = Setting(family, family.weight(wanted, italic), size, 0.0, italic, variation)
        if not shape(wording, setting).missing:  # what is not in a font is told, not vouched for
            found.append(Case(wording, setting, width))
    return found


def face_rules(families: Iterable[Family], folder: str | None = None) -> str:
    """The @font-face rules of families; files that do not ship are written into a folder."""
    text = ""
    for family in families:
        for face in family.files:
            file = FOLDER / face.id
            if not file.exists():
                file = Path(folder or "") / face.id.replace(".woff2", ".otf")
                file.write_bytes(face.data)
            ranges = f"unicode-range: {face.unicode_range};" if face.unicode_range else ""
            style = "italic" if face in family.italics else "normal"
            text += (
                f'@font-face {{ font-family: "{family.name}"; font-weight: {face.weights[0]} {face.weights[1]}; '
                f'font-style: {style}; src: url("{file.as_uri()}"); {ranges} }}\n'
            )
    return text


def _page(batch: list[Case], folder: str) -> str:
    faces = face_rules(dict.fromkeys(case.setting.family for case in batch), folder)
    paragraphs = "".join(f"<p style='{case.style}'>{escape(case.wording)}</p>" for case in batch)
    return f"<meta charset=utf-8><style>{faces} p {{ margin: 0; overflow-wrap: break-word; }}</style>{paragraphs}"


def differing(browser: Browser, found: list[Case], folder: str) -> list[tuple[Case, list[str], list[str]]]:
    """The cases whose lines differ: the case, our lines, the browser's."""
    page = browser.new_page()
    wrong = []
    for at in range(0, len(found), 100):
        batch = found[at : at + 100]
        file = f"{folder}/widths-{at}.html"
        with open(file, "w", encoding="utf-8") as out:
            out.write(_page(batch, folder))
        page.goto("file://" + file)
        page.evaluate("document.fonts.ready")
        for case, letters in zip(batch, page.evaluate(READ), strict=True):
            ours = [text for _, text, _ in broken_lines(case.wording, case.width, case.setting)]
            theirs = lines_of(letters)
            if ours != theirs:
                wrong.append((case, ours, theirs))
    page.close()
    return wrong
