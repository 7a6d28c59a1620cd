"""A link in heavier letters, where only its hue tells it from words beside it."""

from collections.abc import Iterator

from ._trouble import Change, Trouble

ORDER, TITLE = 9, "Heavier letters"
FOR = ("by_hue",)
HEAVIER = 200
"""As much heavier as is seen beside others (CSS Fonts 4: two steps of weight)."""


def found(trouble: Trouble) -> Iterator[Change]:
    """Bold, as far as its font goes; nothing where that is no heavier."""
    lettering = trouble.block.lettering
    if trouble.block.link is None:
        return
    for weight in (700, 900):
        if weight >= lettering.weight + HEAVIER:
            yield Change(trouble.with_lettering(weight=weight), f"Its letters are {weight} heavy everywhere.")
