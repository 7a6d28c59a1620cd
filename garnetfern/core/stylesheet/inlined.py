"""Markup whose looks stand in its own `style` attributes, for fields that take nothing else."""

from typing import Any
from xml.etree import ElementTree as ET

import cssselect2
import tinyhtml5

from .cascade import Weighed, cascaded, variables
from .flatten import flatten
from .sources import Sources
from .tokens import written
from .unread import UnreadError
from .variables import Known, has_var, substituted

MOVING = ("animation", "transition", "view-timeline", "animation-timeline", "animation-range", "will-change")
"""What means nothing without rules around it."""
ROOT = "all: initial; display: block; unicode-bidi: isolate"
"""What the host says of its own words is not inherited."""


def _style(rules: list[Weighed], width: float, known: Known) -> tuple[dict[str, str], Known]:
    """The declarations that hold for an element, by name, and the variables that hold inside it."""
    held = cascaded(rules, width)
    inside = {**known, **variables(held)}
    found: dict[str, str] = {}
    for one in held:
        name, value = one.declared.name, one.declared.value
        if name.startswith("--") or name in MOVING:
            continue
        try:
            text = written(substituted(value, inside) if has_var(value) else value)
        except UnreadError:
            continue
        found.pop(name, None)
        found[name] = text
    return found, inside


def inlined(html: str, css: str, width: float) -> str:
    """The markup of one element with everything that a stylesheet says of it at a viewport width in `style` attributes.

    Classes and ids go; what holds in states, of pseudo-elements or while something moves is not said.
    """
    flat = flatten(Sources({"own": css}), frozenset({"selector"}))
    matcher = cssselect2.Matcher()
    for rule in flat.rules:
        for text in rule.selectors:
            for selector in cssselect2.compile_selector_list(text):
                matcher.add_selector(selector, rule)
    whole = tinyhtml5.parse(html, namespace_html_elements=False)
    body = next(node for node in whole if node.tag == "body")
    known: dict[Any, Known] = {}
    styles: list[tuple[Any, str]] = []
    for wrapper in cssselect2.ElementWrapper.from_html_root(whole).iter_subtree():
        node, parent = wrapper.etree_element, wrapper.parent
        rules = [Weighed(rule, special) for special, _, pseudo, rule in matcher.match(wrapper) if pseudo is None]
        style, known[node] = _style(rules, width, known.get(parent.etree_element, {}) if parent is not None else {})
        first = ROOT if parent is not None and parent.etree_element is body else "all: revert"
        styles.append((node, "; ".join([first, *(f"{name}: {value}" for name, value in style.items())])))
    inside = list(body.iter())[1:]
    for node, said in styles:
        if node in inside:
            node.set("style", said)
            for name in ("class", "id"):
                node.attrib.pop(name, None)
    return "".join(ET.tostring(child, encoding="unicode", method="html") for child in body).strip() + "\n"
