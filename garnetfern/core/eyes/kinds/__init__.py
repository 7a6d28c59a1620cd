"""Eyes and lights. A module here is one: ORDER, TITLE, SENTENCE (what it stands for), DIALS, and `veil(dials)`,
what is then seen of a screen."""

import sys
from types import ModuleType

from ...registry import entries

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every eye by its name, in the order in which they are offered."""
