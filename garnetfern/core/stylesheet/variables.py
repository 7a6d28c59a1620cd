"""Custom properties and `var()` (CSS Variables 1)."""

from collections.abc import Mapping

from .tokens import Node, called, said, significant
from .unread import UnreadError

Known = Mapping[str, list[Node]]
DEEPEST = 24
MOST = 4000
"""A value of more component values is not read: it has been built to grow."""


def has_var(nodes: list[Node]) -> bool:
    """Whether `var()` stands somewhere in a value."""
    return any(called(n) in ("var", "env") or (_inner(n) is not None and has_var(_inner(n) or [])) for n in nodes)


def _inner(node: Node) -> list[Node] | None:
    if node.type == "function":
        return list(node.arguments)
    return list(node.content) if node.type in ("() block", "[] block", "{} block") else None


def _with(node: Node, inner: list[Node]) -> Node:
    place = node.source_line, node.source_column
    return type(node)(*place, node.name, inner) if node.type == "function" else type(node)(*place, inner)


def _variable(node: Node, known: Known, seen: tuple[str, ...]) -> list[Node]:
    arguments = list(node.arguments)
    comma = next((n for n, a in enumerate(arguments) if a.type == "literal" and a.value == ","), len(arguments))
    names = significant(arguments[:comma])
    if not names or names[0].type != "ident":
        raise UnreadError(f"{said(node)} names no variable")
    name = str(names[0].value)
    if name in known and name not in seen and called(node) == "var":
        return substituted(known[name], known, (*seen, name))
    if comma < len(arguments):
        return substituted(arguments[comma + 1 :], known, seen)
    why = "goes round in a circle" if name in seen else "is not set"
    raise UnreadError(f"the variable {name} {why}, and there is no fallback")


def substituted(nodes: list[Node], known: Known, seen: tuple[str, ...] = ()) -> list[Node]:
    """A value with every `var()` in it replaced. Raises UnreadError."""
    if len(seen) > DEEPEST:
        raise UnreadError(f"variables stand for each other more than {DEEPEST} times")
    found: list[Node] = []
    for node in nodes:
        if called(node) in ("var", "env"):
            found += _variable(node, known, seen)
        else:
            inner = _inner(node)
            plain = inner is None or not has_var(inner)
            found.append(node if plain else _with(node, substituted(inner or [], known, seen)))
        if len(found) > MOST:
            raise UnreadError(f"with its variables it has more than {MOST} parts")
    return found
