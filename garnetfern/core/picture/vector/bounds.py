"""What a drawing may ask of whoever draws it, found by counting before anything is drawn.

References are followed: what is used ten times counts ten times. A circle of references is too much of everything.
"""

import re
import xml.etree.ElementTree as ET
from dataclasses import dataclass
from typing import NoReturn

from ... import limits
from ...errors import PictureError

_REFERENCE = re.compile(r"url\(\s*[\"']?#([^()\"'\s]{1,200})", re.IGNORECASE)
_NUMBERS = re.compile(r"[-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?", re.IGNORECASE | re.ASCII)
_SHEET_NAMES = frozenset({"filter", "mask", "clip-path", "opacity", "mix-blend-mode", "isolation"})
_ENDLESS = 10**9


def local(tag: object) -> str:
    """An element's or attribute's name without its namespace, small letters."""
    return str(tag).rsplit("}", 1)[-1].lower()


@dataclass(frozen=True)
class Asked:
    """What an element asks for, with all it holds and refers to."""

    elements: int = 0
    filters: int = 0
    sheets: int = 0
    sheets_deep: int = 0
    references_deep: int = 0
    text: int = 0

    def and_(self, other: "Asked") -> "Asked":
        """Both, side by side."""
        return Asked(
            self.elements + other.elements,
            self.filters + other.filters,
            self.sheets + other.sheets,
            max(self.sheets_deep, other.sheets_deep),
            max(self.references_deep, other.references_deep),
            self.text + other.text,
        )


TOO_MUCH = Asked(*[_ENDLESS] * 6)


def refuse(name: str, why: str) -> NoReturn:
    """Raise PictureError: the drawing is not taken, and why."""
    raise PictureError(f"{name} {why} It was not taken.")


def _nesting(root: ET.Element) -> int:
    deepest, waiting = 0, [(root, 1)]
    while waiting:
        element, depth = waiting.pop()
        deepest = max(deepest, depth)
        waiting += [(child, depth + 1) for child in element]
    return deepest


def _styles(element: ET.Element) -> dict[str, str]:
    """Presentation attributes and the declarations of a style attribute, by small names."""
    found = {local(k): v for k, v in element.attrib.items()}
    for part in element.get("style", "").split(";"):
        name, colon, value = part.partition(":")
        if colon:
            found[name.strip().lower()] = value.strip()
    return found


