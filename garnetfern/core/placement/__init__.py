"""Where and when shared bands are shown: what a visitor gets on a given page on a given day."""

from .compositions import Composition, compositions, conflicts, never_shown
from .shown import Occasion, day_of, shown, standing, with_bands
from .static import Group, handed_out, static_page

__all__ = [
    "Composition",
    "Group",
    "Occasion",
    "compositions",
    "conflicts",
    "day_of",
    "handed_out",
    "never_shown",
    "shown",
    "standing",
    "static_page",
    "with_bands",
]
