"""A film: its still as a picture's background, and over that the film itself, which lies as the still does.

Where it cannot play, has not come, or less motion is asked for, nothing lies over the still.
"""

from ...document import Site, VideoLayer
from ..declarations import Declarations, percent, rule
from ..escape import html_attribute
from ..names import named
from ..pictures import Emission
from . import image
from ._ruling import Background, Ruling

FITS = {"cover": "cover", "contain": "contain", "stretch": "fill"}
CALM = "(prefers-reduced-motion: no-preference)"


def inner(layer: VideoLayer, emission: Emission, _: str) -> str:
    """The film with a source for each kind of screen and codec; nothing where there are no files of it."""
    sources = "".join(
        f'<source src="{html_attribute(address)}" type="{html_attribute(kind)}" media="{media} and {CALM}">'
        for media, address, kind in emission.film_sources(layer)
    )
    if not sources:
        return ""
    return (
        "<video autoplay muted loop playsinline disablepictureinpicture disableremoteplayback "
        f'tabindex="-1" aria-hidden="true">{sources}</video>'
    )


def plays(layer: VideoLayer, emission: Emission) -> bool:
    """Whether there is a film to be played."""
    return bool(emission.film_sources(layer))


def declarations(layer: VideoLayer, site: Site) -> Declarations:
    """Those of its still, and how the film lies, which its element takes over."""
    place = f"{percent(layer.focal[0])} {percent(layer.focal[1])}"
    still = image.declarations(layer.as_picture(), site)
    return [*still, ("object-fit", FITS[layer.size]), ("object-position", place)]


def moving(layer: VideoLayer, _: str) -> str:
    """The film fills its layer."""
    film: Declarations = [
        ("position", "absolute"),
        ("inset", "0"),
        ("inline-size", "100%"),
        ("block-size", "100%"),
        ("object-fit", "inherit"),
        ("object-position", "inherit"),
    ]
    still = rule(f".{named(layer.id)} > video", [("display", "none")], "  ")
    return rule(f".{named(layer.id)} > video", film) + f"@media (prefers-reduced-motion: reduce) {{\n{still}}}\n"


def backgrounds(layer: VideoLayer, ruling: Ruling) -> list[Background]:
    """Its still alone."""
    ruling.cannot(layer, "one rule shows its still and does not move; HTML + CSS plays the film.")
    return image.backgrounds(layer.as_picture(), ruling)
