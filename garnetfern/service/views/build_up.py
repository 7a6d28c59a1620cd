"""The build-up: the picture as far as each layer, and what each layer does to the words."""

import base64
from itertools import pairwise
from typing import Annotated

import cv2
from pydantic import Field
from typing_extensions import TypedDict

from ...core.colour.spaces import Bytes
from ...core.document import Area, Page, Site
from ...core.draw.coverage import is_opaque
from ...core.draw.paint import blank, paint_area
from ...core.draw.sample import Region
from ...core.draw.words import draw_page
from ...core.reading import Reader, Reading, situations
from ...core.resolve.box import Box
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.records import AreaRecord, Line, PageRecord
from ...core.resolve.sheets import Sheet
from ..kinds.layers import aside, ink
from .check import floored


class CardView(TypedDict):
    """A card of the build-up: the picture as far as a layer, and the worst reading there."""

    id: str
    below: Annotated[str | None, Field(description="the area below whose sheet this is; none for the area's own")]
    name: str | None
    aside: Annotated[str, Field(description="what is said beside its name")]
    ink: Annotated[str, Field(description="a CSS background that stands for the layer at full strength")]
    picture: str
    ratio: float | None
    shown: str | None
    meets: bool | None
    situation: str | None


class BuildUpView(TypedDict):
    """The cards of an area, and the block and requirement of the contrast line."""

    cards: list[CardView]
    block: str | None
    blocks: list[str]
    required: float | None
    sentence: str


CARD = (320, 198)
"""Width and height of a card's picture in px: twice its size on the bench of an ordinary window."""


def _lines(record: PageRecord, area: AreaRecord) -> list[Line]:
    inside = frozenset(area.blocks)
    return [line for block in record.blocks() if block.id in inside for line in block.lines]


def shown_window(record: PageRecord, area: AreaRecord) -> Region:
    """The part of an area that a card shows: as much of its height as fits its width, and as much of the words."""
    box = area.box.snapped()
    height = min(box.height, box.width * CARD[1] / CARD[0]) if area.kind == "page" else box.height
    width = min(box.width, height * CARD[0] / CARD[1])
    lines = _lines(record, area)
    centres = [box.x + box.width / 2]
    if lines:
        # in the middle of all words, or of those of a line, where the middle holds none: a logo left, a menu right
        centres = [(min(ln.x for ln in lines) + max(ln.x + ln.width for ln in lines)) / 2]
        centres += [ln.x + ln.width / 2 for ln in lines]

    def beginning(centre: float) -> float:
        return min(max(box.x, centre - width / 2), box.right - width)

    def worded(left: float) -> float:
        return sum(max(0.0, min(ln.x + ln.width, left + width) - max(ln.x, left)) for ln in lines)

    left = max(map(beginning, centres), key=worded)
    return int(left), int(box.y), max(1, int(width)), max(1, int(height))


def data_url(pixels: Bytes, most: tuple[int, int] = CARD) -> str:
    """Pixels as a JPEG data address, shrunk to a width and height at the most: by default a card's."""
    scale = min(most[0] / pixels.shape[1], most[1] / pixels.shape[0], 1.0)
    size = (max(1, round(pixels.shape[1] * scale)), max(1, round(pixels.shape[0] * scale)))
    small = cv2.resize(pixels, size, interpolation=cv2.INTER_AREA)
    done, data = cv2.imencode(".jpg", small[:, :, ::-1], [cv2.IMWRITE_JPEG_QUALITY, 86])
    if not done:
        raise RuntimeError("a card could not be encoded")
    return "data:image/jpeg;base64," + base64.b64encode(data.tobytes()).decode()


def _quotient(reading: Reading) -> float:
    return float("inf") if reading.ratio is None else reading.ratio / reading.required


