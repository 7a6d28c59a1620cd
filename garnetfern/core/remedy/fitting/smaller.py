"""Smaller letters, on the screens where the words do not fit."""

from collections.abc import Iterator

from ...document.block import BlockException
from ...document.length import scaled
from ._trouble import Change, Trouble

ORDER, TITLE = 2, "Smaller letters"
FOR = ("off_screen", "over_edge", "on_each_other", "on_a_button", "covered", "torn", "narrow", "forced")
STEPS = tuple(0.95 - 0.05 * n for n in range(15))
"""To a quarter of their size."""


def found(trouble: Trouble) -> Iterator[Change]:
    """Smaller and smaller, on those screens alone."""
    block, everywhere = trouble.block, len(trouble.screens) == len(trouble.site.screens)
    for factor in STEPS:
        sizes: dict[str, BlockException] = dict(block.screens)
        for screen in trouble.screens:
            own = sizes.get(screen.id, BlockException())
            size = scaled(own.size or block.lettering.size, factor)
            sizes[screen.id] = own.model_copy(update={"size": size})
        if everywhere and not block.screens:
            page = trouble.with_lettering(size=scaled(block.lettering.size, factor))
        else:
            page = trouble.with_block(screens=sizes)
        yield Change(page, f"Its letters are {round(100 * factor)} % as large {trouble.where}.")
