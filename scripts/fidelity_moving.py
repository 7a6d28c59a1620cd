"""Measure pages that move at moments of their movement, beside headless Chromium, and write docs/fidelity-moving.md.

Usage: python scripts/fidelity_moving.py [BANNERS] [MOMENTS]: how many generated banners at how many moments each, on
three screens. About a tenth of a second for a picture; readings are compared on the phone.
"""

import random
import sys
from collections.abc import Callable
from dataclasses import dataclass, replace
from datetime import UTC, datetime
from fractions import Fraction
from pathlib import Path
from typing import Any

import numpy as np
from playwright.sync_api import Browser

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.css import bundle_files  # noqa: E402
from garnetfern.core.reading import Reader, situations  # noqa: E402
from garnetfern.fonts import shipped_fonts  # noqa: E402
from garnetfern.service.files.memory import MemoryPictures  # noqa: E402
from garnetfern.service.files.site_file import SiteFile  # noqa: E402
from tests.referee import filmed, moving  # noqa: E402
from tests.referee.browser import Opened, chromium  # noqa: E402
from tests.referee.met import seen_ratio  # noqa: E402
from tests.referee.moments import beside, frozen, sought  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-moving.md"
SCREENS = ((1440, 900), (820, 1180), (390, 844))
FIRST = 1000
"""Banners are drawn from here on: none that the tests look at."""


@dataclass(frozen=True)
class Kind:
    """One kind of what moves: its banners, the bundle of one, the id of its layer, and what is wanted."""

    name: str
    said: str
    layer: str
    make: Callable[[int], SiteFile]
    files: Callable[[SiteFile, int], dict[str, bytes]]
    mean: float
    snapped: Callable[[SiteFile, float], float] = lambda _, time: time
    """The time that is compared for a time that was drawn: of a film, the middle of a frame's."""


def _plain(file: SiteFile, _: int) -> dict[str, bytes]:
    return bundle_files(file.site, shipped_fonts(), MemoryPictures(file.pictures).file)


def _with_films(file: SiteFile, seed: int) -> dict[str, bytes]:
    urls, films = filmed.filmed(file, (("h264",), ("av1",))[seed % 2])
    pictures = MemoryPictures(file.pictures)
    plain = bundle_files(file.site, shipped_fonts(), pictures.file, urls, film=lambda _, __: b"")
    return {**plain, **films}


def _middle(file: SiteFile, time: float) -> float:
    footage = next(x for x in file.site.pages[0].bands[0].backdrop.layers if x.films()).films()[0].footage
    return float((footage.frame(time) + Fraction(1, 2)) / footage.rate)


TURNS = "sequences of pictures and gradients, opaque and translucent, blended, faded and cut, under overlays, under plates, beginning by lot or not"  # noqa: E501
FILMS = "films that name their colours or not, landscape and upright, laid in all ways, translucent, blended, under overlays, under plates, as H.264 and as AV1"  # noqa: E501
KINDS = (
    Kind("Pictures and gradients in turn", TURNS, "turns", moving.generate, _plain, 1.5),
    Kind("Films", FILMS, "film", filmed.generate, _with_films, 2.5, _middle),
)


def pixels(browser: Browser, kind: Kind, seed: int, moments: int) -> list[tuple[float, float]]:
    """Mean and greatest difference of the page in levels of 255, at moments on three screens."""
    file = kind.make(seed)
    layer = next(x for x in file.site.pages[0].bands[0].backdrop.layers if x.period())
    period = layer.period() or 1.0
    rng = random.Random(seed)
    times = sorted(kind.snapped(file, rng.uniform(0, 3 * period)) for _ in range(moments))
    found = []
    for viewport in SCREENS:
        there = beside(browser, file, times, viewport, files=kind.files(file, seed))
        found += [(one.mean, one.worst) for one in there]
    return found


def readings(browser: Browser, kind: Kind, seed: int) -> list[tuple[float, float, float]]:
    """The core's ratio, the browser's, and what is required: in members and in the middle of changes, on the phone."""
    file = kind.make(seed)
    site, page = file.site, file.site.pages[0]
    reader = Reader(shipped_fonts(), MemoryPictures(file.pictures))
    opened = Opened(browser, kind.files(file, seed))
    frozen(opened.at(390, 844))
    met = reader.met(site, page)
    found = []
    for situation in situations(site, page, {"members", "changing"}):
        if situation.screen == "phone":
            at = situation.on_the_way(0.5)
            time = kind.snapped(file, dict(at.moment.phases)[kind.layer])
            at = replace(at, moment=replace(at.moment, phases=((kind.layer, time),)))
            reading = reader.meet(met, "headline", at, site.requirement)
            sought(opened, time)
            seen = seen_ratio(opened, "headline")
            if reading is not None and reading.ratio is not None and seen is not None:
                found.append((reading.ratio, seen, reading.required))
    opened.close()
    return found


def _table(kind: Kind, levels: list[tuple[float, float]], ratios: list[tuple[float, float, float]]) -> list[str]:
    means = np.array([mean for mean, _ in levels])
    off = np.array([abs(core / seen - 1) for core, seen, _ in ratios])
    other = sum(1 for core, seen, need in ratios if (core >= need) != (seen >= need) and abs(core / need - 1) > 0.01)
    rows: list[tuple[str, Any, str]] = [
        ("moments compared", len(levels), ""),
        ("mean difference, levels of 255: greatest", f"{means.max():.2f}", f"{kind.mean}"),
        ("mean difference, 99 of 100 at most", f"{np.percentile(means, 99):.2f}", ""),
        ("readings compared", len(ratios), ""),
        ("readings within 2 %", f"{(off <= 0.02).mean() * 100:.1f} %", "98 %"),
        ("greatest difference of a reading", f"{off.max() * 100:.2f} %", ""),
        ("other verdicts than the browser's, further than 1 % from the border", other, "0"),
    ]
    return [
        f"## {kind.name}",
        "",
        f"{kind.said[0].upper()}{kind.said[1:]}.",
        "",
        "| | measured | wanted |",
        "|---|---|---|",
        *(f"| {what} | {value} | {wanted} |" for what, value, wanted in rows),
        "",
    ]


def main() -> None:
    """Measure and write."""
    given = [int(text) for text in sys.argv[1:3]]
    banners, moments = [*given, *(40, 8)[len(given) :]]
    lines = [
        "# Fidelity of what moves",
        "",
        f"Written by `scripts/fidelity_moving.py` on {datetime.now(UTC):%Y-%m-%d}: {banners} banners of each kind,",
        "at random moments of three periods on three screens, in headless Chromium that is paused there.",
        "",
    ]
    with chromium() as browser:
        for kind in KINDS:
            levels: list[tuple[float, float]] = []
            ratios: list[tuple[float, float, float]] = []
            for seed in range(FIRST, FIRST + banners):
                print(f"\r{kind.name}: {seed - FIRST + 1} of {banners}", end="", flush=True)
                levels += pixels(browser, kind, seed, moments)
                ratios += readings(browser, kind, seed)
            lines += _table(kind, levels, ratios)
    text = "\n".join(lines)
    print(f"\n{text}")
    TARGET.write_text(text)


if __name__ == "__main__":
    main()
