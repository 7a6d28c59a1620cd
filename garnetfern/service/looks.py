"""What is known of a kept picture's looks, found once and kept."""

import json
from dataclasses import asdict, dataclass
from typing import Any

from PIL import Image

from ..core.picture.advice import edges_of
from ..core.picture.decode import load
from ..core.picture.look import Look, Swatch, look_of
from ..core.picture.tiles import Seam, Seams, repeat_depth, seams_of
from ..store import PictureFiles

MEASURED_SIDE = 1400
"""Pictures with a longer side than this are no tiles; their seams are not measured."""


@dataclass(frozen=True)
class Known:
    """A picture's looks; its seams and its repeat's depth where it may be a tile; the colours of its foot and edge."""

    look: Look
    seams: Seams | None
    edges: tuple[str, str]
    depth: float


def known_of(image: Image.Image) -> Known:
    """Look at a decoded picture."""
    seams = seams_of(image) if max(image.size) <= MEASURED_SIDE else None
    depth = repeat_depth(image) if seams else 0.0
    return Known(look_of(image), seams, edges_of(image), depth)


def to_json(known: Known) -> str:
    """As it is kept."""
    return json.dumps(asdict(known))


def _from_json(text: str) -> Known:
    plain: dict[str, Any] = json.loads(text)
    look, seams = plain["look"], plain["seams"]
    colours = tuple(Swatch(**c) for c in look["colours"])
    detail = tuple(tuple(row) for row in look["detail"])
    found = None if seams is None else Seams(Seam(**seams["across"]), Seam(**seams["down"]))
    edges = (plain["edges"][0], plain["edges"][1])
    return Known(Look(colours, look["lightness"], look["busyness"], detail), found, edges, plain["depth"])


class Looks:
    """Finds looks by hash; kept in the database and at hand."""

    def __init__(self, pictures: PictureFiles) -> None:
        self._pictures = pictures
        self._at_hand: dict[str, Known] = {}

    def of(self, hash_: str) -> Known:
        """The looks of a kept picture. Raises NotFoundError."""
        if hash_ not in self._at_hand:
            row = self._pictures.find(hash_)
            if row is not None and row.look:
                self._at_hand[hash_] = _from_json(row.look)
            else:
                known = known_of(load(self._pictures.original(hash_)))
                self._pictures.set_look(hash_, to_json(known))
                self._at_hand[hash_] = known
        return self._at_hand[hash_]
