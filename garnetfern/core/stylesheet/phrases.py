"""The words of an element of somebody's page, with what stretches of them are beside."""

from collections.abc import Callable, Iterator
from itertools import groupby
from typing import Any

from pydantic import ValidationError

from ..document.base import MAX_WORDING
from ..document.phrase import MOST_PHRASES, Phrase

Marks = tuple[tuple[str, Any], ...]
"""Fields of a phrase and their values; none: as the element's other words."""
Marked = tuple[str, Marks]
LINE = "\n"


def _letters(node: Any, marks: Marks, marks_of: Callable[[Any], Marks], silent: frozenset[str]) -> Iterator[Marked]:
    """Every letter within an element; a line break for each `br`."""
    yield from ((" " if c.isspace() else c, marks) for c in node.text or "")
    for child in node:
        if isinstance(child.tag, str) and child.tag not in silent:
            if child.tag == "br":
                yield LINE, marks
            else:
                yield from _letters(child, tuple({**dict(marks), **dict(marks_of(child))}.items()), marks_of, silent)
        yield from ((" " if c.isspace() else c, marks) for c in child.tail or "")


def _collapsed(letters: Iterator[Marked]) -> list[Marked]:
    """White space as HTML collapses it, without empty lines and what cannot be seen."""
    found: list[Marked] = []
    for letter, marks in letters:
        last = found[-1][0] if found else LINE
        if letter == LINE and last == " ":
            found.pop()
            last = found[-1][0] if found else LINE
        if (letter in (" ", LINE) and last == LINE) or (letter == " " and last == " "):
            continue
        if letter == LINE or letter.isprintable():
            found.append((letter, marks))
    while found and found[-1][0] in (" ", LINE):
        found.pop()
    return found[:MAX_WORDING]


def text_of(node: Any, silent: frozenset[str]) -> str:
    """The words of an element, lines as they break by `br`."""
    return "".join(letter for letter, _ in _collapsed(_letters(node, (), lambda _: (), silent)))


def _phrase(start: int, letters: list[Marked], marks: Marks) -> Phrase | None:
    text = "".join(letter for letter, _ in letters)
    inner = text.strip()
    first = start + len(text) - len(text.lstrip())
    if not inner or not marks:
        return None
    try:
        return Phrase(start=first, end=first + len(inner), **dict(marks))
    except ValidationError:
        # an address that is none
        return None


def words_of(node: Any, marks_of: Callable[[Any], Marks], silent: frozenset[str]) -> tuple[str, list[Phrase]]:
    """The words of an element and their phrases; `marks_of`: what an element inside it says about its own words;
    `silent` are elements whose words are not read."""
    letters = _collapsed(_letters(node, (), marks_of, silent))
    phrases: list[Phrase] = []
    pen = 0
    for marks, group in groupby(letters, key=lambda pair: pair[1]):
        alike = list(group)
        phrase = _phrase(pen, alike, marks)
        pen += len(alike)
        if phrase is not None:
            phrases.append(phrase)
    return "".join(letter for letter, _ in letters), phrases[:MOST_PHRASES]
