"""Measure in Chromium how wide words are, where they break beside dashes, and where letters stand; write the tables.

Run it when Chromium changes its habits. The table is tests/tables/lines.json, which tests/core/test_lines.py holds the
core to:

- widths: families, weights, sizes, spacings and a text, and its width in px as the browser has it (1/64 px);
- dashes: texts around dashes, and every index at which the browser breaks them in a box of no width;
- baselines: where a letter's lowest inked row lies, by the top of its line, at a size of which the baseline falls
  between two px;
- heights: how high a line is, by the size of its letters and the line height, and how much padding in em that comes to.
"""

import json
import random
import sys
import tempfile
from html import escape
from pathlib import Path
from typing import Any

import numpy as np
from playwright.sync_api import Page

ROOT = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(ROOT))
from garnetfern.fonts import shipped_fonts  # noqa: E402
from tests.referee.browser import chromium, pixels  # noqa: E402
from tests.referee.widths import face_rules  # noqa: E402

TARGET = ROOT / "tests" / "tables" / "lines.json"
TEXTS = ("AVATAR To. Ty, 3–5 p.m.", "Crème brûlée, office waffle & “coffee”")
SIZES = (12.0, 14.5, 17.3, 17.61, 20.8, 31.7, 33.33, 41.7, 78.0998)
SPACINGS = (0.0, -0.416, 1.664, 1.3)
BEFORE = ("", "a", "1", "x ", "x (", "x “", "a\u00a0", ")", "ä", "a, ", "a/")
DASHES = "\u2010\u2011\u2012\u2013\u2014\u2015\u2212-\u2026"
AFTER = ("b", "1", "(", "ä", "”x", " b", "Ш", "–b", "-b")
BREAKS = """(texts) => texts.map((text) => {
  const p = document.createElement('p');
  p.textContent = text;
  document.body.replaceChildren(p);
  const found = [];
  let last = null;
  for (let i = 0; i < text.length; i++) {
    const range = document.createRange();
    range.setStart(p.firstChild, i); range.setEnd(p.firstChild, i + 1);
    const box = range.getClientRects()[0];
    if (!box || text[i] === ' ') continue;
    if (last !== null && box.top > last + 1) found.push(i);
    last = box.top;
  }
  return found;
})"""
STARTS = [n / 64 for n in range(0, 128, 8)]
LINES = (0.35, 1.08, 1.1, 1.2, 1.3, 1.65, 2.3)
BASE_SIZES = (15.0, 18.0, 23.5, 40.0)


def _widths(page: Page, folder: Path) -> list[dict[str, object]]:
    cases = [
        (family, family.weight(weight), size, spacing, text)
        for family in shipped_fonts().families
        for weight in (300, 700)
        for size in SIZES
        for spacing in SPACINGS
        for text in TEXTS
    ]
    cases = [case for n, case in enumerate(cases) if n % 5 == 0]
    body = "".join(
        f"<p style='font:{w} {size!r}px \"{f.name}\";letter-spacing:{spacing!r}px'><span>{escape(text)}</span></p>"
        for f, w, size, spacing, text in cases
    )
    file = folder / "widths.html"
    style = f"{face_rules(shipped_fonts().families)} p {{ white-space: nowrap }}"
    file.write_text(f"<meta charset=utf-8><style>{style}</style>{body}")
    page.goto(file.as_uri())
    page.evaluate("document.fonts.ready")
    found = page.evaluate("[...document.querySelectorAll('span')].map((e) => e.getBoundingClientRect().width)")
    return [
        {"family": f.name, "weight": w, "size": size, "spacing": spacing, "text": text, "width": width}
        for (f, w, size, spacing, text), width in zip(cases, found, strict=True)
    ]


def _dashes(page: Page) -> list[list[object]]:
    page.set_content("<style>p{width:0;margin:0;font:16px monospace}</style>")
    texts = [before + dash + after for before in BEFORE for dash in DASHES for after in AFTER]
    return [[text, found] for text, found in zip(texts, page.evaluate(BREAKS, texts), strict=True)]


def _baselines(page: Page, folder: Path) -> list[dict[str, object]]:
    cases = [(size, start) for size in BASE_SIZES for start in STARTS]
    body = "".join(
        f"<p style='left:{n * 60}px;top:{start}px;font:{size}px/1.5 Karla'>H</p>"
        for n, (size, start) in enumerate(cases)
    )
    file = folder / "baselines.html"
    style = f"{face_rules(shipped_fonts().families)} p {{ position: absolute; margin: 0 }}"
    file.write_text(f"<meta charset=utf-8><style>{style}</style>{body}")
    page.set_viewport_size({"width": 60 * len(cases), "height": 100})
    page.goto(file.as_uri())
    page.evaluate("document.fonts.ready")
    ink = 255 - pixels(page.screenshot())[..., 0]
    return [
        {"size": size, "start": start, "foot": int(np.flatnonzero(ink[:, n * 60 : n * 60 + 60].max(axis=1) > 127)[-1])}
        for n, (size, start) in enumerate(cases)
    ]


def _heights(page: Page) -> list[list[float]]:
    rng = random.Random(14)
    sizes = [*(14.5, 21.07, 31.7, 45.0, 90.0), *(round(rng.uniform(9, 120), 3) for _ in range(95))]
    cases = [(size, line) for size in sizes for line in LINES]
    body = "".join(f"<p style='font-size:{s}px;line-height:{n};padding-top:{n}em'>x</p>" for s, n in cases)
    page.set_content(f"<style>p {{ position: absolute; margin: 0 }}</style>{body}")
    tall = "[...document.querySelectorAll('p')].map((p) => p.getBoundingClientRect().height)"
    whole = page.evaluate(tall)
    page.add_style_tag(content="p { line-height: 0 !important; }")
    padding = page.evaluate(tall)
    return [[s, n, both - em, em] for (s, n), both, em in zip(cases, whole, padding, strict=True)]


def main() -> None:
    """Measure everything and write the table."""
    with chromium() as browser, tempfile.TemporaryDirectory() as folder:
        page = browser.new_page()
        found: dict[str, list[Any]] = {
            "widths": _widths(page, Path(folder)),
            "dashes": _dashes(page),
            "baselines": _baselines(page, Path(folder)),
            "heights": _heights(page),
        }
    parts = (
        f'"{name}": [\n' + ",\n".join("  " + json.dumps(row, ensure_ascii=False) for row in rows) + "\n]"
        for name, rows in found.items()
    )
    TARGET.write_text("{\n" + ",\n".join(parts) + "\n}\n")


if __name__ == "__main__":
    main()
