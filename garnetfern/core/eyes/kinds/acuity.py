"""Eyes that see less sharply.

An eye of decimal acuity V tells lines apart as fine as 30 V to a degree: half of one is 1 / V minutes, which is how
acuity is measured (ISO 8596). Taken is the Gaussian that leaves a twentieth of the contrast of just those lines. 0.5
and 0.25 are what the requirements of 4.5 and 7 are meant to make up for (20/40 and 20/80; Understanding WCAG 2.2, 1.4.3
and 1.4.6).
"""

import math
from collections.abc import Mapping

import numpy as np

from ..veil import PX_PER_DEGREE, Dial, Veil, at

ORDER = 5
TITLE = "Less sharp eyes"
SENTENCE = "As with no glasses on, or with low vision. Half as sharp (0.5) is frequent in old age."
DIALS = (
    Dial("acuity", "Sharpness", 0.05, 1.0, 0.05, 0.5),
    Dial("distance", "Distance", 0.5, 4.0, 0.25, 1.0, "× arm’s length"),
)
LINES_PER_DEGREE = 30.0
LEFT = 0.05
"""What is left of the contrast of the finest lines that are told apart."""


def veil(dials: Mapping[str, float]) -> Veil:
    """The blur at this acuity, as far away; one arm's length is where a CSS px is as large as it is meant to be."""
    finest = LINES_PER_DEGREE * dials["acuity"]
    degrees = math.sqrt(math.log(1 / LEFT) / 2) / (math.pi * finest)
    return Veil(degrees * PX_PER_DEGREE * dials["distance"], at(np.eye(3)))
