"""Where arriving words are on their way (CSS Animations 1, CSS Easing Functions 1)."""

from dataclasses import dataclass, replace

from ..document import Column, Page
from ..document.entrance import Entrance, Way
from .box import Box
from .records import BandRecord, BlockRecord

FAINTEST = 0.4
"""Words that arrive begin at this opacity: less than they end with, and never gone."""
FROM: dict[Way, tuple[int, int]] = {"fade": (0, 0), "rise": (0, 28), "settle": (0, -20), "side": (-40, 0)}
"""Where they come from, px across (from where lines begin) and down."""
CURVE = (0.2, 0.7, 0.3, 1.0)
"""cubic-bezier(): quick at first, then slowly to rest."""


@dataclass(frozen=True)
class Arriving:
    """Opacity 0..1, and how far words are from where they come to rest, px."""

    opacity: float
    across: float
    down: float


AT_REST = Arriving(1.0, 0.0, 0.0)


def eased(share: float) -> float:
    """How much of the way is done when a share of the time, 0..1, is over (CSS Easing Functions 1, section 2.3)."""
    if share <= 0 or share >= 1:
        return min(1.0, max(0.0, share))
    x1, y1, x2, y2 = CURVE

    def on(t: float, first: float, second: float) -> float:
        return float(3 * (1 - t) ** 2 * t * first + 3 * (1 - t) * t**2 * second + t**3)

    low, high = 0.0, 1.0
    for _ in range(40):
        middle = (low + high) / 2
        low, high = (middle, high) if on(middle, x1, x2) < share else (low, middle)
    return on(low, y1, y2)


def entrance_at(entrance: Entrance, time: float, later: float = 0.0) -> Arriving:
    """Words so long after they came into sight, s; `later`: how much they wait for others before them."""
    done = eased((time - entrance.delay - later) / entrance.duration)
    across, down = FROM[entrance.way]
    return Arriving(FAINTEST + (1 - FAINTEST) * done, across * (1 - done), down * (1 - done))


def waits(column: Column) -> dict[str, float]:
    """How much later than the first each arriving block of a column begins, s by its id."""
    arriving = [b.id for b in column.blocks if b.entrance is not None and b.visible]
    return {name: n * column.stagger for n, name in enumerate(arriving)}


def arrivals(page: Page, time: float) -> dict[str, Arriving]:
    """The arriving blocks of a page at a time, s after all came into sight; none of those that are at rest."""
    found = {}
    for band in page.bands:
        for column in band.columns:
            later = waits(column)
            for block in column.blocks:
                if block.entrance is not None:
                    there = entrance_at(block.entrance, time, later.get(block.id, 0.0))
                    if there != AT_REST:
                        found[block.id] = there
    return found


def moved(box: Box, there: Arriving) -> Box:
    """A box on its way."""
    return replace(box, x=box.x + there.across, y=box.y + there.down)


def arriving_block(block: BlockRecord, there: Arriving) -> BlockRecord:
    """A block on its way: moved, and as faint as it is."""
    lines = tuple(
        replace(
            ln,
            x=ln.x + there.across,
            top=ln.top + there.down,
            baseline=ln.baseline + there.down,
            fill=ln.fill and ln.fill.faded(there.opacity),
        )
        for ln in block.lines
    )
    stroke = block.stroke and replace(block.stroke, colour=block.stroke.colour.faded(there.opacity))
    shadow = block.shadow and replace(block.shadow, colour=block.shadow.colour.faded(there.opacity))
    fill = block.fill.faded(there.opacity)
    return replace(block, box=moved(block.box, there), lines=lines, fill=fill, stroke=stroke, shadow=shadow)


def arriving_band(band: BandRecord, found: dict[str, Arriving]) -> BandRecord:
    """A band with its blocks on their way."""
    blocks = tuple(arriving_block(b, found[b.id]) if b.id in found else b for b in band.blocks)
    pictures = tuple((name, moved(box, found[name]) if name in found else box) for name, box in band.pictures)
    return replace(band, blocks=blocks, pictures=pictures)
