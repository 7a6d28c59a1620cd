"""Tiles for patterns. Each is drawn so that it meets itself: what leaves on one side comes in on the other."""

import math
from dataclasses import dataclass

SIDE = 100
"""Tiles are drawn on a square of this side."""


@dataclass(frozen=True)
class Tile:
    """A figure on a square of 100 units. `fills` are filled paths, `lines` stroked ones of `thick` units.

    `high` is the tile's height where it is no square.
    """

    id: str
    name: str
    fills: tuple[str, ...] = ()
    lines: tuple[str, ...] = ()
    thick: float = 8
    high: float = SIDE

    def figure(self) -> str:
        """The figure as SVG, filled and stroked in white."""
        found = "".join(f'<path d="{d}"/>' for d in self.fills)
        if self.lines:
            d = "".join(self.lines)
            found += f'<path d="{d}" fill="none" stroke="#fff" stroke-width="{self.thick:g}"/>'
        return found


def _n(value: float) -> str:
    return f"{value:.2f}".rstrip("0").rstrip(".")


def _dot(x: float, y: float, r: float) -> str:
    return f"M{_n(x - r)} {_n(y)}a{_n(r)} {_n(r)} 0 1 0 {_n(2 * r)} 0a{_n(r)} {_n(r)} 0 1 0 {_n(-2 * r)} 0z"


def _around(draw: str, x: float, y: float, reach: float, high: float = SIDE) -> tuple[str, ...]:
    """A path that begins at its own origin, set at x, y and wherever the tile's neighbours let it reach in."""
    places = [(x + dx, y + dy) for dx in (-SIDE, 0, SIDE) for dy in (-high, 0, high)]
    seen = [(px, py) for px, py in places if -reach < px < SIDE + reach and -reach < py < high + reach]
    return tuple(f"M{_n(px)} {_n(py)}{draw}" for px, py in seen)


def _turned(points: list[tuple[float, float]], angle: float) -> str:
    cos, sin = math.cos(math.radians(angle)), math.sin(math.radians(angle))
    moves = [(x * cos - y * sin, x * sin + y * cos) for x, y in points]
    steps = "".join(f"l{_n(x)} {_n(y)}" for x, y in moves[1:])
    return f"m{_n(moves[0][0])} {_n(moves[0][1])}{steps}z"


def _leaf(length: float, width: float, angle: float) -> str:
    """A pointed leaf from its stalk on, by two curves."""
    cos, sin = math.cos(math.radians(angle)), math.sin(math.radians(angle))

    def at(along: float, aside: float) -> str:
        return f"{_n(along * cos - aside * sin)} {_n(along * sin + aside * cos)}"

    there = f"c{at(length * 0.3, width)} {at(length * 0.75, width * 0.8)} {at(length, 0)}"
    back = f"c{at(-length * 0.25, -width * 0.8)} {at(-length * 0.7, -width)} {at(-length, 0)}"
    return there + back + "z"


def _scattered(draws: list[str], places: list[tuple[float, float]], reach: float) -> tuple[str, ...]:
    return tuple(p for d, (x, y) in zip(draws, places, strict=True) for p in _around(d, x, y, reach))


_LEAVES = [_leaf(26, 8, a) for a in (20, 140, 260, 75, 200, 320)]
_PLACES = [(14.0, 18.0), (61.0, 9.0), (38.0, 52.0), (86.0, 44.0), (12.0, 83.0), (68.0, 80.0)]
_BAR = [(-9.0, -3.0), (18.0, 0.0), (0.0, 6.0), (-18.0, 0.0)]
_TRIANGLE = [(0.0, -11.0), (10.0, 18.0), (-20.0, 0.0)]
_BARS = [_turned(_BAR, a) for a in (15, 80, 130, 170, 50, 105)]
_CHIPS = [_turned(_TRIANGLE, a) for a in (0, 50, 100, 35, 80, 15)]
_SPRIG = [(_leaf(26, 8, a), y) for y in (74, 56) for a in (-140, -40)] + [(_leaf(24, 8, -90), 42)]


