"""A picture among the words."""

from typing import Any

from ....core.errors import GarnetfernError
from ..fresh import Fresh

ORDER, NAME = 5, "Picture"


class NoPictureError(GarnetfernError):
    """A picture block needs a picture."""

    kind = "picture"


def made(fresh: Fresh) -> dict[str, Any]:
    """The shelf's first. Raises NoPictureError."""
    if not fresh.site.assets:
        raise NoPictureError("There is no picture on the shelf yet. Bring one first.")
    first = fresh.site.assets[0]
    return {"asset": first.id, "wording": first.title}