def _own(element: ET.Element, styles: dict[str, str], classes_paint: bool) -> Asked:
    """What an element asks for by itself. `classes_paint`: a style sheet may give it a sheet of its own."""
    names = {n for n in _SHEET_NAMES if styles.get(n, "none").strip() not in ("none", "1", "normal", "auto", "")}
    sheet = bool(names) or (classes_paint and ("class" in styles or "id" in styles))
    text = len(element.text or "") if local(element.tag) in ("text", "tspan", "textpath") else 0
    return Asked(1, local(element.tag).startswith("fe"), int(sheet), int(sheet), 0, text + len(element.tail or "") // 8)


class _Count:
    """Counts from the leaves up, each element once; what refers to itself is endless."""

    def __init__(self, root: ET.Element) -> None:
        self._by_id = {e.get("id", ""): e for e in root.iter() if e.get("id")}
        self._known: dict[int, Asked] = {}
        self._busy: set[int] = set()
        styled = "".join(e.text or "" for e in root.iter() if local(e.tag) == "style").lower()
        self._classes_paint = any(name in styled for name in _SHEET_NAMES)

    def _targets(self, styles: dict[str, str]) -> list[ET.Element]:
        names = [v.strip()[1:] for k, v in styles.items() if k == "href" and v.strip().startswith("#")]
        names += [m for v in styles.values() if "url(" in v.lower() for m in _REFERENCE.findall(v)]
        return [self._by_id[name] for name in dict.fromkeys(names) if name in self._by_id]

    def of(self, element: ET.Element, depth: int = 0) -> Asked:
        """What an element asks for. Depth is bounded by nesting and references, both of which were checked."""
        key = id(element)
        if key in self._known:
            return self._known[key]
        if key in self._busy or depth > limits.SVG_NESTING + 4 * limits.SVG_REFERENCES:
            return TOO_MUCH
        self._busy.add(key)
        styles = _styles(element)
        total = own = _own(element, styles, self._classes_paint)
        inner = 0
        for child in element:
            found = self.of(child, depth + 1)
            inner = max(inner, found.sheets_deep)
            total = total.and_(found)
        for target in self._targets(styles):
            found = self.of(target, depth + 1)
            inner = max(inner, found.sheets_deep)
            total = total.and_(Asked(**{**vars(found), "references_deep": found.references_deep + 1}))
        self._busy.discard(key)
        deep = own.sheets_deep + inner
        total = Asked(**{**{k: min(v, _ENDLESS) for k, v in vars(total).items()}, "sheets_deep": deep})
        self._known[key] = total
        return total


def _check_primitives(root: ET.Element, name: str) -> None:
    """Filter primitives whose own numbers ask for too much work (Filter Effects 1)."""
    for element in root.iter():
        kind = local(element.tag)
        numbers = [abs(float(v)) for v in _NUMBERS.findall(element.get("stdDeviation", "") + " 0")[:4]]
        radius = [abs(float(v)) for v in _NUMBERS.findall(element.get("radius", "") + " 0")[:4]]
        order = [abs(float(v)) for v in _NUMBERS.findall(element.get("order", "") + " 0")[:4]]
        octaves = [abs(float(v)) for v in _NUMBERS.findall(element.get("numOctaves", "") + " 0")[:2]]
        if kind in ("fegaussianblur", "fedropshadow") and max(numbers) > limits.SVG_BLUR:
            refuse(name, f"blurs by {max(numbers):.3g}; {limits.SVG_BLUR:g} is the most.")
        if kind == "femorphology" and max(radius) > limits.SVG_BLUR / 5:
            refuse(name, f"grows shapes by {max(radius):.3g}; {limits.SVG_BLUR / 5:g} is the most.")
        if kind == "feconvolvematrix" and max(order) > 25:
            refuse(name, f"folds {max(order):.3g} px at a time; 25 are the most.")
        if kind == "feturbulence" and max(octaves) > 10:
            refuse(name, f"asks for {max(octaves):.3g} octaves of noise; 10 are the most.")


def _check_region(root: ET.Element, name: str) -> None:
    """Regions of filters, masks and patterns far outside of what is drawn."""
    for element in root.iter():
        if local(element.tag) not in ("filter", "mask", "pattern", "marker"):
            continue
        for side in ("x", "y", "width", "height"):
            for value in _NUMBERS.findall(element.get(side, "")[:60]):
                if abs(float(value)) > 100_000:
                    refuse(name, f"has a {local(element.tag)} with {side} {value[:20]}; 100,000 is the most.")


def check_bounds(root: ET.Element, name: str) -> None:
    """Raise PictureError where the drawing asks for more than is given, with what it asks for."""
    if _nesting(root) > limits.SVG_NESTING:
        refuse(name, f"is nested deeper than {limits.SVG_NESTING} elements.")
    _check_primitives(root, name)
    _check_region(root, name)
    asked = _Count(root).of(root)
    bounds = (
        (asked.elements, limits.SVG_ELEMENTS, "unfolds to more than {:,} elements."),
        (asked.references_deep, limits.SVG_REFERENCES, "refers to itself, or through more than {:,} references."),
        (asked.filters, limits.SVG_FILTERS, "uses more than {:,} steps of filters."),
        (asked.sheets, limits.SVG_SHEETS, "has more than {:,} parts that are filtered, masked, clipped or faded."),
        (asked.sheets_deep, limits.SVG_SHEETS_DEEP, "has more than {:,} masks, filters or clips within one another."),
        (asked.text, limits.SVG_TEXT, "has more than {:,} characters of text."),
    )
    for has, most, why in bounds:
        if has > most:
            refuse(name, why.format(most))
