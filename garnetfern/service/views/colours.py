"""Colours for choosing: out of the pictures behind an area, off a screen, and whole schemes."""

from typing import Any

from typing_extensions import TypedDict

from ...core.colour.notations import Notations
from ...core.colour.schemes import SCHEMES, Recolouring, Scheme, from_colour, from_colours
from ...core.document import Area, Page, Site
from ...core.draw.probe import colour_at
from ...core.errors import NotFoundError
from ...core.reading import Reader
from ...core.resolve.lengths import Viewport
from ...core.resolve.moment import Moment
from ...core.resolve.page import resolve_page
from .areas import area_name
from .looks import Looks


class ColourView(TypedDict):
    """A colour in all its notations: HSL in degrees and %, OKLCH as 0..1, chroma, degrees."""

    hex: str
    hsl: tuple[float, float, float]
    oklch: tuple[float, float, float]
    alpha: float
    fitted: bool


class SpotView(TypedDict):
    """The colour behind the words at a spot, and the layers it is made of, topmost first."""

    colour: str
    layers: list[str]


class SchemeCard(TypedDict):
    """A scheme with the site's palette in it."""

    id: str
    name: str
    palette: list[str]


class SchemeTried(SchemeCard):
    """A scheme as a patch on the document."""

    patch: list[dict[str, Any]]


KEYS = ("colour", "base", "over")
"""The fields of a document that hold a colour."""


def notations_view(found: Notations) -> ColourView:
    """A colour in all its notations."""
    hue, saturation, light = found.hsl
    return {
        "hex": found.hex,
        "hsl": (round(hue, 1), round(saturation, 1), round(light, 1)),
        "oklch": (round(found.oklch[0], 4), round(found.oklch[1], 4), round(found.oklch[2], 1)),
        "alpha": round(found.alpha, 4),
        "fitted": found.fitted,
    }


def picture_colours(site: Site, page: Page, area: Area, looks: Looks) -> list[str]:
    """The main colours of the pictures behind an area: its own first, then those of what it lies in."""
    found: list[str] = []
    lower = [a for a in page.areas() if a.id != area.id and any(b in _blocks(a) for b in _blocks(area))]
    for place in (area, *reversed(lower)):
        for layer in reversed(place.backdrop.layers):
            for asset in layer.assets():
                swatches = looks.of(site.asset(asset).hash).look.colours
                found += [s.colour for s in swatches if s.colour not in found]
    return found[:12]


def _blocks(area: Area) -> set[str]:
    blocks = getattr(area, "blocks", None)
    if blocks is None:
        return {area.id}
    return {b.id for b in (blocks() if callable(blocks) else blocks)}


def colour_view(reader: Reader, site: Site, page: Page, screen_id: str, x: float, y: float) -> SpotView:
    """The colour behind the words at a spot of a screen's page, and the layers it is made of, topmost first."""
    screen = next((s for s in site.screens if s.id == screen_id), None)
    if screen is None:
        raise NotFoundError(f"There is no screen {screen_id!r} in this site.")
    record = resolve_page(site, page, Moment(Viewport(screen.width, screen.height)), reader.fonts)
    colour, parts = colour_at(record, x, y, reader.pictures)
    names = {layer.id: layer.name for area in page.areas() for layer in area.backdrop.layers}
    layers = [f"{names.get(part, 'base')} ({area_name(page, area)})" for area, part in parts]
    return {"colour": colour, "layers": layers}


def recoloured(plain: Any, change: Recolouring) -> Any:
    """Plain JSON with every colour moved to a scheme."""
    if isinstance(plain, dict):
        found = {}
        for key, value in plain.items():
            is_colour = key in KEYS and isinstance(value, str) and value.startswith("#")
            found[key] = change(value) if is_colour else recoloured(value, change)
        return found
    return [recoloured(item, change) for item in plain] if isinstance(plain, list) else plain


def scheme_of(site: Site, looks: Looks, which: str) -> Scheme:
    """A shipped scheme by its id, or one made from `#...` or from a picture's id. Raises NotFoundError, ColourError."""
    if which.startswith("#"):
        return from_colour(which)
    shipped = next((s for s in SCHEMES if s.id == which), None)
    if shipped is not None:
        return shipped
    asset = next((a for a in site.assets if a.id == which), None)
    if asset is None:
        raise NotFoundError(f"There is no scheme and no picture {which!r}.")
    return from_colours((s.colour, s.share) for s in looks.of(asset.hash).look.colours)


def scheme_view(site: Site, scheme: Scheme, turn: float = 0.0, strength: float = 1.0) -> SchemeTried:
    """A scheme tried on a site: its palette, and the patch that puts it on."""
    change = Recolouring(scheme.turned(turn, strength), site.palette)
    plain = site.model_dump(mode="json")
    palette = [change(colour) for colour in site.palette]
    patch: list[dict[str, Any]] = [{"op": "replace", "path": "/palette", "value": palette}]
    patch += [
        {"op": "replace", "path": f"/{part}", "value": recoloured(plain[part], change)}
        for part in ("pages", "gradients", "looks")
        if plain[part]
    ]
    return {"id": scheme.id, "name": scheme.name, "palette": palette, "patch": patch}


def schemes_view(site: Site) -> list[SchemeCard]:
    """The shipped schemes, each with the site's palette in it."""
    found: list[SchemeCard] = []
    for scheme in SCHEMES:
        change = Recolouring(scheme, site.palette)
        found.append({"id": scheme.id, "name": scheme.name, "palette": [change(c) for c in site.palette]})
    return found
