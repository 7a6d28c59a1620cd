"""A page as HTML and CSS. The browser must arrive at the boxes that `resolve.page` computes."""

from dataclasses import dataclass
from html import escape

from ..document import Band, Block, ColourLayer, Column, ImageLayer, Page, Site
from ..resolve.fonts import FontBook
from ..resolve.page import STACK_BELOW
from .layers import Declarations, colour_declarations, image_declarations, number, rule
from .pictures import image_set, served
from .urls import Urls

TAGS = {"header": "header", "footer": "footer"}
RESET = """html {
  -webkit-text-size-adjust: 100%;
  text-size-adjust: 100%;
}
"""


@dataclass(frozen=True)
class EmittedPage:
    """A page's parts: font rules, the other CSS, what stands in its body, and the whole as one HTML text."""

    title: str
    language: str
    fonts: str
    css: str
    body: str

    def html(self, stylesheet: str) -> str:
        """The whole document; `stylesheet` is the markup that brings in the CSS."""
        return (
            f'<!doctype html>\n<html lang="{escape(self.language)}">\n<head>\n<meta charset="utf-8">\n'
            '<meta name="viewport" content="width=device-width, initial-scale=1">\n'
            f"<title>{escape(self.title)}</title>\n{stylesheet}\n</head>\n"
            f'<body class="gf-page">\n{self.body}</body>\n</html>\n'
        )


def _block_html(block: Block) -> str:
    tag = f"h{block.level}" if block.kind == "heading" else "p"
    wording = escape(block.wording).replace("\n", "<br>")
    return f'        <{tag} class="gf-words gf-{block.id}">{wording}</{tag}>\n'


def _column_html(column: Column) -> str:
    inside = "".join(map(_block_html, column.blocks))
    return f'      <div class="gf-column gf-{column.id}">\n{inside}      </div>\n'


def _band_html(band: Band) -> str:
    tag = TAGS.get(band.role, "section")
    layers = "".join(f'<div class="gf-layer gf-{x.id}"></div>' for x in band.backdrop.layers if x.visible)
    behind = f'    <div class="gf-behind" aria-hidden="true">{layers}</div>\n' if layers else ""
    columns = "".join(map(_column_html, band.columns))
    content = f'    <div class="gf-content">\n{columns}    </div>\n' if columns else ""
    return f'  <{tag} class="gf-band gf-{band.id}">\n{behind}{content}  </{tag}>\n'


def page_body(page: Page) -> str:
    """The body's markup; everything between header and footer bands stands in one main element."""
    inner = [n for n, band in enumerate(page.bands) if band.role not in TAGS]
    parts = []
    for n, band in enumerate(page.bands):
        if inner and n == inner[0]:
            parts.append("<main>\n")
        parts.append(_band_html(band))
        if inner and n == inner[-1]:
            parts.append("</main>\n")
    return "".join(parts)


def _block_css(block: Block, band: Band, fonts: FontBook) -> str:
    lettering = block.lettering
    align = lettering.align or band.content.align
    family = fonts.family(lettering.font)
    declarations: Declarations = [
        ("font-family", family.stack),
        ("font-weight", str(family.weight(lettering.weight))),
        ("font-size", lettering.size),
        ("line-height", number(lettering.line)),
        ("color", lettering.colour),
    ]
    if align != "start":
        declarations.append(("text-align", align))
    if block.width is not None:
        declarations += [("inline-size", f"min(100%, {block.width})"), ("align-self", align)]
    return rule(f".gf-{block.id}", declarations)


def _image_css(site: Site, band: Band, layer: ImageLayer, fonts: FontBook, urls: Urls) -> str:
    files = served(site, band, layer, fonts)
    values = [(span.least, image_set(site, layer, once, twice, urls)) for span, once, twice in files]
    selector = f".gf-{layer.id}"
    asset = site.asset(layer.asset)
    text = rule(selector, [("background-image", values[0][1]), *image_declarations(layer, asset)])
    for least, value in values[1:]:
        inner = rule(selector, [("background-image", value)], "  ")
        text += f"@media (min-width: {least}px) {{\n{inner}}}\n"
    return text


