"""What a kind of remedy proposes, and what becomes of it once it was checked."""

from dataclasses import dataclass

from ..colour.notation import Rgba
from ..document import Page
from ..reading import Reading, Situation


@dataclass(frozen=True)
class Proposal:
    """A changed page, and the change in one sentence. `kind` is the module that made it.

    `sure`: the search found it to suffice for the words; otherwise it is as far as this kind goes. `share`: of what is
    shown in turn, how much is left, 0..1.
    """

    kind: str
    page: Page
    sentence: str
    sure: bool = True
    share: float = 1.0


@dataclass(frozen=True)
class Remedy:
    """A proposal read in full: the worst reading of the words then, and where; how much of the picture it keeps.

    `meets`: every letter of the words reaches what is required in every situation, and no other words fall short that
    did not before.
    """

    kind: str
    page: Page
    sentence: str
    worst: Reading
    situation: Situation
    kept: float
    meets: bool


def percent(share: float) -> str:
    """A share for reading: as many places as it has, one at the most."""
    return f"{share * 100:.1f}".removesuffix(".0") + " %"


def plain_behind(light: bool) -> Rgba:
    """The plain fill on which words stand best: what `kept` is measured by."""
    return Rgba(0, 0, 0) if light else Rgba(255, 255, 255)
