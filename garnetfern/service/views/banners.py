"""Whole banners as they are made: each as it looks on every screen, and the exact change that makes it."""

from collections.abc import Iterator
from typing import Any, Literal

import numpy as np
from typing_extensions import TypedDict

from ...core.banners import IDEAS, Banner, Banners, Without, brief_of
from ...core.banners.banners import MOST
from ...core.banners.brief import Looked
from ...core.document import Page, Screen, Site
from ...core.draw.paint import whole
from ...core.draw.words import draw_page
from ...core.errors import NotFoundError
from ...core.reading import Reader, situations
from ...core.remedy.cost import strips
from ...core.remedy.trial import Tried
from .build_up import data_url
from .remedies import patch_between

HIGH = 132
"""How high the pictures of a banner are at the most, px."""
SHARP = 2
"""So many px for each of theirs: screens that have two show them sharp."""


class BannerShown(TypedDict):
    """A banner on one screen, as a picture (data address) of `width` to `height`."""

    screen: str
    name: str
    picture: str
    width: int
    height: int


class BannerView(TypedDict):
    """A banner. `patch` is the exact change; `number` tells it from what else comes of its idea."""

    idea: str
    number: int
    title: str
    sentence: str
    patch: list[dict[str, Any]]
    shown: list[BannerShown]


class BannerLine(TypedDict):
    """A banner, and which share of the work is done, 0..1."""

    kind: Literal["banner"]
    share: float
    found: BannerView


class WithoutLine(TypedDict):
    """An idea that does not suit the picture or its words, and why."""

    kind: Literal["without"]
    share: float
    title: str
    reason: str


class BannersEnd(TypedDict):
    """All have been made, so many."""

    kind: Literal["end"]
    found: int


def _shown(reader: Reader, site: Site, page: Page, band: str, screen: Screen) -> BannerShown | None:
    rest = next(s for s in situations(site, page) if s.at_rest and s.screen == screen.id)
    record = Tried(reader, site, page).record(rest)
    area = record.area(band)
    if area is None or area.box.height < 1:
        return None
    region = whole(area.box.snapped())
    canvas = np.concatenate([draw_page(record, part, reader.pictures, reader.glyphs) for part in strips(region)])
    height = min(HIGH, canvas.shape[0])
    width = round(canvas.shape[1] * height / canvas.shape[0])
    return {
        "screen": screen.id,
        "name": screen.name,
        "picture": data_url(canvas, (SHARP * width, SHARP * height)),
        "width": width,
        "height": height,
    }


def banner_view(reader: Reader, site: Site, page: Page, band: str, banner: Banner) -> BannerView:
    """A banner, as it looks on every screen."""
    shown = (_shown(reader, site, banner.page, band, screen) for screen in site.screens)
    return {
        "idea": banner.idea,
        "number": banner.number,
        "title": IDEAS[banner.idea].TITLE,
        "sentence": banner.sentence,
        "patch": patch_between(site, page, banner.page),
        "shown": [one for one in shown if one is not None],
    }


def whole_banners(
    reader: Reader, site: Site, page: Page, band: str, looked: Looked, like: str | None, number: int
) -> Iterator[BannerLine | WithoutLine | BannersEnd]:
    """Six banners of one band, each by another idea, as they are made, and ideas that are left out; or, `like` one of
    them, a few more by its idea beside the one of this number. Raises BannerError where none can be made, NotFoundError
    where there is no such idea."""
    if like is not None and like not in IDEAS:
        raise NotFoundError(f"There is no idea {like!r} for a banner. There are: {', '.join(IDEAS)}.")
    banners = Banners(brief_of(reader, site, page, band, looked))
    found: Iterator[Banner | Without] = banners.found() if like is None else banners.variations(like, number)
    made = looked_at = 0
    total = max(MOST, len(IDEAS))
    for one in found:
        looked_at += 1
        if isinstance(one, Without):
            yield {"kind": "without", "share": looked_at / total, "title": IDEAS[one.idea].TITLE, "reason": one.reason}
            continue
        made += 1
        view = banner_view(reader, site, page, band, one)
        yield {"kind": "banner", "share": looked_at / total, "found": view}
    yield {"kind": "end", "found": made}
