"""The build-up: the picture as far as each layer, and what each layer does to the words."""

import base64
from dataclasses import replace
from typing import Any

import cv2

from ..core.colour.spaces import Bytes
from ..core.document import Band, Page, Site
from ..core.draw.paint import blank, paint
from ..core.draw.sample import Region
from ..core.draw.words import paint_words
from ..core.reading import Reader, Reading, situations
from ..core.resolve.records import BandRecord, Sheet
from .check import floored

CARD = (244, 152)
"""Width and height of a card's picture in px: twice its size on the bench."""


def _window(band: BandRecord) -> Region:
    """The part of a band that a card shows: its full height and the words, in the card's proportion."""
    box = band.box.snapped()
    width = min(box.width, box.height * CARD[0] / CARD[1])
    lines = [line for block in band.blocks for line in block.lines]
    centre = box.x + box.width / 2
    if lines:
        centre = (min(ln.x for ln in lines) + max(ln.x + ln.width for ln in lines)) / 2
    left = min(max(box.x, centre - width / 2), box.right - width)
    return int(left), int(box.y), max(1, int(width)), max(1, int(box.height))


def data_url(pixels: Bytes) -> str:
    """Pixels as a JPEG data address, shrunk into a card."""
    scale = min(CARD[0] / pixels.shape[1], CARD[1] / pixels.shape[0], 1.0)
    size = (max(1, round(pixels.shape[1] * scale)), max(1, round(pixels.shape[0] * scale)))
    small = cv2.resize(pixels, size, interpolation=cv2.INTER_AREA)
    done, data = cv2.imencode(".jpg", small[:, :, ::-1], [cv2.IMWRITE_JPEG_QUALITY, 86])
    if not done:
        raise RuntimeError("a card could not be encoded")
    return "data:image/jpeg;base64," + base64.b64encode(data.tobytes()).decode()


def _prefixes(band: Band, sheets: tuple[Sheet, ...]) -> list[tuple[str, tuple[Sheet, ...]]]:
    """Card ids and the sheets as far as each: the base, then every layer that is visible or not."""
    found: list[tuple[str, tuple[Sheet, ...]]] = []
    below = tuple(s for s in sheets if s.id == "base")
    found.append(("base", below))
    for layer in band.backdrop.layers:
        below += tuple(s for s in sheets if s.id == layer.id)
        found.append((layer.id, below))
    return found


def _quotient(reading: Reading) -> float:
    return float("inf") if reading.ratio is None else reading.ratio / reading.required


class BuildUp:
    """Cards and the contrast line of one band."""

    def __init__(self, reader: Reader, site: Site, page: Page, band: Band) -> None:
        self.reader, self.site, self.page, self.band = reader, site, page, band
        self.situations = situations(site, page)
        self.records = {s.screen: reader.resolve(site, page, s) for s in self.situations}

    def _worst(self, block: str | None, ids: frozenset[str]) -> tuple[Reading, str] | None:
        """The worst reading of a block (None: of any) with only these sheets of the band, and its situation."""
        found: list[tuple[Reading, str]] = []
        for situation in self.situations:
            record = self.records[situation.screen]
            band = record.band(self.band.id)

            def keep(other: BandRecord, situation: Any = situation) -> tuple[Sheet, ...]:
                sheets: tuple[Sheet, ...] = situation.sheets(other)
                return tuple(s for s in sheets if s.id in ids) if other.id == self.band.id else sheets

            for words in band.blocks if band else ():
                if block in (None, words.id) and words.lines:
                    reading = self.reader.read(record, words, situation.id, self.site.requirement, keep)
                    found.append((reading, situation.name))
        return min(found, key=lambda f: _quotient(f[0]), default=None)

    def cards(self) -> dict[str, Any]:
        """Cards from the base to the words, and the contrast line of the block that fares worst in the end."""
        widest = max(self.site.screens, key=lambda s: s.width).id
        record = self.records[widest]
        band = record.band(self.band.id)
        if band is None or band.box.height < 1:
            return {"cards": [], "block": None, "required": None}
        everything = frozenset(s.id for s in band.sheets)
        last = self._worst(None, everything)
        block = last[0].block if last else None
        region = _window(band)
        canvas = blank(record, region)
        cards: list[dict[str, Any]] = []
        painted: tuple[Sheet, ...] = ()
        for card, sheets in _prefixes(self.band, band.sheets):
            paint(canvas, sheets[len(painted) :], region, self.reader.pictures)
            painted = sheets
            worst = self._worst(block, frozenset(s.id for s in sheets)) if block else None
            cards.append(self._card(card, canvas, worst))
        with_words = canvas.copy()
        paint_words(with_words, replace(record, bands=(band,)), region, self.reader.glyphs)
        cards.append(self._card("words", with_words, self._worst(block, everything) if block else None))
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
