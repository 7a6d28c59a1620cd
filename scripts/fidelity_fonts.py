"""Measure how closely the core agrees with headless Chromium about fonts that an owner brings, and write
docs/fidelity-fonts.md.

Usage: python scripts/fidelity_fonts.py [PAIRS] [SAMPLES]. Needs Chromium; takes about five seconds a sample.
"""

import sys
import tempfile
from datetime import UTC, datetime
from pathlib import Path

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from tests.referee.browser import chromium  # noqa: E402
from tests.referee.compare import Outcome, compare  # noqa: E402
from tests.referee.own_fonts import brought, own_book, own_sample  # noqa: E402
from tests.referee.widths import cases, differing, differing_stood_in  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-fonts.md"


def _percent(part: float, whole: float) -> str:
    return f"{100 * part / whole:.2f} %" if whole else "-"


def _outcomes(found: list[Outcome], what: str) -> list[str]:
    rows = [r for outcome in found for r in outcome.readings]
    close = sum(abs(core / seen - 1) <= 0.02 for _, core, seen, _ in rows)
    lines, total = sum(o.lines_equal for o in found), sum(o.lines_total for o in found)
    boxes = sum(o.box <= 1 for o in found)
    return [
        f"| {what}: boxes within 1 px | {_percent(boxes, len(found))} of {len(found)} | 100 % |",
        f"| {what}: blocks with the same words on each line | {_percent(lines, total)} of {total} | 99.5 % |",
        f"| {what}: worst letter's ratio within 2 % | {_percent(close, len(rows))} of {len(rows)} | 99 % |",
    ]


def main(pairs: int = 3000, samples: int = 12) -> None:
    """Measure and write."""
    book = own_book()
    families = [family for family in book.families if family.own]
    with chromium() as browser, tempfile.TemporaryDirectory() as folder:
        found = cases(pairs, 23, families, brought()[0])
        wrong = len(differing(browser, found, folder))
        stood = len(differing_stood_in(browser, found[: pairs // 3], book, folder))
        rows = [
            f"| the same words on each line | {_percent(len(found) - wrong, len(found))} of {len(found)} | 99.5 % |",
            f"| the same before it has come | {_percent(pairs // 3 - stood, pairs // 3)} of {pairs // 3} | 99.5 % |",
        ]
        for plain, what in ((False, "come"), (True, "not come")):
            outcomes = [
                o for n in range(samples) for o in compare(browser, own_sample(200 + n), book=book, plain=plain)
            ]
            rows += _outcomes(outcomes, what)
    text = f"""# Fidelity of fonts that are brought along

Written by `scripts/fidelity_fonts.py` on {datetime.now(UTC).date()}: {len(families)} open fonts that the application
does not ship, seven of them variable (axes set otherwise now and then, words slanted now and then), each handed out as
any owner's is. Texts with letters that a font does not have are told, not vouched for, and not counted.

| measured | found | wanted |
|---|---|---|
"""
    TARGET.write_text(text + "\n".join(rows) + "\n")
    print("\n".join(rows))


if __name__ == "__main__":
    main(*map(int, sys.argv[1:]))
