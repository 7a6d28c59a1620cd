"""Where a shade lies on each screen: full behind the words, then fading so slowly that its edge is not seen."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from typing import Literal

from ...colour.notation import parse_colour
from ...document import Gradient, Stop
from ...resolve.records import BlockRecord, PageRecord
from ..distress import Distress

EASE = (
    (0.0, 1.0),
    (0.12, 0.97),
    (0.25, 0.89),
    (0.38, 0.76),
    (0.5, 0.6),
    (0.62, 0.42),
    (0.75, 0.24),
    (0.88, 0.09),
    (1.0, 0.0),
)
"""How a shade fades: the share of the way, and the strength left there. No step of it is seen as an edge."""
ALONG_FADE, ACROSS_FADE = 200.0, 560.0
"""How far it fades upwards or downwards, and sideways, px."""
LEAST_FADE = 1.5
"""The same at the least, times the size of the largest letters."""
WELL_INSIDE = 0.38
"""So far along a fade three quarters of the shade are left."""
MARGIN = 16.0
"""So far beyond the words it is full, px."""
LEAST_GAP = 60.0
"""A shade with less room to fade than this, px, goes over into its neighbour instead: a light line would be seen."""
Anchor = Literal["start", "middle", "end"]
Axis = Literal["down", "across"]
Extent = tuple[float, float, float]
"""Where words begin and end along an area, and how long that is, px."""


@dataclass(frozen=True)
class Span:
    """A stretch along an area, px from its start, its middle or its end; `strength` of the shade there, 0..1.

    With `opens` and `closes` it reaches the area's own edge, so that there is nothing to fade; with `follows` and
    `leads` it goes over into its neighbour, which is too near to fade between them.
    """

    anchor: Anchor
    first: float
    last: float
    fade: float
    opens: bool = False
    closes: bool = False
    follows: bool = False
    leads: bool = False
    strength: float = 1.0

    def at(self, place: float) -> str:
        """A place as a length along the area."""
        if self.anchor == "start":
            return f"{place:.0f}px"
        whole = "100%" if self.anchor == "end" else "50%"
        sign = "-" if place < 0 else "+"
        return f"clamp(-9999px, {whole} {sign} {abs(place):.0f}px, 9999px)"


def _extent(
    record: PageRecord, area: str, words: Sequence[BlockRecord], axis: Axis
) -> tuple[float, float, float] | None:
    """Where lines of words begin and end along their area, and how long that is."""
    box = next((a.box for a in record.areas if a.id == area), None)
    lines = [line for block in words for line in block.lines]
    if box is None or not lines:
        return None
    if axis == "down":
        return (min(x.top for x in lines) - box.y, max(x.top + x.height for x in lines) - box.y, box.height)
    return min(x.x for x in lines) - box.x, max(x.x + x.width for x in lines) - box.x, box.width


def _extents(distress: Distress, words: Sequence[str], screen: str, axis: Axis, larger: bool) -> list[Extent]:
    records = distress.records(screen, larger)
    found = (_extent(r, distress.area.id, [b for b in r.blocks() if b.id in words], axis) for r in records)
    return [extent for extent in found if extent is not None]


def span_of(distress: Distress, words: Sequence[str], screen: str, axis: Axis, soft: bool) -> Span | None:
    """The stretch that words cover on a screen, however they are met there; from where they move least.

    `soft`: full behind words as they are at rest alone, fading so slowly that larger ones are still well inside.
    """
    every = _extents(distress, words, screen, axis, True)
    found = _extents(distress, words, screen, axis, False) if soft else every
    if not every or not found:
        return None
    shares: dict[Anchor, float] = {"start": 0.0, "end": 1.0, "middle": 0.5}
    places = {anchor: _reach(found, share) for anchor, share in shares.items()}
    # of two that serve alike the nearer edge, which is where fewest px can be off
    near: Anchor = "start" if found[0][0] <= found[0][2] - found[0][1] else "end"
    chosen = min(places, key=lambda a: (round(places[a][1] - places[a][0]), a != near))
    first, last = places[chosen]
    outer = _reach(every, shares[chosen])
    size = max(b.size for r in distress.records(screen, False) for b in r.blocks() if b.id in words)
    least = max(LEAST_FADE * size, ALONG_FADE if axis == "down" else ACROSS_FADE)
    fade = max(least, (first - outer[0]) / WELL_INSIDE, (outer[1] - last) / WELL_INSIDE)
    before, after = min(f[0] for f in found), min(f[2] - f[1] for f in found)
    return Span(chosen, first - MARGIN, last + MARGIN, fade, before < least / 2, after < least / 2)


def _reach(extents: Sequence[Extent], share: float) -> tuple[float, float]:
    """The least beginning and the last end, from so far along the area."""
    return min(one - whole * share for one, _, whole in extents), max(e - whole * share for _, e, whole in extents)


def shared(spans: Sequence[tuple[Span, float, float]]) -> list[Span]:
    """Spans from top to bottom, each with where it begins and ends at rest: where two are too near to fade between
    them, they fade faster, and where there is hardly any room, not at all."""
    found = [s for s, _, _ in spans]
    for n, (one, other) in enumerate(pairwise(spans)):
        gap = max(0.0, other[1] - one[2] - 2 * MARGIN) / 2
        near = gap < LEAST_GAP
        found[n] = replace(found[n], fade=min(found[n].fade, gap), closes=False, leads=near)
        found[n + 1] = replace(found[n + 1], fade=min(found[n + 1].fade, gap), opens=False, follows=near)
    return found


def shade(spans: Sequence[Span], tone: str, axis: Axis) -> Gradient:
    """A gradient of one colour that is there behind the words and nowhere else."""
    plain = parse_colour(tone[:7])

    def stop(span: Span, place: float, share: float) -> Stop:
        return Stop(colour=plain.faded(share * span.strength).hex, at=span.at(place))

    stops: list[Stop] = []
    for span in spans:
        if span.opens:
            stops.append(Stop(colour=plain.faded(span.strength).hex, at="0%"))
        else:
            ease = () if span.follows else EASE[1:]
            stops += [stop(span, span.first - way * span.fade, left) for way, left in reversed(ease)]
            stops.append(stop(span, span.first, 1.0))
        if span.closes:
            stops.append(Stop(colour=plain.faded(span.strength).hex, at="100%"))
        else:
            ease = () if span.leads else EASE[1:]
            stops.append(stop(span, span.last, 1.0))
            stops += [stop(span, span.last + way * span.fade, left) for way, left in ease]
    return Gradient(angle=180 if axis == "down" else 90, stops=tuple(stops))
