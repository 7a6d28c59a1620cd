"""What a kind of block is made of."""

from collections.abc import Mapping
from dataclasses import dataclass, field


@dataclass(frozen=True)
class BlockKind:
    """`own`: fields that only some kinds have, each with the sentence that is said where it is missing or out of place;
    of these `needed` must be there. `lettered`: it is made of words that are to be read. `edged`: its edge is part of
    the interface and has to be made out where it has a plate (WCAG 2.2, 1.4.11). `linked`: it is a link or made of
    links. `running`: its words are read line after line.
    """

    own: Mapping[str, str] = field(default_factory=dict)
    needed: tuple[str, ...] = ()
    lettered: bool = True
    edged: bool = False
    linked: bool = False
    running: bool = False


PHRASES = {"phrases": "Only headings, texts and logos have phrases."}
"""Own to kinds whose words flow and are not pressed as a whole."""
