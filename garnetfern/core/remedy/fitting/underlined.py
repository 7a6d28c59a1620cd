"""A line beneath links among words that only their hue tells from those around them."""

from collections.abc import Iterator

from ._trouble import Change, Trouble

ORDER, TITLE = 8, "Underlined"
FOR = ("by_hue",)


def found(trouble: Trouble) -> Iterator[Change]:
    """All links among these words."""
    phrases = tuple(p.model_copy(update={"underlined": True}) if p.link else p for p in trouble.block.phrases)
    if phrases != trouble.block.phrases:
        yield Change(trouble.with_block(phrases=phrases), "The links among its words are underlined.")
