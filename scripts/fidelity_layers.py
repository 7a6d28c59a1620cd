"""How closely layers, blending, plates and lettering agree with the browser: writes docs/fidelity-layers.md.

Run as `python scripts/fidelity_layers.py [samples]`; with 12 samples it takes about ten minutes.
"""

import sys
from datetime import UTC, datetime
from pathlib import Path
from typing import get_args

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from playwright.sync_api import Browser  # noqa: E402

from garnetfern.core.document import BlendMode  # noqa: E402
from tests.referee.browser import chromium  # noqa: E402
from tests.referee.compare import Outcome, compare  # noqa: E402
from tests.referee.kinds import SAMPLES, STACKS, blends_page, samples_page  # noqa: E402
from tests.referee.lettering import generate_lettering  # noqa: E402
from tests.referee.placings import Agreement, bands_beside  # noqa: E402
from tests.referee.stacks import generate_stack  # noqa: E402


def _row(name: str, found: list[Agreement]) -> str:
    means = sorted(a.mean for a in found)
    worst = max(a.worst for a in found)
    within = min(a.within for a in found)
    median = means[len(means) // 2]
    return f"| {name} | {len(found)} | {median:.3f} | {means[-1]:.2f} | {within:.1%} | {worst:.0f} |"


def _kinds(browser: Browser) -> list[str]:
    rows = []
    for kind in SAMPLES:
        file, names = samples_page(kind)
        rows.append(_row(kind, bands_beside(browser, file, names, (1283, 700))))
    for stack in STACKS:
        file, names = blends_page(list(get_args(BlendMode)), stack)
        rows.append(_row(f"sixteen blend modes {stack}", bands_beside(browser, file, names, (700, 700))))
    return rows


def _outcomes(name: str, outcomes: list[Outcome]) -> list[str]:
    readings = [(core, seen, need) for o in outcomes for _, core, seen, need in o.readings]
    off = sorted(abs(core / seen - 1) for core, seen, _ in readings)
    other = sum((c >= n) != (s >= n) and abs(c / n - 1) > 0.03 for c, s, n in readings)
    means = sorted(o.mean for o in outcomes)
    total, equal = sum(o.lines_total for o in outcomes), sum(o.lines_equal for o in outcomes)
    return [
        f"| {name}: boxes, largest difference | {max(o.box for o in outcomes):.3f} px |",
        f"| {name}: the same words on each line | {equal} of {total} |",
        f"| {name}: mean difference, median and largest | {means[len(means) // 2]:.2f}, {means[-1]:.2f} |",
        f"| {name}: readings within 2 % | {sum(v <= 0.02 for v in off)} of {len(off)}, the largest {off[-1]:.1%} |",
        f"| {name}: another verdict, more than 3 % from the requirement | {other} |",
    ]


def main() -> None:
    """Measure and write."""
    samples = int(sys.argv[1]) if len(sys.argv) > 1 else 12
    with chromium() as browser:
        kinds = _kinds(browser)
        letters = [o for n in range(samples) for o in compare(browser, generate_lettering(n))]
        stacks = [o for n in range(samples) for o in compare(browser, generate_stack(n))]
    lines = [
        "# How closely layers and lettering agree with the browser",
        "",
        f"Written by `scripts/fidelity_layers.py` on {datetime.now(UTC):%Y-%m-%d}. Differences are of 255 levels; the",
        "worst is what all but one px in a thousand keep. Every kind with its options lies over one colour, in strong",
        "contrast.",
        "",
        "| what | areas | mean, median | mean, largest | least share within 3 | worst |",
        "|---|---|---|---|---|---|",
        *kinds,
        "",
        "Figures and silhouettes are where the browser's raster and ours differ: it snaps edges of paths to quarters",
        "of a px, ours counts the covered part exactly.",
        "",
        f"{samples} generated banners each, on three screens: plates, buttons, outlines, shadows, spacing, capitals,",
        "italics; and three random layers of any kind over a picture, two in five of them blending.",
        "",
        "| what | measured |",
        "|---|---|",
        *_outcomes("plates and lettering", letters),
        *_outcomes("stacks of layers", stacks),
        "",
    ]
    text = "\n".join(lines)
    print(text)
    (HOUSE / "docs" / "fidelity-layers.md").write_text(text)


if __name__ == "__main__":
    main()
