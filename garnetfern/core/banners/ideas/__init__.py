"""Ideas for a whole banner. A module here is one: ORDER, its place among them, best first; TITLE; and `made(brief)`,
what comes of it, the best first, further ones as variations. It raises LeftOut, with the reason, where it does not suit
the picture or the words. What is made is looked at in every situation by whoever asks.
"""

import sys
from types import ModuleType

from ...registry import entries

IDEAS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every idea by its name, in order."""
