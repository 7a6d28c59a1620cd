"""A base that bears the words while the picture is missing, and all words of one tone: nothing over the picture at
all."""

from collections.abc import Iterator

from ..distress import Distress
from ..draft import Draft, also

ORDER = -1
TITLE = "The base alone"


def found(distress: Distress) -> Iterator[Draft]:
    """What other ideas begin with, where that is enough."""
    if distress.start is not distress.page and distress.suffices(distress.start):
        yield Draft("base", distress.start, also(distress).strip(), recoloured=distress.recoloured)
