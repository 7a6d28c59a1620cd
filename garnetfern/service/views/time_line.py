"""The time line of a layer that moves by itself: the worst reading over one period, and what is there when."""

from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.errors import NotFoundError
from ...core.reading import Reader
from ...core.reading.times import TimePoint, TimeRun
from .check import floored


class TimePhase(TypedDict):
    """A phase of the movement: s from the beginning of a period; it stays as it is where both are equal."""

    id: str
    name: str
    start: float
    end: float


class TimeMoment(TypedDict):
    """The worst reading at a time, s."""

    time: float
    block: str
    screen: str
    ratio: float
    shown: str
    required: float
    meets: bool


class TimeLine(TypedDict):
    """One period, s, what it goes through, the readings in it, and what they come to."""

    layer: str
    period: float
    phases: list[TimePhase]
    points: list[TimeMoment]
    sentence: str
    good: bool


def _moment(point: TimePoint) -> TimeMoment:
    return {
        "time": round(point.time, 4),
        "block": point.block,
        "screen": point.screen,
        "ratio": round(point.ratio, 3),
        "shown": floored(point.ratio),
        "required": point.required,
        "meets": point.quotient >= 1,
    }


def _sentence(points: list[TimePoint], phases: list[TimePhase], site: Site) -> str:
    """When words fall short, if they do."""
    if not points:
        return "There are no words here whose readings could follow the time."
    least = min(points, key=lambda p: p.quotient)
    resting = {p["start"] for p in phases if p["start"] == p["end"]}
    # one that stays is named rather than the change into it, where both are as bad
    alike = [p for p in points if p.quotient <= least.quotient * 1.01]
    worst = next((p for p in alike if p.time in resting), least)
    when = min(phases, key=lambda p: max(p["start"] - worst.time, worst.time - p["end"], 0.0))
    screen = next(s.name.lower() for s in site.screens if s.id == worst.screen)
    said = when["name"] if when["start"] == when["end"] else f"{when['name']}, at {worst.time:.1f} s"
    figures = f"{floored(worst.ratio)} of {worst.required:g}"
    if worst.quotient >= 1:
        return f"Readable at every moment: {figures} at the least."
    everywhere = "At every moment; worst: " if all(p.quotient < 1 for p in points) else ""
    return f"{everywhere}{figures}, short: {said}, {screen}."


def time_line(reader: Reader, site: Site, page: Page, area_id: str, layer_id: str) -> TimeLine:
    """The time line of a layer. Raises NotFoundError where it does not move."""
    area = page.area(area_id)
    layer = next((x for x in (area.backdrop.layers if area else ()) if x.id == layer_id), None)
    period = layer.period() if layer is not None else None
    if layer is None or period is None:
        raise NotFoundError(f"There is nothing that moves called {layer_id!r} on this area.")
    phases: list[TimePhase] = [p._asdict() for p in layer.phases()]  # type: ignore[misc]
    points = TimeRun(reader, site, page, area_id, layer).run() if layer.visible else []
    return {
        "layer": layer.id,
        "period": period,
        "phases": phases,
        "points": [_moment(p) for p in points],
        "sentence": _sentence(points, phases, site),
        "good": bool(points) and all(p.quotient >= 1 for p in points),
    }
