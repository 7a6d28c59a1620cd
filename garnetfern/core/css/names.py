"""The classes of elements: those that all pages have, and one of its own for everything that has an id.

An id may be any word, ours too: a band that was added may be called `band`. Its class ends in an underscore then, which
no id can hold, so that a rule for one band is never a rule for all.
"""

COMMON = frozenset(
    {
        "band", "behind", "behind-page", "button", "column", "content", "control", "entries", "fold", "heard", "join",
        "layer", "list", "main", "menu", "page", "phrase", "pick", "picks", "picture", "pictured", "plated", "run",
        "space", "stop", "stop-box", "underlined", "words",
    }
)  # fmt: skip
"""What stands behind `gf-` in the classes that all pages have."""
OURS = ("break-", "phrase-", "pick-", "show-")
"""What our names begin with that stand before an id."""


def named(name: str) -> str:
    """The class of what has this id."""
    return f"gf-{name}_" if name in COMMON or name.startswith(OURS) else f"gf-{name}"
