"""The kinds of situation. A module here names one: ORDER, its place among them, and `found(site, page, screen)`."""

import sys
from types import ModuleType

from ...registry import entries

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order."""
