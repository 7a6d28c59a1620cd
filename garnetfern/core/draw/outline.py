"""Paths of SVG (SVG 2, chapter 9) as what they enclose: filled ones as they are, stroked ones by the outline of their
stroke. Arcs become curves of the second degree, as few as stay within a quarter of a px."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import pairwise

from fontTools.misc.transform import Identity, Transform
from fontTools.svgLib.path.arc import EllipticalArc
from fontTools.svgLib.path.parser import parse_path

from .edges import Loop, Piece, Point

NEAR = 0.25
"""As near a curve stays to what it stands for, px."""
THIRD = 2 * math.pi / 3
"""An arc is taken in parts of a third of a turn at the most."""
MITRE = 4.0
"""Sharper corners of strokes are cut off (SVG 2, section 13.5.5: the initial stroke-miterlimit)."""
SAME = 1e-6


class _Arc(EllipticalArc):  # type: ignore[misc]
    """An arc as conic sections."""

    def draw(self, pen: "_Pen") -> None:
        """By parts of a third of a turn at the most."""
        if not self._parametrize():
            pen.lineTo((self.target_point.real, self.target_point.imag))
            return
        parts = math.ceil(abs(self.theta_arc) / THIRD - SAME)
        step = self.theta_arc / parts
        frame = Identity.rotate(self.angle).scale(self.rx, self.ry).translate(*_pair(self.center_point))
        weight, reach = math.cos(step / 2), math.tan(step / 2)
        for n in range(parts):
            angle = self.theta1 + (n + 1) * step
            x, y = math.cos(angle), math.sin(angle)
            corner = frame.transformPoint((x + reach * y, y - reach * x))
            pen.conic(corner, frame.transformPoint((x, y)), weight)


def _pair(value: complex) -> Point:
    return value.real, value.imag


@dataclass(frozen=True)
class _Curve:
    """A line or a curve of a path; `weight` is that of its corner, which is 1 but for conic sections."""

    points: Piece
    weight: float = 1.0

    def moved(self, by: Transform) -> list[Piece]:
        """Moved to px, a conic section by curves of the second degree."""
        points = tuple(by.transformPoint(point) for point in self.points)
        return [points] if self.weight == 1 else quadratic(points, self.weight)

    def beside(self, share: float, far: float) -> tuple[Point, Point]:
        """A point so far to its left at a parameter, and the direction there."""
        heavy = [(x, y, 1.0) for x, y in self.points]
        if self.weight != 1:
            heavy[1] = (heavy[1][0] * self.weight, heavy[1][1] * self.weight, self.weight)
        while len(heavy) > 2:
            heavy = [
                (a + (d - a) * share, b + (e - b) * share, c + (f - c) * share)
                for (a, b, c), (d, e, f) in pairwise(heavy)
            ]
        (a, b, c), (d, e, f) = heavy
        across, down = d / f - a / c, e / f - b / c
        long = math.hypot(across, down) or 1.0
        across, down = across / long, down / long
        weight = c + (f - c) * share
        x, y = (a + (d - a) * share) / weight, (b + (e - b) * share) / weight
        return (x + far * down, y - far * across), (across, down)


@dataclass
class _Pen:
    """Collects a path's curves; `closed` are the loops that end where they begin, by their numbers."""

    loops: list[list[_Curve]] = field(default_factory=list)
    closed: set[int] = field(default_factory=set)
    here: Point = (0.0, 0.0)
    start: Point = (0.0, 0.0)

    def _add(self, *points: Point, weight: float = 1.0) -> None:
        if len(points) > 1 or points[0] != self.here:
            self.loops[-1].append(_Curve((self.here, *points), weight))
        self.here = points[-1]

    def moveTo(self, to: Point) -> None:  # noqa: N802
        """Begin anew."""
        self.here = self.start = to
        self.loops.append([])

    def lineTo(self, to: Point) -> None:  # noqa: N802
        """A line."""
        self._add(to)

    def curveTo(self, one: Point, two: Point, to: Point) -> None:  # noqa: N802
        """A curve of the third degree."""
        self._add(one, two, to)

    def conic(self, corner: Point, to: Point, weight: float) -> None:
        """A conic section with this corner and weight."""
        self._add(corner, to, weight=weight)

    def closePath(self) -> None:  # noqa: N802
        """Back to where it began."""
        self._add(self.start)
        self.closed.add(len(self.loops) - 1)

    def endPath(self) -> None:  # noqa: N802
        """It stays open."""


