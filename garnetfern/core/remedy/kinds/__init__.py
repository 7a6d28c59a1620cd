"""The kinds of remedy. A module here names one: ORDER, its place among them, TITLE, and `found(plight)`, its
proposals. HELP, where it has that, names the kind of help that it adds to a page; others change what is there.

Each change of the picture as a whole asks `plight.may("picture")`, each other colour of the words `"colour"`, each
other place `"place"`.
"""

import sys
from types import ModuleType

from ...registry import entries

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order: those that cost the picture nothing, then those that are found soonest."""
