"""A page's markup. Everything the owner has written is escaped."""

from html import escape

from ..document import Backdrop, Band, Block, Column, Page
from .pictures import Emission
from .rules import ever_visible

TAGS = {"header": "header", "footer": "footer"}


def _behind(backdrop: Backdrop, extra: str = "") -> str:
    layers = "".join(f'<div class="gf-layer gf-{x.id}"></div>' for x in backdrop.layers if ever_visible(x))
    return f'<div class="gf-behind{extra}" aria-hidden="true">{layers}</div>\n' if layers else ""


def _wording(text: str) -> str:
    return escape(text).replace("\n", "<br>")


def _picture(block: Block, emission: Emission) -> str:
    sources, width, height = emission.picture_sources(block)
    inner = "".join(
        f'<source media="(min-width: {least}px)" srcset="{escape(srcset)}"{kind}>'
        for least, srcset, kind in sources[:-1]
    )
    _, srcset, _ = sources[-1]
    first = srcset.split(" ", 1)[0]
    return (
        f'<picture>{inner}<img class="gf-picture gf-{block.id}" src="{escape(first)}" srcset="{escape(srcset)}" '
        f'width="{width}" height="{height}" alt="{escape(block.wording)}" loading="lazy" decoding="async"></picture>'
    )


def _block_html(block: Block, emission: Emission) -> str:
    if block.kind == "space":
        return f'        <div class="gf-space gf-{block.id}"></div>\n'
    if block.kind == "picture":
        return f"        {_picture(block, emission)}\n"
    if block.kind == "menu":
        entries = "".join(f'<a href="{escape(i.link)}">{_wording(i.wording)}</a>' for i in block.items)
        return f'        <nav class="gf-words gf-menu gf-{block.id}">{entries}</nav>\n'
    tag = f"h{block.level}" if block.kind == "heading" else "p"
    wording = _wording(block.wording)
    if block.link:
        wording = f'<a href="{escape(block.link)}">{wording}</a>'
    return f'        <{tag} class="gf-words gf-{block.id}">{wording}</{tag}>\n'


def _column_html(column: Column, emission: Emission) -> str:
    inside = "".join(_block_html(b, emission) for b in column.blocks if ever_visible(b))
    behind = _behind(column.backdrop)
    behind = f"        {behind}" if behind else ""
    return f'      <div class="gf-column gf-{column.id}">\n{behind}{inside}      </div>\n'


def _band_html(band: Band, emission: Emission) -> str:
    tag = TAGS.get(band.role, "section")
    behind = _behind(band.backdrop)
    behind = f"    {behind}" if behind else ""
    columns = "".join(_column_html(c, emission) for c in band.columns)
    content = f'    <div class="gf-content">\n{columns}    </div>\n' if columns else ""
    return f'  <{tag} class="gf-band gf-{band.id}">\n{behind}{content}  </{tag}>\n'


def page_body(page: Page, emission: Emission) -> str:
    """The body's markup; everything between header and footer bands stands in one main element."""
    parts = [_behind(page.backdrop, " gf-behind-page")]
    for join in page.joins:
        layers = "".join(f'<div class="gf-layer gf-{x.id}"></div>' for x in join.backdrop.layers if ever_visible(x))
        parts.append(f'<div class="gf-join gf-{join.id}" aria-hidden="true">{layers}</div>\n')
    bands = [band for band in page.bands if ever_visible(band)]
    inner = [n for n, band in enumerate(bands) if band.role not in TAGS]
    for n, band in enumerate(bands):
        if inner and n == inner[0]:
            parts.append('<main class="gf-main">\n')
        parts.append(_band_html(band, emission))
        if inner and n == inner[-1]:
            parts.append("</main>\n")
    return "".join(parts)
