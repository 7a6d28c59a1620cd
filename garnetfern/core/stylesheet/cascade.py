"""Which declarations hold for a part of a page (CSS Cascading 5): by importance, layer, specificity and order."""

from collections.abc import Iterable
from dataclasses import dataclass

from .flatten import Declared, Ruled
from .variables import Known

Order = tuple[bool, tuple[int, ...], tuple[int, ...], int, int]


@dataclass(frozen=True)
class Held:
    """A declaration that holds, with the stylesheet that it stands in."""

    declared: Declared
    sheet: str


@dataclass(frozen=True)
class Weighed:
    """A rule with how special the selector is that lets it hold."""

    rule: Ruled
    specificity: tuple[int, ...] = (0, 0, 0)


def _order(weighed: Weighed, declared: Declared, number: int) -> Order:
    rank = weighed.rule.rank
    if declared.important:
        # among what is important, earlier layers win over later ones
        rank = tuple(-part for part in rank)
    return declared.important, rank, weighed.specificity, weighed.rule.number, number


def cascaded(rules: Iterable[Weighed], width: float) -> list[Held]:
    """All declarations that hold at a viewport width, those that win last."""
    found: list[tuple[Order, Held]] = []
    for weighed in rules:
        if any(span.holds(width) for span in weighed.rule.spans):
            for n, declared in enumerate(weighed.rule.declared):
                found.append((_order(weighed, declared, n), Held(declared, weighed.rule.sheet)))
    return [held for _, held in sorted(found, key=lambda pair: pair[0])]


def variables(held: Iterable[Held]) -> Known:
    """The custom properties that hold, by their names."""
    return {h.declared.name: h.declared.value for h in held if h.declared.name.startswith("--")}
