"""What was read, said shortly, so that tables of expectations can be read."""

import io
import zipfile

from garnetfern.core.document import Screen
from garnetfern.core.stylesheet import Sources, read_stylesheets
from garnetfern.service.kinds.empty import SCREENS

SIZES = [Screen.model_validate(screen) for screen in SCREENS]


def read(css, **more):
    return read_stylesheets(Sources({"style.css": css, **more}, apply=("style.css",)), SIZES)


def _gradient(gradient):
    stops = " ".join(s.colour + (f"@{s.at}" if s.at else "") for s in gradient.stops)
    how = {"linear": f"{gradient.angle:g}deg", "conic": f"from {gradient.angle:g}deg at {' '.join(gradient.centre)}"}
    reach = f"{'circle' if gradient.round else 'ellipse'} {gradient.extent} at {' '.join(gradient.centre)}"
    again = "repeating " if gradient.repeating else ""
    space = " oklab" if gradient.space != "srgb" else ""
    return f"{again}{gradient.shape} {how.get(gradient.shape, reach)}{space}: {stops}"


def _image(layer, pictures):
    place = layer.position
    at = " ".join(f"{100 * f:g}%" for f in layer.focal)
    at = f"{place.side} {place.across} {place.end} {place.down}" if place else at
    size = layer.size if layer.size != "own" else f"{layer.width or 'auto'} {layer.height or 'auto'}"
    repeat = "" if set(layer.repeat) == {"no-repeat"} else " " + " ".join(layer.repeat)
    fixed = " fixed" if layer.attachment == "fixed" else ""
    return f"{pictures[layer.asset]} {size} at {at}{repeat}{fixed}"


def said(area):
    """Base, then layers from bottom to top."""
    backdrop = area.band.backdrop
    parts = [f"base {backdrop.base}"] if backdrop.base else []
    for layer in backdrop.layers:
        if layer.kind == "image":
            text = _image(layer, area.pictures)
        elif layer.kind == "gradient":
            text = _gradient(layer.gradient)
        else:
            text = layer.colour
        strength = "" if layer.opacity == 1 else f" {100 * layer.opacity:g}%"
        blend = "" if layer.blend == "normal" else f" {layer.blend}"
        parts.append(text + strength + blend)
    return " | ".join(parts)


def zipped(**members):
    """A zip of these files."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        for name, data in members.items():
            archive.writestr(name, data)
    return out.getvalue()
