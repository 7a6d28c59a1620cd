"""Whole banners over photographs that nothing was made with: each measured in the browser, in every situation."""

import random
from collections.abc import Iterator
from dataclasses import dataclass, replace

from playwright.sync_api import Browser

from garnetfern.core.banners import Banner, Banners, Without, brief_of
from garnetfern.core.document import Asset, Page, read_site
from garnetfern.core.picture.decode import load
from garnetfern.core.picture.look import Look, look_of
from garnetfern.core.reading import KINDS, Reader, Situation
from garnetfern.demo.site import asset
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sites import document, image_layer

from .banners import Sample
from .met import Met, met
from .photographs import FILES, photograph

HEADINGS = ("Ferns under glass", "A hundred ferns for every windowsill", "The fern fair", "Chrysanthemums, too")
LINES = ("Open from ten until the light goes. Free on the first Sunday of every month.", "Bring a pot.", "")
PALETTES: tuple[tuple[str, ...], ...] = (
    ("#fbf7ee", "#20302a", "#7a1f2b", "#3f6f46"),
    ("#ffffff", "#101418", "#1b5e8c"),
    (),
)
SIZES = ("40px", "clamp(34px, 4.4vw, 64px)", "72px")


def sample_of(seed: int) -> Sample:
    """A photograph with words on it that cannot be read yet, the same for a seed every time."""
    rng = random.Random(99_000 + seed)
    data = photograph(FILES[seed % len(FILES)])
    font = rng.choice([f.name for f in shipped_fonts().families])
    heading, line = rng.choice(HEADINGS), rng.choice(LINES)
    lettering = {"font": font, "size": rng.choice(SIZES), "colour": "#ffffff", "weight": rng.choice([400, 600, 700])}
    blocks = [{"id": "title", "kind": "heading", "level": 1, "wording": heading, "lettering": lettering}]
    if line:
        blocks.append(
            {"id": "line", "kind": "text", "wording": line, "lettering": {"size": "17px", "colour": "#ffffff"}}
        )
    plain = document(image_layer(), blocks=blocks, padding={"block": "72px", "inline": "6vw"})
    plain["name"] = f"{FILES[seed % len(FILES)]} {seed}"
    plain["palette"] = rng.choice(PALETTES)
    plain["assets"] = [asset("fern-close", data) | {"id": "picture", "name": "photograph"}]
    return Sample(read_site(plain, shipped_fonts().names()), {plain["assets"][0]["hash"]: data})


def made_of(sample: Sample) -> list[Banner | Without]:
    """What is made of a sample, and what is left out."""
    looks = {hash_: look_of(load(data)) for hash_, data in sample.originals.items()}

    def look(entry: Asset) -> Look:
        return looks[entry.hash]

    reader = Reader(shipped_fonts(), MemoryPictures(sample.originals))
    return list(Banners(brief_of(reader, sample.site, sample.site.pages[0], "banner", look)).found())


@dataclass(frozen=True)
class Measured:
    """A banner in the browser: how many readings, those that fell short there, and how far core and browser differ."""

    name: str
    idea: str
    readings: int
    short: tuple[Met, ...]
    off: tuple[float, ...]


def read(situation: Situation) -> bool:
    """Whether words are read in it, on a screen that is wide or one that is narrow."""
    return bool(getattr(KINDS[situation.kind], "READ", True)) and situation.screen in ("desktop", "phone")


def in_browser(browser: Browser, sample: Sample, page: Page) -> Iterator[Met]:
    """Every block of a page that was made of a sample, in those situations."""
    site = sample.site.model_copy(update={"pages": (page,)})
    yield from met(browser, replace(sample, site=site), read)


def measured(browser: Browser, sample: Sample, banner: Banner) -> Measured:
    """One banner in the browser."""
    seen = list(in_browser(browser, sample, banner.page))
    short = tuple(one for one in seen if one.seen < one.required)
    return Measured(sample.site.name, banner.idea, len(seen), short, tuple(one.off for one in seen))
