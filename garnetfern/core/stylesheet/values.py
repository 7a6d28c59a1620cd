"""What the declarations of a part of a page come to: its backgrounds, and single values by name."""

from collections.abc import Iterable
from dataclasses import dataclass, field

from .backgrounds import LONGHANDS, Backgrounds, longhand, shorthand
from .cascade import Held
from .gradients import bare_name
from .tokens import Node, called, said, significant, word
from .unread import Unread, UnreadError
from .variables import Known, has_var, substituted

BACKGROUNDS = frozenset({"background", "background-color", "background-position-x", "background-position-y"}) | {
    f"background-{name}" for name in LONGHANDS
}
SINGLE = frozenset({
    "opacity", "mix-blend-mode", "filter", "min-height", "min-block-size", "height", "block-size", "aspect-ratio",
    "padding", "padding-top", "padding-right", "padding-bottom", "padding-left", "padding-block", "padding-inline",
    "padding-block-start", "padding-block-end", "padding-inline-start", "padding-inline-end", "color", "font",
    "font-family", "font-size", "font-weight", "font-style", "line-height", "letter-spacing", "word-spacing",
    "text-transform", "text-align", "text-shadow", "display", "visibility", "position", "content", "align-items",
    "text-decoration", "text-decoration-line",
})  # fmt: skip
"""Properties that are read one by one."""
READ = BACKGROUNDS | SINGLE
LEGACY = {
    f"-{maker}-background-{name}": f"background-{name}"
    for maker in ("webkit", "moz", "o")
    for name in ("size", "clip", "origin")
}
RESET = ("inherit", "unset", "revert", "revert-layer", "initial")


@dataclass
class Values:
    """Backgrounds, and single values by name with the place of each."""

    backgrounds: Backgrounds = field(default_factory=Backgrounds)
    single: dict[str, list[Node]] = field(default_factory=dict)
    unread: list[Unread] = field(default_factory=list)
    held: dict[str, Held] = field(default_factory=dict)

    def note(self, held: Held, what: str, why: str, nearest: str = "") -> None:
        """Note what is not read, at the place of a declaration."""
        found = Unread(held.sheet, held.declared.line, held.declared.column, what, why, nearest)
        if found not in self.unread:
            self.unread.append(found)


def _old(nodes: list[Node]) -> bool:
    """Whether a value is one that only browsers of one maker understood."""
    return any(bare_name(called(n))[1] and not called(n).startswith("-webkit-") for n in significant(nodes))


def values_of(held: Iterable[Held], known: Known) -> Values:
    """What declarations come to, those that win last."""
    found = Values()
    before: list[tuple[Held, str, list[Node]]] = []
    for one in held:
        name = LEGACY.get(one.declared.name, one.declared.name)
        if name not in READ:
            continue
        nodes = one.declared.value
        try:
            nodes = substituted(nodes, known) if has_var(nodes) else nodes
        except UnreadError as error:
            found.note(one, f"{name}: {said(nodes)}", error.why, error.nearest)
            continue
        if name in BACKGROUNDS and _old(nodes):
            before.append((one, name, nodes))
            continue
        _take(found, one, name, nodes)
    if not found.backgrounds.lists.get("image") and before:
        # nothing but what old browsers understood says what lies there
        for one, name, nodes in before[-1:]:
            found.note(one, f"{name}: {said(nodes)}", "today's browsers do not know it", "as it was meant")
            _take(found, one, name, nodes)
    return found


def _take(found: Values, one: Held, name: str, nodes: list[Node]) -> None:
    value = significant(nodes)
    try:
        if name not in BACKGROUNDS:
            found.single[name] = value
        elif len(value) == 1 and word(value[0]) in RESET:
            found.backgrounds = Backgrounds() if name == "background" else found.backgrounds
        elif name == "background":
            shorthand(found.backgrounds, nodes)
        else:
            longhand(found.backgrounds, name.removeprefix("background-"), nodes)
    except UnreadError as error:
        found.note(one, f"{name}: {said(nodes)}", error.why, error.nearest)
        return
    found.held[name] = one
