"""Layers laid in with ids of their own; pictures and gradients put into turns, and taken out of them."""

from itertools import chain
from typing import Any, Literal

from ...core.colour.contrast import luminance_of
from ...core.colour.mix import distance, towards
from ...core.colour.notation import parse_colour
from ...core.document import (
    Gradient,
    GradientLayer,
    Ids,
    ImageLayer,
    Layer,
    LayerBase,
    Page,
    SequenceLayer,
    Site,
    with_backdrop,
)
from ...core.document.layers import AS_OTHERS
from ...core.document.layers.sequence import MOST
from ...core.errors import GarnetfernError, NotFoundError
from ..views.looks import Looks
from .common import Asked, Edited, page_of, with_page
from .layers import area_of, name_of
from .pictures import focused

SLOW = {"stay": 1.0, "change": 6.0}
"""Gradients are on the way most of the time."""
FAR = 0.12
"""Colours that are nearer to one another than this look much the same (OKLab)."""


class TurnsError(GarnetfernError):
    """Layers that cannot take turns so."""

    kind = "turns"


class LayIn(Asked):
    """Lay a layer in at a place of the build-up, with ids that nothing on the page has."""

    kind: Literal["lay-in"] = "lay-in"
    page: str
    area: str
    layer: Layer
    at: int


class TakeTurns(Asked):
    """Let a layer take turns with pictures of the shelf, or with a gradient of other colours where there are none.

    `layer`: a picture or gradient that becomes the first, a sequence that gets more; None: a new one at `at`.
    """

    kind: Literal["take-turns"] = "take-turns"
    page: str
    area: str
    layer: str | None = None
    assets: tuple[str, ...] = ()
    at: int = 0


class EndTurns(Asked):
    """Leave one member of a sequence, as a layer of its own in the sequence's place."""

    kind: Literal["end-turns"] = "end-turns"
    page: str
    area: str
    layer: str
    member: str


def _with_layers(site: Site, page: Page, area_id: str, layers: tuple[LayerBase, ...]) -> tuple[Site, Page]:
    backdrop = area_of(page, area_id).backdrop.model_copy(update={"layers": layers})
    page = with_backdrop(page, area_id, backdrop)
    return with_page(site, page), page


def _found(page: Page, area_id: str, layer_id: str) -> LayerBase:
    found = next((x for x in area_of(page, area_id).backdrop.layers if x.id == layer_id), None)
    if found is None:
        raise NotFoundError(f"There is no layer {layer_id!r} on this area.")
    return found


def lay_in(site: Site, asked: LayIn) -> Edited:
    """It is chosen then."""
    page = page_of(site, asked.page)
    layer = asked.layer.with_ids(Ids(page).free)
    layers = area_of(page, asked.area).backdrop.layers
    at = max(0, min(asked.at, len(layers)))
    site, _ = _with_layers(site, page, asked.area, (*layers[:at], layer, *layers[at:]))
    return Edited(site, f"Add {layer.name}", layer.id)


def _alike(colour: str, light: float) -> str:
    """A colour made darker or lighter until its relative luminance is `light`."""
    end = "#000000" if luminance_of(colour) > light else "#ffffff"
    low, high = 0.0, 1.0
    for _ in range(12):
        share = (low + high) / 2
        beyond = (luminance_of(towards(colour, end, share)) < light) == (end == "#000000")
        low, high = (low, share) if beyond else (share, high)
    return towards(colour, end, high)


def recoloured(gradient: Gradient, palette: tuple[str, ...], turn: int) -> Gradient:
    """The same gradient in other colours of a palette, each as light as the one in whose place it stands, so that
    words are as readable on it. `turn`: which of several."""
    own = [stop.colour for stop in gradient.stops]
    bright = sorted(palette or ("#7a1f2b", "#2b5a73", "#3f6f46"), key=lambda c: luminance_of(c))
    stops = []
    for n, stop in enumerate(gradient.stops):
        light = luminance_of(stop.colour)
        others = [_alike(bright[(n + turn + k) % len(bright)][:7], light) for k in range(len(bright))]
        chosen = next((c for c in others if min(distance(c, o) for o in own) > FAR), None)
        chosen = chosen or max(others, key=lambda c: distance(c, stop.colour))
        alpha = parse_colour(stop.colour).alpha
        stops.append(stop.model_copy(update={"colour": parse_colour(chosen).faded(alpha).hex}))
    return gradient.model_copy(update={"stops": tuple(stops)})


