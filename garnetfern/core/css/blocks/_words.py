"""What all words have in common."""

from ...document import Block
from ..declarations import Declarations
from ..escape import html_attribute
from ..layers import layer_elements
from ..lettering import lettering_declarations
from ..names import named
from ..pictures import Emission
from ..visible import display
from ._context import BlockContext
from ._phrases import words_html


def words_declarations(
    block: Block, context: BlockContext, shown: str = "block", along: str = "text-align"
) -> Declarations:
    """Lettering, width and plate. `shown` is its `display`, `along` the property that aligns what is in it."""
    band = context.band
    align = block.lettering.align or band.content.align
    found = lettering_declarations(block.lettering, context.fonts)
    if align != "start":
        found.append((along, align))
    beside = block.plate.space.inline if block.plate else "0px"
    free = "100%" if beside in ("0", "0px") else f"100% - 2 * {beside}"
    wide = f"min({free}, {block.width})" if block.width is not None else None
    if block.plate is not None:
        plate = block.plate
        found.append(("padding", f"{plate.padding.block} {plate.padding.inline}"))
        if (plate.space.block, plate.space.inline) != ("0px", "0px"):
            found.append(("margin", f"{plate.space.block} {plate.space.inline}"))
        if plate.fit:
            most = wide or (f"calc({free})" if "-" in free else free)
            found += [("inline-size", "fit-content"), ("max-inline-size", most), ("align-self", align)]
            wide = None
    if wide is not None:
        found += [("inline-size", wide), ("align-self", align)]
    return found + display(block, shown)


def declarations(block: Block, context: BlockContext) -> Declarations:
    """Those of words that flow."""
    return words_declarations(block, context)


def _plate(block: Block, emission: Emission) -> str:
    """A plate lies inside its words' element, so it is made of what may stand among words."""
    if block.plate is None or block.heard:
        return ""
    layers = layer_elements(block.plate.backdrop.layers, emission, "span")
    return f'<span class="gf-behind" aria-hidden="true">{layers}</span>'


def element(tag: str, block: Block, emission: Emission, inner: str, kind: str = "", attributes: str = "") -> str:
    """The element of a block of words, with its plate; `kind` is a class of its kind's own."""
    state = " gf-heard" if block.heard else " gf-plated" if block.plate else ""
    names = f"gf-words{f' {kind}' if kind else ''}{state} {named(block.id)}"
    return f'<{tag} class="{names}"{attributes}>{_plate(block, emission)}{inner}</{tag}>'


def linked(block: Block) -> str:
    """Its words, within a link where they have one."""
    words = words_html(block)
    return f'<a href="{html_attribute(block.link)}">{words}</a>' if block.link else words


def markup(block: Block, emission: Emission) -> str:
    """A paragraph."""
    return element("p", block, emission, linked(block))


def pointed(block: Block) -> str:
    """The links in it."""
    return f".{named(block.id)} a:is(:hover, :focus-visible)"
