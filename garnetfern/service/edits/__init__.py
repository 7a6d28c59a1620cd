"""Changes that take more than setting a value: each is a model of what is asked, and a function from site to site.

Edit
├─ bands     add-band, remove-band, move-band, duplicate-band, set-columns, move-column
├─ blocks    add-block, remove-block, move-block, duplicate-block
├─ beside    beside-subject
├─ joins     join, part
├─ screens   add-screen, remove-screen, same-everywhere
└─ pictures  lay-picture, shelve-picture, replace-picture, remove-picture, follow-advice, best-focal
"""

from .apply import Edit, apply_edit
from .common import Edited

__all__ = ["Edit", "Edited", "apply_edit"]