def _begun(layer: LayerBase, ids: Ids) -> LayerBase:
    """A sequence in a layer's place, under its id, with the layer as its first member; a sequence as it is."""
    if layer.turns():
        return layer
    first = layer.as_member(ids.free(layer.id))
    if first is None:
        raise TurnsError(f"{layer.name} cannot take turns: only pictures and gradients can.")
    own = {n: getattr(layer, n) for n in AS_OTHERS} | (SLOW if layer.gradients() else {})
    members = [{"layer": first.model_dump()}]
    name = f"{layer.name}, and others"[:120]
    return SequenceLayer.model_validate({"id": layer.id, "name": name, "members": members, **own})


def _changed(old: LayerBase | None, new: LayerBase) -> str:
    """What else changed of a layer that takes turns now, for the history."""
    stood = old is not None and "scroll" in old.depends_on() and "scroll" not in new.depends_on()
    return "; the picture moves with the page" if stood else ""


def take_turns(site: Site, asked: TakeTurns, looks: Looks, fonts: Any) -> Edited:
    """New pictures get the focal point that suits all screens."""
    page = page_of(site, asked.page)
    area, ids = area_of(page, asked.area), Ids(page)
    there = [a.id for a in site.assets]
    for name in asked.assets:
        if name not in there:
            raise NotFoundError(f"There is no picture {name!r} on the shelf.")
    fresh: list[ImageLayer | GradientLayer] = [
        ImageLayer(id=ids.free("picture"), name=site.asset(name).title, asset=name) for name in asked.assets
    ]
    old = None if asked.layer is None else _found(page, asked.area, asked.layer)
    if old is None and not fresh:
        raise TurnsError("Choose two pictures at least that shall take turns.")
    if old is not None and not fresh:
        others = old.turns() or (old,)
        gradients = others[-1].gradients()
        if gradients:
            turn = len(others)
            colours = recoloured(gradients[0], site.palette, turn)
            fresh = [GradientLayer(id=ids.free("gradient"), name=f"{old.name} {turn + 1}"[:120], gradient=colours)]
    count = len(fresh) + (0 if old is None else max(1, len(old.turns())))
    if count > MOST:
        raise TurnsError(f"{MOST} can take turns at the most; these would be {count}. Nothing was changed.")
    if old is None:
        members = [{"layer": layer.model_dump()} for layer in fresh]
        sequence: LayerBase = SequenceLayer.model_validate(
            {"id": ids.free("turns"), "name": "Pictures in turn", "members": members}
        )
        at = max(0, min(asked.at, len(area.backdrop.layers)))
        layers = (*area.backdrop.layers[:at], sequence, *area.backdrop.layers[at:])
    else:
        begun = _begun(old, ids)
        sequence = begun.with_turns(tuple(fresh)) if fresh else begun
        layers = tuple(sequence if x.id == old.id else x for x in area.backdrop.layers)
    told = _changed(old, sequence)
    site, page = _with_layers(site, page, asked.area, layers)
    for layer in chain.from_iterable(x.pictures() for x in fresh):
        page = focused(site, page, asked.area, layer.id, looks, fonts)
    return Edited(with_page(site, page), f"Turns behind {name_of(area)}{told}", sequence.id)


def end_turns(site: Site, asked: EndTurns) -> Edited:
    """The others go; it is as strong and blends as the sequence did."""
    page = page_of(site, asked.page)
    old = _found(page, asked.area, asked.layer)
    kept = next((member for member in old.turns() if member.id == asked.member), None)
    if kept is None:
        raise NotFoundError(f"There is no {asked.member!r} in these turns.")
    alone = kept.model_copy(update={"id": old.id, **{n: getattr(old, n) for n in AS_OTHERS}})
    layers = tuple(alone if x.id == old.id else x for x in area_of(page, asked.area).backdrop.layers)
    site, _ = _with_layers(site, page, asked.area, layers)
    return Edited(site, f"{kept.name} alone", alone.id)
