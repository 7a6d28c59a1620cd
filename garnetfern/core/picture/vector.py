"""SVG pictures, drawn safely: no scripts, no outside references, no endless unfolding. Visitors get pixels."""

import io
import math
import re
import xml.etree.ElementTree as ET

import resvg_py
from PIL import Image

from ..errors import PictureError

MAX_SVG_BYTES = 4 * 1024 * 1024
MAX_ELEMENTS = 60_000
"""How many elements a drawing may unfold to, references counted each time they are used."""
MAX_SIDE = 8000
DEFAULT_SIZE = (300, 150)
"""CSS Images 4, section 5.3: the size of a picture that has none."""

_DROPPED = {"script", "foreignobject", "image", "feimage", "iframe", "audio", "video", "a", "animate", "set", "handler"}
_UNITS = {"": 1.0, "px": 1.0, "pt": 4 / 3, "pc": 16.0, "in": 96.0, "cm": 96 / 2.54, "mm": 96 / 25.4, "em": 16.0}
_LENGTH = re.compile(r"\s*(\d+(?:\.\d+)?|\.\d+)\s*(px|pt|pc|in|cm|mm|em)?\s*$")


def looks_like_svg(data: bytes) -> bool:
    """Whether the bytes begin like an SVG file."""
    head = data[:4096].lstrip(b"\xef\xbb\xbf \t\r\n")
    return head.startswith((b"<svg", b"<?xml", b"<!--", b"<!DOCTYPE svg")) and b"<svg" in data[:65536]


def _local(tag: object) -> str:
    return str(tag).rsplit("}", 1)[-1].lower()


def _outside(name: str, value: str) -> bool:
    """Whether an attribute runs something or refers to anything but the drawing itself."""
    key = _local(name)
    if key.startswith("on") or key == "base":
        return True
    if key in ("href", "src"):
        return not value.strip().startswith("#")
    return any(not m.strip("'\" ").startswith("#") for m in re.findall(r"url\(([^)]*)\)", value, re.IGNORECASE))


def _clean(element: ET.Element) -> int:
    """Remove what must not be drawn, in place; gives how many things that were."""
    removed = 0
    for child in list(element):
        if not isinstance(child.tag, str) or _local(child.tag) in _DROPPED:
            if isinstance(child.tag, str):
                removed += 1
            element.remove(child)
            continue
        removed += _clean(child)
    for name, value in list(element.attrib.items()):
        if _outside(name, value):
            del element.attrib[name]
            removed += 1
    if _local(element.tag) == "style" and element.text and re.search(r"@import|url\(", element.text, re.IGNORECASE):
        element.text = re.sub(r"@import[^;]*;?|url\((?!['\"]?#)[^)]*\)", "none", element.text, flags=re.IGNORECASE)
        removed += 1
    return removed


def _unfolded(root: ET.Element) -> int:
    """How many elements the drawing unfolds to, at most one over MAX_ELEMENTS; a circle of references is too many."""
    by_id = {e.get("id", ""): e for e in root.iter()}
    known: dict[int, int] = {}
    busy: set[int] = set()

    def count(element: ET.Element) -> int:
        key = id(element)
        if key in known:
            return known[key]
        if key in busy:
            return MAX_ELEMENTS + 1
        busy.add(key)
        total = 1
        for name, value in element.attrib.items():
            target = value.strip()[1:] if _local(name) == "href" else ""
            if target in by_id and target:
                total += count(by_id[target])
        for child in element:
            total += count(child)
            if total > MAX_ELEMENTS:
                break
        busy.discard(key)
        known[key] = min(total, MAX_ELEMENTS + 1)
        return known[key]

    return count(root)


def _depth(element: ET.Element, most: int) -> bool:
    return most > 0 and all(_depth(child, most - 1) for child in element)


def _length(text: str | None) -> float | None:
    match = _LENGTH.match(text or "")
    return float(match[1]) * _UNITS[match[2] or ""] if match else None


def _size(root: ET.Element) -> tuple[float, float]:
    width, height = _length(root.get("width")), _length(root.get("height"))
    numbers = [float(v) for v in re.findall(r"-?\d+(?:\.\d+)?(?:e[+-]?\d+)?", root.get("viewBox", ""))]
    ratio = numbers[2] / numbers[3] if len(numbers) == 4 and numbers[2] > 0 and numbers[3] > 0 else None
    if width and height:
        return width, height
    if width:
        return width, width / ratio if ratio else DEFAULT_SIZE[1]
    if height:
        return (height * ratio if ratio else DEFAULT_SIZE[0]), height
    if ratio:
        return numbers[2], numbers[3]
    return DEFAULT_SIZE


def _read(data: bytes, name: str) -> tuple[ET.Element, int]:
    if len(data) > MAX_SVG_BYTES:
        raise PictureError(f"{name} has more than 4 MB of SVG, which is the most. It was not taken.")
    if re.search(rb"<!ENTITY", data, re.IGNORECASE):
        raise PictureError(f"{name} declares entities of its own, which can unfold without end. It was not taken.")
    try:
        root = ET.fromstring(data)
    except (ET.ParseError, ValueError, LookupError, RecursionError) as error:
        raise PictureError(f"{name} begins like an SVG picture, but is not well-formed ({error}).") from error
    if _local(root.tag) != "svg":
        raise PictureError(f"{name} is XML, but not an SVG picture.")
    if not _depth(root, 200):
        raise PictureError(f"{name} is nested deeper than 200 elements. It was not taken.")
    removed = _clean(root)
    if _unfolded(root) > MAX_ELEMENTS:
        raise PictureError(f"{name} unfolds to more than {MAX_ELEMENTS:,} elements. It was not taken.")
    return root, removed


def svg_facts(data: bytes, name: str) -> tuple[int, int, int]:
    """Width and height in px, and how many scripts and outside references were left out. Raises PictureError."""
    root, removed = _read(data, name)
    width, height = (max(1, min(MAX_SIDE, math.ceil(v))) for v in _size(root))
    return width, height, removed


def svg_image(
    data: bytes, width: int, crop: tuple[int, int, int, int] | None = None, height: int | None = None
) -> Image.Image:
    """A drawing `width` px wide, RGBA; with a crop (px of its natural size) that part `width` px wide."""
    root, _ = _read(data, "This drawing")
    natural = [max(1, min(MAX_SIDE, math.ceil(v))) for v in _size(root)]
    if root.get("viewBox") is None:
        size = _size(root)
        root.set("viewBox", f"0 0 {size[0]:g} {size[1]:g}")
    scale = width / (crop[2] if crop else natural[0])
    full = (max(1, round(natural[0] * scale)), max(1, round(natural[1] * scale)))
    if full[0] * full[1] > 80_000_000:
        raise PictureError("This part of the drawing is too small to be enlarged that much.")
    root.set("width", str(full[0]))
    root.set("height", str(full[1]))
    ET.register_namespace("", "http://www.w3.org/2000/svg")
    text = ET.tostring(root, encoding="unicode")
    try:
        png = resvg_py.svg_to_bytes(svg_string=text, skip_system_fonts=True)
        image = Image.open(io.BytesIO(bytes(png))).convert("RGBA")
    except Exception as error:
        raise PictureError(f"This drawing cannot be drawn ({error}). It was not taken.") from error
    if crop is not None:
        left, top = round(crop[0] * scale), round(crop[1] * scale)
        image = image.crop((left, top, left + width, top + (height or max(1, round(crop[3] * scale)))))
    if height is not None and image.size != (width, height):
        image = image.resize((width, height), Image.Resampling.LANCZOS)
    return image
