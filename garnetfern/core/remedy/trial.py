"""A page with a change, laid out and read where it is asked for."""

import math
from collections.abc import Collection, Iterator

from ..colour.contrast import required_ratio
from ..document import Page, Site
from ..reading import Reader, Reading, Situation
from ..resolve.records import BlockRecord, PageRecord

Fallen = tuple[str, str]
"""A block and the situation in which it falls short, by their ids."""


def quotient(reading: Reading) -> float:
    """How far a reading is from what is required: 1 where it just meets it."""
    return float("inf") if reading.ratio is None else reading.ratio / reading.required


class Tried:
    """A page as it would be. What was read of it is kept as long as it is."""

    def __init__(self, reader: Reader, site: Site, page: Page) -> None:
        self.reader, self.site, self.page = reader, site, page
        self._met = reader.met(site, page)
        self._shares: dict[tuple[str, Situation], float] = {}

    def record(self, situation: Situation) -> PageRecord:
        """The page as it is laid out in a situation."""
        return self._met.at(situation.moment)

    def words(self, block: str, situation: Situation) -> BlockRecord | None:
        """A block of words there; None where it is not to be seen."""
        found = next((b for b in self.record(situation).blocks() if b.id == block), None)
        return found if found is not None and found.lines else None

    def reading_of(self, block: str, situation: Situation) -> Reading | None:
        """The reading of a block of words; None where it is not to be seen."""
        if self.words(block, situation) is None:
            return None
        return self.reader.meet(self._met, block, situation, self.site.requirement)

    def moment_of(self, block: str, situation: Situation) -> Situation:
        """A situation as one moment: of a change, or of a way, the one at which words fare worst; itself otherwise."""
        if situation.until is None or self.words(block, situation) is None:
            return situation
        if not situation.scrolls:
            return self.reader.worst_of(self._met, block, situation)
        reading = self.reading_of(block, situation)
        place = 0.0 if reading is None or reading.scroll is None else reading.scroll
        return situation.on_the_way(place)

    def share_of(self, block: str, situation: Situation) -> float:
        """How far words are from what is required in a situation, as `quotient` tells it of their reading; without
        all the rest that a reading says. Infinite where they are not to be seen."""
        place = block, situation
        if place not in self._shares:
            words = self.words(block, situation)
            self._shares[place] = math.inf if words is None else self._looked_at(situation, words)
        return self._shares[place]

    def _looked_at(self, situation: Situation, words: BlockRecord) -> float:
        if situation.until is not None or situation.scrolls:
            reading = self.reading_of(words.id, situation)
            return math.inf if reading is None else quotient(reading)
        ratio = self.reader.ratio(self.record(situation), words)
        required = required_ratio(words.size / situation.moment.enlarged, words.weight, self.site.requirement)
        return math.inf if ratio is None else ratio / required

    def falling(self, among: Collection[Situation], but: Collection[Fallen] = ()) -> Iterator[Fallen]:
        """The blocks of the page that fall short, each with the situation; `but`: those that nobody asks for."""
        for situation in among:
            for words in self.record(situation).blocks():
                if words.words and (words.id, situation.id) not in but and self.share_of(words.id, situation) < 1:
                    yield words.id, situation.id
