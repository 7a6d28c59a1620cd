"""The films on the site's shelf, and its pictures that move."""

from collections.abc import Iterator
from typing import Any

from ....core.document import Asset, Site, VideoLayer
from ....core.document.footage import FASTEST
from ....core.film.facts import FILM_TYPES
from ._offer import Offer, Place

ORDER, NAME, TITLE = 7, "film", "A film"
WHOLE, BEGINNING = 20.0, 10.0
"""A film that is no longer than the first is shown as a whole, of a longer one so much of its beginning, s."""


def takes(asset: Asset) -> bool:
    """Whether something handed in is laid as a film at first; pictures that move are laid as pictures."""
    return asset.type in FILM_TYPES


def laid(asset: Asset, name: str) -> VideoLayer:
    """The layer that shows a film, or a picture that moves, under an id."""
    end = asset.duration if asset.duration <= WHOLE else BEGINNING
    rate = min(FASTEST, max(1.0, round(asset.rate, 2)))
    return VideoLayer(id=name, name=asset.title, asset=asset.id, end=max(0.2, round(end, 2)), rate=rate)


def offers(site: Site, _: Place) -> Iterator[Offer]:
    """One for each that moves."""
    for asset in site.assets:
        if asset.duration >= 0.2:
            style = f"background: url(/thumbs/{asset.hash[:10]}) center / cover"
            plain: dict[str, Any] = laid(asset, "film").model_dump(mode="json", exclude={"id", "screens"})
            yield Offer(f"The film {asset.name}", style, plain)


def aside(layer: VideoLayer) -> str:
    """How much of it is shown."""
    return f"{layer.end - layer.start:.1f}".removesuffix(".0") + " s"


def ink(_: VideoLayer) -> str:
    """A grey, as a film has no colour of its own."""
    return "#8a8378"
