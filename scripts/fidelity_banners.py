"""Measure in headless Chromium whether whole banners over photographs that were never seen can be read, and write
docs/fidelity-banners.md.

Usage: python scripts/fidelity_banners.py [PHOTOGRAPHS]. Needs Chromium; two at a time, each takes one to two minutes.
"""

import sys
from collections import Counter
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from datetime import UTC, datetime
from itertools import combinations
from multiprocessing import get_context
from pathlib import Path

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.banners import IDEAS, Banner, Without, apart  # noqa: E402
from tests.referee.browser import chromium  # noqa: E402
from tests.referee.photographs import FILES  # noqa: E402
from tests.referee.whole import Measured, made_of, measured, sample_of  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-banners.md"
AT_ONCE = 2


@dataclass(frozen=True)
class Row:
    """What came of one photograph: ideas that were made, those left out and why, mean OKLab between any two that were
    made, and what each measures in Chromium."""

    ideas: list[str]
    left: list[str]
    gaps: list[float]
    found: list[Measured]


def row_of(seed: int) -> Row:
    """Make the whole banners of one photograph and measure them."""
    sample = sample_of(seed)
    made = made_of(sample)
    banners = [one for one in made if isinstance(one, Banner)]
    left = [f"{IDEAS[one.idea].TITLE}: {one.reason}" for one in made if isinstance(one, Without)]
    gaps = [apart(a.seen, b.seen) for a, b in combinations(banners, 2)]
    with chromium() as browser:
        found = [measured(browser, sample, one) for one in banners]
    return Row([one.idea for one in banners], left, gaps, found)


def report(rows: list[Row], wanted: int) -> list[str]:
    """The page, in Markdown."""
    found = [one for row in rows for one in row.found]
    left = Counter(said for row in rows for said in row.left)
    off = sorted(share for one in found for share in one.off)
    short = [(one.name, one.idea, met.name) for one in found for met in one.short]
    ideas = Counter(idea for row in rows for idea in row.ideas)
    stopped = "" if len(rows) == wanted else f" ({wanted} wanted; stopped there)"
    return [
        "# Whole banners over photographs that were never seen",
        "",
        f"Written by `scripts/fidelity_banners.py` on {datetime.now(UTC):%Y-%m-%d}: {len(rows)} banners{stopped} over",
        f"{len(FILES)} photographs that come with a package of the tests, words and fonts by chance; each whole",
        "banner is measured on screenshots in every situation of the desktop and the phone by the referee's own code.",
        "",
        "| what | measured | wanted |",
        "|---|---|---|",
        f"| readings in Chromium | {sum(one.readings for one in found)} of {len(found)} whole banners | |",
        f"| fall short there | {len(short)} | 0 |",
        f"| six were made | {sum(len(row.ideas) == 6 for row in rows)} of {len(rows)} | all |",
        f"| made at the least | {min(len(row.ideas) for row in rows)} | 6 |",
        f"| nearest two of a photograph, mean OKLab | {min(gap for row in rows for gap in row.gaps):.3f} | 0.09 |",
        f"| core and browser differ, median, 99th percentile, largest | {off[len(off) // 2]:.2%}, "
        f"{off[len(off) * 99 // 100]:.2%}, {off[-1]:.2%} | |",
        "",
        "By idea: " + ", ".join(f"{IDEAS[idea].TITLE.lower()} {count}" for idea, count in ideas.most_common()) + ".",
        "",
        *[f"Short: {name}, {idea}, {where}." for name, idea, where in short],
        "Left out:",
        "",
        *[f"- {said} ({count})" for said, count in left.most_common()],
        "",
    ]


def main() -> None:
    """Measure, and write the page after every photograph, so that what was measured is there whenever it is stopped."""
    wanted = int(sys.argv[1]) if len(sys.argv) > 1 else 30
    rows: list[Row] = []
    with ProcessPoolExecutor(AT_ONCE, get_context("spawn")) as pool:
        for row in pool.map(row_of, range(wanted)):
            rows.append(row)
            TARGET.write_text("\n".join(report(rows, wanted)))
            print(f"\r{len(rows)} of {wanted}", end="", flush=True)
    print()


if __name__ == "__main__":
    main()
