"""What is known of a picture once it was looked at: its looks, its seams, the colours of its edges, its repeat."""

from dataclasses import asdict, dataclass
from typing import Any

from PIL import Image

from .advice import edges_of
from .look import Look, Swatch, look_of
from .tiles import Seam, Seams, is_mark, repeat_depth, seams_of

MEASURED_SIDE = 1400
"""Pictures with a longer side than this are no tiles; their seams are not measured."""


@dataclass(frozen=True)
class Known:
    """A picture's looks; its seams and its repeat's depth where it may be a tile; the colours of its foot and edge;
    whether it is a mark, which stands by itself."""

    look: Look
    seams: Seams | None
    edges: tuple[str, str]
    depth: float
    mark: bool = False


def known_of(image: Image.Image) -> Known:
    """Look at a decoded picture."""
    seams = seams_of(image) if max(image.size) <= MEASURED_SIDE else None
    depth = repeat_depth(image) if seams else 0.0
    return Known(look_of(image), seams, edges_of(image), depth, is_mark(image))


def to_plain(known: Known) -> dict[str, Any]:
    """As plain data."""
    return asdict(known)


def seams_from_plain(plain: dict[str, Any]) -> Seams:
    """Seams out of plain data."""
    return Seams(Seam(**plain["across"]), Seam(**plain["down"]))


def from_plain(plain: dict[str, Any]) -> Known:
    """What `to_plain` has written. Raises KeyError or TypeError where it was not that."""
    look, seams = plain["look"], plain["seams"]
    colours = tuple(Swatch(**c) for c in look["colours"])
    detail = tuple(tuple(row) for row in look["detail"])
    subject, light = (tuple(tuple(row) for row in look[name]) for name in ("subject", "light"))
    edges = (plain["edges"][0], plain["edges"][1])
    found = None if seams is None else seams_from_plain(seams)
    seen = Look(colours, look["lightness"], look["busyness"], detail, subject, look["clear"], light)
    return Known(seen, found, edges, plain["depth"], plain["mark"])
