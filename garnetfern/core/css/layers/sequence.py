"""Members in turn: an element each, in one isolated group in which they are added up (CSS Animations 1).

`plus-lighter` (Compositing and Blending 2) adds premultiplied colours, so that shares whose sum is 1 give the linear
mix. All members but the first have no opacity of their own: where nothing is animated, the first is there.
"""

from math import floor
from types import ModuleType

from ...document import ImageLayer, SequenceLayer, Site
from ..declarations import Declarations, number, rule
from ..names import named
from ..pictures import Emission
from . import gradient, image
from ._element import element
from ._ruling import Background, Ruling

MEMBERS: dict[str, ModuleType] = {"gradient": gradient, "image": image}
FILE = "--gf-picture"
AHEAD = 1.0
"""A picture is fetched so long after the member before it has come, s; half-way through a shorter stay."""
MOVING = "(prefers-reduced-motion: no-preference)"


def inner(layer: SequenceLayer, _: Emission, tag: str) -> str:
    """An element for each member, the first lowest."""
    return "".join(element(member.layer.id, tag) for member in layer.members)


def declarations(_: SequenceLayer, __: Site) -> Declarations:
    """A group of its own."""
    return [("isolation", "isolate")]


def parts(layer: SequenceLayer, site: Site) -> dict[str, Declarations]:
    """Each member as it is laid by itself, added to the others."""
    found = {}
    for n, member in enumerate(layer.members):
        own: Declarations = MEMBERS[member.layer.kind].declarations(member.layer, site)
        hidden: Declarations = [("opacity", "0")] if n else []
        found[member.layer.id] = [*own, ("mix-blend-mode", "plus-lighter"), *hidden]
    return found


def file_property(layer: SequenceLayer, picture: ImageLayer) -> str:
    """Pictures that are not there at first are only named: the movement fetches them when their turn comes near."""
    first = layer.members[0].layer.id
    return "background-image" if picture.id == first and layer.begins == "first" else FILE


def _places(points: list[tuple[float, str]]) -> str:
    """Keyframes: places 0..1 of a period with declarations; of two at one place the later holds.

    Places are rounded down, so that what begins at one is there at its time.
    """
    return "".join(f"  {floor(place * 1e8) / 1e6:.6f}% {{ {value}; }}\n" for place, value in dict(points).items())


def _turn(layer: SequenceLayer, n: int) -> str:
    """The keyframes of a member's share."""
    points = [(place, f"opacity: {number(share)}") for place, share in layer.timing.points(n)]
    if layer.change == 0 and points[-1][0] < 1:
        points.append((1.0, points[-1][1]))
    return _places(points)


def _fetched(layer: SequenceLayer, n: int) -> str:
    """The keyframes by which a member's picture is there from its turn's coming near to its end."""
    timing, count = layer.timing, len(layer.members)
    before = (n - 1) % count
    near = timing.starts[before] + min(AHEAD, timing.stays[before] / 2)
    end = timing.starts[n] + timing.stays[n] + layer.change
    spans = [(near, min(end, timing.period))] if n else [(0.0, end), (near, timing.period)]
    there, gone = f"background-image: var({FILE})", "background-image: none"
    points = [(0.0, there if spans[0][0] == 0 else gone)]
    for start, stop in spans:
        points += [(start / timing.period, there), (stop / timing.period, gone)]
    last = there if spans[-1][1] >= timing.period else gone
    return _places([*sorted((p for p in points if p[0] < 1), key=lambda p: p[0]), (1.0, last)])


def _begin(layer: SequenceLayer) -> str:
    """Another member at each visit: a delay that leaves out what lies before a member drawn by lot (CSS Values 5)."""
    if layer.begins == "first":
        return ""
    count, timing = len(layer.members), layer.timing
    name = f"--gf-{layer.id}-begin"
    steps = [timing.stays[n] + layer.change for n in range(count - 1)]
    said = " + ".join(f"{number(step)}s * clamp(0, var({name}) - {n}, 1)" for n, step in enumerate(steps))
    lot: Declarations = [(name, f"random(0, {count - 1}, 1)")]
    late: Declarations = [("animation-delay", f"calc(-1 * ({said}))")]
    members = ", ".join(f".{named(member.layer.id)}" for member in layer.members)
    group = rule(f".{named(layer.id)}", lot, "  ")
    return (
        f'@property {name} {{\n  syntax: "<integer>";\n  inherits: true;\n  initial-value: 0;\n}}\n'
        f"@supports (order: random(0, 1, 1)) {{\n{group}{rule(members, late, '  ')}}}\n"
    )


def moving(layer: SequenceLayer, _: str) -> str:
    """The members' shares over time, all of one beginning; under less motion the first is there."""
    if len(layer.members) < 2:
        return ""
    frames = rules = ""
    still: Declarations = []
    for n, member in enumerate(layer.members):
        name, timing = member.layer.id, "step-end" if layer.change == 0 else "linear"
        found = f"gf-turn-{name} {number(layer.timing.period)}s {timing} infinite"
        frames += f"@keyframes gf-turn-{name} {{\n{_turn(layer, n)}}}\n"
        for picture in member.layer.pictures():
            if file_property(layer, picture) == FILE:
                found += f", gf-fetch-{name} {number(layer.timing.period)}s step-end infinite"
                frames += f"@keyframes gf-fetch-{name} {{\n{_fetched(layer, n)}}}\n"
                still = still or ([("background-image", f"var({FILE})")] if n == 0 else [])
        rules += rule(f".{named(name)}", [("animation", found)], "  ")
    first = rule(f".{named(layer.members[0].layer.id)}", still, "  ") if still else ""
    reduced = f"@media not {MOVING} {{\n{first}}}\n" if first else ""
    return f"{frames}@media {MOVING} {{\n{rules}}}\n{reduced}{_begin(layer)}"


def backgrounds(layer: SequenceLayer, ruling: Ruling) -> list[Background]:
    """The first member alone."""
    first = layer.members[0].layer.model_copy(update={"opacity": layer.opacity, "blend": layer.blend})
    if len(layer.members) > 1:
        ruling.cannot(layer, "one rule shows its first member and does not move; HTML + CSS runs through all of them.")
    found: list[Background] = MEMBERS[first.kind].backgrounds(first, ruling)
    return found
