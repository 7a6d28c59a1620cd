"""Words in their situations, and a change tried on them: what every remedy is judged by."""

import math
import threading
from collections import deque
from collections.abc import Callable, Collection, Iterator
from dataclasses import replace
from functools import cached_property

from ..colour.contrast import is_light, required_ratio
from ..document import Area, Asset, Block, ImageLayer, Page, Site, each_block, with_backdrop
from ..reading import Reader, Reading, Situation, situations
from ..resolve.records import BlockRecord, PageRecord

Colours = Callable[[Asset], tuple[str, ...]]
"""A picture's main colours."""
Fallen = tuple[str, str]
"""A block and the situation in which it falls short, by their ids."""
LATELY = 24
"""So many trials are kept as far as they are."""


def quotient(reading: Reading) -> float:
    """How far a reading is from what is required: 1 where it just meets it."""
    return float("inf") if reading.ratio is None else reading.ratio / reading.required


class Trial:
    """A page with a change, laid out and read where it is asked for."""

    def __init__(self, plight: "Plight", page: Page) -> None:
        self.plight, self.page = plight, page
        self._met = plight.reader.met(plight.site, page)
        self._shares: dict[tuple[str, Situation], float] = {}

    def record(self, situation: Situation) -> PageRecord:
        """The page as it is laid out in a situation."""
        return self._met.at(situation.moment)

    def _read(self, situation: Situation, words: BlockRecord) -> Reading | None:
        return self.plight.reader.meet(self._met, words.id, situation, self.plight.site.requirement)

    def reading(self, situation: Situation) -> Reading | None:
        """The reading of the words; None where they are not to be seen."""
        words = next((b for b in self.record(situation).blocks() if b.id == self.plight.block.id), None)
        return self._read(situation, words) if words is not None and words.lines else None

    def share(self, situation: Situation) -> float:
        """How far the words are from what is required in a situation, as `quotient` tells it of their reading; without
        all the rest that a reading says. Infinite where they are not to be seen."""
        words = next((b for b in self.record(situation).blocks() if b.id == self.plight.block.id), None)
        return math.inf if words is None else self._share(situation, words)

    def _share(self, situation: Situation, words: BlockRecord) -> float:
        place = words.id, situation
        if place not in self._shares:
            self._shares[place] = self._looked_at(situation, words)
        return self._shares[place]

    def _looked_at(self, situation: Situation, words: BlockRecord) -> float:
        if not words.lines:
            return math.inf
        if situation.until is not None or situation.scrolls:
            reading = self._read(situation, words)
            return math.inf if reading is None else quotient(reading)
        ratio = self.plight.reader.ratio(self.record(situation), words)
        required = required_ratio(words.size / situation.moment.enlarged, words.weight, self.plight.site.requirement)
        return math.inf if ratio is None else ratio / required

    def meets(self, situation: Situation, spare: float = 1.0) -> bool:
        """Whether the words reach what is required in a situation, `spare` times."""
        return self.share(situation) >= spare

    def suffices(self) -> bool:
        """Whether the words can be read in every situation; those that were worst are looked at first."""
        return all(self.meets(situation) for situation in self.plight.order)

    def worst(self) -> tuple[Reading, Situation] | None:
        """The reading of the words that is furthest from what is required, and its situation."""
        found = min(self.plight.order, key=self.share, default=None)
        reading = None if found is None else self.reading(found)
        return None if found is None or reading is None else (reading, found)

    def falling(self, but: Collection[Fallen] = ()) -> Iterator[Fallen]:
        """The blocks of the page that fall short, each with the situation; `but`: those that nobody asks for."""
        for situation in self.plight.situations:
            for words in self.record(situation).blocks():
                if words.words and (words.id, situation.id) not in but and self._share(situation, words) < 1:
                    yield words.id, situation.id


def _worst_place(situation: Situation, reading: Reading) -> tuple[Situation, ...]:
    """The one place at which a page is worst that was read all of its way."""
    if reading.scroll is None:
        return ()
    return (replace(situation.on_the_way(reading.scroll), id=f"{situation.id}-worst"),)


