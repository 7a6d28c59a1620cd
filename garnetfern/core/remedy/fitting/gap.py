"""More space between the blocks of a column, and inside a plate."""

from collections.abc import Iterator

from ...document.plate import Padding
from ._trouble import Change, Trouble

ORDER, TITLE = 6, "Space round the words"
FOR = ("on_each_other", "on_a_button", "covered", "target", "focus", "over_edge", "off_screen")
GAPS = ("8px", "12px", "16px", "24px", "32px", "48px", "72px", "96px", "128px")
INNER = ("0.3em", "0.5em", "0.75em", "1em")


def found(trouble: Trouble) -> Iterator[Change]:
    """In its plate first, where it has one; then between it and its neighbours."""
    block = trouble.block
    if block.plate is not None:
        for space in INNER:
            padding = Padding(block=space, inline=block.plate.padding.inline)
            plate = block.plate.model_copy(update={"padding": padding})
            yield Change(trouble.with_block(plate=plate), f"Its plate has {space} of space above and below the words.")
    for gap in GAPS:
        columns = tuple(
            c.model_copy(update={"gap": gap}) if any(b.id == block.id for b in c.blocks) else c
            for c in trouble.band.columns
        )
        yield Change(trouble.with_band(columns=columns), f"The blocks of its column stand {gap} apart.")
