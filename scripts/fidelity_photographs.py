"""Measure how closely the core agrees with headless Chromium over photographs and in fonts that it never saw, and write
docs/fidelity-photographs.md.

Usage: python scripts/fidelity_photographs.py [SAMPLES]. Needs Chromium; two at a time, each takes about twenty seconds.
"""

import sys
from concurrent.futures import ProcessPoolExecutor
from datetime import UTC, datetime
from multiprocessing import get_context
from pathlib import Path

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from tests.referee.browser import chromium  # noqa: E402
from tests.referee.compare import Outcome, compare  # noqa: E402
from tests.referee.own_fonts import FILES as FONTS  # noqa: E402
from tests.referee.own_fonts import own_book  # noqa: E402
from tests.referee.photographs import FILES, SIZES, WEIGHTS, photographed  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-photographs.md"
AT_ONCE = 2
NEAR = 0.03
"""Within this share of the requirement a different verdict is not held against either side."""


def report(outcomes: list[Outcome], samples: int) -> list[str]:
    """The page, in Markdown."""
    rows = [(outcome.name, *reading) for outcome in outcomes for reading in outcome.readings]
    off = sorted(((abs(core / seen - 1), name, block) for name, block, core, seen, _ in rows), reverse=True)
    other = sum((core >= need) != (seen >= need) for _, _, core, seen, need in rows if abs(core / need - 1) > NEAR)
    equal, total = sum(o.lines_equal for o in outcomes), sum(o.lines_total for o in outcomes)
    close = sum(share <= 0.02 for share, _, _ in off)
    return [
        "# Over photographs that were never seen",
        "",
        f"Written by `scripts/fidelity_photographs.py` on {datetime.now(UTC):%Y-%m-%d}: {samples} banners on three",
        f"screens, over {len(FILES)} photographs that come with a package of the tests, in the fonts of {len(FONTS)}",
        f"families that owners bring; weights {WEIGHTS[0]} to {WEIGHTS[-1]}, sizes {SIZES[0]} to {SIZES[-1]}, negative",
        "spacing, translucent and hollow letters, every third with three more layers. The readings are measured on",
        "screenshots by code of its own (`tests/referee/measure.py`).",
        "",
        "| what | measured | wanted |",
        "|---|---|---|",
        f"| readings compared, of these of hollow letters | {len(rows)}, {sum(o.hollow for o in outcomes)} | |",
        f"| worst letter's ratio within 2 % | {100 * close / len(rows):.2f} % | 99.5 % |",
        f"| median, 95th, 99th percentile, largest difference | {off[len(off) // 2][0]:.2%}, "
        f"{off[len(off) // 20][0]:.2%}, {off[len(off) // 100][0]:.2%}, {off[0][0]:.2%} | |",
        f"| another verdict, more than 3 % from the requirement | {other} | 0 |",
        f"| the same words on each line | {100 * equal / total:.2f} % of {total} | 99.9 % |",
        f"| boxes of bands and blocks, largest difference | {max(o.box for o in outcomes):.3f} px | 1 px |",
        "",
        "The furthest apart: " + "; ".join(f"{name}, {block} ({share:.2%})" for share, name, block in off[:5]) + ".",
        "",
    ]


def measured(seed: int) -> list[Outcome]:
    """All screens of one banner."""
    with chromium() as browser:
        return compare(browser, photographed(seed), book=own_book())


def main() -> None:
    """Measure, and write the page after every sample, so that what was measured is there whenever it is stopped."""
    samples = int(sys.argv[1]) if len(sys.argv) > 1 else 42
    outcomes: list[Outcome] = []
    with ProcessPoolExecutor(AT_ONCE, get_context("spawn")) as pool:
        for done, found in enumerate(pool.map(measured, range(samples)), 1):
            outcomes += found
            TARGET.write_text("\n".join(report(outcomes, done)))
            print(f"\r{done} of {samples} banners", end="", flush=True)
    print()


if __name__ == "__main__":
    main()