class Plight:
    """One block of words on a page.

    `order`: the situations, beginning with those in which it fares worst. `start` is the page that remedies begin with,
    and `note` what was changed there already: the base, where the words cannot be read with the picture missing.
    """

    def __init__(self, reader: Reader, site: Site, page: Page, block: Block, colours: Colours) -> None:
        self.reader, self.site, self.page, self.block = reader, site, page, block
        self._colours = colours
        self.start, self.note = page, ""
        self.situations = situations(site, page, None)
        self.order: tuple[Situation, ...] = self.situations
        self.present = Trial(self, page)
        self._tried: deque[Trial] = deque(maxlen=LATELY)
        self._lately = threading.Lock()
        now = {s.id: self.present.reading(s) for s in self.situations}
        seen = [(s, reading) for s in self.situations if (reading := now[s.id]) is not None]
        seen.sort(key=lambda pair: quotient(pair[1]))
        # what is found for the worst place of a way is tried there first: a whole way takes long to read
        self.order = tuple(s for pair in seen for s in (*_worst_place(*pair), pair[0]))
        self.worst = self.present.worst()
        self.short = self.worst is not None and self.worst[0].falls_short and self.worst[0].vouched

    def anew(self, page: Page) -> "Plight":
        """The same words on a page with other situations."""
        return Plight(self.reader, self.site, page, self.block, self._colours)

    def trial(self, page: Page) -> Trial:
        """A change to be tried. One that was asked for lately is as far as it was: a search tries what it has found,
        its kind asks whether other words suffer by it, and it is weighed last."""
        if page is self.page:
            return self.present
        with self._lately:
            known = next((t for t in self._tried if t.page is page), None)
            if known is None:
                known = Trial(self, page)
                self._tried.append(known)
            return known

    @cached_property
    def short_now(self) -> frozenset[Fallen]:
        """What falls short as things are."""
        return frozenset(self.present.falling())

    def spares(self, trial: Trial) -> bool:
        """Whether no words of the page fall short with a change that did not before."""
        own = {(self.block.id, s.id) for s in self.situations}
        return next(trial.falling(self.short_now | own), None) is None

    @cached_property
    def areas(self) -> tuple[Area, ...]:
        """The areas that the words stand in, the outermost first."""
        first = next((s for s in self.order), None)
        if first is None:
            return ()
        record = self.present.record(first)
        inside = [a.id for a in record.areas if self.block.id in a.blocks]
        found = (self.page.area(name) for name in inside)
        return tuple(area for area in found if area is not None)

    @cached_property
    def ground(self) -> Area | None:
        """The innermost area around the words that has a picture; otherwise the innermost that has anything."""
        around = [a for a in self.areas if a.id != self.block.id]
        pictured = [a for a in around if any(layer.assets() for layer in a.backdrop.layers)]
        painted = [a for a in around if a.backdrop.layers or a.backdrop.base]
        return next(reversed(pictured or painted or around), None)

    @property
    def pictures(self) -> tuple[ImageLayer, ...]:
        """The pictures of that area, topmost last."""
        layers = self.ground.backdrop.layers if self.ground else ()
        return tuple(picture for layer in layers for picture in layer.pictures())

    @property
    def fill(self) -> str:
        """The colour that the letters are read by."""
        lettering = self.block.lettering
        return lettering.outline.colour if lettering.hollow and lettering.outline else lettering.colour

    @property
    def light(self) -> bool:
        """Whether the words are light, so that they want a dark ground."""
        return is_light(self.fill)

    @cached_property
    def own_colours(self) -> tuple[str, ...]:
        """The main colours of the pictures behind the words."""
        found: dict[str, None] = {}
        for layer in reversed(self.pictures):
            found |= dict.fromkeys(self._colours(self.site.asset(layer.asset)))
        return tuple(found)

    def may(self, what: str) -> bool:
        """Whether remedies may change this of the words: colour, place or picture."""
        return what not in self.block.keep

    def with_layers(self, page: Page, layers: tuple[object, ...]) -> Page:
        """A page whose pictured area has other layers."""
        if self.ground is None:
            return page
        area = page.area(self.ground.id) or self.ground
        return with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))

    def with_block(self, page: Page, **changes: object) -> Page:
        """A page whose words are changed."""
        return each_block(page, lambda b: b.model_copy(update=changes) if b.id == self.block.id else b)
