"""How words arrive when they first come into sight."""

from typing import Literal

from pydantic import Field

from .base import Model

Way = Literal["fade", "rise", "settle", "side"]


class Entrance(Model):
    """Once, when first in sight; not for visitors who ask for less motion. Words never begin so faint that they are
    gone, and where nothing is animated they stand as they are set.

    `fade` in place, `rise` from below, `settle` from above, or from the `side` where lines begin. Times in s.
    """

    way: Way = "rise"
    duration: float = Field(0.7, ge=0.1, le=4)
    delay: float = Field(0, ge=0, le=10)
