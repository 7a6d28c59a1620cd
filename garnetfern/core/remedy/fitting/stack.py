"""Columns one under the other, on the screens where they are too narrow side by side."""

from collections.abc import Iterator

from ...document.model import BandException
from ._trouble import Change, Trouble

ORDER, TITLE = 5, "Columns one under the other"
FOR = ("torn", "narrow", "off_screen", "over_edge", "on_each_other", "covered", "on_a_button")


def found(trouble: Trouble) -> Iterator[Change]:
    """Where there are several."""
    band = trouble.band
    if len(band.columns) < 2:
        return
    screens = dict(band.screens)
    for screen in trouble.screens:
        own = screens.get(screen.id, BandException())
        screens[screen.id] = own.model_copy(update={"layout": "stack"})
    sentence = f"The columns of {band.name} stand one under the other {trouble.where}."
    yield Change(trouble.with_band(screens=screens), sentence)
