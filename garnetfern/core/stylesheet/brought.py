"""A stylesheet without its page: every rule with a background as an area, as it is on each screen."""

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from typing import Any

from ..colour.notation import Rgba
from ..document import Band, Screen
from ..document.layers.image import PLAIN, Filter
from .by_screen import AtWidth, band_of
from .cascade import Held, Weighed, cascaded, variables
from .colours import colour
from .conditions import EVERYWHERE
from .flatten import STATES, Face, Flattener, Ruled, flatten
from .lay import Laid, Laying
from .measures import filter_of, height_of, number_of, padding_of
from .sources import Sources
from .tokens import said, word
from .unread import Notes, Unread, UnreadError
from .values import BACKGROUNDS, READ, Values, values_of
from .variables import Known

PSEUDO = re.compile(r"::?(before|after)$", re.IGNORECASE)
ROOTS = frozenset({":root", "html", "body", "*", ":host", "html, body"})
MOST = 400
"""So many areas are read at once; the rest is said."""


@dataclass(frozen=True)
class BroughtArea:
    """A part of somebody's page: the selector, sheet and line that it stands at, a band that is as it is, and the
    address of each picture by the id that stands for it in the band's layers."""

    selector: str
    sheet: str
    line: int
    band: Band
    pictures: dict[str, str]
    unread: tuple[Unread, ...] = ()


@dataclass(frozen=True)
class Brought:
    """All that was read: areas, what could not be read, and the fonts that its stylesheets bring along."""

    areas: tuple[BroughtArea, ...]
    unread: tuple[Unread, ...]
    faces: tuple[Face, ...] = ()


@dataclass
class Part:
    """The rules of one part of a page: its own, and those of its pseudo-elements."""

    own: list[Weighed] = field(default_factory=list)
    before: list[Weighed] = field(default_factory=list)
    after: list[Weighed] = field(default_factory=list)

    def rules(self) -> Iterable[Weighed]:
        """All of them."""
        return (*self.own, *self.before, *self.after)


def current_of(values: Values) -> Rgba:
    """The colour of its letters, black where none is said."""
    nodes = values.single.get("color")
    try:
        return colour(nodes[0], Notes()) if nodes else Rgba(0, 0, 0)
    except UnreadError:
        return Rgba(0, 0, 0)


def at_width(part: Part, width: float, around: Known) -> AtWidth:
    """A part as it is at a viewport width; `around` are the variables that hold where it stands."""
    held = cascaded(part.own, width)
    known = {**around, **variables(held)}
    values = values_of(held, known)
    unread = values.unread
    current = current_of(values)
    laid = Laid()

    def laying(of: Values, **more: Any) -> Laying:
        last = next(reversed(list(of.held.values())), None)

        def note(what: str, why: str, nearest: str) -> None:
            place = next((of.held[n] for n in ("background", "background-image") if n in of.held), last)
            if place is not None:
                of.note(place, what, why, nearest)

        return Laying(note, current, found=laid, **more)

    laying(values).lay(values.backgrounds)
    for rules in (part.before, part.after):
        if rules:
            _pseudo(cascaded(rules, width), known, laying, unread)
    _whole(values)
    return AtWidth(laid, values, unread, height_of(values), padding_of(values))


def _pseudo(held: list[Held], known: Known, laying: Any, unread: list[Unread]) -> None:
    """A pseudo-element as layers over what is there."""
    values = values_of(held, {**known, **variables(held)})
    content = values.single.get("content")
    hidden = values.single.get("display")
    if content is None or word(content[0]) == "none" or (hidden and word(hidden[0]) == "none"):
        return
    if values.backgrounds.colour is None and not values.backgrounds.layers():
        return
    stands = values.single.get("position")
    blend = values.single.get("mix-blend-mode")
    opacity = number_of(values.single.get("opacity"), 1.0)
    filtered = filter_of(values)
    made = laying(
        values,
        opacity=opacity,
        blend=word(blend[0]) if blend else "normal",
        filter=Filter(**filtered).model_dump() if Filter(**filtered) != PLAIN else {},
    )
    made.lay(values.backgrounds, over=True)
    if not stands or word(stands[0]) not in ("absolute", "fixed"):
        last = next(reversed(list(values.held.values())))
        values.note(last, "a part before or behind the words", "it is not laid over the area", "over the whole area")
    unread += [u for u in values.unread if u not in unread]


def _whole(values: Values) -> None:
    """What is done to an area together with its words is not read."""
    faded = number_of(values.single.get("opacity"), 1.0)
    if faded < 1:
        why = "it fades the words together with what lies behind them"
        values.note(values.held["opacity"], f"opacity: {faded:g}", why, "as strong as it is")
    for name in ("filter", "mix-blend-mode"):
        nodes = values.single.get(name)
        if nodes and word(nodes[0]) not in ("none", "normal", ""):
            why = "it changes the words together with what lies behind them"
            values.note(values.held[name], f"{name}: {said(nodes)}", why, "as it is without")
        elif nodes and not word(nodes[0]):
            values.note(values.held[name], f"{name}: {said(nodes)}", "it changes the words as well", "without it")


