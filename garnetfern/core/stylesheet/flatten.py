"""Stylesheets as one list of rules: nesting, `@media`, `@supports`, `@import` and `@layer` resolved."""

import re
from collections.abc import Iterator
from dataclasses import dataclass, field, replace

import tinycss2

from .. import limits
from .conditions import EVERYWHERE, Spans, media, supported
from .sources import Sources, is_elsewhere
from .tokens import Node, address_of, called, said, significant, written
from .unread import Unread, UnreadError


@dataclass(frozen=True)
class Declared:
    """A declaration, and where it stands."""

    name: str
    value: list[Node] = field(hash=False)
    important: bool
    line: int
    column: int


@dataclass(frozen=True)
class Ruled:
    """A rule: its selectors, its declarations, the widths at which it holds, how high its layer ranks (unlayered rules
    rank highest), and its place among all rules."""

    selectors: tuple[str, ...]
    declared: tuple[Declared, ...]
    spans: Spans
    rank: tuple[int, ...]
    number: int
    sheet: str
    line: int
    column: int


@dataclass(frozen=True)
class _Within:
    """What a rule stands in."""

    sheet: str
    parents: tuple[str, ...] = ()
    spans: Spans = EVERYWHERE
    layer: tuple[str, ...] = ()
    depth: int = 0


STATES = re.compile(
    r":(hover|focus|focus-visible|focus-within|active|visited|target|checked|disabled)\b", re.IGNORECASE
)
"""What holds while something is done to a part of a page, not as it is met."""
OWN = ("font-face", "keyframes", "property", "charset", "namespace", "counter-style", "font-feature-values",
       "view-transition", "font-palette-values", "-webkit-keyframes", "-moz-keyframes", "-o-keyframes",
       "-ms-viewport")  # fmt: skip
"""What says nothing of what lies behind words."""
WHY = {
    "container": "it asks for the size of a part of the page, which depends on the rest of the page",
    "scope": "it depends on where in the page a part stands",
    "page": "it is for printing",
    "document": "it is for single addresses",
    "starting-style": "it is how something begins to move",
}


@dataclass(frozen=True)
class Face:
    """A font that a stylesheet brings along (@font-face): what it is called there, and the files that it names."""

    family: str
    files: tuple[str, ...]


