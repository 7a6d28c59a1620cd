"""A menu that has no room on some screens folded there, behind a word that opens it."""

from collections.abc import Iterator

from ...document.block import BlockException
from ._trouble import Change, Trouble

ORDER, TITLE = 3, "Fold the menu"
FOR = ("off_screen", "over_edge", "on_a_button", "target")


def found(trouble: Trouble) -> Iterator[Change]:
    """On the screens on which it is found; nothing where the words are no menu, or fold there already."""
    block = trouble.block
    if not block.items or block.folds:
        return
    screens = dict(block.screens)
    for screen in trouble.screens:
        own = screens.get(screen.id, BlockException())
        screens[screen.id] = own.model_copy(update={"fold": "closed"})
    yield Change(trouble.with_block(screens=screens), f"The menu is folded {trouble.where}; a press opens it.")
