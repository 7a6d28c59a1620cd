"""Somebody's own stylesheet, read into the document: backgrounds as layers, heights, padding, letters.

Parsed by tinycss2, matched by cssselect2. What cannot be read is never dropped in silence: see `Unread`.
"""

from .brought import Brought, BroughtArea, read_stylesheets
from .flatten import flatten
from .sources import Sources
from .unread import Unread

__all__ = ["Brought", "BroughtArea", "Sources", "Unread", "flatten", "read_stylesheets"]