class Flattener:
    """Goes through stylesheets in the order in which they apply."""

    def __init__(self, sources: Sources, known: frozenset[str]) -> None:
        self.sources, self.known = sources, known
        self.rules: list[Ruled] = []
        self.unread: list[Unread] = []
        self.faces: list[Face] = []
        self._layers: list[tuple[str, ...]] = []
        self._open: list[str] = []
        self._unnamed = 0

    def cannot(self, sheet: str, node: Node, what: str, why: str, nearest: str = "") -> None:
        """Note what is not read."""
        self.unread.append(Unread(sheet, node.source_line, node.source_column, what, why, nearest))

    def sheet(self, name: str, within: _Within | None = None) -> None:
        """All rules of a stylesheet, those that it imports first."""
        if name in self._open:
            return
        self._open.append(name)
        found = tinycss2.parse_stylesheet(self.sources.sheets[name], skip_comments=True, skip_whitespace=True)
        self._nodes(found, replace(within or _Within(name), sheet=name))
        self._open.pop()

    def _nodes(self, nodes: list[Node], within: _Within) -> None:
        for node in nodes:
            if node.type == "qualified-rule":
                self._rule(node, within)
            elif node.type == "at-rule":
                self._at_rule(node, within)
            elif node.type == "error":
                self.cannot(within.sheet, node, "a part that is no CSS", node.message)

    def _rule(self, node: Node, within: _Within) -> None:
        groups = [written(g) for g in _by_comma(node.prelude)]
        selectors = tuple(_nested(one, within.parents) for one in groups if one)
        if not selectors or not all(selectors):
            self.cannot(within.sheet, node, said(node.prelude) or "{", "no selector stands before it")
            return
        self._block(node, node.content, replace(within, parents=selectors, depth=within.depth + 1))

    def _block(self, node: Node, content: list[Node], within: _Within) -> None:
        """What stands between braces: declarations, and rules inside."""
        if within.depth > limits.STYLESHEET_DEPTH or len(self.rules) >= limits.STYLESHEET_RULES:
            self.cannot(
                within.sheet,
                node,
                ", ".join(within.parents)[:80],
                "there are too many rules, or they are nested too deep",
            )
            return
        declared: list[Declared] = []
        inside: list[Node] = []
        for item in tinycss2.parse_blocks_contents(content, skip_comments=True, skip_whitespace=True):
            if item.type == "declaration":
                place = item.source_line, item.source_column
                name = item.name if item.name.startswith("--") else item.lower_name
                declared.append(Declared(name, item.value, item.important, *place))
            elif item.type == "error":
                self.cannot(within.sheet, item, "a part that is no CSS", item.message)
            else:
                inside.append(item)
        if declared and within.parents:
            self._add(declared, within, node)
        self._nodes(inside, within)

    def _add(self, declared: list[Declared], within: _Within, node: Node) -> None:
        place = within.sheet, node.source_line, node.source_column
        number = len(self.rules)
        rank = self._rank(within.layer)
        self.rules.append(Ruled(within.parents, tuple(declared), within.spans, rank, number, *place))

    def _rank(self, layer: tuple[str, ...]) -> tuple[int, ...]:
        """Where a layer stands among its sisters, for each part of its name; what is in no layer ranks above."""
        parts = [layer[: n + 1] for n in range(len(layer))]
        for part in parts:
            if part not in self._layers:
                self._layers.append(part)
        return (*(self._layers.index(part) for part in parts), 10**9)

    def _at_rule(self, node: Node, within: _Within) -> None:
        name = str(node.lower_at_keyword)
        try:
            if name == "media":
                spans = media(node.prelude, within.spans)
                if spans:
                    self._inner(node, replace(within, spans=spans))
            elif name == "supports":
                if supported(node.prelude, self.known):
                    self._inner(node, within)
            elif name == "layer":
                self._layer(node, within)
            elif name == "import":
                self._import(node, within)
            elif name == "font-face":
                self._face(node)
            elif name not in OWN:
                why = WHY.get(name, "it is none of those that are read: media, supports, layer, import")
                self.cannot(within.sheet, node, f"@{name} {said(node.prelude)}".strip(), why)
        except UnreadError as error:
            self.cannot(within.sheet, node, f"@{name} {said(node.prelude)}".strip(), error.why, error.nearest)

    def _inner(self, node: Node, within: _Within) -> None:
        if node.content is None:
            return
        deeper = replace(within, depth=within.depth + 1)
        if within.parents:
            self._block(node, node.content, deeper)
        elif within.depth > limits.STYLESHEET_DEPTH:
            self.cannot(within.sheet, node, f"@{node.lower_at_keyword}", "rules are nested too deep")
        else:
            self._nodes(tinycss2.parse_rule_list(node.content, skip_comments=True, skip_whitespace=True), deeper)

    def _layer(self, node: Node, within: _Within) -> None:
        names = [tuple(written(g).split(".")) for g in _by_comma(node.prelude) if g]
        if node.content is None:
            for name in names:
                self._rank((*within.layer, *name))
            return
        if not names:
            self._unnamed += 1
            names = [(f" {self._unnamed}",)]
        self._inner(node, replace(within, layer=(*within.layer, *names[0])))

    def _import(self, node: Node, within: _Within) -> None:
        parts = significant(node.prelude)
        address = address_of(parts[0]) if parts else None
        if address is None:
            raise UnreadError("it names no stylesheet")
        found = self.sources.sheet(address, within.sheet)
        if found is None:
            why = "it lies elsewhere" if is_elsewhere(address) else "it did not come with the others"
            raise UnreadError(f"{why}; nothing is fetched", "the file itself, given with the others")
        rest, layer = parts[1:], within.layer
        if rest and (called(rest[0]) == "layer" or said(rest[0]).lower() == "layer"):
            named = written(rest[0].arguments) if called(rest[0]) else f" {len(self._layers)}"
            layer, rest = (*layer, *named.split(".")), rest[1:]
            self._rank(layer)
        if rest and called(rest[0]) == "supports":
            inner = tinycss2.parse_component_value_list(f"({written(rest[0].arguments)})")
            if not supported(inner, self.known):
                return
            rest = rest[1:]
        spans = media(rest, within.spans)
        if spans:
            self.sheet(found, replace(within, spans=spans, layer=layer))

    def _face(self, node: Node) -> None:
        items = tinycss2.parse_blocks_contents(node.content or [], skip_comments=True, skip_whitespace=True)
        said = {item.lower_name: item.value for item in items if item.type == "declaration"}
        family = written(said.get("font-family", [])).strip("\"' ")
        if family:
            self.faces.append(Face(family, tuple(_addresses(said.get("src", [])))))


def _addresses(nodes: list[Node]) -> Iterator[str]:
    """The files that a `src` descriptor names (CSS Fonts 4, section 4.3)."""
    for node in nodes:
        if node.type == "url":
            yield node.value
        elif node.type == "function" and node.lower_name == "url":
            yield from (inner.value for inner in node.arguments if inner.type == "string")


def _by_comma(nodes: list[Node]) -> Iterator[list[Node]]:
    """Split at commas, white space kept: it means something in selectors."""
    group: list[Node] = []
    for node in nodes:
        if node.type == "literal" and node.value == ",":
            yield group
            group = []
        else:
            group.append(node)
    yield group


def _nested(selector: str, parents: tuple[str, ...]) -> str:
    """A selector inside others, as if it stood by itself (CSS Nesting 1, section 3)."""
    if not parents:
        return selector
    around = parents[0] if len(parents) == 1 else f":is({', '.join(parents)})"
    if "&" in selector:
        return selector.replace("&", around)
    return f"{around} {selector}"


def flatten(sources: Sources, known: frozenset[str]) -> Flattener:
    """All rules that apply, in order, and what is not read of what stands around them."""
    found = Flattener(sources, known)
    for name in sources.applied():
        found.sheet(name)
    return found
