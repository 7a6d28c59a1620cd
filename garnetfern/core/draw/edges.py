"""Outlines as the browser's raster takes them: straight edges, whose ends lie at quarters of a px down and anywhere
across; what they enclose is then counted exactly.

A curve becomes a power of two of straight edges, by how far it bends. It is cut where it turns round and, where its
figure reaches out of the picture, along the picture's sides. The steps of a curve begin at the quarter that its upper
end was taken to, so that all but the last are moved by as much. Found by comparing with captures.
"""

import math
from collections.abc import Iterable, Iterator, Sequence
from itertools import pairwise

Point = tuple[float, float]
Piece = tuple[Point, ...]
"""A line, or a Bézier curve of the second or third degree: two, three or four points, px."""
Loop = Sequence[Piece]
"""Pieces one after the other; the last one's end is joined to the first one's start."""

FINE, MOST = 256, 6
"""Bends are told in these parts of a px; a curve has 2**MOST edges at the most."""
SAME = 1e-9


def snapped(down: float) -> float:
    """The quarter of a px that the end of an edge is taken to."""
    return math.floor(4 * down + 0.5) / 4


def at(piece: Piece, share: float) -> Point:
    """A curve's point at a parameter, 0..1."""
    points = list(piece)
    while len(points) > 1:
        points = [_between(one, other, share) for one, other in pairwise(points)]
    return points[0]


def _between(one: Point, other: Point, share: float) -> Point:
    return one[0] + (other[0] - one[0]) * share, one[1] + (other[1] - one[1]) * share


def halves(piece: Piece, share: float) -> tuple[Piece, Piece]:
    """A piece cut in two at a parameter."""
    first, last, points = [piece[0]], [piece[-1]], list(piece)
    while len(points) > 1:
        points = [_between(one, other, share) for one, other in pairwise(points)]
        first.append(points[0])
        last.append(points[-1])
    return tuple(first), tuple(reversed(last))


def _turns(piece: Piece, axis: int) -> list[float]:
    """The parameters at which a curve turns round along an axis."""
    v = [point[axis] for point in piece]
    if len(piece) == 3:
        a, b, c = 0.0, v[0] - 2 * v[1] + v[2], v[1] - v[0]
    else:
        a, b, c = v[3] - v[0] + 3 * (v[1] - v[2]), 2 * (v[0] - 2 * v[1] + v[2]), v[1] - v[0]
    if abs(a) < SAME:
        found = [] if abs(b) < SAME else [-c / b]
    else:
        root = math.sqrt(max(0.0, b * b - 4 * a * c))
        found = sorted(((-b - root) / (2 * a), (-b + root) / (2 * a))) if root else []
    return [share for share in found if SAME < share < 1 - SAME]


def _one_way(piece: Piece, axis: int) -> Iterator[Piece]:
    """The parts of a curve that go one way along an axis."""
    rest, before = piece, 0.0
    for share in _turns(piece, axis):
        one, rest = halves(rest, (share - before) / (1 - before))
        before = share
        yield one
    yield rest


def _cut(piece: Piece, axis: int, place: float) -> tuple[Piece, ...]:
    """A piece that goes one way, cut where it comes to a place."""
    first, last = piece[0][axis], piece[-1][axis]
    if not min(first, last) + SAME < place < max(first, last) - SAME:
        return (piece,)
    low, high = 0.0, 1.0
    for _ in range(40):
        middle = (low + high) / 2
        low, high = (middle, high) if (at(piece, middle)[axis] < place) == (first < last) else (low, middle)
    return halves(piece, low)


def _bend(piece: Piece, axis: int) -> int:
    """How far a curve bends away from a line along an axis."""
    v = [int(point[axis] * FINE) for point in piece]
    if len(v) == 3:
        return abs((2 * v[1] - v[0] - v[2]) >> 2)
    one = ((v[0] * 8 - v[1] * 15 + 6 * v[2] + v[3]) * 19) >> 9
    two = ((v[0] + 6 * v[1] - v[2] * 15 + v[3] * 8) * 19) >> 9
    return max(abs(one), abs(two))


def _steps(piece: Piece) -> int:
    """How many edges a curve becomes."""
    across, down = _bend(piece, 0), _bend(piece, 1)
    bend = max(across, down) + min(across, down) // 2
    power = ((bend + 16) >> 5).bit_length() // 2
    return 1 << min(MOST, max(1, power) if len(piece) == 3 else power + 1)


def _curved(piece: Piece) -> list[Point]:
    """The ends of a curve's edges, which goes one way down or up; its own ends with them."""
    if piece[0][1] > piece[-1][1]:
        return _curved(piece[::-1])[::-1]
    steps, square = _steps(piece), len(piece) == 3
    (left, top), last = piece[0], snapped(piece[-1][1])
    here, before = (left, snapped(top)), snapped(top)
    moved = before - top
    found = [here]
    for n in range(1, steps):
        x, y = at(piece, n / steps)
        y += moved
        far, before = y - before, y
        if square and far >= 2:
            # long steps of these end on whole rows
            row = min(last, float(math.floor(y + 0.5)))
            slope = (x - here[0]) / (y - here[1]) if y > here[1] else 0.0
            here_next = x + slope * (row - y), row
        else:
            here_next = x, min(last, snapped(y))
        if here_next[1] > here[1]:
            here = here_next
            found.append(here)
    return [*found, (piece[-1][0], last)]


def _parts(piece: Piece, within: tuple[float, float] | None) -> Iterable[Piece]:
    parts: list[Piece] = [piece]
    if len(piece) > 2:
        for axis in (1,) if within is None else (1, 0):
            parts = [one for part in parts for one in _one_way(part, axis)]
    if within is not None:
        for axis in (1, 0):
            for place in (0.0, within[axis]):
                parts = [one for part in parts for one in _cut(part, axis, place)]
    return parts


def edges(loops: Sequence[Loop], width: float, height: float) -> list[list[Point]]:
    """The corners of what the loops of one path enclose, px, in a picture of a size."""
    points = [point for loop in loops for piece in loop for point in piece]
    inside = all(0 <= x <= width and 0 <= y <= height for x, y in points)
    within = None if inside else (width, height)
    found = []
    for loop in filter(None, loops):
        closed = [*loop, (loop[-1][-1], loop[0][0])]
        corners: list[Point] = []
        for piece in closed:
            for part in _parts(piece, within):
                corners += [(x, snapped(y)) for x, y in part] if len(part) == 2 else _curved(part)
        found.append(corners)
    return found
