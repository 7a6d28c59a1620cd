"""Reading a drawing: well-formed, bounded, and without anything that runs or leads outside."""

import math
import re
import xml.etree.ElementTree as ET
from dataclasses import dataclass

from defusedxml.common import DefusedXmlException
from defusedxml.ElementTree import fromstring

from ... import limits
from ...errors import PictureError
from .bounds import check_bounds, local, refuse

DEFAULT_SIZE = (300, 150)
"""CSS Images 4, section 5.3: the size of a picture that has none."""
HEAD = 64 * limits.KB

_DROPPED = {"script", "foreignobject", "image", "feimage", "iframe", "audio", "video", "a", "animate", "set", "handler"}
_DROPPED |= {"animatetransform", "animatemotion", "animatecolor"}
_UNITS = {"": 1.0, "px": 1.0, "pt": 4 / 3, "pc": 16.0, "in": 96.0, "cm": 96 / 2.54, "mm": 96 / 25.4, "em": 16.0}
_LENGTH = re.compile(r"\s*(\d+(?:\.\d+)?|\.\d+)\s*(px|pt|pc|in|cm|mm|em)?\s*$", re.ASCII)
_NUMBER = re.compile(r"[-+]?(?:\d{1,12}(?:\.\d{0,12})?|\.\d{1,12})(?:e[+-]?\d{1,3})?", re.IGNORECASE | re.ASCII)
_URL = re.compile(r"url\(\s*([\"']?)([^()\"'\s]*)", re.IGNORECASE)
_IMPORT = re.compile(r"@import[^;{}]*;?", re.IGNORECASE)
_URL_CALL = re.compile(r"url\([^()]*\)?", re.IGNORECASE)


@dataclass(frozen=True)
class Drawing:
    """A drawing that may be drawn: its root, its size in px (at least 1), and how much of it was left out."""

    root: ET.Element
    width: int
    height: int
    removed: int


def looks_like_svg(data: bytes) -> bool:
    """Whether the bytes begin like an SVG file."""
    head = data[:4096].lstrip(b"\xef\xbb\xbf \t\r\n")
    return head.startswith((b"<svg", b"<?xml", b"<!--", b"<!DOCTYPE svg")) and b"<svg" in data[:HEAD]


def _outside(name: str, value: str) -> bool:
    """Whether an attribute runs something or refers to anything but the drawing itself."""
    key = local(name)
    if key.startswith("on") or key == "base":
        return True
    if key in ("href", "src"):
        return not value.strip().startswith("#")
    return "url(" in value.lower() and any(not m[2].startswith("#") for m in _URL.finditer(value))


def _inner_style(text: str) -> str:
    """A style sheet without what leads outside."""
    inner = _URL_CALL.sub(lambda m: m[0] if re.match(r"url\(\s*[\"']?#", m[0], re.IGNORECASE) else "none", text)
    return _IMPORT.sub("", inner)


def _clean(root: ET.Element) -> int:
    """Remove what must not be drawn, in place; gives how many things that were."""
    removed, waiting = 0, [root]
    while waiting:
        element = waiting.pop()
        for child in list(element):
            if isinstance(child.tag, str) and local(child.tag) not in _DROPPED:
                waiting.append(child)
                continue
            removed += isinstance(child.tag, str)
            element.remove(child)
        for name, value in list(element.attrib.items()):
            if _outside(name, value):
                del element.attrib[name]
                removed += 1
        if local(element.tag) == "style" and element.text:
            inner = _inner_style(element.text)
            removed += inner != element.text
            element.text = inner
    return removed


def _length(text: str | None) -> float | None:
    match = _LENGTH.match((text or "")[:400])
    return float(match[1]) * _UNITS[match[2] or ""] if match else None


def view_box(root: ET.Element) -> tuple[float, float, float, float] | None:
    """The viewBox (SVG 2, section 8.6): left, top, width, height; None where it has none that can be used."""
    found = [float(v) for v in _NUMBER.findall(root.get("viewBox", "")[:200])]
    if len(found) != 4 or not all(math.isfinite(v) and abs(v) < 1e9 for v in found):
        return None
    left, top, width, height = found
    return (left, top, width, height) if width > 1e-6 and height > 1e-6 else None


def _natural(root: ET.Element) -> tuple[float, float]:
    width, height = _length(root.get("width")), _length(root.get("height"))
    box = view_box(root)
    ratio = box[2] / box[3] if box else None
    if width and height:
        return width, height
    if width:
        return width, width / ratio if ratio else DEFAULT_SIZE[1]
    if height:
        return (height * ratio if ratio else DEFAULT_SIZE[0]), height
    return (box[2], box[3]) if box else DEFAULT_SIZE


def _parsed(data: bytes, name: str) -> ET.Element:
    if len(data) > limits.SVG:
        refuse(name, f"has more than {limits.SVG // limits.MB} MB of SVG, which is the most.")
    try:
        root: ET.Element = fromstring(data, forbid_dtd=False, forbid_entities=True, forbid_external=True)
    except DefusedXmlException:
        refuse(name, "declares entities of its own, which can unfold without end.")
    except (ET.ParseError, ValueError, LookupError, RecursionError) as error:
        raise PictureError(f"{name} begins like an SVG picture, but is not well-formed ({error}).") from error
    if local(root.tag) != "svg":
        raise PictureError(f"{name} is XML, but not an SVG picture.")
    return root


def read_drawing(data: bytes, name: str) -> Drawing:
    """Parse, clean and bound a drawing. Raises PictureError with the reason and what was received."""
    root = _parsed(data, name)
    removed = _clean(root)
    width, height = _natural(root)
    if max(width, height) > limits.SVG_SIDE:
        said = f"{width:.6g} x {height:.6g}"
        refuse(name, f"says that it is {said} px; a drawing's side has {limits.SVG_SIDE:,} px at the most.")
    whole = max(1, math.ceil(width)), max(1, math.ceil(height))
    check_bounds(root, name)
    return Drawing(root, *whole, removed)


def svg_facts(data: bytes, name: str) -> tuple[int, int, int]:
    """Width and height in px, and how many scripts and outside references were left out. Raises PictureError."""
    drawing = read_drawing(data, name)
    return drawing.width, drawing.height, drawing.removed
