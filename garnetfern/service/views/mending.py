"""A whole page mended: up to three proposals by one idea each, or every block by itself; and a page that was begun."""

from collections.abc import Iterator
from typing import Any, Literal

from typing_extensions import TypedDict

from ...core.document import Page, Site
from ...core.reading import Reader, Reading, Situation
from ...core.remedy.designs import Designs
from ...core.remedy.ideas import IDEAS
from ...core.remedy.mend import Mended, finished, mend, word_by_word, wording_of
from ...core.remedy.plight import Colours
from ...core.remedy.trial import Tried
from ..runtime.difference import difference
from ..runtime.told import DoingLine, Told, told_lines
from .check import floored
from .remedies import patch_between, spot_of

LEAST = "least"
"""The name of what is no idea: every block by its own best remedy."""


class DoneFor(TypedDict):
    """What was done for which words, or for which area, and how much of the picture it keeps, 0..100."""

    words: str
    sentence: str
    kept: float


class DesignView(TypedDict):
    """A whole page mended. `patch` is the exact change; `left` are words that nothing was found for.

    `was` and `shown` are the contrast before and after at the spot where words fell short most, in `situation`;
    `before` and `after` are pictures (data addresses) of it. `helps` counts the kinds of help that are added; `many`:
    more than a page should have, nothing else sufficing.
    """

    idea: str
    title: str
    patch: list[dict[str, Any]]
    done: list[DoneFor]
    left: list[str]
    kept: float
    helps: int
    many: bool
    words: str
    was: str
    shown: str
    required: float
    situation: str
    before: str
    after: str


class MendedLine(TypedDict):
    """Whole pages, the least costly first; none where every word can be read already."""

    kind: Literal["mended"]
    found: list[DesignView]


class BegunLine(TypedDict):
    """A picture and words put together, and mended where they could not be read: one change of the whole site."""

    kind: Literal["begun"]
    patch: list[dict[str, Any]]
    done: list[DoneFor]
    left: list[str]


def _done(mended: Mended) -> list[DoneFor]:
    return [{"words": d.what, "sentence": d.sentence, "kept": round(d.kept, 1)} for d in mended.done]


class _Shown:
    """Views of what was made of one page."""

    def __init__(self, reader: Reader, site: Site, page: Page, worst: tuple[Reading, Situation]) -> None:
        self.reader, self.site, self.page = reader, site, page
        self.reading, self.situation = worst
        self.before = spot_of(Tried(reader, site, page), self.reading.block, self.situation)

    def view(self, mended: Mended) -> DesignView:
        """One of them."""
        idea = mended.design.idea if mended.design else LEAST
        trial = Tried(self.reader, self.site, mended.page)
        after = trial.reading_of(self.reading.block, self.situation)
        named = next(b for b in self.page.blocks() if b.id == self.reading.block)
        return {
            "idea": idea,
            "title": IDEAS[idea].TITLE if idea in IDEAS else "Least change, block by block",
            "patch": patch_between(self.site, self.page, mended.page),
            "done": _done(mended),
            "left": [wording_of(b) for b in mended.left],
            "kept": round(sum(d.kept for d in mended.done) / len(mended.done), 1) if mended.done else 100.0,
            "helps": len(mended.helps),
            "many": mended.many,
            "words": wording_of(named),
            "was": floored(self.reading.ratio or 0.0),
            "shown": floored(after.ratio or 0.0) if after else "",
            "required": self.reading.required,
            "situation": self.situation.name,
            "before": self.before,
            "after": spot_of(trial, self.reading.block, self.situation),
        }


def _proposals(reader: Reader, site: Site, page: Page, colours: Colours, least: bool, told: Told) -> list[DesignView]:
    designs = Designs(reader, site, page, colours, lambda name, share: told(name, share * 0.7))
    if not designs.short:
        return []
    shown = _Shown(reader, site, page, designs.short[0])
    found = [] if least else designs.found()
    if not found:
        return [shown.view(word_by_word(reader, site, page, colours, lambda w, s: told(w, 0.2 + 0.8 * s)))]
    views = []
    for n, design in enumerate(found):

        def further(words: str, share: float, n: int = n) -> None:
            told(words, 0.7 + 0.3 * (n + share) / len(found))

        views.append(shown.view(finished(reader, site, designs.short, design, colours, further)))
        further(IDEAS[design.idea].TITLE, 1.0)
    return views


def _mended_line(reader: Reader, site: Site, page: Page, colours: Colours, least: bool, told: Told) -> MendedLine:
    return {"kind": "mended", "found": _proposals(reader, site, page, colours, least, told)}


def mend_page(
    reader: Reader, site: Site, page: Page, colours: Colours, least: bool = False
) -> Iterator[DoingLine | MendedLine]:
    """What is being tried, while it is worked at; then whole pages, each by one idea or, `least`, one on which every
    block is mended by itself."""
    return told_lines(lambda told: _mended_line(reader, site, page, colours, least, told))


def _begun_line(reader: Reader, site: Site, begun: Site, page_id: str, colours: Colours, told: Told) -> BegunLine:
    page = next(p for p in begun.pages if p.id == page_id)
    mended = mend(reader, begun, page, colours, told)
    pages = tuple(mended.page if p.id == page_id else p for p in begun.pages)
    whole = begun.model_copy(update={"pages": pages}).model_dump(mode="json")
    return {
        "kind": "begun",
        "patch": difference(site.model_dump(mode="json"), whole),
        "done": _done(mended),
        "left": [wording_of(b) for b in mended.left],
    }


def begin_page(
    reader: Reader, site: Site, begun: Site, page_id: str, colours: Colours
) -> Iterator[DoingLine | BegunLine]:
    """The same for a page on which something was put together: one change from the site as it is."""
    return told_lines(lambda told: _begun_line(reader, site, begun, page_id, colours, told))
