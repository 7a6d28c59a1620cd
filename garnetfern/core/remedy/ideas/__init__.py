"""Ideas for a whole area whose words fall short. A module here names one: ORDER, its place among them, TITLE, and
`found(distress)`, its drafts: pages on which every word of the area can be read in every situation.

Each changes the area by one means for all of its words; what is there already is used before another is made.
"""

import sys
from types import ModuleType

from ...registry import entries

IDEAS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every idea by its name, in order: those that use what is there first."""
