"""Measure how much of marked subjects stays in sight, and write docs/subjects.md.

    python scripts/subjects.py FOLDER

FOLDER holds the unpacked packages that `tests/subjects/labels.csv` names (`apt-get download NAME`, then
`dpkg-deb -x FILE FOLDER`). Photographs that are not there are left out and counted.
"""

import sys
import time
from pathlib import Path

import numpy as np

from garnetfern.core.picture.focal import Proposal
from garnetfern.core.picture.subject import subject_of
from tests.subjects.labelled import (
    HARD,
    WINDOWS,
    Labelled,
    figures,
    kept,
    labels,
    photograph,
    proposed,
    windows_of,
)

PAGE = Path(__file__).parent.parent / "docs" / "subjects.md"
LARGE = (4000, 3000)
HEAD = """# The subject stays in sight

Written by `scripts/subjects.py`. {there} of {all} photographs whose subject was marked by looking, before anything was
measured (`tests/subjects/labels.csv`); they come with packages and are not in this repository. Half of them fitted the
weights of `core/picture/subject.py`, the other half judges.

What is kept: the share of the subject's box that a banner on three screens shows, of what it could show; mean over the
photographs, 5th percentile, least. Usual banners are 3:1, 2:1 and 0.81:1, hard ones 4.5:1, 2.6:1 and 0.56:1.

| | banners | photographs | the middle | proposed | wanted |
|---|---|---|---|---|---|
"""


def _row(name: str, which: str, found: list[tuple[list[float], list[float]]], wanted: str) -> str:
    middle, ours = figures([m for m, _ in found]), figures([o for _, o in found])
    said = [f"{100 * m:.1f} %, {100 * p:.0f} %, {100 * least:.0f} %" for m, p, least in (middle, ours)]
    return f"| {name} | {which} | {len(found)} | {said[0]} | {said[1]} | {wanted} |"


def measure(folder: Path | None) -> list[str]:
    """The page's lines."""
    marked = labels()
    seen: list[tuple[Labelled, dict[str, tuple[list[float], list[float]]], Proposal]] = []
    for label in marked:
        image = photograph(label, folder)
        if image is None:
            continue
        subject = subject_of(np.asarray(image))
        shares = {}
        for which, shapes in (("hard", HARD), ("usual", WINDOWS)):
            windows = windows_of(image, shapes)
            found = proposed(subject, windows)
            shares[which] = kept(label, windows, None), kept(label, windows, found)
        seen.append((label, shares, found))
    lines = HEAD.format(there=len(seen), all=len(marked)).splitlines()
    for half, name in (("judge", "those that judge"), ("tune", "those that were fitted")):
        for which in ("usual", "hard"):
            wanted = "95 %, 75 %, not below the middle" if (half, which) == ("judge", "usual") else ""
            lines.append(_row(name, which, [s[which] for label, s, _ in seen if label.half == half], wanted))
    lines += ["", "How sure it says that it is (usual banners, all photographs):", ""]
    lines += ["| | photographs | kept, mean | at most three quarters kept on a screen |", "|---|---|---|---|"]
    for sureness in ("sure", "likely", "doubtful"):
        own = [s["usual"][1] for _, s, found in seen if found.sureness == sureness]
        if own:
            lost = sum(min(shares) < 0.75 for shares in own)
            lines.append(f"| {sureness} | {len(own)} | {100 * figures(own)[0]:.1f} % | {lost} |")
    large = np.random.default_rng(1).integers(0, 256, (LARGE[1], LARGE[0], 3), dtype=np.uint8)
    times = []
    for _ in range(5):
        start = time.perf_counter()
        subject_of(large)
        times.append(time.perf_counter() - start)
    lines += ["", f"12 megapixels take {1000 * sorted(times)[2]:.0f} ms, median of 5 (150 ms wanted)."]
    return lines


if __name__ == "__main__":
    PAGE.write_text("\n".join(measure(Path(sys.argv[1]) if len(sys.argv) > 1 else None)) + "\n")
    print(PAGE.read_text())
