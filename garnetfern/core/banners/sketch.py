"""What an idea makes of a band, before it is looked at; and why it makes nothing."""

from dataclasses import dataclass

from ..document import Page
from ..errors import GarnetfernError


@dataclass(frozen=True)
class Sketch:
    """A page with the band made anew, and how, in one sentence."""

    page: Page
    sentence: str


class LeftOut(Exception):  # noqa: N818 - no error: an idea that does not suit a picture
    """An idea that does not suit a picture or its words. `reason` is a sentence for people."""

    def __init__(self, reason: str) -> None:
        super().__init__(reason)
        self.reason = reason


class BannerError(GarnetfernError):
    """A band that whole banners cannot be made of."""

    kind = "banner"
