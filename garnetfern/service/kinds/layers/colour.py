"""The site's colours."""

from collections.abc import Iterator

from ....core.document import ColourLayer, Site
from ._offer import Offer, Place

ORDER, NAME, TITLE = 0, "colour", "A colour"
STRENGTH = 0.4
WITHOUT_A_PALETTE = ("#000000", "#ffffff")


def offers(site: Site, _: Place) -> Iterator[Offer]:
    """One for each colour of the palette, so strong that the picture is still seen."""
    for colour in site.palette or WITHOUT_A_PALETTE:
        layer = {"kind": "colour", "name": "Overlay", "colour": colour, "opacity": STRENGTH}
        yield Offer(f"Colour {colour}", f"background: {colour}", layer)


def aside(layer: ColourLayer) -> str:
    """How strong it is."""
    return f"{round(layer.opacity * 100)} %"


def ink(layer: ColourLayer) -> str:
    """Itself."""
    return layer.colour
