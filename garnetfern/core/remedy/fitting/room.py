"""Less inner space of the band beside its words, on the screens where they want the room."""

from collections.abc import Iterator

from ...document import Padding
from ...document.length import scaled
from ...document.model import BandException
from ._trouble import Change, Trouble

ORDER, TITLE = 4, "Room beside the words"
FOR = ("torn", "narrow", "off_screen", "over_edge")
FACTORS = (0.75, 0.5, 0.25)


def found(trouble: Trouble) -> Iterator[Change]:
    """Less and less, on those screens alone."""
    band = trouble.band
    for factor in FACTORS:
        screens = dict(band.screens)
        for screen in trouble.screens:
            own = screens.get(screen.id, BandException())
            now = own.padding or band.padding
            less = Padding(block=now.block, inline=scaled(now.inline, factor))
            screens[screen.id] = own.model_copy(update={"padding": less})
        sentence = f"{band.name} has {round(100 * factor)} % of its space at the sides {trouble.where}."
        yield Change(trouble.with_band(screens=screens), sentence)
