"""The pages of a site as they are seen beside each other: a true picture, a verdict, an address, who links there."""

from hashlib import blake2b

import cv2
import numpy as np
from typing_extensions import TypedDict

from ...core.document import Page, Screen, Site
from ...core.document.addresses import file_of, links_to
from ...core.draw.words import draw_page
from ...core.placement import compositions, shown_by_rules
from ...core.reading import Reader
from ...core.reading.kinds._moving import restless
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from ..kinds.rules import said_day
from ..kinds.starts import STARTS
from .check import Verdict, check_page, short_of, verdict

AT_ONCE = 8
"""So many of the pages that rules compose of one are read for its verdict here; the check reads them all."""
WIDE, HIGH = 480, 300
"""A page's picture, px: the top of it on the widest screen."""


class PageRow(TypedDict):
    """A page: its file, how many links of other pages lead to it, what its readings come to at hand, whether these are
    all that there are, and what its picture is fetched by, which changes whenever that does."""

    page: str
    title: str
    file: str
    links: int
    sentence: str
    good: bool
    short: bool
    whole: bool
    picture: str


class StartRow(TypedDict):
    """What a new page can begin with."""

    start: str
    name: str
    note: str


class PagesView(TypedDict):
    """All pages in order, what they come to together, and what new ones can begin with."""

    sentence: str
    good: bool
    short: bool
    pages: list[PageRow]
    starts: list[StartRow]


def content_of(site: Site, page: Page) -> str:
    """What a page looks like and reads as depends on this and on nothing else of the document."""
    shared = site.model_dump_json(include={"assets", "screens", "fits", "slots", "fonts", "requirement", "edges"})
    if shown_by_rules(site, page):
        shared += site.model_dump_json(include={"placed"}) + "".join(p.model_dump_json() for p in site.pages if p.loose)
    return blake2b((shared + page.model_dump_json()).encode(), digest_size=12).hexdigest()


def composed_verdict(reader: Reader, site: Site, page: Page) -> tuple[Verdict, bool]:
    """What the readings at hand come to on the pages that rules compose of this one, and whether any falls short.

    Where there are more than can be read while somebody waits, the sentence says so.
    """
    every = compositions(site, page)
    results = [(c, check_page(reader, site, c.page)) for c in every[:AT_ONCE]]
    worst = next(((c, found) for c, found in results if short_of(found)), None)
    if worst is None:
        readings = [view for _, found in results for view in found]
        days = "" if len(every) == 1 else " on every day"
        part = f", in {AT_ONCE} of the {len(every)} ways that rules compose it"
        return verdict(site, page, readings, part if len(every) > AT_ONCE else days), False
    composition, found = worst
    said = verdict(site, composition.page, found)
    if len(every) > 1 and not composition.plain:
        said = {**said, "sentence": f"{said['sentence'].rstrip('.')} on {said_day(composition.occasion.day)}."}
    return said, True


def page_row(reader: Reader, site: Site, page: Page) -> PageRow:
    """One page."""
    said, short = composed_verdict(reader, site, page)
    return {
        "page": page.id,
        "title": page.title,
        "file": file_of(site, page.id),
        "links": links_to(site, page.id),
        "picture": content_of(site, page),
        "short": short,
        "whole": len(compositions(site, page)) <= AT_ONCE and not restless(page),
        **said,
    }


def together(rows: list[PageRow]) -> tuple[str, bool]:
    """One sentence over all pages, no more than was measured; and whether every word of every page can be read."""
    short = [row for row in rows if row["short"]]
    if len(rows) == 1:
        return rows[0]["sentence"], rows[0]["good"]
    if short:
        named = ", ".join(row["title"] for row in short[:2]) + (" and more" if len(short) > 2 else "")
        have = "has" if len(short) == 1 else "have"
        return f"{len(short)} of {len(rows)} pages {have} words that fall short: {named}.", False
    good = sum(row["good"] for row in rows)
    reserve = "" if all(row["whole"] for row in rows) else ", as far as it was read here"
    if good == len(rows):
        return f"Every word of {len(rows)} pages can be read{reserve}.", True
    none = len(rows) - good
    rest = f"{none} {'page has' if none == 1 else 'pages have'} no words that could be measured."
    if not good:
        return f"None of {len(rows)} pages has words that could be measured.", False
    return f"Every word of {good} {'page' if good == 1 else 'pages'} can be read{reserve}; {rest}", False


def pages_view(rows: list[PageRow]) -> PagesView:
    """All pages."""
    sentence, good = together(rows)
    short = any(row["short"] for row in rows)
    return {"pages": rows, "sentence": sentence, "good": good, "short": short, "starts": start_rows()}


def start_rows() -> list[StartRow]:
    """Our starts, in order."""
    return [{"start": name, "name": start.name, "note": start.note} for name, start in STARTS.items()]


def page_picture(reader: Reader, site: Site, page: Page, of: Screen | None = None) -> bytes:
    """The top of a page on the widest screen, drawn by the core, as a JPEG of WIDE x HIGH px; or what a screen shows of
    it, as high and in the screen's proportion."""
    screen = of or max(site.screens, key=lambda s: s.width)
    high = screen.height if of else round(screen.width * HIGH / WIDE)
    wide = max(1, round(HIGH * screen.width / high))
    record = resolve_page(site, page, Moment(Viewport(screen.width, screen.height)), reader.fonts)
    drawn = draw_page(record, (0, 0, screen.width, high), reader.pictures, reader.glyphs)
    small = np.asarray(cv2.resize(drawn, (wide, HIGH), interpolation=cv2.INTER_AREA))
    _, data = cv2.imencode(".jpg", small[:, :, ::-1], [cv2.IMWRITE_JPEG_QUALITY, 86])
    return data.tobytes()
