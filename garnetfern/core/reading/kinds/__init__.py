"""The kinds of situation. A module here names one: ORDER, its place among them; AT_HAND, whether it is
read with every edit, not only when it has settled; and `found(site, page, screen)`. INSTEAD_OF names the kind that is
not read where a complete check reads this one. With READ false only whether the words fit is looked at there;
that is looked at where LAYS says that words are laid out otherwise.
"""

import sys
from types import ModuleType

from ...registry import entries

KINDS: dict[str, ModuleType] = dict(sorted(entries(sys.modules[__name__]).items(), key=lambda pair: int(pair[1].ORDER)))
"""Every kind by its name, in order."""

AT_HAND = frozenset(name for name, module in KINDS.items() if module.AT_HAND)
"""The kinds that are read with every edit; the others follow when it has settled."""
