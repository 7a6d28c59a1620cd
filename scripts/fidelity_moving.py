"""Measure pages that move at moments of their movement, beside headless Chromium, and write docs/fidelity-moving.md.

Usage: python scripts/fidelity_moving.py [BANNERS] [MOMENTS]: how many generated banners at how many moments each, on
three screens. About a tenth of a second for a picture; readings are compared on the phone.
"""

import random
import sys
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

import numpy as np
from playwright.sync_api import Browser

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.css import bundle_files  # noqa: E402
from garnetfern.core.reading import Reader, situations  # noqa: E402
from garnetfern.fonts import font_bytes, shipped_fonts  # noqa: E402
from garnetfern.service.files.memory import MemoryPictures  # noqa: E402
from tests.referee.browser import Opened, chromium  # noqa: E402
from tests.referee.met import seen_ratio  # noqa: E402
from tests.referee.moments import beside, frozen, sought  # noqa: E402
from tests.referee.moving import generate  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-moving.md"
SCREENS = ((1440, 900), (820, 1180), (390, 844))
FIRST = 1000
"""Banners are drawn from here on: none that the tests look at."""


def pixels(browser: Browser, seed: int, moments: int) -> list[tuple[float, float]]:
    """Mean and greatest difference of the page in levels of 255, at moments on three screens."""
    file = generate(seed)
    layer = next(x for x in file.site.pages[0].bands[0].backdrop.layers if x.period())
    period = layer.period() or 1.0
    rng = random.Random(seed)
    times = sorted(rng.uniform(0, 3 * period) for _ in range(moments))
    found = []
    for viewport in SCREENS:
        found += [(one.mean, one.worst) for one in beside(browser, file, times, viewport)]
    return found


def readings(browser: Browser, seed: int) -> list[tuple[float, float, float]]:
    """The core's ratio, the browser's, and what is required: in members and in the middle of changes, on the phone."""
    file = generate(seed)
    site, page = file.site, file.site.pages[0]
    pictures = MemoryPictures(file.pictures)
    reader = Reader(shipped_fonts(), pictures)
    opened = Opened(browser, bundle_files(site, reader.fonts, pictures.file, font_bytes))
    frozen(opened.at(390, 844))
    met = reader.met(site, page)
    found = []
    for situation in situations(site, page, {"members", "changing"}):
        if situation.screen == "phone":
            at = situation.on_the_way(0.5)
            reading = reader.meet(met, "headline", at, site.requirement)
            sought(opened, dict(at.moment.phases)["turns"])
            seen = seen_ratio(opened, "headline")
            if reading is not None and reading.ratio is not None and seen is not None:
                found.append((reading.ratio, seen, reading.required))
    opened.close()
    return found


def _report(levels: list[tuple[float, float]], ratios: list[tuple[float, float, float]], banners: int) -> str:
    means = np.array([mean for mean, _ in levels])
    off = np.array([abs(core / seen - 1) for core, seen, _ in ratios])
    other = sum(1 for core, seen, need in ratios if (core >= need) != (seen >= need) and abs(core / need - 1) > 0.01)
    rows: list[tuple[str, Any, str]] = [
        ("moments compared", len(levels), ""),
        ("mean difference, levels of 255: greatest", f"{means.max():.2f}", "1.5"),
        ("mean difference, 99 of 100 at most", f"{np.percentile(means, 99):.2f}", ""),
        ("readings compared", len(ratios), ""),
        ("readings within 2 %", f"{(off <= 0.02).mean() * 100:.1f} %", "98 %"),
        ("greatest difference of a reading", f"{off.max() * 100:.2f} %", ""),
        ("other verdicts than the browser's, further than 1 % from the border", other, "0"),
    ]
    lines = [
        "# Fidelity of what moves",
        "",
        f"Written by `scripts/fidelity_moving.py` on {datetime.now(UTC):%Y-%m-%d}: {banners} generated banners",
        "(sequences of pictures and gradients, opaque and translucent, blended, faded and cut, under overlays, under",
        "plates, beginning by lot or not), at random moments of three periods on three screens, in headless Chromium",
        "that is paused there.",
        "",
        "| | measured | wanted |",
        "|---|---|---|",
        *(f"| {what} | {value} | {wanted} |" for what, value, wanted in rows),
        "",
    ]
    return "\n".join(lines)


def main() -> None:
    """Measure and write."""
    given = [int(text) for text in sys.argv[1:3]]
    banners, moments = [*given, *(40, 8)[len(given) :]]
    levels: list[tuple[float, float]] = []
    ratios: list[tuple[float, float, float]] = []
    with chromium() as browser:
        for seed in range(FIRST, FIRST + banners):
            print(f"\r{seed - FIRST + 1} of {banners}", end="", flush=True)
            levels += pixels(browser, seed, moments)
            ratios += readings(browser, seed)
    text = _report(levels, ratios, banners)
    print(f"\n{text}")
    TARGET.write_text(text)


if __name__ == "__main__":
    main()
