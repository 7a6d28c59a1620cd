"""Remedies as the interface needs them: what to change, what it brings, in one sentence."""

from typing_extensions import TypedDict

from ...core.document import Area, Page, Site, with_backdrop
from ...core.errors import NotFoundError
from ...core.reading import AT_HAND, Reader, situations
from ...core.remedy.overlay import least_opacity
from .check import floored


class OverlayView(TypedDict):
    """The least opacity of an overlay; `opacity` is null where none suffices on the screens.

    `beyond` says what still falls short in other situations at that opacity.
    """

    layer: str
    opacity: float | None
    nearest: float
    kept: float
    sentence: str
    beyond: str
    worst: float | None
    required: float | None
    situation: str


def _beyond(reader: Reader, site: Site, page: Page, area: Area) -> str:
    """What still falls short in situations that the bench does not show under its screens."""
    wanted = [s for s in situations(site, page, None) if s.kind not in AT_HAND]
    for situation, readings in reader.reading_of(site, page, wanted):
        found = reader.resolve(site, page, situation).area(area.id)
        inside = frozenset(found.blocks if found else ())
        if any(r.block in inside and r.vouched and r.falls_short for r in readings):
            return f"In other situations some words still fall short ({situation.name}); Ways out helps there too."
    return ""


def overlay_remedy(reader: Reader, site: Site, page: Page, area: Area, layer_id: str) -> OverlayView:
    """The least opacity of one overlay at which all words of its area can be read, with a sentence."""
    layer = next((x for x in area.backdrop.layers if x.id == layer_id), None)
    if layer is None or layer.assets():
        raise NotFoundError(f"There is no overlay {layer_id!r} on this area.")
    shown = layer.model_copy(update={"visible": True})
    layers = tuple(shown if x.id == layer.id else x for x in area.backdrop.layers)
    page = with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))
    found = least_opacity(reader, site, page, area, shown)
    beyond = ""
    if found.opacity is not None:
        strong = shown.model_copy(update={"opacity": found.opacity})
        layers = tuple(strong if x.id == layer.id else x for x in area.backdrop.layers)
        mended = with_backdrop(page, area.id, area.backdrop.model_copy(update={"layers": layers}))
        beyond = _beyond(reader, site, mended, area)
    worst = found.worst
    names = {s.id: s.name for s in situations(site, page)}
    where = names.get(worst.situation, "") if worst else ""
    percent = f"{round(found.nearest * 100)} %"
    keeps = f"Keeps {round(found.kept)} % of the picture as it is now."
    if worst is None or worst.ratio is None or worst.worst is None:
        text = "There are no words here, so any opacity will do."
    elif found.opacity is not None:
        text = f"At {percent} every word here can be read on every screen. {keeps}"
        if found.opacity == 0:
            text = "Every word here can be read on every screen without this layer."
    else:
        text = (
            f"No opacity of this layer suffices. The nearest is {percent}: the {worst.worst.character} in "
            f"'{worst.worst.word}' then has {floored(worst.ratio)} of {worst.required:g} ({where}). "
            "Another colour of the overlay or of the words will help."
        )
    return {
        "layer": layer.id,
        "opacity": found.opacity,
        "nearest": found.nearest,
        "kept": round(found.kept, 1),
        "sentence": text,
        "beyond": beyond,
        "worst": None if worst is None or worst.ratio is None else round(worst.ratio, 3),
        "required": None if worst is None else worst.required,
        "situation": where,
    }
