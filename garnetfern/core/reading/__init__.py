"""Can the words be read: situations, the ground behind each letter, and the contrast there."""

from .kinds import AT_HAND, KINDS
from .letters import Letter, Reading, Verdict
from .reader import Reader
from .situation import Situation
from .situations import situations

__all__ = ["AT_HAND", "KINDS", "Letter", "Reader", "Reading", "Situation", "Verdict", "situations"]
