"""A page with its stylesheets: what lies behind words becomes areas, with the words that stand on them."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, field, replace
from typing import Any

import cssselect2
import tinyhtml5
from cssselect2.parser import SelectorError

from .. import limits
from ..document import Band, Block, Column, Screen
from ..document.link import as_link
from ..document.model import Content
from ..document.plate import Plate
from ..errors import StylesheetError
from .brought import Brought, BroughtArea, Part, at_width, first_of, paints
from .by_screen import AtWidth, band_of
from .cascade import Weighed, cascaded, variables
from .colours import colour
from .flatten import STATES, Flattener, Ruled, flatten
from .letters import BOLD, GENERIC, HEADS, Fonts, Letters, handed_down, lettering
from .phrases import Marks, text_of, words_of
from .sources import Sources, found_among
from .tokens import word
from .unread import Notes, Unread, UnreadError
from .values import BACKGROUNDS, READ, Values, values_of
from .variables import Known

WORDS = frozenset({*HEADS, "p", "li", "blockquote", "figcaption", "dt", "dd", "button", "a", "label", "summary",
                   "small", "span", "strong", "em", "b", "i", "address", "time", "cite"})  # fmt: skip
SILENT = frozenset({"script", "style", "template", "noscript", "svg", "math", "iframe", "object", "video", "audio",
                    "canvas", "select", "textarea", "head", "title"})  # fmt: skip
MOST_BLOCKS, MOST_AREAS = 40, 60
TOLD_APART = frozenset({*BOLD, "em", "i", "cite", "a", "small"})
"""Elements whose letters browsers make otherwise where nothing is said."""
HEAVIER = 200
"""Letters so much heavier than those around them are strong."""
STANDS = {"center": "center", "end": "end", "flex-end": "end"}


@dataclass
class Element:
    """An element with the rules that hold for it and what it is handed down, at each width."""

    node: Any
    part: Part
    at: dict[str, AtWidth] = field(default_factory=dict)
    letters: dict[str, Letters] = field(default_factory=dict)
    known: dict[str, Known] = field(default_factory=dict)


def _parsed(html: str, name: str) -> Any:
    """The page as browsers parse it (HTML, section 13.2). Raises StylesheetError."""
    if html.count("<") > limits.PAGE_TAGS:
        raise StylesheetError(f"{name} has more than {limits.PAGE_TAGS:,} tags. Nothing was read.")
    return tinyhtml5.parse(html, namespace_html_elements=False)


def line_of(html: str, text: str) -> int:
    """The line, from 1, at which some text stands first."""
    at = html.find(text)
    return html.count("\n", 0, at) + 1 if text and at >= 0 else 1


def sheets_of(root: Any, name: str, html: str, sources: Sources) -> tuple[Sources, list[Unread]]:
    """The stylesheets that a page names or holds, in their order, and those that did not come with it."""
    sheets: dict[str, str] = {}
    unread: list[Unread] = []
    for number, node in enumerate(n for n in root.iter() if n.tag in ("style", "link")):
        if node.tag == "style":
            sheets[f"{name}, style {number + 1}"] = node.text or ""
        elif "stylesheet" in (node.get("rel") or "").lower().split():
            address = node.get("href") or ""
            found = found_among(address, name, tuple(sources.sheets))
            if found is None:
                why = "it did not come with the page; nothing is fetched"
                what, place = f"the stylesheet {address[:80]}", line_of(html, address)
                unread.append(Unread(name, place, 1, what, why, "the file itself, given with it"))
            elif "print" not in (node.get("media") or ""):
                sheets[found] = sources.sheets[found]
    applied = tuple(sheets) or tuple(sources.sheets)
    return Sources({**sources.sheets, **sheets}, applied), unread


class _Matching:
    """Which rules hold for which elements."""

    def __init__(self, flat: Flattener) -> None:
        self.matcher = cssselect2.Matcher()
        self.unread: list[Unread] = []
        for rule in flat.rules:
            for text in rule.selectors:
                self._add(text, rule)

    def _add(self, text: str, rule: Ruled) -> None:
        try:
            for selector in cssselect2.compile_selector_list(text):
                self.matcher.add_selector(selector, rule)
        except (SelectorError, RecursionError, NotImplementedError) as error:
            if any(d.name in BACKGROUNDS for d in rule.declared):
                why = str(error) if isinstance(error, SelectorError) else "it is nested too deep"
                self.unread.append(Unread(rule.sheet, rule.line, rule.column, text[:80], f"the selector: {why}"))
        if STATES.search(text) and any(d.name in BACKGROUNDS for d in rule.declared):
            why = "it holds in a state alone; set it under Base, while the pointer is over it"
            self.unread.append(Unread(rule.sheet, rule.line, rule.column, text[:80], why))

    def part(self, wrapper: Any) -> Part:
        """The rules for an element and its pseudo-elements."""
        part = Part()
        for specificity, _, pseudo, rule in self.matcher.match(wrapper):
            kind = {None: part.own, "before": part.before, "after": part.after}.get(pseudo)
            if kind is not None:
                kind.append(Weighed(rule, specificity))
        return part


def _inline(node: Any, name: str, html: str) -> Ruled | None:
    """The style attribute as a rule that wins over all others."""
    text = node.get("style")
    if not text:
        return None
    flat = flatten(Sources({name: f"x{{{text}}}"}), READ)
    if not flat.rules:
        return None
    line = line_of(html, text)
    declared = tuple(replace(d, line=line, column=1) for d in flat.rules[0].declared)
    return replace(flat.rules[0], declared=declared, number=10**9, line=line, column=1)


class PageReader:
    """Reads one page."""

    def __init__(self, html: str, name: str, sources: Sources, screens: Sequence[Screen], fonts: Fonts) -> None:
        self.name, self.html, self.screens, self.fonts = name, html, screens, fonts
        self.widest = max(screens, key=lambda s: s.width)
        self.root = _parsed(html, name)
        self.sources, self.unread = sheets_of(self.root, name, html, sources)
        self.flat = flatten(self.sources, READ)
        self.matching = _Matching(self.flat)
        self.unread += [*self.flat.unread, *self.matching.unread]
        self.elements: dict[Any, Element] = {}

    def read(self) -> Brought:
        """All areas of the page with their words."""
        for wrapper in cssselect2.ElementWrapper.from_html_root(self.root).iter_subtree():
            self._take(wrapper)
        areas: list[BroughtArea] = []
        for node, element in self.elements.items():
            if self._lies_behind(element) and (self._words_of(node) or self._has_picture(element)):
                if len(areas) >= MOST_AREAS:
                    why = f"{MOST_AREAS} areas of a page are read at once"
                    self.unread.append(Unread(self.name, 1, 1, self._selector(element), why))
                    break
                areas.append(self._area(node, element))
        return Brought(tuple(areas), tuple(dict.fromkeys(self.unread)), tuple(dict.fromkeys(self.flat.faces)))

    def _take(self, wrapper: Any) -> None:
        node = wrapper.etree_element
        part = self.matching.part(wrapper)
        inline = _inline(node, self.name, self.html)
        if inline is not None:
            part.own.append(Weighed(inline, (10**6, 0, 0)))
        element = Element(node, part)
        parent = self.elements.get(wrapper.parent.etree_element) if wrapper.parent is not None else None
        if parent is not None and not part.own and str(node.tag) not in TOLD_APART:
            # nothing is said of it: it is handed down what its parent is
            element.known, element.letters = parent.known, parent.letters
        for screen in self.screens if not element.letters else ():
            known = parent.known[screen.id] if parent else {}
            held = cascaded(part.own, screen.width)
            element.known[screen.id] = {**known, **variables(held)}
            values = values_of(held, element.known[screen.id])
            letters = parent.letters[screen.id] if parent else Letters()
            element.letters[screen.id] = handed_down(letters, values, str(node.tag))
            if screen is self.widest:
                self._keep_notes(values)
        self.elements[node] = element

    def _keep_notes(self, values: Values) -> None:
        letters = ("color", "font", "line-height", "letter-spacing", "word-spacing", "text-")
        self.unread += [u for u in values.unread if u.what.startswith(letters)]

    def _at(self, element: Element, screen: Screen) -> AtWidth:
        if screen.id not in element.at:
            element.at[screen.id] = at_width(element.part, screen.width, element.known[screen.id])
        return element.at[screen.id]

    def _lies_behind(self, element: Element) -> bool:
        """Whether something lies behind an element that is more than one colour."""
        if str(element.node.tag) in SILENT or not paints(element.part):
            return False
        at = self._at(element, self.widest)
        return at.seen and bool(at.laid.layers) and str(element.node.tag) not in ("a", "button", "span")

    def _has_picture(self, element: Element) -> bool:
        return bool(self._at(element, self.widest).laid.pictures)

    def _area(self, node: Any, element: Element) -> BroughtArea:
        found = {screen.id: self._at(element, screen) for screen in self.screens}
        selector = self._selector(element)
        band, pictures, unsaid = band_of(found, self.widest.id, selector)
        first = first_of(element.part)
        place = first.sheet, first.line
        blocks, plain = self._blocks(node, place)
        unread = list(dict.fromkeys(u for at in found.values() for u in at.unread)) + plain
        why = "it cannot differ so on single screens"
        unread += [Unread(*place, 1, what, why, "as on the widest screen") for what in unsaid]
        column = Column(id="read-column", name="Words", blocks=tuple(blocks))
        content = self._content(element)
        whole: Band = band.model_copy(update={"columns": (column,), "content": content})
        return BroughtArea(selector, *place, whole, pictures, tuple(unread))

    def _content(self, element: Element) -> Content:
        """Where words stand: in the middle or at the foot, where a flexible box says so."""
        values = self._at(element, self.widest).values
        display = values.single.get("display")
        letters = element.letters[self.widest.id]
        said: dict[str, Any] = {"align": letters.align or "start"}
        direction = values.single.get("align-items")
        if display and word(display[0]) in ("flex", "grid", "inline-flex") and direction:
            said["stand"] = STANDS.get(word(direction[0]), "start")
        return Content(**said)

    def _selector(self, element: Element) -> str:
        own = [w.rule for w in element.part.own if any(d.name in BACKGROUNDS for d in w.rule.declared)]
        texts = [s for rule in own for s in rule.selectors if s != "x"]
        node = element.node
        return texts[-1] if texts else f"{node.tag}#{node.get('id')}" if node.get("id") else str(node.tag)

    def _inside(self, node: Any) -> Iterator[Any]:
        """The elements with words inside one, as far as no other area begins."""
        for child in node:
            if not isinstance(child.tag, str) or child.tag in SILENT:
                continue
            element = self.elements.get(child)
            if element is None or self._lies_behind(element):
                continue
            if (child.tag in WORDS and text_of(child, SILENT)) or (
                (child.text or "").strip() and text_of(child, SILENT)
            ):
                yield child
            else:
                yield from self._inside(child)

    def _words_of(self, node: Any) -> list[Any]:
        found = list(self._inside(node))
        return found or ([node] if text_of(node, SILENT) and not len(node) else [])

    def _blocks(self, area: Any, place: tuple[str, int]) -> tuple[list[Block], list[Unread]]:
        blocks: list[Block] = []
        unread: list[Unread] = []
        for node in self._words_of(area)[:MOST_BLOCKS]:
            block, missing = self._block(node, len(blocks) + 1)
            blocks.append(block)
            if missing:
                own = missing.lower() in GENERIC
                why = "each visitor's own font is shown" if own else f"the font {missing} is not here"
                unread.append(Unread(*place, 1, block.said[:40], why, block.lettering.font))
        return blocks, unread

    def _block(self, node: Any, number: int) -> tuple[Block, str]:
        element = self.elements[node]
        letters, missing = lettering(element.letters[self.widest.id], self.fonts)
        tag = str(node.tag)
        plate = self._plate(element)
        kind = "heading" if tag in HEADS else "text"
        made: dict[str, Any] = {
            "id": f"read-words-{number}",
            "kind": kind,
            **self._said(node, element.letters[self.widest.id]),
            "lettering": letters,
        }
        if tag in HEADS:
            made["level"] = int(tag[1])
        if plate is not None:
            made["plate"] = plate
        screens: dict[str, Any] = {}
        for screen in self.screens:
            size = element.letters[screen.id].size
            if size != element.letters[self.widest.id].size:
                screens[screen.id] = {"size": size}
        if screens:
            made["screens"] = screens
        return Block.model_validate({**made, "lettering": letters.model_dump()}), missing

    def _said(self, node: Any, own: Letters) -> dict[str, Any]:
        """The words of an element, with what stretches of them are beside, or the link that all of them are."""

        def marks_of(child: Any) -> Marks:
            return tuple(self._marks(child, own).items())

        wording, phrases = words_of(node, marks_of, SILENT)
        address = node.get("href") if node.tag == "a" else None
        whole = phrases[0] if phrases and (phrases[0].start, phrases[0].end) == (0, len(wording)) else None
        link = whole.link if whole is not None else as_link(address)
        if link is not None or whole is not None:
            phrases = []
        return {"wording": wording, "link": link, "phrases": [p.model_dump() for p in phrases]}

    def _marks(self, node: Any, own: Letters) -> dict[str, Any]:
        """What an element inside words says about its own ones."""
        found: dict[str, Any] = {}
        element = self.elements.get(node)
        if element is None:
            return found
        letters = element.letters[self.widest.id]
        if letters.weight >= own.weight + HEAVIER:
            found["strong"] = True
        if letters.italic != own.italic:
            found["emphasis"] = True
        link = as_link(node.get("href")) if node.tag == "a" else None
        if link is not None:
            found["link"] = link
            said = self._at(element, self.widest).values.single
            line = said.get("text-decoration-line") or said.get("text-decoration")
            found["underlined"] = not line or any(word(part) == "underline" for part in line)
        if letters.colour != own.colour:
            found["colour"] = letters.colour.hex
        return found

    def _plate(self, element: Element) -> dict[str, Any] | None:
        """The colour that lies behind the words alone."""
        nodes = self._at(element, self.widest).values.backgrounds.colour if paints(element.part) else None
        if nodes is None:
            return None
        try:
            shade = colour(nodes, Notes(), element.letters[self.widest.id].colour)
        except UnreadError:
            return None
        return Plate.model_validate({"backdrop": {"base": shade.hex}}).model_dump() if shade.alpha > 0 else None


def read_page(html: str, name: str, sources: Sources, screens: Sequence[Screen], fonts: Fonts) -> Brought:
    """Read a page with the stylesheets that it names. Raises StylesheetError for what is no page."""
    return PageReader(html, name, sources, screens, fonts).read()