def on_screens(part: Part, screens: Sequence[Screen], around: Known) -> dict[str, AtWidth]:
    """A part as it is at the width of each screen; worked out once where no rule of it asks for the width."""
    if all(w.rule.spans == EVERYWHERE for w in part.rules()):
        alike = at_width(part, max(screen.width for screen in screens), around)
        return {screen.id: alike for screen in screens}
    return {screen.id: at_width(part, screen.width, around) for screen in screens}


def area_of(selector: str, part: Part, screens: Sequence[Screen], around: Known) -> BroughtArea | None:
    """A part of a page as an area; None where nothing lies behind its words on the widest screen."""
    widest = max(screens, key=lambda s: s.width)
    found = on_screens(part, screens, around)
    if not found[widest.id].laid.layers and found[widest.id].laid.base is None:
        return None
    band, pictures, unsaid = band_of(found, widest.id, selector)
    unread = list(dict.fromkeys(u for at in found.values() for u in at.unread))
    first = first_of(part)
    place = first.sheet, first.line, first.column
    unread += [
        Unread(*place, what, "it cannot differ so on single screens", "as on the widest screen") for what in unsaid
    ]
    return BroughtArea(selector, first.sheet, first.line, band, pictures, tuple(unread))


def first_of(part: Part) -> Ruled:
    """The rule that says first what lies behind a part."""
    own = [w.rule for w in part.own if any(d.name in BACKGROUNDS for d in w.rule.declared)]
    return (own or [w.rule for w in part.rules()])[0]


def parts_of(rules: Iterable[Ruled]) -> tuple[dict[str, Part], list[Unread]]:
    """The rules by the part of a page that their selectors name, and those that are for states."""
    found: dict[str, Part] = {}
    states: list[Unread] = []
    for rule in rules:
        for selector in rule.selectors:
            painted = any(d.name in BACKGROUNDS for d in rule.declared)
            if STATES.search(selector):
                if painted:
                    why = "it holds in a state alone; set it under Base, while the pointer is over it"
                    states.append(Unread(rule.sheet, rule.line, rule.column, selector, why))
                continue
            pseudo = PSEUDO.search(selector)
            host = selector[: pseudo.start()].strip() if pseudo else selector
            part = found.setdefault(" ".join(host.split()) or "*", Part())
            kind = pseudo[1].lower() if pseudo else "own"
            getattr(part, kind).append(Weighed(rule))
    return found, states


def root_variables(rules: Iterable[Ruled], width: float) -> Known:
    """The variables that hold for a whole page; those that are set once, on whatever part, as well."""
    every = list(rules)
    roots = [Weighed(r) for r in every if any(s in ROOTS for s in r.selectors)]
    counted: dict[str, list[Any]] = {}
    for rule in every:
        for declared in rule.declared:
            if declared.name.startswith("--"):
                counted.setdefault(declared.name, []).append(declared.value)
    once = {name: values[0] for name, values in counted.items() if len(values) == 1}
    return {**once, **variables(cascaded(roots, width))}


def paints(part: Part) -> bool:
    """Whether any of its rules says something of what lies behind its words."""
    return any(d.name in BACKGROUNDS for w in part.rules() for d in w.rule.declared)


def read_rules(flat: Flattener, screens: Sequence[Screen]) -> Brought:
    """Every rule with a background as an area."""
    parts, states = parts_of(flat.rules)
    widest = max(screen.width for screen in screens)
    around = root_variables(flat.rules, widest)
    areas: list[BroughtArea] = []
    unread = [*flat.unread, *states]
    for selector, part in parts.items():
        if not paints(part):
            continue
        if len(areas) >= MOST:
            first = first_of(part)
            unread.append(Unread(first.sheet, first.line, first.column, selector, f"{MOST} areas are read at once"))
            break
        area = area_of(selector, part, screens, around)
        if area is not None:
            areas.append(area)
        else:
            unread += [u for u in _left(part, screens, around) if u not in unread]
    return Brought(tuple(areas), tuple(unread), tuple(dict.fromkeys(flat.faces)))


def _left(part: Part, screens: Sequence[Screen], around: Known) -> list[Unread]:
    """What was not read of a part that came to nothing."""
    return [u for at in on_screens(part, screens, around).values() for u in at.unread]


def read_stylesheets(sources: Sources, screens: Sequence[Screen]) -> Brought:
    """Read stylesheets alone. What cannot be read is listed with its place."""
    return read_rules(flatten(sources, READ), screens)
