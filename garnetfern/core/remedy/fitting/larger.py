"""Larger letters, on the screens where they are too small."""

from collections.abc import Iterator

from ...document.block import BlockException
from ...reading.fit.small import LEAST
from ._trouble import Change, Trouble

ORDER, TITLE = 1, "Larger letters"
FOR = ("small",)


def found(trouble: Trouble) -> Iterator[Change]:
    """As large as running words are at least, then a step more."""
    block = trouble.block
    for size in (f"{LEAST:g}px", "14px"):
        screens = dict(block.screens)
        for screen in trouble.screens:
            own = screens.get(screen.id, BlockException())
            screens[screen.id] = own.model_copy(update={"size": size})
        yield Change(trouble.with_block(screens=screens), f"Its letters are {size} large {trouble.where}.")
