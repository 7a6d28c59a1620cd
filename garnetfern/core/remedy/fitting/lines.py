"""More space between the lines."""

from collections.abc import Iterator

from ._trouble import Change, Trouble

ORDER, TITLE = 0, "Space between lines"
FOR = ("close_lines", "on_each_other", "target", "forced", "over_edge")
STEP = 0.1
MOST = 3.0
"""Lines further apart fall to pieces."""


def found(trouble: Trouble) -> Iterator[Change]:
    """Further and further apart."""
    line = trouble.block.lettering.line
    while (line := round(line + STEP, 2)) <= MOST:
        yield Change(trouble.with_lettering(line=line), f"Its lines are {line:g} of the letters' size.")
