"""Where and when shared bands are shown: what a visitor gets on a given page on a given day."""

from .compositions import Composition, compositions, conflicts, never_shown
from .shown import Occasion, day_of, shown, shown_by_rules, standing, with_bands
from .static import Group, handed_out, site_on, static_page

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
    "shown_by_rules",
    "site_on",
    "standing",
    "static_page",
    "with_bands",
]
