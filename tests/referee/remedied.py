"""Ways out beside the browser: whether they suffice where they are worst, and what they keep of the picture. What is
kept is measured on screenshots by code of its own."""

from collections.abc import Callable, Collection, Iterator
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from playwright.sync_api import Browser

from garnetfern.core.colour.contrast import is_light
from garnetfern.core.document import Asset, Page, Site
from garnetfern.core.picture.decode import load
from garnetfern.core.picture.look import look_of
from garnetfern.core.reading import Reader
from garnetfern.core.remedy.mend import short_blocks
from garnetfern.core.remedy.remedies import Remedies
from garnetfern.core.remedy.remedy import Remedy
from garnetfern.core.resolve.book import FontBook
from garnetfern.service.files.memory import MemoryPictures

from .banners import Sample
from .browser import HIDDEN
from .measure import linear
from .met import moments_of, open_met, seen_ratio

Shot = NDArray[np.float32]
TO_CONE = np.array(
    [
        [0.4122214708, 0.5363325363, 0.0514459929],
        [0.2119034982, 0.6806995451, 0.1073969566],
        [0.0883024619, 0.2817188376, 0.6299787005],
    ]
)
TO_LAB = np.array(
    [
        [0.2104542553, 0.7936177850, -0.0040720468],
        [1.9779984951, -2.4285922050, 0.4505937099],
        [0.0259040371, 0.7827717662, -0.8086757660],
    ]
)


def apart(one: Shot, other: Shot) -> float:
    """Mean distance of two pictures in OKLab (Ottosson 2020)."""
    labs = [np.cbrt(linear(shot) @ TO_CONE.T) @ TO_LAB.T for shot in (one, other)]
    return float(np.sqrt(((labs[0] - labs[1]) ** 2).sum(axis=-1)).mean())


def colours_of(sample: Sample) -> Callable[[Asset], tuple[str, ...]]:
    """The main colours of a sample's pictures, as the application knows them."""
    known = {hash_: tuple(s.colour for s in look_of(load(data)).colours) for hash_, data in sample.originals.items()}
    return lambda asset: known[asset.hash]


@dataclass(frozen=True)
class Tried:
    """A way out: the page it was made for, its kind, the core's worst ratio and the browser's there, what is required;
    what it keeps of the picture, by the core and by the browser (None: not measured)."""

    page: str
    kind: str
    core: float
    seen: float
    required: float
    kept: float
    seen_kept: float | None = None


class Kept:
    """What changes keep of the picture behind a block's words, on all screens, in the browser."""

    def __init__(self, browser: Browser, reader: Reader, search: Remedies) -> None:
        self.browser, self.reader, self.search = browser, reader, search
        self._before = self._shots(search.plight.page)

    def _shots(self, page: Page) -> list[Shot]:
        plight = self.search.plight
        assert plight.ground is not None
        found = []
        for situation in (s for s in plight.situations if s.at_rest):
            opened = open_met(self.browser, self.reader, plight.site, page, situation)
            x, y, width, height = (round(v) for v in opened.boxes()[plight.ground.id])
            found.append(opened.styled(HIDDEN)[y : y + height, x : x + width])
            opened.close()
        return found

    def of(self, page: Page) -> float:
        """0..100."""
        light = is_light(self.search.plight.fill)
        shares = []
        for before, after in zip(self._before, self._shots(page), strict=True):
            rows, columns = (min(before.shape[n], after.shape[n]) for n in (0, 1))
            one, two = before[:rows, :columns], after[:rows, :columns]
            shares.append(1 - apart(one, two) / apart(one, np.full_like(one, 0 if light else 255)))
        return 100 * max(0.0, sum(shares) / len(shares))


def search_of(reader: Reader, sample: Sample) -> Remedies | None:
    """The search for ways out of a sample's worst words; None where none fall short."""
    site, page = sample.site, sample.site.pages[0]
    short = short_blocks(reader, site, page)
    return Remedies(reader, site, page, short[0], colours_of(sample)) if short else None


def reader_of(sample: Sample, book: FontBook) -> Reader:
    """A reader of a sample."""
    return Reader(book.with_files(sample.site.fonts), MemoryPictures(sample.originals))


def tried(
    browser: Browser, reader: Reader, site: Site, search: Remedies, keeps: bool, kinds: Collection[str] = ()
) -> Iterator[Tried | None]:
    """Every way out that suffices (with `kinds`, of these alone), measured; None for a search that found only what does
    not. `keeps`: with what it keeps of the picture."""
    kept = Kept(browser, reader, search) if keeps and search.plight.ground is not None else None
    some = (found for kind in kinds for found in search.of_kind(kind) if isinstance(found, Remedy))
    for remedy in some if kinds else search:
        yield _measured(browser, reader, site, search, remedy, kept) if remedy.meets else None


def _measured(
    browser: Browser, reader: Reader, site: Site, search: Remedies, remedy: Remedy, kept: Kept | None
) -> Tried:
    found = []
    for moment in moments_of(remedy.situation):
        opened = open_met(browser, reader, site, remedy.page, moment)
        found.append(seen_ratio(opened, search.plight.block.id) or 0.0)
        opened.close()
    seen = min(found)
    core = remedy.worst.ratio or 0.0
    # where a picture no longer takes its turn, less is kept than can be seen at any one moment
    seen_kept = None if kept is None or remedy.kind == "leave_out" else kept.of(remedy.page)
    return Tried(site.name, remedy.kind, core, seen, remedy.worst.required, remedy.kept, seen_kept)
