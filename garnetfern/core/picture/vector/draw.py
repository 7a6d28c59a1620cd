"""Drawing with resvg, which runs no scripts and fetches nothing. A part is drawn by itself, not cut out of a whole."""

import io
import xml.etree.ElementTree as ET

import resvg_py
from PIL import Image

from ... import limits
from ...errors import PictureError
from .bounds import local
from .read import Drawing, read_drawing, view_box

SVG = "http://www.w3.org/2000/svg"


def _framed(drawing: Drawing, part: tuple[int, int, int, int], width: int, height: int) -> str:
    """The drawing as XML, showing a part of it (px of its natural size) at a size."""
    root = drawing.root
    if view_box(root) is None:
        root.set("viewBox", f"0 0 {drawing.width} {drawing.height}")
    root.set("width", str(drawing.width))
    root.set("height", str(drawing.height))
    for name in [n for n in root.attrib if local(n) in ("x", "y")]:
        del root.attrib[name]
    frame = ET.Element(f"{{{SVG}}}svg", {"width": str(width), "height": str(height), "preserveAspectRatio": "none"})
    frame.set("viewBox", " ".join(map(str, part)))
    frame.append(root)
    ET.register_namespace("", SVG)
    return ET.tostring(frame, encoding="unicode")


def svg_image(
    data: bytes, width: int, crop: tuple[int, int, int, int] | None = None, height: int | None = None
) -> Image.Image:
    """A drawing `width` px wide, RGBA; with a crop (px of its natural size) that part `width` px wide."""
    drawing = read_drawing(data, "This drawing")
    part = crop or (0, 0, drawing.width, drawing.height)
    height = height or max(1, round(part[3] * width / part[2]))
    if max(width, height) > limits.PICTURE_SIDE or width * height > limits.PICTURE_PIXELS:
        raise PictureError(f"This drawing cannot be drawn at {width} x {height} px.")
    try:
        png = resvg_py.svg_to_bytes(svg_string=_framed(drawing, part, width, height), skip_system_fonts=True)
        image = Image.open(io.BytesIO(bytes(png))).convert("RGBA")
    except Exception as error:
        raise PictureError(f"This drawing cannot be drawn ({error}). It was not taken.") from error
    return image if image.size == (width, height) else image.resize((width, height), Image.Resampling.LANCZOS)
