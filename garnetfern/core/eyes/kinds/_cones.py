"""Eyes one of whose three kinds of cones answers to other wavelengths than usual, or is not there.

The matrices are those that Machado, Oliveira and Fernandes give for linear sRGB at severities 0, 0.1, ... 1 (A
physiologically-based model for simulation of color vision deficiency, IEEE TVCG 15, 2009); between two of them they
are mixed. Each row comes to 1: what is grey stays grey.
"""

from collections.abc import Sequence

import numpy as np

from ..veil import Dial, Veil, at

Table = Sequence[tuple[tuple[float, ...], ...]]

SEVERITY = Dial("severity", "Severity", 0.0, 1.0, 0.05, 1.0, "%", 100)


def mixed(table: Table, severity: float) -> Veil:
    """The veil at a severity, 0..1."""
    place = severity * (len(table) - 1)
    low = min(int(place), len(table) - 2)
    one, two = (np.array(table[n], dtype=np.float64) for n in (low, low + 1))
    return Veil(0.0, at(one + (two - one) * (place - low)))