def quadratic(conic: Piece, weight: float) -> list[Piece]:
    """A conic section by curves of the second degree: halved until they are NEAR."""
    (ax, ay), (bx, by), (cx, cy) = conic
    off = abs((weight - 1) / (4 * (1 + weight))) * math.hypot(ax - 2 * bx + cx, ay - 2 * by + cy)
    times = 0
    while off > NEAR and times < 5:
        off /= 4
        times += 1
    return _halved(conic, weight, times)


def _halved(conic: Piece, weight: float, times: int) -> list[Piece]:
    if times == 0:
        return [conic]
    a, b, c = conic
    scale = 1 / (1 + weight)
    one = (a[0] + weight * b[0]) * scale, (a[1] + weight * b[1]) * scale
    two = (weight * b[0] + c[0]) * scale, (weight * b[1] + c[1]) * scale
    middle = (one[0] + two[0]) / 2, (one[1] + two[1]) / 2
    inner = math.sqrt((1 + weight) / 2)
    return _halved((a, one, middle), inner, times - 1) + _halved((middle, two, c), inner, times - 1)


def _drawn(path: str) -> _Pen:
    pen = _Pen()
    parse_path(path, pen, arc_class=_Arc)
    return pen


def filled(path: str, moved: Transform) -> list[Loop]:
    """What a path encloses, moved by a transform to px."""
    return [[piece for curve in loop for piece in curve.moved(moved)] for loop in _drawn(path).loops]


def stroked(path: str, thick: float, moved: Transform) -> list[Loop]:
    """What a path's stroke encloses, moved by a transform to px: flat ends, corners with a mitre."""
    loops: list[Loop] = []
    near = NEAR / math.sqrt(abs(moved[0] * moved[3] - moved[1] * moved[2]))
    pen = _drawn(path)
    for number, curves in enumerate(pen.loops):
        if not curves:
            continue
        closed = number in pen.closed
        one, other = (_side(curves, closed, side * thick / 2, near) for side in (1, -1))
        other = [piece[::-1] for piece in reversed(other)]
        loops += [one, other] if closed else [[*one, (one[-1][-1], other[0][0]), *other]]
    return [[tuple(moved.transformPoint(point) for point in piece) for piece in loop] for loop in loops]


def _meeting(one: Point, way: Point, other: Point, other_way: Point) -> Point | None:
    """Where two lines meet, each through a point in a direction; None where they are parallel."""
    turn = way[0] * other_way[1] - way[1] * other_way[0]
    if abs(turn) < SAME:
        return None
    far = ((other[0] - one[0]) * other_way[1] - (other[1] - one[1]) * other_way[0]) / turn
    return one[0] + far * way[0], one[1] + far * way[1]


def _offset(curve: _Curve, far: float, near: float, span: tuple[float, float] = (0, 1), depth: int = 5) -> list[Piece]:
    """A curve's parallel, so far to its left: by curves of the second degree that stay near."""
    (one, way), (other, other_way) = (curve.beside(share, far) for share in span)
    corner = _meeting(one, way, other, other_way)
    if len(curve.points) == 2 or (depth == 0 and corner is None):
        return [(one, other)]
    middle = (span[0] + span[1]) / 2
    if corner is not None:
        shown = [(one[n] + 2 * corner[n] + other[n]) / 4 for n in (0, 1)]
        ahead = (corner[0] - one[0]) * way[0] + (corner[1] - one[1]) * way[1] > 0
        if depth == 0 or (ahead and math.dist(shown, curve.beside(middle, far)[0]) <= near):
            return [(one, corner, other)]
    halves = ((span[0], middle), (middle, span[1]))
    return [piece for half in halves for piece in _offset(curve, far, near, half, depth - 1)]


def _side(curves: Sequence[_Curve], closed: bool, far: float, near: float) -> list[Piece]:
    """One side of a stroke, with its corners."""
    found: list[Piece] = []
    for n, curve in enumerate(curves):
        if n or closed:
            found += _corner(curve.points[0], curves[n - 1].beside(1, far), curve.beside(0, far), far)
        found += _offset(curve, far, near)
    return found


def _corner(pivot: Point, end: tuple[Point, Point], start: tuple[Point, Point], far: float) -> list[Piece]:
    """From the end of one curve's side to the start of the next one's."""
    (one, way), (other, other_way) = end, start
    mitre = _meeting(one, way, other, other_way)
    if mitre is None:
        return []
    if (way[0] * other_way[1] > way[1] * other_way[0]) == (far < 0):
        return [(one, pivot), (pivot, other)]
    half = math.sqrt(max(SAME, (1 + way[0] * other_way[0] + way[1] * other_way[1]) / 2))
    return [(one, mitre), (mitre, other)] if 1 / half <= MITRE else [(one, other)]
