"""Measure in headless Chromium whether whole banners over photographs that were never seen can be read, and write
docs/fidelity-banners.md.

Usage: python scripts/fidelity_banners.py [PHOTOGRAPHS]. Needs Chromium; takes about a minute for each.
"""

import sys
from collections import Counter
from datetime import UTC, datetime
from itertools import combinations
from pathlib import Path

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.banners import IDEAS, Banner, Without, apart  # noqa: E402
from tests.referee.browser import chromium  # noqa: E402
from tests.referee.photographs import FILES  # noqa: E402
from tests.referee.whole import Measured, made_of, measured, sample_of  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-banners.md"
Made = list[Banner | Without]


def report(made: list[Made], found: list[Measured]) -> list[str]:
    """The page, in Markdown."""
    banners = [[one for one in each if isinstance(one, Banner)] for each in made]
    left = Counter(f"{IDEAS[o.idea].TITLE}: {o.reason}" for each in made for o in each if isinstance(o, Without))
    gaps = [apart(a.seen, b.seen) for each in banners for a, b in combinations(each, 2)]
    off = sorted(share for one in found for share in one.off)
    short = [(one.name, one.idea, met.name) for one in found for met in one.short]
    ideas = Counter(one.idea for each in banners for one in each)
    return [
        "# Whole banners over photographs that were never seen",
        "",
        f"Written by `scripts/fidelity_banners.py` on {datetime.now(UTC):%Y-%m-%d}: {len(made)} banners over",
        f"{len(FILES)} photographs that come with a package of the tests, words and fonts by chance; each whole",
        "banner is measured on screenshots in every situation of the desktop and the phone by the referee's own code.",
        "",
        "| what | measured | wanted |",
        "|---|---|---|",
        f"| readings in Chromium | {sum(one.readings for one in found)} of {len(found)} whole banners | |",
        f"| fall short there | {len(short)} | 0 |",
        f"| six were made | {sum(len(each) == 6 for each in banners)} of {len(banners)} | all |",
        f"| made at the least | {min(map(len, banners))} | 6 |",
        f"| nearest two of a photograph, mean OKLab | {min(gaps):.3f} | 0.09 |",
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
    made: list[Made] = []
    found: list[Measured] = []
    with chromium() as browser:
        for seed in range(wanted):
            sample = sample_of(seed)
            made.append(made_of(sample))
            found += [measured(browser, sample, one) for one in made[-1] if isinstance(one, Banner)]
            TARGET.write_text("\n".join(report(made, found)))
            print(f"\r{seed + 1} of {wanted}", end="", flush=True)
    print()


if __name__ == "__main__":
    main()