class BuildUp:
    """Cards and the contrast line of one area."""

    def __init__(self, reader: Reader, site: Site, page: Page, area: Area) -> None:
        self.reader, self.site, self.page, self.area = reader, site, page, area
        self.situations = situations(site, page)
        self.met = reader.met(site, page)

    def _worst(self, block: str | None, ids: frozenset[str]) -> tuple[Reading, str] | None:
        """The worst reading of a block (None: of any) with only these sheets of the area, and its situation."""
        found: list[tuple[Reading, str]] = []
        for situation in self.situations:
            record = self.met.at(situation.moment)
            area = record.area(self.area.id)
            inside = frozenset(area.blocks if area else ())

            def keep(other: AreaRecord) -> tuple[Sheet, ...]:
                return tuple(s for s in other.sheets if s.id in ids) if other.id == self.area.id else other.sheets

            for words in record.blocks():
                if words.id in inside and block in (None, words.id) and words.lines:
                    reading = self.reader.read(record, words, situation, self.site.requirement, keep)
                    found.append((reading, situation.name))
        return min(found, key=lambda f: _quotient(f[0]), default=None)

    def _shown(self) -> tuple[PageRecord, AreaRecord] | None:
        """The widest screen on which the area is to be seen."""
        for screen in sorted(self.site.screens, key=lambda s: -s.width):
            record = self.met.at(Moment(Viewport(screen.width, screen.height)))
            area = record.area(self.area.id)
            if area is not None and area.box.height >= 1 and area.box.width >= 1:
                return record, area
        return None

    def cards(self, block: str | None = None) -> BuildUpView:
        """Cards from the base to the words, those of the areas below first where they show through, and the contrast
        line of a block: of `block`, or of the one that fares worst in the end."""
        shown = self._shown()
        if shown is None:
            return {"cards": [], "block": None, "blocks": [], "required": None, "sentence": ""}
        record, area = shown
        whole = frozenset(s.id for s in area.sheets) | frozenset(x.id for x in self.area.backdrop.layers) | {"base"}
        blocks = [b.id for b in record.blocks() if b.id in area.blocks and b.lines]
        last = self._worst(block if block in blocks else None, whole)
        block = last[0].block if last else None
        region = shown_window(record, area)
        canvas = blank(record, region)
        cards = self._below(record, area, region, canvas)
        under = canvas.copy()
        painted: tuple[Sheet, ...] = ()
        for name in ("base", *(layer.id for layer in self.area.backdrop.layers)):
            painted += tuple(s for s in area.sheets if s.id == name)
            canvas = under.copy()
            paint_area(canvas, area, painted, region, self.reader.pictures)
            ids = frozenset(s.id for s in painted) | {"base"}
            cards.append(self._card(name, canvas, self._worst(block, ids) if block else None))
        canvas = draw_page(record, region, self.reader.pictures, self.reader.glyphs)
        cards.append(self._card("words", canvas, last))
        return {
            "cards": cards,
            "block": block,
            "blocks": blocks,
            "required": last[0].required if last else None,
            "sentence": self._sentence(cards),
        }

    def _below(self, record: PageRecord, area: AreaRecord, region: Region, canvas: Bytes) -> list[CardView]:
        """Paints the areas below, and gives a card for each of their sheets where the area lets them show through."""
        base = area.sheets[0] if area.sheets else None
        hidden = base is not None and base.id == "base" and is_opaque(base, lambda _: True)
        names = {x.id: x.name for a in self.page.areas() for x in a.backdrop.layers}
        cards: list[CardView] = []
        for lower in record.areas[: record.areas.index(area)]:
            if not lower.touches(Box(*region)):
                continue
            for n, sheet in enumerate(lower.sheets):
                if hidden:
                    break
                part = canvas.copy()
                paint_area(part, lower, lower.sheets[: n + 1], region, self.reader.pictures)
                card = self._card(f"{lower.id}/{sheet.id}", part, None)
                card |= {"below": lower.id, "name": names.get(sheet.id, "Base"), "aside": "below"}
                cards.append(card)
            paint_area(canvas, lower, lower.sheets, region, self.reader.pictures)
        return cards

    def _sentence(self, cards: list[CardView]) -> str:
        """Which layer costs the words most, and which gives them most."""
        names = {x.id: x.name for x in self.area.backdrop.layers}
        own = [(c["ratio"], c) for c in cards if c["id"] in ("base", *names) and c["ratio"] is not None]
        steps = [(now / before, lower, upper) for (before, lower), (now, upper) in pairwise(own)]
        if not steps:
            return ""
        cost, gain = min(steps, key=lambda s: s[0]), max(steps, key=lambda s: s[0])
        said = []
        if cost[0] < 0.99:
            said.append(f"{names[cost[2]['id']]} costs these words most: {cost[1]['shown']} becomes {cost[2]['shown']}")
        if gain[0] > 1.01:
            verb = "gives" if said else "gives these words"
            said.append(f"{names[gain[2]['id']]} {verb} most: {gain[1]['shown']} becomes {gain[2]['shown']}")
        return "; ".join(said) + "." if said else "No layer changes much for these words."

    def _said(self, card: str) -> tuple[str, str]:
        """What is said beside a card's name, and what it is drawn with."""
        if card == "base":
            return self.area.backdrop.base or "none", self.area.backdrop.base or ""
        layer = next((x for x in self.area.backdrop.layers if x.id == card), None)
        return (aside(layer), ink(layer)) if layer else ("", "")

    def _card(self, card: str, pixels: Bytes, worst: tuple[Reading, str] | None) -> CardView:
        reading, name = worst if worst else (None, None)
        ratio = reading.ratio if reading else None
        said, drawn = self._said(card)
        return {
            "id": card,
            "below": None,
            "name": None,
            "aside": said,
            "ink": drawn,
            "picture": data_url(pixels),
            "ratio": ratio,
            "shown": None if ratio is None else floored(ratio),
            "meets": None if reading is None or ratio is None else not reading.falls_short,
            "situation": name,
        }
