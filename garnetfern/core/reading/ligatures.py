"""A ligature is one glyph and several letters: who reads it reads letters, so each is judged by itself.

Where one ends and the next begins a font need not say; they are cut as the browser cuts them where a part of one is
selected or coloured: into shares of the advance that are equally wide. What stands out on either side stays with the
first and the last.
"""

import unicodedata
from collections.abc import Iterator
from itertools import pairwise

import numpy as np

from ..cache import Cache
from ..draw.glyphs import Glyphs, Mask
from ..resolve.box import round_half_up
from ..resolve.records import Line

Letter = tuple[int, int, int, Mask]
"""Index in the line's text, left and top on the page in px, mask."""


def _stands(character: str) -> bool:
    """Whether a character is a letter of its own: neither a mark on the one before it nor one that is not seen."""
    return unicodedata.category(character)[0] not in "MC"


def single_letters(glyphs: Glyphs, line: Line, stroke: float | None, cache: Cache) -> Iterator[Letter]:
    """The letters of a line, ligatures divided; with `stroke` the line along them, that many px wide."""
    joined = {cluster: (behind, end) for run in line.runs for cluster, behind, end in run.joined}
    pens = {c: x for run in line.runs for c, x in zip(run.clusters, run.x, strict=True)} if joined else {}
    for cluster, left, top, mask in glyphs.letters(line, stroke):
        behind, end = joined.get(cluster, (cluster + 1, 0.0))
        letters = [n for n in range(cluster, behind) if _stands(line.text[n])]
        if len(letters) < 2:
            yield cluster, left, top, mask
            continue
        step = (end - pens[cluster]) / (behind - cluster)
        cuts = [round_half_up(line.x + pens[cluster] + step * (n - cluster)) - left for n in letters[1:]]
        for index, (beside, part) in zip(letters, _parts(cache, mask, tuple(cuts)), strict=True):
            if part.coverage.any():
                yield index, left + beside, top, part


def _parts(cache: Cache, mask: Mask, cuts: tuple[int, ...]) -> list[tuple[int, Mask]]:
    return cache.get("ligature", (mask, cuts), lambda: _divided(mask, cuts))


def _divided(mask: Mask, cuts: tuple[int, ...]) -> list[tuple[int, Mask]]:
    """The parts of a mask between cuts, columns from its left, and how far right of the whole each begins."""
    width = mask.coverage.shape[1]
    edges = [0, *(min(max(cut, 0), width) for cut in cuts), width]
    return [
        (one, Mask(mask.left + one, mask.top, np.ascontiguousarray(mask.coverage[:, one:other])))
        for one, other in pairwise(edges)
    ]
