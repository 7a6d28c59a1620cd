"""A picture."""

from ...document import Asset, ImageLayer, Site
from ...document.layers.image import PLAIN, Filter
from ...resolve.image import BLUR_REACH, used_size
from ..declarations import Declarations, flat, number, percent, rule
from ..names import named
from ._ruling import Background, Ruling


def background_size(layer: ImageLayer, asset: Asset) -> str:
    """The background-size of a picture. Its natural size is written out, as renditions have other sizes."""
    if layer.size in ("cover", "contain"):
        return layer.size
    if layer.size == "stretch":
        return "100% 100%"
    if layer.size == "natural" or (layer.width is None and layer.height is None):
        width, height = used_size(asset, layer.crop)
        return f"{width}px {height}px"
    return f"{layer.width or 'auto'} {layer.height or 'auto'}"


def background_position(layer: ImageLayer) -> str:
    """The background-position: offsets from edges, or the focal point in percent, so that this spot is in sight."""
    place = layer.position
    if place is None:
        return f"{percent(layer.focal[0])} {percent(layer.focal[1])}"
    return f"{place.side} {place.across} {place.end} {place.down}"


def background_repeat(layer: ImageLayer) -> str:
    """The background-repeat, in one word where one does."""
    across, down = layer.repeat
    return across if across == down else f"{across} {down}"


def filter_value(wanted: Filter) -> str:
    """A filter as CSS, its parts in the order in which they are computed."""
    parts = [f"blur({number(wanted.blur)}px)"] if wanted.blur else []
    for name in ("brightness", "contrast", "saturate", "grayscale"):
        amount = getattr(wanted, name)
        if amount != getattr(PLAIN, name):
            parts.append(f"{name}({number(amount)})")
    return " ".join(parts)


def declarations(layer: ImageLayer, site: Site) -> Declarations:
    """All but its files."""
    found = [
        ("background-repeat", background_repeat(layer)),
        ("background-position", background_position(layer)),
        ("background-size", background_size(layer, site.asset(layer.asset))),
    ]
    if layer.filter != PLAIN:
        found.append(("filter", filter_value(layer.filter)))
    if layer.filter.blur:
        found.append(("inset", f"{number(-BLUR_REACH * layer.filter.blur)}px"))
    if layer.attachment == "fixed":
        found.append(("background-attachment", "fixed"))
    if layer.attachment == "slower":
        found.append(("inset-block", f"calc((100% + 100vh) * {number(-(1 - layer.rate) / 2)})"))
    return found


def moving(layer: ImageLayer, timeline: str) -> str:
    """The movement of a slower picture over its area's way across the screen (Scroll-driven Animations 1)."""
    if layer.attachment != "slower":
        return ""
    lag = 1 - layer.rate
    reach = number(lag / (2 * (1 + lag)))
    name = f"gf-slower-{layer.id}"
    frames = (
        f"@keyframes {name} {{\n  from {{ translate: 0 calc((100vh + 100%) * -{reach}); }}\n"
        f"  to {{ translate: 0 calc((100vh + 100%) * {reach}); }}\n}}\n"
    )
    animation: Declarations = [
        ("animation", f"{name} linear both"),
        ("animation-timeline", timeline),
        ("animation-range", "cover"),
    ]
    return (
        frames
        + f"@media (prefers-reduced-motion: no-preference) {{\n{rule(f'.{named(layer.id)}', animation, '  ')}}}\n"
    )


def backgrounds(layer: ImageLayer, ruling: Ruling) -> list[Background]:
    """The picture as the widest screens get it, and what one rule cannot say of it."""
    emission = ruling.emission
    asset = emission.site.asset(layer.asset)
    served = emission.served(ruling.area.id, layer)
    attachment = "fixed" if layer.attachment == "fixed" else "scroll"
    size, repeat = background_size(layer, asset), background_repeat(layer)
    image = emission.image_set(asset, served[-1])
    found = [Background(image, background_position(layer), size, repeat, attachment)]
    if layer.opacity < 1:
        base = ruling.opaque_base() if ruling.lowest else None
        if base is not None and layer.blend == "normal":
            # a picture at opacity o over an opaque colour is the picture with that colour over it at 1 - o
            found.append(Background(flat(base.faded(1 - layer.opacity))))
        else:
            ruling.cannot(
                layer,
                f"its opacity of {round(layer.opacity * 100)} % cannot be said here, "
                "as it does not lie on the base colour; it is emitted opaque. HTML + CSS says it.",
            )
    if layer.filter != PLAIN:
        ruling.cannot(layer, f"its filter ({filter_value(layer.filter)}) takes an element of its own.")
    if layer.attachment == "slower":
        ruling.cannot(layer, "moving slower than the page takes an element of its own; it moves with the page here.")
    if len(served) > 1:
        ruling.cannot(layer, "one rule serves every screen the desktop's file; HTML + CSS serves phones a smaller one.")
    return found