def _band_css(site: Site, band: Band, fonts: FontBook, urls: Urls) -> str:
    declarations: Declarations = [
        ("align-content", band.content.stand),
        ("min-block-size", band.height.min),
        ("padding", f"{band.padding.block} {band.padding.inline}"),
    ]
    if band.backdrop.base:
        declarations.append(("background-color", band.backdrop.base))
    text = f"\n/* {band.role}: {_comment(band.name)} */\n" + rule(f".gf-{band.id}", declarations)
    for layer in band.backdrop.layers:
        if not layer.visible:
            continue
        if isinstance(layer, ColourLayer):
            text += rule(f".gf-{layer.id}", colour_declarations(layer.colour, layer.opacity))
        else:
            text += _image_css(site, band, layer, fonts, urls)
    if band.columns:
        shares = " ".join(f"minmax(0, {number(c.share)}fr)" for c in band.columns)
        content: Declarations = [("max-inline-size", band.content.width), ("gap", band.content.gap)]
        text += rule(f".gf-{band.id} > .gf-content", content)
        if len(band.columns) > 1:
            inner = rule(f".gf-{band.id} > .gf-content", [("grid-template-columns", shares)], "  ")
            text += f"@media (min-width: {STACK_BELOW}px) {{\n{inner}}}\n"
    for column in band.columns:
        text += rule(f".gf-{column.id}", [("gap", column.gap)])
        text += "".join(_block_css(block, band, fonts) for block in column.blocks)
    return text


def _comment(text: str) -> str:
    return text.replace("*/", "* /")


def _common(page: Page) -> str:
    base: Declarations = [("margin", "0")]
    if page.backdrop.base:
        base.append(("background-color", page.backdrop.base))
    words: Declarations = [("margin", "0"), ("font-synthesis", "none"), ("overflow-wrap", "break-word")]
    return "".join(
        [
            RESET,
            rule(".gf-page", base),
            rule(
                ".gf-band",
                [
                    ("position", "relative"),
                    ("isolation", "isolate"),
                    ("box-sizing", "border-box"),
                    ("display", "grid"),
                    ("grid-template-columns", "minmax(0, 1fr)"),
                ],
            ),
            rule(
                ".gf-behind, .gf-layer",
                [("position", "absolute"), ("inset", "0"), ("pointer-events", "none")],
            ),
            rule(".gf-behind", [("z-index", "-1"), ("overflow", "hidden")]),
            rule(
                ".gf-content",
                [
                    ("inline-size", "100%"),
                    ("margin-inline", "auto"),
                    ("display", "grid"),
                    ("grid-template-columns", "minmax(0, 1fr)"),
                ],
            ),
            rule(".gf-column", [("display", "flex"), ("flex-direction", "column")]),
            rule(".gf-words", words),
        ]
    )


def font_css(page: Page, fonts: FontBook, urls: Urls) -> str:
    """The @font-face rules of the families a page uses."""
    used = {block.lettering.font for band in page.bands for block in band.blocks()}
    text = ""
    for family in fonts.families:
        if family.name not in used:
            continue
        weight = f"{family.least_weight} {family.most_weight}" if family.variable else str(family.least_weight)
        for face in family.faces:
            declarations: Declarations = [
                ("font-family", f'"{family.name}"'),
                ("font-weight", weight),
                ("font-display", "swap"),
                ("src", f'url("{urls.font(face.id)}") format("woff2")'),
                ("unicode-range", face.unicode_range),
            ]
            text += rule("@font-face", declarations)
    return text


def emit_page(site: Site, page: Page, fonts: FontBook, urls: Urls) -> EmittedPage:
    """A page's HTML and CSS. Everything the owner has written is escaped."""
    css = _common(page) + "".join(_band_css(site, band, fonts, urls) for band in page.bands)
    return EmittedPage(f"{page.title}", site.language, font_css(page, fonts, urls), css, page_body(page))
