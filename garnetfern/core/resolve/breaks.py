"""Where a line of text may break: UAX #14, and the browser's own habits between ASCII characters."""

from functools import lru_cache

from uniseg.linebreak import line_break_boundaries

from .ascii_breaks import BREAKS_AFTER


def _ascii_break(text: str, at: int) -> bool:
    """Whether a line may break before text[at], both neighbours being ASCII and no space.

    A hyphen before a digit is a minus sign unless a letter or digit stands before it.
    """
    before, after = text[at - 1], text[at]
    if before == "-" and after.isdigit():
        return at >= 2 and text[at - 2].isascii() and text[at - 2].isalnum()
    return after in BREAKS_AFTER.get(before, "")


@lru_cache(maxsize=1024)
def break_opportunities(text: str) -> tuple[int, ...]:
    """Every index before which a line of `text` may break, its end included."""
    standard = None if text.isascii() else frozenset(line_break_boundaries(text))
    found: list[int] = []
    for at in range(1, len(text)):
        before, after = text[at - 1], text[at]
        if after == " ":
            continue
        if before == " ":
            found.append(at)
        elif standard is None or (before.isascii() and after.isascii()):
            if _ascii_break(text, at):
                found.append(at)
        elif at in standard:
            found.append(at)
    return (*found, len(text))
