"""Words in their situations, and a change tried on them: what every remedy is judged by."""

import threading
from collections import deque
from collections.abc import Callable, Iterable
from dataclasses import replace
from functools import cached_property

from ..colour.contrast import is_light
from ..document import Area, Asset, Block, ImageLayer, Page, Site, each_block, with_backdrop
from ..reading import Reader, Reading, Situation, situations
from ..resolve.records import PageRecord
from .fills import fill_of
from .trial import Fallen, Tried, quotient

Colours = Callable[[Asset], tuple[str, ...]]
"""A picture's main colours."""
LATELY = 24
"""So many trials are kept as far as they are."""


class Trial(Tried):
    """A page with a change, by one block of its words."""

    def __init__(self, plight: "Plight", page: Page) -> None:
        super().__init__(plight.reader, plight.site, page)
        self.plight = plight

    def reading(self, situation: Situation) -> Reading | None:
        """The reading of the words; None where they are not to be seen."""
        return self.reading_of(self.plight.block.id, situation)

    def share(self, situation: Situation) -> float:
        """How far the words are from what is required in a situation: see `share_of`."""
        return self.share_of(self.plight.block.id, situation)

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


def areas_around(page: Page, record: PageRecord, block: str) -> tuple[Area, ...]:
    """The areas that words stand in, the outermost first."""
    found = (page.area(a.id) for a in record.areas if block in a.blocks)
    return tuple(area for area in found if area is not None)


def ground_among(areas: Iterable[Area]) -> Area | None:
    """The innermost area that has a picture; otherwise the innermost that has anything."""
    around = list(areas)
    pictured = [a for a in around if any(layer.assets() for layer in a.backdrop.layers)]
    painted = [a for a in around if a.backdrop.layers or a.backdrop.base]
    return next(reversed(pictured or painted or around), None)


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
        return frozenset(self.present.falling(self.situations))

    def spares(self, trial: Trial) -> bool:
        """Whether no words of the page fall short with a change that did not before."""
        own = {(self.block.id, s.id) for s in self.situations}
        return next(trial.falling(self.situations, self.short_now | own), None) is None

    @cached_property
    def areas(self) -> tuple[Area, ...]:
        """The areas that the words stand in, the outermost first."""
        first = next((s for s in self.order), None)
        return () if first is None else areas_around(self.page, self.present.record(first), self.block.id)

    @cached_property
    def ground(self) -> Area | None:
        """The innermost area around the words that has a picture; otherwise the innermost that has anything."""
        return ground_among(a for a in self.areas if a.id != self.block.id)

    @property
    def pictures(self) -> tuple[ImageLayer, ...]:
        """The pictures of that area, topmost last."""
        layers = self.ground.backdrop.layers if self.ground else ()
        return tuple(picture for layer in layers for picture in layer.pictures())

    @property
    def fill(self) -> str:
        """The colour that the letters are read by."""
        return fill_of(self.block)

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
