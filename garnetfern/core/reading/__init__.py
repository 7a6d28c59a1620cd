"""Can the words be read: situations, the ground behind each letter, and the contrast there."""

from .letters import Letter, Reading
from .reader import Reader
from .situations import Situation, situations

__all__ = ["Letter", "Reader", "Reading", "Situation", "situations"]
