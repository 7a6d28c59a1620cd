"""A page's markup. Everything the owner has written is escaped."""

from ..document import Backdrop, Band, Block, Column, Page
from .escape import html_attribute, html_text
from .pictures import Emission
from .rules import ever_visible

TAGS = {"header": "header", "footer": "footer"}


def _layers(backdrop: Backdrop, tag: str = "div") -> str:
    return "".join(f'<{tag} class="gf-layer gf-{x.id}"></{tag}>' for x in backdrop.layers if ever_visible(x))


def _behind(backdrop: Backdrop, extra: str = "") -> str:
    layers = _layers(backdrop)
    return f'<div class="gf-behind{extra}" aria-hidden="true">{layers}</div>\n' if layers else ""


def _heard(backdrop: Backdrop, emission: Emission) -> str:
    """What words in the pictures of a backdrop say, for those who cannot see them."""
    names = [name for x in backdrop.layers if ever_visible(x) for name in x.assets()]
    said = (emission.site.asset(name).lettering for name in dict.fromkeys(names))
    return "".join(f'<p class="gf-heard">{_wording(text)}</p>\n' for text in said if text)


def _plate(block: Block) -> str:
    """A plate lies inside its words' element, so it is made of what may stand among words."""
    if block.plate is None:
        return ""
    return f'<span class="gf-behind" aria-hidden="true">{_layers(block.plate.backdrop, "span")}</span>'


def _wording(text: str) -> str:
    return html_text(text).replace("\n", "<br>")


def _alternative(block: Block, emission: Emission) -> str:
    """The text alternative of a picture: what it shows, and what words in it say."""
    lettering = emission.site.asset(block.asset).lettering if block.asset else None
    return " ".join(filter(None, [block.wording, lettering])).replace("\n", " ")


def _picture(block: Block, emission: Emission) -> str:
    sources, width, height = emission.picture_sources(block)
    inner = "".join(
        f'<source media="(min-width: {least}px)" srcset="{html_attribute(srcset)}"{kind}>'
        for least, srcset, kind in sources[:-1]
    )
    _, srcset, _ = sources[-1]
    first = srcset.split(" ", 1)[0]
    alternative = html_attribute(_alternative(block, emission))
    files = f'src="{html_attribute(first)}" srcset="{html_attribute(srcset)}"'
    return (
        f'<picture>{inner}<img class="gf-picture gf-{block.id}" {files} '
        f'width="{width}" height="{height}" alt="{alternative}" loading="lazy" decoding="async"></picture>'
    )


def _block_html(block: Block, emission: Emission) -> str:
    if block.kind == "space":
        return f'        <div class="gf-space gf-{block.id}"></div>\n'
    if block.kind == "picture":
        return f"        {_picture(block, emission)}\n"
    kind = " gf-heard" if block.heard else " gf-plated" if block.plate else ""
    plate = "" if block.heard else _plate(block)
    if block.kind == "menu":
        entries = "".join(f'<a href="{html_attribute(i.link)}">{_wording(i.wording)}</a>' for i in block.items)
        return f'        <nav class="gf-words gf-menu{kind} gf-{block.id}">{plate}{entries}</nav>\n'
    wording = _wording(block.wording)
    if block.kind == "button":
        address = html_attribute(block.link or "#")
        return f'        <a class="gf-words gf-button{kind} gf-{block.id}" href="{address}">{plate}{wording}</a>\n'
    tag = f"h{block.level}" if block.kind == "heading" else "p"
    if block.link:
        wording = f'<a href="{html_attribute(block.link)}">{wording}</a>'
    return f'        <{tag} class="gf-words{kind} gf-{block.id}">{plate}{wording}</{tag}>\n'


def _column_html(column: Column, emission: Emission) -> str:
    inside = "".join(_block_html(b, emission) for b in column.blocks if ever_visible(b))
    behind = _behind(column.backdrop) + _heard(column.backdrop, emission)
    behind = f"        {behind}" if behind else ""
    return f'      <div class="gf-column gf-{column.id}">\n{behind}{inside}      </div>\n'


def _band_html(band: Band, emission: Emission) -> str:
    tag = TAGS.get(band.role, "section")
    behind = _behind(band.backdrop) + _heard(band.backdrop, emission)
    behind = f"    {behind}" if behind else ""
    columns = "".join(_column_html(c, emission) for c in band.columns)
    content = f'    <div class="gf-content">\n{columns}    </div>\n' if columns else ""
    return f'  <{tag} class="gf-band gf-{band.id}">\n{behind}{content}  </{tag}>\n'


def page_body(page: Page, emission: Emission) -> str:
    """The body's markup; everything between header and footer bands stands in one main element."""
    parts = [_behind(page.backdrop, " gf-behind-page"), _heard(page.backdrop, emission)]
    parts += [_heard(j.backdrop, emission) for j in page.joins]
    parts += [f'<div class="gf-join gf-{j.id}" aria-hidden="true">{_layers(j.backdrop)}</div>\n' for j in page.joins]
    bands = [band for band in page.bands if ever_visible(band)]
    inner = [n for n, band in enumerate(bands) if band.role not in TAGS]
    for n, band in enumerate(bands):
        if inner and n == inner[0]:
            parts.append('<main class="gf-main">\n')
        parts.append(_band_html(band, emission))
        if inner and n == inner[-1]:
            parts.append("</main>\n")
    return "".join(parts)
