"""Another width of the words: as wide as their column, or no wider than the eye follows."""

from collections.abc import Iterator

from ._trouble import Change, Trouble

ORDER, TITLE = 3, "Width of the words"
FOR = ("long_lines", "torn", "narrow", "off_screen", "over_edge")
WIDTHS = ("38em", "36em", "34em", "32em", "30em", "28em")
"""Widths of columns that are easily read."""


def found(trouble: Trouble) -> Iterator[Change]:
    """Free of their own width where they have one and need more; otherwise narrower and narrower."""
    if trouble.kind != "long_lines":
        if trouble.block.width is not None:
            yield Change(trouble.with_block(width=None), "Its words may be as wide as their column.")
        return
    for width in WIDTHS:
        yield Change(trouble.with_block(width=width), f"Its words are at most {width} wide.")
