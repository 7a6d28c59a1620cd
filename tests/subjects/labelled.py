"""Photographs whose subject was marked by looking, before anything was measured. They come with packages and are not in
this repository; only where their subjects lie is, in fractions of the picture (`labels.csv`)."""

import csv
import importlib.util
import io
import re
from collections.abc import Iterator
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import numpy as np
from PIL import Image, UnidentifiedImageError

from garnetfern.core.picture.focal import Proposal, best_focal
from garnetfern.core.picture.framing import Window
from garnetfern.core.picture.subject import Subject

LABELS = Path(__file__).with_name("labels.csv")
WINDOWS = (1440 / 480, 820 / 410, 390 / 480)
"""Width over height of a banner on three screens."""
HARD = (1440 / 320, 820 / 315, 390 / 693)
"""The same of flat banners, and of a phone's whole screen."""
AT_HAND = "scikit-image"
"""The package that the tests install."""
SMALLEST = (280, 200)
"""What is smaller inside a bundle is no photograph, px."""
PICTURE = re.compile(rb"\xff\xd8\xff|RIFF....WEBP", re.DOTALL)
LONGEST = 3_000_000
"""No picture in a bundle has more bytes."""


@dataclass(frozen=True)
class Labelled:
    """A photograph (`number`: of those in its file) and its subject's box: left, top, right, foot, 0..1."""

    package: str
    file: str
    number: int
    box: tuple[float, float, float, float]
    half: str


def labels() -> list[Labelled]:
    """All that were marked; `half` says whether the weights were fitted with it or judged by it."""
    with LABELS.open(newline="") as lines:
        return [
            Labelled(
                row["package"],
                row["file"],
                int(row["number"]),
                (float(row["left"]), float(row["top"]), float(row["right"]), float(row["bottom"])),
                row["half"],
            )
            for row in csv.DictReader(lines)
        ]


def _inside(bundle: bytes) -> Iterator[Image.Image]:
    """The photographs in a file that holds many things one after the other."""
    end = 0
    for found in PICTURE.finditer(bundle):
        start = found.start()
        if start < end:
            continue
        try:
            image = Image.open(io.BytesIO(bundle[start : start + LONGEST]))
            image.load()
        except (UnidentifiedImageError, OSError, SyntaxError, ValueError):
            continue
        webp = bundle[start : start + 4] == b"RIFF"
        end = start + (8 + int.from_bytes(bundle[start + 4 : start + 8], "little") if webp else 10_000)
        if image.width >= SMALLEST[0] and image.height >= SMALLEST[1]:
            yield image.convert("RGB")


@lru_cache(maxsize=2)
def _photographs(file: Path) -> tuple[Image.Image, ...]:
    if file.suffix == ".rcc":
        return tuple(_inside(file.read_bytes()))
    with Image.open(file) as image:
        return (image.convert("RGB"),)


def photograph(label: Labelled, folder: Path | None) -> Image.Image | None:
    """It, out of a folder that packages were unpacked in; None where it is not there."""
    if label.package == AT_HAND:
        spec = importlib.util.find_spec("skimage")
        root = Path(spec.origin).parent / "data" if spec and spec.origin else None
    else:
        root = folder
    file = next(root.rglob(label.file), None) if root is not None else None
    return None if file is None else _photographs(file)[label.number]


def windows_of(image: Image.Image, shapes: tuple[float, ...] = WINDOWS) -> list[Window]:
    """What areas of these proportions show of a picture that fills them."""
    own = image.width / image.height
    sizes = [(min(1.0, shape / own), min(1.0, own / shape)) for shape in shapes]
    return [Window(0, 0, *size, 1 - size[0] * size[1], 0.0, 1.0, (1, 1)) for size in sizes]


def kept(label: Labelled, windows: list[Window], found: Proposal | None) -> list[float]:
    """The share of the subject that each window keeps of what it could, 0..1; None: with the middle in sight."""
    left, top, right, foot = label.box
    shares = []
    for n, window in enumerate(windows):
        x, y = (0.5, 0.5) if found is None else found.others.get(n, found.focal)
        cut = window.width < window.height
        first, last, size, at = (left, right, window.width, x) if cut else (top, foot, window.height, y)
        start = at * (1 - size)
        shares.append(max(0.0, min(last, start + size) - max(first, start)) / min(size, last - first))
    return shares


def proposed(subject: Subject, windows: list[Window]) -> Proposal:
    """What the application proposes."""
    return best_focal(windows, subject, [])


def figures(shares: list[list[float]]) -> tuple[float, float, float]:
    """Mean, 5th percentile and least over the photographs, each the mean of its windows."""
    means = np.array([sum(s) / len(s) for s in shares])
    return float(means.mean()), float(np.percentile(means, 5)), float(means.min())
