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


HELD_DASHES = "\u2010\u2012\u2013"
"""Behind these no line breaks where a word begins with one and a letter follows (UAX #14, rule LB20a; the browser holds
the en dash and the figure dash to it too)."""
GLUE = " \u00a0\u202f\u2007\u2011\u2060"
"""What a word begins behind."""


def _begins_with_dash(text: str, at: int) -> bool:
    """Whether a word begins with the dash before text[at], and a letter follows."""
    return text[at - 1] in HELD_DASHES and text[at].isalpha() and (at < 2 or text[at - 2] in GLUE)


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
        elif at in standard and not _begins_with_dash(text, at):
            found.append(at)
    return (*found, len(text))
