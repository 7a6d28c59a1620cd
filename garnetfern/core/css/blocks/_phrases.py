"""A wording as HTML, with its phrases, and with lines that end otherwise on single screens.

The markup is one for all screens: wherever a line ends on any of them stands a `br`, which the others do not show.
"""

from ...document import Block, Phrase
from ...resolve.book import FontBook
from ...resolve.voices import lettering_in
from ..declarations import Declarations
from ..escape import html_attribute, html_text
from ..names import named


def varying_breaks(block: Block) -> tuple[int, ...]:
    """The places in its wording at which lines end on some screens and not on others."""
    own = [set(e.breaks) for e in block.screens.values() if e.breaks is not None]
    everywhere = {at for at, letter in enumerate(block.wording) if letter == "\n"}
    return tuple(sorted(set().union(everywhere, *own))) if own else ()


def _text(block: Block, start: int, end: int, varying: tuple[int, ...]) -> str:
    found, pen = "", start
    for at in (at for at in varying if start <= at < end):
        found += f'{html_text(block.wording[pen:at])} <br class="gf-break-{at}">'
        pen = at + 1
    return (found + html_text(block.wording[pen:end])).replace("\n", "<br>")


def _opened(phrase: Phrase, number: int) -> tuple[str, str]:
    """The tags around a phrase; the outermost element has its classes."""
    tags = [("a", f' href="{html_attribute(phrase.link)}"')] if phrase.link else []
    tags += [("strong", "")] if phrase.strong else []
    tags += [("em", "")] if phrase.emphasis else []
    tags = tags or [("span", "")]
    under = " gf-underlined" if phrase.link and phrase.underlined else ""
    classes = f' class="gf-phrase gf-phrase-{number}{under}"'
    opened = "".join(f"<{tag}{classes if n == 0 else ''}{more}>" for n, (tag, more) in enumerate(tags))
    return opened, "".join(f"</{tag}>" for tag, _ in reversed(tags))


def words_html(block: Block, start: int = 0, end: int | None = None) -> str:
    """A block's words between tags, or those between two places. Everything in them is escaped."""
    varying = varying_breaks(block)
    found, pen = "", start
    end = len(block.wording) if end is None else end
    for number, phrase in enumerate(block.phrases):
        first, last = max(phrase.start, start), min(phrase.end, end)
        if first < last:
            opened, closed = _opened(phrase, number)
            found += _text(block, pen, first, varying) + opened + _text(block, first, last, varying) + closed
            pen = last
    return found + _text(block, pen, end, varying)


def phrase_rules(block: Block, fonts: FontBook) -> dict[str, Declarations]:
    """How its phrases are set, and which of its lines end, on the screen that the block is resolved for."""
    own, found = f".{named(block.id)}", {}
    lettering = block.lettering
    family = fonts.family(lettering.font)
    for number, phrase in enumerate(block.phrases):
        there = lettering_in(lettering, phrase)
        said: Declarations = [("color", phrase.colour)] if phrase.colour else []
        if phrase.strong:
            said.append(("font-weight", str(family.weight(there.weight, there.italic))))
        if phrase.emphasis and family.italics:
            said.append(("font-style", "italic" if there.italic else "normal"))
        found[f"{own} .gf-phrase-{number}"] = said
    for at in varying_breaks(block):
        ends = at < len(block.wording) and block.wording[at] == "\n"
        found[f"{own} .gf-break-{at}"] = [("display", "inline" if ends else "none")]
    return {selector: said for selector, said in found.items() if said}