def _frond() -> tuple[str, ...]:
    """A stem with leaflets to both sides, growing upwards from tile to tile."""
    found: list[str] = []
    for n in range(5):
        y = 10 + 20 * n
        for angle in (-38, 180 + 38):
            found.extend(_around(_leaf(34, 8, angle), 50, y, 40))
    return tuple(found)


def _rings() -> tuple[str, ...]:
    """Rings that reach into one another, a scale-like lattice."""
    return tuple(p for r in (46, 28) for x, y in ((0, 0), (50, 50)) for p in _ring(x, y, r))


def _ring(x: float, y: float, r: float) -> tuple[str, ...]:
    return tuple(
        _dot(x + dx, y + dy, r)
        for dx in (-100, 0, 100)
        for dy in (-100, 0, 100)
        if -r < x + dx < 100 + r and -r < y + dy < 100 + r
    )


def _scales() -> tuple[str, ...]:
    rows = [(50, -50), (0, 0), (50, 50)]
    return tuple(f"M{x + dx - 50} {y + dy}a50 50 0 0 0 100 0" for x, y in rows for dx in (-100, 0, 100) for dy in (0,))


def _hexagons() -> tuple[str, ...]:
    """The edges of a honeycomb; its height is the square root of three times its width over one and a half."""
    third = 173.2 / 6
    return (
        f"M0 {_n(third)}L50 0L100 {_n(third)}V{_n(3 * third)}L50 {_n(4 * third)}L0 {_n(3 * third)}V{_n(third)}",
        f"M50 {_n(4 * third)}V{_n(6 * third)}",
        f"M0 {_n(7 * third)}L50 {_n(6 * third)}L100 {_n(7 * third)}",
        f"M50 {_n(-2 * third)}V0",
    )


_ALL = (
    Tile("dots", "Dots", (_dot(50, 50, 22),)),
    Tile("dots-offset", "Dots, set off", (*_ring(0, 0, 15), _dot(50, 50, 15))),
    Tile("pinpricks", "Pinpricks", (_dot(50, 50, 9),)),
    Tile("rings", "Rings", (), (_dot(50, 50, 30),), 9),
    Tile("ripples", "Ripples", (), _rings(), 5),
    Tile("mesh", "Fine mesh", (), ("M0 0L100 100M100 0L0 100",), 9),
    Tile("grid", "Grid", (), ("M50 0V100M0 50H100",), 7),
    Tile("stripes", "Stripes", ("M0 0H100V50H0z",)),
    Tile("pinstripes", "Pinstripes", ("M0 0H100V12H0z",)),
    Tile("slanted", "Slanted stripes", ("M0 100L100 0H50L0 50zM100 100V50L50 100z",)),
    Tile("chequers", "Chequers", ("M0 0H50V50H0zM50 50H100V100H50z",)),
    Tile("waves", "Waves", (), ("M-50 50C-33 85 -17 85 0 50S33 15 50 50S83 85 100 50S133 15 150 50",), 12),
    Tile("zigzag", "Zigzag", (), ("M-10 60L0 50L25 25L50 50L75 75L100 50L110 40",), 12),
    Tile("scales", "Scales", (), _scales(), 7),
    Tile("honeycomb", "Honeycomb", (), _hexagons(), 8, 173.2),
    Tile("crosses", "Crosses", ("M42 22H58V42H78V58H58V78H42V58H22V42H42z",)),
    Tile("lozenges", "Lozenges", ("M50 10L82 50L50 90L18 50z",)),
    Tile("leaves", "Scattered leaves", _scattered(_LEAVES, _PLACES, 30)),
    Tile("fronds", "Fronds", _frond(), ("M50 0V100",), 4),
    Tile("crumbs", "Scattered bars", _scattered(_BARS, _PLACES, 16)),
    Tile("chips", "Scattered chips", _scattered(_CHIPS, _PLACES, 18)),
    Tile("seeds", "Seeds", tuple(p for x, y in _PLACES for p in _ring(x, y, 5))),
    Tile("sprigs", "Sprigs", tuple(f"M50 {y}{leaf}" for leaf, y in _SPRIG), ("M50 90V40",), 4),
    Tile("bricks", "Bricks", (), ("M0 0H100M0 50H100M25 0V50M75 50V100M0 100H100",), 6),
)
TILES = {tile.id: tile for tile in _ALL}
"""Every tile by its id."""
