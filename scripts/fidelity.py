"""Measure how closely the core agrees with headless Chromium and write docs/fidelity.md.

Usage: python scripts/fidelity.py [SAMPLES] [PAIRS]. Needs Chromium; takes about ten seconds a sample.
"""

import subprocess
import sys
import tempfile
from datetime import UTC, datetime
from pathlib import Path

from playwright.sync_api import Browser

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from tests.referee.banners import generate  # noqa: E402
from tests.referee.browser import CHROMIUM, chromium  # noqa: E402
from tests.referee.compare import Outcome, compare  # noqa: E402
from tests.referee.widths import cases, differing  # noqa: E402

NEAR = 0.03
"""Within this share of the requirement a different verdict is not held against either side."""


def _percent(part: float, whole: float) -> str:
    return f"{100 * part / whole:.2f} %" if whole else "-"


def _readings(outcomes: list[Outcome]) -> list[str]:
    rows = [r for outcome in outcomes for r in outcome.readings]
    off = sorted(abs(core / seen - 1) for _, core, seen, _ in rows)
    close = sum(o <= 0.02 for o in off)
    verdicts = sum((core >= need) != (seen >= need) for _, core, seen, need in rows if abs(core / need - 1) > NEAR)
    return [
        f"| readings compared (block on a screen) | {len(rows)} | |",
        f"| worst letter's ratio within 2 % | {_percent(close, len(rows))} | 99 % |",
        f"| median, 95th, 99th percentile, largest difference | {off[len(off) // 2]:.2%}, "
        f"{off[int(len(off) * 0.95)]:.2%}, {off[int(len(off) * 0.99)]:.2%}, {off[-1]:.2%} | |",
        f"| another verdict, more than 3 % from the requirement | {verdicts} | 0 |",
    ]


def report(outcomes: list[Outcome], pairs: int, wrong: int, samples: int) -> str:
    """The page, in Markdown."""
    version = subprocess.run([CHROMIUM, "--version"], capture_output=True, text=True, check=True).stdout.strip()
    total, equal = sum(o.lines_total for o in outcomes), sum(o.lines_equal for o in outcomes)
    means = sorted(o.mean for o in outcomes)
    within = sorted(o.within for o in outcomes)
    fine = sum(o.mean <= 0.5 and o.within >= 0.97 for o in outcomes)
    lines = [
        "# How closely the core agrees with the browser",
        "",
        f"Written by `scripts/fidelity.py` on {datetime.now(UTC):%Y-%m-%d} with {version}: "
        f"{samples} generated banners on three screens, and {pairs} pairs of text and width.",
        "The browser paints the emitted pages; the readings are measured on its screenshots by code of their own",
        "(`tests/referee/measure.py`), which shares nothing with the core.",
        "",
        "| what | measured | wanted |",
        "|---|---|---|",
        f"| boxes of bands and blocks, largest difference | {max(o.box for o in outcomes):.3f} px | 1 px |",
        f"| the same words on each line, on the banners | {_percent(equal, total)} of {total} | |",
        f"| the same words on each line, widths 320 to 2560 | {_percent(pairs - wrong, pairs)} of {pairs} | 99.9 % |",
        "| pixels of backdrops: mean difference of 255, median and largest "
        f"| {means[len(means) // 2]:.3f}, {means[-1]:.3f} | 0.5 |",
        f"| share of pixels within 3, median and smallest | {within[len(within) // 2]:.2%}, {within[0]:.2%} | 97 % |",
        f"| pages that keep both pixel targets | {_percent(fine, len(outcomes))} of {len(outcomes)} | |",
        *_readings(outcomes),
        "",
    ]
    return "\n".join(lines)


def measured(browser: Browser, samples: int) -> list[Outcome]:
    """Compare that many samples, saying how far it is."""
    outcomes: list[Outcome] = []
    for seed in range(samples):
        outcomes += compare(browser, generate(seed))
        print(f"\r{seed + 1} of {samples} banners", end="", flush=True)
    print()
    return outcomes


def main() -> None:
    """Measure and write."""
    samples = int(sys.argv[1]) if len(sys.argv) > 1 else 40
    pairs = int(sys.argv[2]) if len(sys.argv) > 2 else 3000
    with chromium() as browser, tempfile.TemporaryDirectory() as folder:
        wrong = differing(browser, cases(pairs, 7), folder)
        for case, ours, theirs in wrong[:10]:
            print(case, ours, theirs, sep="\n  ")
        outcomes = measured(browser, samples)
    for o in outcomes:
        for block, core, seen, _ in o.readings:
            if abs(core / seen - 1) > 0.02:
                print(f"{o.name}, {block}: {core:.3f} here, {seen:.3f} in the browser")
        if o.mean > 0.5 or o.within < 0.97:
            print(f"{o.name}: mean {o.mean:.3f}, within 3 {o.within:.2%}")
    (HOUSE / "docs" / "fidelity.md").write_text(report(outcomes, pairs, len(wrong), samples))


if __name__ == "__main__":
    main()
