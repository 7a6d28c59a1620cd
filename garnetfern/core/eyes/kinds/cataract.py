"""Eyes with a clouded lens: a part of all the light is scattered over everything, and blue is held back."""

from collections.abc import Mapping

import numpy as np

from ..veil import Dial, Veil, at

ORDER = 6
TITLE = "Clouded eyes (cataract)"
SENTENCE = "Light is scattered over all of the screen, and blues are dim. Frequent after seventy."
DIALS = (Dial("cloud", "Cloud", 0.0, 0.8, 0.05, 0.25, "%", 100),)
HELD_BACK = np.array([0.05, 0.15, 0.5])
"""What of red, green and blue such a lens holds back: it turns yellow and brown."""


def veil(dials: Mapping[str, float]) -> Veil:
    """What is scattered is lost to the spot that it comes from and added, as the mean of the screen, to every spot."""
    cloud = dials["cloud"]
    passes = 1 - HELD_BACK * cloud
    red, green, blue = (float(x) for x in cloud * passes)
    return Veil(0.0, at(np.diag((1 - cloud) * passes)), (red, green, blue))
