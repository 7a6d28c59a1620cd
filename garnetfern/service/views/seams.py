"""The seams of a tile, and what mending them changes."""

from dataclasses import asdict
from typing import cast

from typing_extensions import TypedDict

from ...core.document import Asset
from ...core.picture.tiles import Seams


class SeamView(TypedDict):
    """One pair of edges."""

    figure: float
    shows: bool


class SeamsView(TypedDict):
    """Both pairs."""

    across: SeamView
    down: SeamView


class MendView(TypedDict):
    """Seams before and after mending."""

    before: SeamsView
    after: SeamsView
    width: int
    height: int
    bytes: int


def seams_view(seams: Seams) -> SeamsView:
    """Both pairs of edges."""
    return cast(SeamsView, asdict(seams))


def mend_view(asset: Asset, way: str, weight: int, before: Seams, after: Seams) -> MendView:
    """What a mended copy of a tile that weighs so many bytes is like: a mirrored one is twice as large where it was not
    seamless."""
    twice = 2 if way == "mirror" else 1
    return {
        "before": seams_view(before),
        "after": seams_view(after),
        "width": asset.width * (twice if before.across.shows else 1),
        "height": asset.height * (twice if before.down.shows else 1),
        "bytes": weight,
    }
