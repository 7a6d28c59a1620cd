"""Line breaks over many widths: the same words on every line as in the browser."""

import random
from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass, replace
from html import escape
from pathlib import Path

from playwright.sync_api import Browser

from garnetfern.core.css.letters import Used, stand_in_rules
from garnetfern.core.css.urls import Urls
from garnetfern.core.document import FontFile
from garnetfern.core.resolve.book import FontBook
from garnetfern.core.resolve.fonts import Family
from garnetfern.core.resolve.lines import broken_lines
from garnetfern.core.resolve.shape import Setting, shape
from garnetfern.fonts import FOLDER, shipped_fonts

from .banners import WORDINGS as PLAIN
from .browser import READ_LETTERS, lines_of

READ = f"() => [...document.querySelectorAll('p')].map({READ_LETTERS})"

WORDINGS = (
    *PLAIN,
    "–house and ‒yard, (–not) a –1 nor a‒b; from 3–5 p.m., at -4 or 10-12 degrees, x-5y, say",
    "Fougères d’été: œuvre «à la carte» ; où?  Größe, Füße & Übermaß, Straße 5/6 - Haus‐Nr. 7",
    "Ścieżka źdźbło; příliš žluťoučký kůň, ἀνθρώποις; Привет, папоротник — тень",
    "AVATAR To. Ty, WAVE fjord office difficult waffle; (f) “f” f’ T’ V. LT 1/2 1.5 11:15 100%",
    "http://example/a/b?c=d&e=f-g one—two … three...four @five #six [seven] {eight} <nine> 50%-60%",
)
"""The sample's wordings, and more dashes, accents, pairs that are kerned, and signs."""


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
        spaced = f";letter-spacing:{setting.spacing!r}px" if setting.spacing else ""
        varied = f";font-variation-settings:{axes}" if axes else ""
        return f"width:{self.width}px;font:{slanted}{font}{spaced}{varied}"


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
            spacing = rng.choice([0.0, 0.0, 0.0, -0.02 * size, 0.08 * size, 1.3])
            setting = Setting(family, family.weight(wanted), size, spacing)
            if not shape(wording, setting).missing:
                found.append(Case(wording, setting, width))
            continue
        italic = bool(family.italics) and rng.random() < 0.3
        entry = next(f for f in brought if f.family == family.name and f.italic == italic)
        axes = [axis for axis in entry.axes if axis.tag != "wght" and rng.random() < 0.4]
        variation = tuple(sorted((axis.tag, round(rng.uniform(axis.least, axis.most), 2)) for axis in axes))
        setting = Setting(family, family.weight(wanted, italic), size, 0.0, italic, variation)
        if not shape(wording, setting).missing:  # what is not in a font is told, not vouched for
            found.append(Case(wording, setting, width))
    return found


def tight(found: Iterable[Case], seed: int) -> list[Case]:
    """The same words in rooms that lie within 3/64 px of where a line just fits."""
    rng = random.Random(seed)
    changed = []
    for case in found:
        lines = broken_lines(case.wording, case.width, case.setting)
        _, _, shaped = rng.choice(lines)
        room = int(shaped.width * 64 + rng.randint(-3, 4)) / 64
        changed.append(replace(case, width=max(room, 8.0)))
    return changed


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


def _written(file: Path, faces: str, paragraphs: str) -> None:
    file.write_text(
        f"<meta charset=utf-8><style>{faces} p {{ margin: 0; overflow-wrap: break-word; }}</style>{paragraphs}"
    )


def _page(batch: list[Case], file: Path) -> None:
    faces = face_rules(dict.fromkeys(case.setting.family for case in batch), str(file.parent))
    _written(file, faces, "".join(f"<p style='{case.style}'>{escape(case.wording)}</p>" for case in batch))


def _stood_in(batch: list[Case], file: Path, book: FontBook) -> None:
    """The same words while the fonts have not come, each case with a stand-in of its own name."""
    urls = Urls(fonts=FOLDER.as_uri() + "/")
    faces, paragraphs = "", ""
    for n, case in enumerate(batch):
        setting = case.setting
        used = Used(setting.family, setting.weight, setting.italic, setting.variation)
        faces += stand_in_rules(used, book, urls).replace(setting.family.stand_in, f"f{n}")
        style = case.style.replace(f'"{setting.family.name}"', f'"f{n}"')
        paragraphs += f"<p style='{style}'>{escape(case.wording)}</p>"
    _written(file, faces, paragraphs)


Wrong = list[tuple[Case, list[str], list[str]]]
"""Cases whose lines differ: the case, our lines, the browser's."""


def _beside(
    browser: Browser,
    found: list[Case],
    folder: str,
    write: Callable[[list[Case], Path], None],
    shown: Callable[[Setting], Setting],
) -> Wrong:
    page = browser.new_page()
    wrong = []
    for at in range(0, len(found), 100):
        batch, file = found[at : at + 100], Path(folder) / f"widths-{at}.html"
        write(batch, file)
        page.goto(file.as_uri())
        page.evaluate("document.fonts.ready")
        for case, letters in zip(batch, page.evaluate(READ), strict=True):
            ours = [text for _, text, _ in broken_lines(case.wording, case.width, shown(case.setting))]
            theirs = lines_of(letters)
            if ours != theirs:
                wrong.append((case, ours, theirs))
    page.close()
    return wrong


def differing(browser: Browser, found: list[Case], folder: str) -> Wrong:
    """The cases whose lines differ."""
    return _beside(browser, found, folder, _page, lambda setting: setting)


def differing_stood_in(browser: Browser, found: list[Case], book: FontBook, folder: str) -> Wrong:
    """The same before the fonts have come."""

    def shown(setting: Setting) -> Setting:
        found = book.standing_in(setting.family.name, setting.weight, setting.italic, setting.variation)
        return Setting(found.family, found.weight, setting.size, 0.0, found.italic)

    return _beside(browser, found, folder, lambda batch, file: _stood_in(batch, file, book), shown)
