"""The build-up: the picture as far as each layer, and what each layer does to the words."""

import base64
from typing import Any

import cv2

from ..core.colour.spaces import Bytes
from ..core.document import Area, Page, Site
from ..core.draw.paint import blank, paint
from ..core.draw.sample import Region
from ..core.draw.words import paint_words
from ..core.reading import Reader, Reading, situations
from ..core.resolve.records import AreaRecord, Line, PageRecord, Sheet
from .check import floored

CARD = (244, 152)
"""Width and height of a card's picture in px: twice its size on the bench."""


def _lines(record: PageRecord, area: AreaRecord) -> list[Line]:
    inside = frozenset(area.blocks)
    return [line for block in record.blocks() if block.id in inside for line in block.lines]


def _window(record: PageRecord, area: AreaRecord) -> Region:
    """The part of an area that a card shows: as much of its height as fits its width, and the words."""
    box = area.box.snapped()
    height = min(box.height, box.width * CARD[1] / CARD[0]) if area.kind == "page" else box.height
    width = min(box.width, height * CARD[0] / CARD[1])
    lines = _lines(record, area)
    centre = box.x + box.width / 2
    if lines:
        centre = (min(ln.x for ln in lines) + max(ln.x + ln.width for ln in lines)) / 2
    left = min(max(box.x, centre - width / 2), box.right - width)
    return int(left), int(box.y), max(1, int(width)), max(1, int(height))


def data_url(pixels: Bytes) -> str:
    """Pixels as a JPEG data address, shrunk into a card."""
    scale = min(CARD[0] / pixels.shape[1], CARD[1] / pixels.shape[0], 1.0)
    size = (max(1, round(pixels.shape[1] * scale)), max(1, round(pixels.shape[0] * scale)))
    small = cv2.resize(pixels, size, interpolation=cv2.INTER_AREA)
    done, data = cv2.imencode(".jpg", small[:, :, ::-1], [cv2.IMWRITE_JPEG_QUALITY, 86])
    if not done:
        raise RuntimeError("a card could not be encoded")
    return "data:image/jpeg;base64," + base64.b64encode(data.tobytes()).decode()


def _prefixes(area: Area, sheets: tuple[Sheet, ...]) -> list[tuple[str, tuple[Sheet, ...]]]:
    """Card ids and the sheets as far as each: the base, then every layer that is visible or not."""
    found: list[tuple[str, tuple[Sheet, ...]]] = []
    below = tuple(s for s in sheets if s.id == "base")
    found.append(("base", below))
    for layer in area.backdrop.layers:
        below += tuple(s for s in sheets if s.id == layer.id)
        found.append((layer.id, below))
    return found


def _quotient(reading: Reading) -> float:
    return float("inf") if reading.ratio is None else reading.ratio / reading.required


class BuildUp:
    """Cards and the contrast line of one area."""

    def __init__(self, reader: Reader, site: Site, page: Page, area: Area) -> None:
        self.reader, self.site, self.page, self.area = reader, site, page, area
        self.situations = situations(site, page)
        self.records: dict[str, PageRecord] = {}
        for situation in self.situations:
            if situation.key not in self.records:
                self.records[situation.key] = reader.resolve(site, page, situation)

    def _worst(self, block: str | None, ids: frozenset[str]) -> tuple[Reading, str] | None:
        """The worst reading of a block (None: of any) with only these sheets of the area, and its situation."""
        found: list[tuple[Reading, str]] = []
        for situation in self.situations:
            record = self.records[situation.key]
            area = record.area(self.area.id)
            inside = frozenset(area.blocks if area else ())

            def keep(other: AreaRecord, situation: Any = situation) -> tuple[Sheet, ...]:
                sheets: tuple[Sheet, ...] = situation.sheets(other)
                return tuple(s for s in sheets if s.id in ids) if other.id == self.area.id else sheets

            for words in record.blocks():
                if words.id in inside and block in (None, words.id) and words.lines:
                    reading = self.reader.read(record, words, situation.id, self.site.requirement, keep)
                    found.append((reading, situation.name))
        return min(found, key=lambda f: _quotient(f[0]), default=None)

    def _shown(self) -> tuple[PageRecord, AreaRecord] | None:
        """The widest screen on which the area is to be seen."""
        for screen in sorted(self.site.screens, key=lambda s: -s.width):
            record = self.records[screen.id]
            area = record.area(self.area.id)
            if area is not None and area.box.height >= 1 and area.box.width >= 1:
                return record, area
        return None

    def cards(self) -> dict[str, Any]:
        """Cards from the base to the words, and the contrast line of the block that fares worst in the end."""
        shown = self._shown()
        if shown is None:
            return {"cards": [], "block": None, "required": None}
        record, area = shown
        everything = frozenset(s.id for s in area.sheets) | frozenset(x.id for x in self.area.backdrop.layers)
        last = self._worst(None, everything | {"base"})
        block = last[0].block if last else None
        region = _window(record, area)
        canvas = blank(record, region)
        at = record.areas.index(area)
        for lower in record.areas[:at]:
            paint(canvas, lower.sheets, region, self.reader.pictures)
        cards: list[dict[str, Any]] = []
        painted: tuple[Sheet, ...] = ()
        for card, sheets in _prefixes(self.area, area.sheets):
            paint(canvas, sheets[len(painted) :], region, self.reader.pictures)
            painted = sheets
            ids = frozenset(s.id for s in sheets) | {"base"}
            worst = self._worst(block, ids) if block else None
            cards.append(self._card(card, canvas, worst))
        for upper in record.areas[at + 1 :]:
            paint(canvas, upper.sheets, region, self.reader.pictures)
        paint_words(canvas, record, region, self.reader.glyphs)
        cards.append(self._card("words", canvas, self._worst(block, everything | {"base"}) if block else None))
        return {"cards": cards, "block": block, "required": last[0].required if last else None}

    def _card(self, card: str, pixels: Bytes, worst: tuple[Reading, str] | None) -> dict[str, Any]:
        reading, name = worst if worst else (None, None)
        ratio = reading.ratio if reading else None
        return {
            "id": card,
            "picture": data_url(pixels),
            "ratio": ratio,
            "shown": None if ratio is None else floored(ratio),
            "meets": reading.meets if reading else None,
            "situation": name,
        }
