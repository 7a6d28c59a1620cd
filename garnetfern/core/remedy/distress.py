"""An area whose words fall short, and a change tried on all of them at once: what an idea for a whole area is judged
by."""

import threading
from collections import Counter, deque
from collections.abc import Callable, Collection, Iterable
from dataclasses import dataclass, replace
from functools import cached_property

from ..colour.contrast import is_light
from ..colour.notation import parse_colour
from ..document import Area, Band, Block, Page, each_block, with_backdrop
from ..reading import Situation, situations
from ..resolve.records import PageRecord
from .fills import colours_of, fill_of, filled
from .plight import LATELY, Colours
from .tone import shade_tone
from .trial import Tried

Case = tuple[str, Situation]
"""A block, by its id, and a situation in which it is met."""
PAPER = {True: "#ffffff", False: "#17211b"}
"""The letters of an area that has none of its tone yet: light ones and dark ones."""


def _on_its_own(block: Block) -> bool:
    """Whether its plate hides what lies behind it."""
    base = block.plate.backdrop.base if block.plate else None
    return base is not None and parse_colour(base).alpha >= 1


class AreaTrial(Tried):
    """A page with a change, by all words of one area."""

    def share(self, case: Case) -> float:
        """How far words are from what is required in a situation: see `share_of`."""
        return self.share_of(*case)

    def meets(self, cases: Iterable[Case]) -> bool:
        """Whether all of these reach what is required."""
        return all(self.share(case) >= 1 for case in cases)


@dataclass(frozen=True)
class Beginning:
    """The cases of an area's words, and a page that is changed until they can be read: what `search.least` takes."""

    order: tuple[Case, ...]
    start: Page
    trial: Callable[[Page], AreaTrial]


