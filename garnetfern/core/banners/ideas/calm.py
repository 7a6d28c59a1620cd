"""A calm part of the picture, the words on it, and nothing else."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import product

from ...document import Align, Backdrop, Page
from ...remedy.kinds.focal import aimed
from ..brief import Brief
from ..frame import picture_of
from ..sketch import LeftOut, Sketch
from ..words import as_wide, coloured
from ._shaded import distress_of, high, tone_of

ORDER = 7
TITLE = "A calm part of it"
WIDTH = "560px"
ACROSS: dict[Align, tuple[float, float]] = {"start": (0.0, 0.5), "end": (0.5, 1.0)}
DOWN: dict[Align, tuple[float, float]] = {"start": (0.0, 0.6), "center": (0.2, 0.8), "end": (0.4, 1.0)}
"""What of a banner's width and height words take there, roughly."""
FOCAL = (0.0, 0.25, 0.5, 0.75, 1.0)
BANNER = 2.9
"""The proportion of a banner on a desktop, roughly."""
DARK, LIGHT = 55.0, 58.0
"""L* of the lightest cell behind light words at the most, and of the darkest behind dark ones at the least, for a place
to be tried at all; what is tried is measured."""
MOST_TRIED = 6
NAMES = {"start": "top", "center": "middle", "end": "foot"}


@dataclass(frozen=True)
class _Place:
    """A place for the words: where in the band, which part of the picture, in which tone, and how well it may serve."""

    align: Align
    stand: Align
    focal: tuple[float, float]
    light: bool
    room: float


def _behind(brief: Brief, focal: tuple[float, float], align: Align, stand: Align) -> list[float]:
    """The lightness of the cells that would lie behind words, L*."""
    cells = brief.look.light
    rows, columns = len(cells), len(cells[0])
    shape = brief.asset.width / brief.asset.height / BANNER
    wide, tall = min(1.0, 1 / shape), min(1.0, shape)
    left, top = (1 - wide) * focal[0], (1 - tall) * focal[1]
    (x0, x1), (y0, y1) = ACROSS[align], DOWN[stand]
    found: list[float] = []
    for row in range(int((top + y0 * tall) * rows), max(1, round((top + y1 * tall) * rows))):
        line = cells[min(row, rows - 1)]
        found += line[int((left + x0 * wide) * columns) : max(1, round((left + x1 * wide) * columns))]
    return found


def _places(brief: Brief) -> list[_Place]:
    """Those that may serve, the best first."""
    found = []
    own = brief.picture.focal
    for align, stand, light, down in product(ACROSS, DOWN, (True, False), (own[1], *FOCAL)):
        focal = (own[0], down)
        behind = _behind(brief, focal, align, stand)
        if behind:
            room = DARK - max(behind) if light else min(behind) - LIGHT
            found.append(_Place(align, stand, focal, light, room - 10 * abs(down - own[1])))
    return sorted((p for p in found if p.room >= 0), key=lambda p: -p.room)


def _page(brief: Brief, place: _Place) -> Page:
    letters = brief.palette.paper if place.light else brief.palette.ink
    ground = tone_of(brief) if place.light else brief.palette.paper
    layer = aimed(picture_of(brief), place.focal)
    content = brief.band.content.model_copy(update={"align": place.align, "stand": place.stand})
    band = brief.band.model_copy(
        update={"content": content, "backdrop": Backdrop(base=ground, layers=(layer,)), "height": high(brief.band)}
    )
    return brief.with_band(as_wide(coloured(band, letters, ground), WIDTH))


def made(brief: Brief) -> Iterator[Sketch]:
    """The places that serve, those with most to spare first."""
    for place in _places(brief)[:MOST_TRIED]:
        page = _page(brief, place)
        if not distress_of(brief, page).short:
            side = {"start": "left", "end": "right"}[place.align]
            tone = "light" if place.light else "dark"
            sentence = (
                f"The words, {tone}, at the {NAMES[place.stand]} {side}, where the picture is calm; nothing over it."
            )
            yield Sketch(page, sentence)
    raise LeftOut("No part of it is calm enough to bear the words with nothing behind them.")
