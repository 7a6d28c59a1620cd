"""Component values (CSS Syntax 3, section 5) as tinycss2 gives them: splitting and saying them."""

from collections.abc import Iterable, Sequence
from typing import Any

import tinycss2

Node = Any
"""One of tinycss2's nodes, which have no types of their own."""
MOST_SAID = 80


def significant(nodes: Iterable[Node]) -> list[Node]:
    """Without white space and comments."""
    return [node for node in nodes if node.type not in ("whitespace", "comment")]


def split(nodes: Iterable[Node], at: str) -> list[list[Node]]:
    """The significant values between literals of one kind."""
    found: list[list[Node]] = [[]]
    for node in significant(nodes):
        if node.type == "literal" and node.value == at:
            found.append([])
        else:
            found[-1].append(node)
    return found


def word(node: Node) -> str:
    """An identifier in small letters; '' where it is none."""
    return str(node.lower_value) if node.type == "ident" else ""


def called(node: Node) -> str:
    """A function's name in small letters; '' where it is none."""
    return str(node.lower_name) if node.type == "function" else ""


def said(nodes: Sequence[Node] | Node) -> str:
    """Values as they were written, cut where they are long."""
    text = " ".join(tinycss2.serialize(nodes if isinstance(nodes, list | tuple) else [nodes]).split())
    return text if len(text) <= MOST_SAID else text[: MOST_SAID - 2] + " …"


def written(nodes: Sequence[Node]) -> str:
    """Values as they were written."""
    return str(tinycss2.serialize(nodes)).strip()


def address_of(node: Node) -> str | None:
    """The address in `url()` or a string; None where it is neither."""
    if node.type in ("url", "string"):
        return str(node.value)
    if called(node) in ("url", "src"):
        inner = significant(node.arguments)
        if inner and inner[0].type == "string":
            return str(inner[0].value)
    return None
