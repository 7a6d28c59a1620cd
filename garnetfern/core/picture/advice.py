"""How a picture is best laid into an area, with the reason."""

from dataclasses import dataclass, field
from typing import Any

import numpy as np
from PIL import Image

from ..colour.notation import Rgba
from .tiles import Seams

SMALL_TILE = 640
"""A picture whose longer side is at most this many px may be meant as a tile."""
THIN = 48
LONG = 6
MARK_SHARE = 0.8
"""A mark that would take more of an area than this at its natural size is shown whole instead."""


@dataclass(frozen=True)
class Advice:
    """Settings of the image layer, a base colour where one is proposed, and why, in one sentence."""

    settings: dict[str, Any]
    reason: str
    base: str | None = None
    fields: tuple[str, ...] = field(default=())


def edges_of(image: Image.Image) -> tuple[str, str]:
    """The mean colours of the last rows and of the last columns of a picture: what a strip fades into."""
    pixels = np.asarray(image.convert("RGB"))
    found = []
    for part in (pixels[-3:], pixels[:, -3:]):
        red, green, blue = (round(float(v)) for v in part.reshape(-1, 3).mean(axis=0))
        found.append(Rgba(red, green, blue).hex)
    return found[0], found[1]


def _plain(**settings: Any) -> dict[str, Any]:
    start = {"size": "cover", "width": None, "height": None, "repeat": ["no-repeat", "no-repeat"], "position": None}
    return {**start, **settings}


def advise(
    size: tuple[int, int], seams: Seams, edges: tuple[str, str], area: tuple[float, float], mark: bool = False
) -> Advice:
    """What suits a picture of this size in px in an area of this size (CSS px of the widest screen); a mark is shown
    whole, and once."""
    width, height = size
    corner = {"side": "left", "across": "0px", "end": "top", "down": "0px"}
    if width <= THIN and height >= LONG * width:
        base = edges[0]
        settings = _plain(size="natural", repeat=["repeat", "no-repeat"], position=corner)
        reason = (
            f"A strip of {width} × {height}: repeated sideways it fades into {base}, which is the base colour then."
        )
        return Advice(settings, reason, base)
    if height <= THIN and width >= LONG * height:
        base = edges[1]
        settings = _plain(size="natural", repeat=["no-repeat", "repeat"], position=corner)
        reason = (
            f"A strip of {width} × {height}: repeated downwards it fades into {base}, which is the base colour then."
        )
        return Advice(settings, reason, base)
    if mark:
        large = max(width / area[0], height / area[1]) > MARK_SHARE
        settings = _plain(size="contain" if large else "natural", focal=[0.5, 0.5])
        kept = "It is shown whole" if large else "Its natural size keeps it sharp"
        reason = f"A mark of {width} × {height} that stands by itself, its edges clear. {kept}."
        return Advice(settings, reason)
    if max(width, height) <= SMALL_TILE:
        if seams.seamless:
            settings = _plain(size="natural", repeat=["repeat", "repeat"], position=corner)
            return Advice(settings, f"Small ({width} × {height}) and seamless: tile it.")
        times = max(area[0] / width, area[1] / height)
        if times > 1.5:
            settings = _plain(size="natural", focal=[0.5, 0.5])
            reason = (
                f"Small ({width} × {height}) and not seamless: filling this area would magnify it {times:.1f} times, "
                "tiling it would show its edges. Its natural size keeps it sharp; mend its seams to tile it."
            )
            return Advice(settings, reason)
    times = max(area[0] / width, area[1] / height)
    soft = (
        f" It is magnified {times:.1f} times there and looks soft; a larger picture would be better."
        if times > 1
        else ""
    )
    return Advice(_plain(size="cover"), f"A picture of {width} × {height}: let it fill the area.{soft}")
