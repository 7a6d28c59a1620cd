"""Ids that nothing on a page has."""

from .model import Page

RESERVED = frozenset({"base", "words"})


def ids_of(page: Page) -> set[str]:
    """Every id on a page."""
    found = set(RESERVED)
    for area in page.areas():
        found.add(area.id)
        found.update(*(layer.ids() for layer in area.backdrop.layers))
    return found | {block.id for block in page.blocks()}


class Ids:
    """Gives ids that nothing on the page has."""

    def __init__(self, page: Page) -> None:
        self._taken = ids_of(page)

    def free(self, stem: str) -> str:
        """The stem itself, or with a number behind it."""
        name, number = stem[:34], 2
        while name in self._taken:
            name, number = f"{stem[:34]}-{number}", number + 1
        self._taken.add(name)
        return name
