"""Several pictures in turn, and gradients that move into one another."""

from collections.abc import Iterator
from typing import Any

from ....core.css.declarations import gradient_value
from ....core.document import Gradient, SequenceLayer, Site
from ....stock.gradients import GRADIENTS
from ._offer import Offer, Place

ORDER, NAME, TITLE = 6, "sequence", "A change of pictures, or a moving gradient"
AT_FIRST = 3
"""So many pictures of the shelf are offered together."""
SLOWLY: dict[str, Any] = {"stay": 1, "change": 6}
"""A gradient that moves is on the way most of the time."""


def _member(number: int, layer: dict[str, Any]) -> dict[str, Any]:
    return {"layer": {**layer, "id": f"turn-{number + 1}"}}


def offers(site: Site, __: Place) -> Iterator[Offer]:
    """The first pictures of the shelf, and neighbouring gradients that ship."""
    found = [{"kind": "image", "name": a.title, "asset": a.id} for a in site.assets[:AT_FIRST]]
    if len(found) > 1:
        last, wide = len(found) - 1, 100 / len(found)
        looks = ", ".join(
            f"url(/thumbs/{a.hash[:10]}) {n * 100 / last:g}% center / {wide:.4g}% 100% no-repeat"
            for n, a in enumerate(site.assets[:AT_FIRST])
        )
        layer = {"kind": "sequence", "name": "Pictures in turn"}
        name = f"Pictures in turn: {', '.join(str(m['name']) for m in found)}"
        yield Offer(name, f"background: {looks}", {**layer, "members": [_member(n, m) for n, m in enumerate(found)]})
    for (_, first, one), (_, second, other) in zip(GRADIENTS[::2], GRADIENTS[1::2], strict=False):
        pair = [{"kind": "gradient", "name": n, "gradient": g} for n, g in ((first, one), (second, other))]
        moving = {"kind": "sequence", "name": f"{first}, moving", **SLOWLY}
        yield Offer(
            f"Colours that move: {first} and {second}",
            f"background: {_halves(one, other)}",
            {**moving, "members": [_member(n, m) for n, m in enumerate(pair)]},
        )


def _halves(one: dict[str, Any], other: dict[str, Any]) -> str:
    """Both gradients beside each other."""
    images = [gradient_value(Gradient.model_validate(plain)) for plain in (one, other)]
    return f"{images[0]} left / 50% 100% no-repeat, {images[1]} right / 50% 100% no-repeat"


def aside(layer: SequenceLayer) -> str:
    """How many members it has."""
    return f"{len(layer.members)} in turn" if len(layer.members) > 1 else "one alone"


def ink(layer: SequenceLayer) -> str:
    """The first gradient's colours; a grey for pictures, which have no colour of their own."""
    gradients = layer.gradients()
    flat = {"shape": "linear", "angle": 90.0, "repeating": False}
    return gradient_value(gradients[0].model_copy(update=flat)) if gradients else "#8a8378"
