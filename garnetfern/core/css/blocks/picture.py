"""A picture among the words."""

from ...document import Block
from ...resolve.picture import picture_size
from ..declarations import Declarations
from ..escape import html_attribute
from ..names import named
from ..pictures import Emission
from ..visible import display
from ._context import BlockContext


def declarations(block: Block, context: BlockContext) -> Declarations:
    """Its width and its proportion."""
    free = f"100% - 2 * {block.clear}" if block.clear else "100%"
    whole = f"min({free}, {block.width})" if block.width else f"calc({free})" if block.clear else free
    width, height = picture_size(context.site, block)
    align = ("align-self", context.band.content.align)
    found: Declarations = [("inline-size", whole), ("aspect-ratio", f"{width} / {height}"), align]
    return [*found, *([("margin", block.clear)] if block.clear else []), *display(block, "block")]


def _alternative(block: Block, emission: Emission) -> str:
    """The text alternative of a picture: what it shows, and what words in it say."""
    lettering = emission.site.asset(block.asset).lettering if block.asset else None
    return " ".join(filter(None, [block.wording, lettering])).replace("\n", " ")


def markup(block: Block, emission: Emission) -> str:
    """With a source for every serving range but the narrowest."""
    sources, width, height = emission.picture_sources(block)
    inner = "".join(
        f'<source media="(min-width: {least}px)" srcset="{html_attribute(srcset)}"{kind}>'
        for least, srcset, kind in sources[:-1]
    )
    _, srcset, _ = sources[-1]
    first = srcset.split(" ", 1)[0]
    alternative = html_attribute(_alternative(block, emission))
    files = f'src="{html_attribute(first)}" srcset="{html_attribute(srcset)}"'
    own = f"gf-picture {named(block.id)}"
    within = "gf-pictured" if block.link else own
    picture = (
        f'<picture>{inner}<img class="{within}" {files} '
        f'width="{width}" height="{height}" alt="{alternative}" loading="lazy" decoding="async"></picture>'
    )
    return f'<a class="{own}" href="{html_attribute(block.link)}">{picture}</a>' if block.link else picture
