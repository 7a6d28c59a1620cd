"""What is too small to be pressed (WCAG 2.2, 2.5.8: 24 by 24 px, or as much room around)."""

from collections.abc import Iterator

from ...resolve.box import Box
from ._look import Look, Misfit, Target, quoted

ORDER, TITLE = 10, "Small targets"
LEAST = 24.0
NEARLY = 1 / 64
"""What the browser's own units may lack."""


def _small(target: Target) -> bool:
    return min(target.box.width, target.box.height) < LEAST - NEARLY


def _middle(box: Box) -> tuple[float, float]:
    return box.x + box.width / 2, box.y + box.height / 2


def _in_the_way(one: Target, other: Target) -> bool:
    """Whether a circle of 24 px in the middle of a small target reaches another one, or another's circle."""
    x, y = _middle(one.box)
    if _small(other):
        u, v = _middle(other.box)
        return (x - u) ** 2 + (y - v) ** 2 < (LEAST - NEARLY) ** 2
    across = max(other.box.x - x, 0.0, x - other.box.right)
    down = max(other.box.y - y, 0.0, y - other.box.bottom)
    return across**2 + down**2 < (LEAST / 2 - NEARLY) ** 2


def found(look: Look) -> Iterator[Misfit]:
    """Small targets that others are too near to: hard to press, not lost. Nothing is pressed on paper."""
    if look.situation.moment.printed:
        return
    wording = {words.id: words.wording for words in look.words}
    wording |= {target.block: target.said for target in look.targets if target.said}
    crowded: dict[str, list[Target]] = {}
    for target in look.targets:
        if _small(target) and any(_in_the_way(target, other) for other in look.targets if other is not target):
            crowded.setdefault(target.block, []).append(target)
    for block, targets in crowded.items():
        worst = min(targets, key=lambda t: min(t.box.width, t.box.height)).box
        what = f"{worst.width:.0f} × {worst.height:.0f} px"
        sentence = f"{quoted(wording[block])} is {what} to press, with another too near; 24 × 24 are wanted."
        boxes = tuple(t.box for t in targets)
        yield Misfit("target", block, sentence, boxes, LEAST - min(worst.width, worst.height), False)
