"""Media queries by width (Media Queries 5) and `@supports` (CSS Conditional 3), as far as screens are concerned."""

from dataclasses import dataclass

from .lengths import reach_of
from .tokens import Node, called, said, significant, split, word
from .unread import Notes, UnreadError

WIDE = 1e9
PRINT = ("print", "speech", "tty", "tv", "projection", "handheld", "braille", "embossed", "aural")


@dataclass(frozen=True)
class Span:
    """Viewport widths from `least` to `most`, CSS px."""

    least: float = 0.0
    most: float = WIDE

    def holds(self, width: float) -> bool:
        """Whether a viewport of this width is among them."""
        return self.least <= width <= self.most

    def __and__(self, other: "Span") -> "Span":
        """What both hold."""
        return Span(max(self.least, other.least), min(self.most, other.most))


Spans = tuple[Span, ...]
EVERYWHERE: Spans = (Span(),)


def _px(node: Node) -> float:
    found = reach_of(node, Notes())
    if not found.plain or set(found.wanted) - {"px", "em", "rem"}:
        raise UnreadError(f"{said(node)} is no width in px or em")
    return found.wanted.get("px", 0.0) + 16 * (found.wanted.get("em", 0.0) + found.wanted.get("rem", 0.0))


def _ranged(nodes: list[Node]) -> Span:
    """`400px <= width < 900px` and its like."""
    text = [word(n) or (n.value if n.type == "literal" else "") for n in nodes]
    if "width" not in text:
        raise UnreadError("only widths are asked for")
    at = text.index("width")
    span = Span()
    for part, turned in ((nodes[:at], True), (nodes[at + 1 :], False)):
        signs = [n.value for n in part if n.type == "literal"]
        sizes = [n for n in part if n.type != "literal"]
        if not part:
            continue
        if len(sizes) != 1 or not set(signs) <= {"<", ">", "=", "<=", ">="}:
            raise UnreadError(f"{said(nodes)} is no range of widths")
        size, sign = _px(sizes[0]), "".join(signs)
        if turned:
            sign = {"<": ">", ">": "<", "<=": ">=", ">=": "<="}.get(sign, sign)
        span &= {
            "<": Span(most=size - 0.02), "<=": Span(most=size), ">": Span(size + 0.02), ">=": Span(size),
            "=": Span(size, size),
        }[sign]  # fmt: skip
    return span


def _feature(node: Node) -> Span:
    inner = significant(node.content)
    if len(inner) == 1 and inner[0].type == "() block":
        return _feature(inner[0])
    if len(inner) >= 3 and inner[1].type == "literal" and inner[1].value == ":":
        name = word(inner[0])
        if name in ("min-width", "max-width", "width"):
            size = _px(inner[2])
            return Span(size if name != "max-width" else 0.0, size if name != "min-width" else WIDE)
        raise UnreadError(f"situations are told apart by width here, not by {name}")
    if len(inner) == 1 and word(inner[0]) in ("width", "color", "grid"):
        return Span() if word(inner[0]) != "grid" else Span(1, 0)
    return _ranged(inner)


def _query(nodes: list[Node]) -> Span | None:
    """One query; None: it is never met on a screen. Raises UnreadError."""
    span = Span()
    names = [word(n) for n in nodes]
    if "not" in names or "or" in names:
        raise UnreadError("queries with not and or are not read")
    for node in nodes:
        name = word(node)
        if name in PRINT:
            return None
        if node.type == "() block":
            span &= _feature(node)
        elif name not in ("only", "and", "screen", "all"):
            raise UnreadError(f"{said(node)} is no medium that is read")
    return span if span.least <= span.most else None


def media(nodes: list[Node], within: Spans = EVERYWHERE) -> Spans:
    """The widths at which a media query list is met; none: never on a screen. Raises UnreadError."""
    groups = split(nodes, ",")
    if groups == [[]]:
        return within
    found = [span for span in map(_query, groups) if span is not None]
    both = (one & other for one in found for other in within)
    return tuple(span for span in both if span.least <= span.most)


def supported(nodes: list[Node], known: frozenset[str], depth: int = 0) -> bool:
    """Whether a condition of `@supports` is met by what is read here. Raises UnreadError."""
    nodes = significant(nodes)
    if depth > 20 or not nodes:
        raise UnreadError("a condition is nested too deep, or empty")
    if word(nodes[0]) == "not":
        return not supported(nodes[1:], known, depth + 1)
    for joint, both in (("and", all), ("or", any)):
        at = [n for n, node in enumerate(nodes) if word(node) == joint]
        if at:
            parts = [nodes[a + 1 : b] for a, b in zip([-1, *at], [*at, len(nodes)], strict=True)]
            return both([supported(part, known, depth + 1) for part in parts])
    node = nodes[0]
    if called(node) == "selector":
        return True
    if node.type != "() block" or len(nodes) != 1:
        raise UnreadError(f"{said(nodes)} is no condition that is read")
    inner = significant(node.content)
    if len(inner) > 1 and inner[1].type == "literal" and inner[1].value == ":":
        return word(inner[0]) in known or word(inner[0]).startswith("--")
    return supported(inner, known, depth + 1)
