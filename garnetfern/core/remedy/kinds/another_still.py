"""Another moment stands for a film before it plays and under less motion: one over which the words can be read."""

from collections.abc import Iterator

from ...document import VideoLayer, with_backdrop
from ..plight import Plight
from ..remedy import Proposal
from ..trial import quotient

ORDER = 13
TITLE = "Another still"


def _moments(film: VideoLayer) -> list[float]:
    """Moments that may stand for it: the beginning and the middle of each stretch, s of the film."""
    times = sorted({t for phase in film.phases() for t in (phase.start, phase.middle)})
    return [round(film.start + time, 2) for time in times]


def found(plight: Plight) -> Iterator[Proposal]:
    """For each film behind the words, the moment over which they fare best, where that suffices."""
    if not plight.may("picture"):
        return
    for area in plight.areas:
        for film in (film for layer in area.backdrop.layers for film in layer.films()):
            best: tuple[float, Proposal] | None = None
            for moment in _moments(film):
                layer = film.model_copy(update={"still": moment})
                layers = tuple(layer if x.id == film.id else x for x in area.backdrop.layers)
                page = with_backdrop(plight.start, area.id, area.backdrop.model_copy(update={"layers": layers}))
                trial = plight.trial(page)
                resting = [s for s in plight.order if s.at_rest or s.moment.less_motion]
                readings = [r for r in map(trial.reading, resting) if r is not None]
                fares = min(map(quotient, readings), default=0.0)
                if fares >= 1 and (best is None or fares > best[0]) and moment != film.still:
                    sentence = f"The still of {film.name} is its moment at {moment:g} s.{plight.note}"
                    best = fares, Proposal("another_still", page, sentence, True, 1.0)
            if best is not None and plight.trial(best[1].page).suffices():
                yield best[1]
