"""An eye that was asked for: which, how its dials are set, and what veil that is before a screen."""

from collections.abc import Callable, Mapping
from types import ModuleType

import numpy as np

from ..colour.spaces import Bytes, Pixels, level_linear
from ..errors import GarnetfernError
from .kinds import KINDS
from .veil import Dial, Veil


class EyeError(GarnetfernError):
    """An eye that is not known, or a dial that cannot be set so."""

    kind = "eye"


def eye_of(kind: str) -> ModuleType:
    """The module of an eye. Raises EyeError for one that is not known."""
    if kind not in KINDS:
        raise EyeError(f"There is no eye called {kind!r}. There are: {', '.join(KINDS)}.", "kind")
    return KINDS[kind]


def dials_of(kind: str, given: Mapping[str, float]) -> dict[str, float]:
    """How the dials of an eye are set: as given, otherwise as is usual. Raises EyeError for a dial that it does not
    have, and for a figure beyond its ends."""
    dials: dict[str, Dial] = {dial.name: dial for dial in eye_of(kind).DIALS}
    for name, value in given.items():
        dial = dials.get(name)
        if dial is None:
            raise EyeError(f"“{eye_of(kind).TITLE}” has no dial called {name!r}.", name)
        if not dial.least <= value <= dial.most:
            raise EyeError(f"{dial.title} goes from {dial.least:g} to {dial.most:g}, not to {value:g}.", name)
    return {name: float(given.get(name, dial.usual)) for name, dial in dials.items()}


def mean_light(screen: Bytes) -> Pixels:
    """The mean of a screen's linear light: what is scattered over all of it. Three figures."""
    return np.asarray(level_linear(screen).reshape(-1, 3).mean(axis=0), dtype=np.float32)


def veil_of(kind: str, given: Mapping[str, float], screen: Callable[[], Bytes]) -> Veil:
    """The veil before a screen, which is drawn only if it scatters the light of all of it. Raises EyeError as
    `dials_of`."""
    veil: Veil = eye_of(kind).veil(dials_of(kind, given))
    return veil.before(mean_light(screen())) if veil.scatters else veil