class Distress:
    """The words of one area.

    `order`: every block of words that stands on the area's ground in every situation, beginning with those that fare
    worst; a change, which takes long to look at, is there as the moment at which they fare worst now, and in `changes`
    as it is; `whole`: in both. `start`: the page that ideas begin with, whose words are all light or all dark there,
    over a base that bears them; `recoloured` says how many blocks that took.
    """

    def __init__(self, present: AreaTrial, area: Area, colours: Colours, whole: bool = False) -> None:
        self.reader, self.site, self.page, self.area = present.reader, present.site, present.page, area
        self.present, self.colours = present, colours
        self.situations = situations(self.site, self.page, None)
        self.rest = [s for s in self.situations if s.at_rest]
        self._tried: deque[AreaTrial] = deque(maxlen=LATELY)
        self._lately = threading.Lock()
        self.words = self._standing_here()
        cases = [(b, s) for s in self.situations for b in self.words]
        self.changes: tuple[Case, ...] = tuple(case for case in cases if case[1].until is not None)
        single = ((b, self.present.moment_of(b, s)) for b, s in cases)
        order = sorted(single, key=self.present.share)
        self.order: tuple[Case, ...] = (*order, *self.changes) if whole else tuple(order)
        self.start, self.recoloured = self._one_tone()

    def _standing_here(self) -> tuple[str, ...]:
        blocks = {b.id: b for b in self.page.blocks() if b.lettered and not _on_its_own(b)}
        found: dict[str, None] = {}
        for situation in self.rest:
            record = self.present.record(situation)
            area = record.area(self.area.id)
            vouched = {b.id for b in record.blocks() if b.words and b.lines and not b.doubts}
            inner = {b for a in record.areas if a.kind == "band" and self._hides(a.id) for b in a.blocks}
            found |= dict.fromkeys(b for b in (area.blocks if area else ()) if b in blocks and b in vouched - inner)
        return tuple(found)

    def _hides(self, band: str) -> bool:
        """Whether a band of a joined area has an opaque ground of its own."""
        area = self.page.area(band)
        base = area.backdrop.base if area is not None and area.id != self.area.id else None
        return base is not None and parse_colour(base).alpha >= 1

    @cached_property
    def short(self) -> tuple[Case, ...]:
        """What falls short as things are."""
        return tuple(case for case in self.order if self.present.share(case) < 1)

    def trial(self, page: Page) -> AreaTrial:
        """A change to be tried; one that was asked for lately is as far as it was."""
        if page is self.page:
            return self.present
        with self._lately:
            known = next((t for t in self._tried if t.page is page), None)
            if known is None:
                known = AreaTrial(self.reader, self.site, page)
                self._tried.append(known)
            return known

    def at(self, page: Page) -> "Beginning":
        """What a change is sought for that begins with another page."""
        return Beginning(self.order, page, self.trial)

    def suffices(self, page: Page) -> bool:
        """Whether all words of the area can be read on a page in every situation, as far as `order` tells."""
        return self.trial(page).meets(self.order)

    def holds(self, page: Page) -> bool:
        """The same for whole changes too."""
        return self.suffices(page) and self.trial(page).meets(self.changes)

    def block(self, name: str, page: Page | None = None) -> Block:
        """A block of the page."""
        return next(b for b in (page or self.page).blocks() if b.id == name)

    def bands(self) -> tuple[Band, ...]:
        """The bands whose words stand here."""
        return tuple(b for b in self.page.bands if any(block.id in self.words for block in b.blocks()))

    def of_bands(self, bands: Collection[str]) -> tuple[str, ...]:
        """The words that stand in some of the bands."""
        inside = {block.id for b in self.page.bands if b.id in bands for block in b.blocks()}
        return tuple(name for name in self.words if name in inside)

    def records(self, screen: str, larger: bool) -> list[PageRecord]:
        """How the page is laid out on a screen: at rest and on the narrowest viewport that it stands for; `larger`:
        in all other situations too."""
        found: dict[int, PageRecord] = {}
        narrowest = next(s for s in self.site.screens if s.id == screen)
        for situation in self.situations:
            if situation.screen != screen or situation.moment.printed or situation.until is not None:
                continue
            wanted = [situation] if larger or situation.at_rest else []
            if situation.at_rest and narrowest.least > narrowest.width // 2:
                wanted.append(situation.at(replace(situation.moment.viewport, width=narrowest.least)))
            records = map(self.present.record, wanted)
            found |= {id(record): record for record in records}
        return list(found.values())

    @cached_property
    def light(self) -> bool:
        """Whether most of what the words cover is covered by light ones."""
        lean = 0.0
        for situation in self.rest:
            for name in self.words:
                words = self.present.words(name, situation)
                size = sum(line.width * words.size for line in words.lines) if words else 0.0
                lean += size if is_light(fill_of(self.block(name))) else -size
        return lean >= 0

    @cached_property
    def colour(self) -> str:
        """The letters' colour that odd words are given: the one that most of the others have."""
        same = [fill_of(self.block(name)) for name in self.words]
        same = [colour for colour in same if is_light(colour) == self.light]
        return Counter(same).most_common(1)[0][0] if same else PAPER[self.light]

    @cached_property
    def own_colours(self) -> tuple[str, ...]:
        """The main colours of the pictures behind the words."""
        found: dict[str, None] = {}
        for layer in reversed(self.area.backdrop.layers):
            for picture in layer.pictures():
                found |= dict.fromkeys(self.colours(self.site.asset(picture.asset)))
        return tuple(found)

    @cached_property
    def tone(self) -> str:
        """The colour of shades and plates here: the picture's own dark, or its own light behind dark words."""
        return shade_tone(self.own_colours, self.site.palette, self.light)

    def may(self, what: str) -> bool:
        """Whether all words here let it be changed: colour, place or picture."""
        return not any(what in self.block(name).keep for name in self.words)

    def with_layers(self, page: Page, layers: Iterable[object]) -> Page:
        """A page whose area has other layers."""
        area = page.area(self.area.id) or self.area
        return with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": tuple(layers)}))

    def with_base(self, page: Page, colour: str) -> Page:
        """A page whose area has another base."""
        area = page.area(self.area.id) or self.area
        return with_backdrop(page, area.id, area.backdrop.model_copy(update={"base": colour}))

    def borne(self, page: Page) -> Page:
        """A page whose base bears the words where no picture is there: the shade's own tone where the present fails."""
        bare = [case for case in self.order if case[1].moment.missing]
        if self.trial(page).meets(bare):
            return page
        other = self.with_base(page, self.tone)
        return other if self.trial(other).meets(bare) else page

    def _one_tone(self) -> tuple[Page, int]:
        odd = [n for n in self.words if any(self._other_tone(colour) for colour in colours_of(self.block(n)))]
        odd = [n for n in odd if "colour" not in self.block(n).keep]
        page = self.page
        if odd:
            page = each_block(page, lambda b: self._toned(b) if b.id in odd else b)
        return self.borne(page), len(odd)

    def _other_tone(self, colour: str) -> bool:
        return is_light(colour) != self.light

    def _toned(self, block: Block) -> Block:
        """Of the colour of most words, or of its own where its phrases alone were of the other tone."""
        own = fill_of(block)
        return filled(block, self.colour if self._other_tone(own) else own)
