"""Entrances: once, when words are first in sight (Animation Triggers; Scroll-driven Animations 1).

Where a browser does not know triggers, under less motion, on paper and without script nothing of this holds, and words
stand as they are set.
"""

from ..document import Band, Block, Page, ever_visible
from ..document.entrance import Way
from ..resolve.entrance import CURVE, FAINTEST, FROM, waits
from .declarations import Declarations, number, rule
from .names import named

IN_SIGHT = "entry 15% cover 100%"
"""When a block counts as in sight: from a seventh of its height on."""


def _frames(way: Way) -> str:
    across, down = FROM[way]
    moved = f" translate: {across}px {down}px;" if across or down else ""
    return f"  @keyframes gf-arrive-{way} {{\n    from {{ opacity: {number(FAINTEST)};{moved} }}\n  }}\n"


def _arriving(band: Band) -> list[tuple[Block, float]]:
    """The blocks of a band that arrive, and how much each waits for those before it, s."""
    found = []
    for column in band.columns:
        later = waits(column)
        found += [(b, later.get(b.id, 0.0)) for b in column.blocks if b.entrance and ever_visible(b) and not b.heard]
    return found


def arrival_css(page: Page) -> str:
    """The entrances of a page; nothing where no words arrive."""
    rules, ways = "", dict[Way, None]()
    for band in page.bands:
        for block, later in _arriving(band):
            entrance = block.entrance
            if entrance is None:
                continue
            ways[entrance.way] = None
            wait = entrance.delay + later
            curve = ", ".join(number(v) for v in CURVE)
            how = f"{number(entrance.duration)}s cubic-bezier({curve}) {number(wait)}s both"
            own: Declarations = [
                ("animation", f"gf-arrive-{entrance.way} {how}"),
                ("animation-trigger", f"--gf-{block.id} play-once"),
                ("timeline-trigger", f"--gf-{block.id} view() {IN_SIGHT}"),
            ]
            rules += rule(f".{named(block.id)}:not(:focus-within)", own, "  ")
    if not rules:
        return ""
    frames = "".join(_frames(way) for way in ways)
    return (
        "@supports (animation-trigger: --gf play-once) {\n"
        f"@media screen and (prefers-reduced-motion: no-preference) {{\n{frames}{rules}}}\n}}\n"
    )
