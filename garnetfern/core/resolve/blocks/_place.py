"""Where blocks are set, and what comes of it."""

from dataclasses import dataclass

from ...document import Site
from ..lengths import Viewport
from ..records import Line
from ..voices import Voice


@dataclass(frozen=True)
class BlockPlace:
    """What a block without words may be as high by."""

    site: Site
    viewport: Viewport


@dataclass(frozen=True)
class WordRoom:
    """Room for lines of `line_height`, px: `width` from `left` on, from `top` down. `align`: start, center or end.
    `voices`: what the words are set in, where not all are set alike."""

    line_height: float
    width: float
    align: str
    left: float
    top: float
    voices: tuple[Voice, ...] = ()


@dataclass(frozen=True)
class SetWords:
    """Lines, the characters that the font has no glyph for, and the height they take, px."""

    lines: tuple[Line, ...]
    missing: str
    height: float
