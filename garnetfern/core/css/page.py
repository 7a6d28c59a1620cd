"""A page as HTML and CSS. The browser must arrive at the boxes that `resolve.page` computes."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..document import ImageLayer, Page, Screen, Site, ever_visible, page_on
from ..placement.static import Group
from ..resolve.book import FontBook
from ..resolve.control import control_of, pickable
from ..resolve.layout import STACK_BELOW
from ..resolve.records import UNDERLINE_BELOW, UNDERLINE_THICK
from .arrival import arrival_css
from .blocks import common_rules, pointed
from .choice import WITHOUT_SCRIPT
from .declarations import Declarations, rule
from .escape import css_comment, html_attribute, html_text
from .html import page_body
from .layers import file_property, moving_css, plays
from .letters import font_css
from .media import other_media
from .names import named
from .pictures import Emission
from .rules import Rules, difference, over_rules, page_rules, rules_text, shares
from .stop import FILMS_STOP, stop_css
from .urls import Urls

RESET = """html {
  -webkit-text-size-adjust: 100%;
  text-size-adjust: 100%;
}
"""


@dataclass(frozen=True)
class EmittedPage:
    """A page's parts: font rules, the other CSS, its body, links that fetch early, a script where it needs one, and the
    whole as one HTML text."""

    title: str
    language: str
    fonts: str
    css: str
    body: str
    preload: str = ""
    script: str = ""

    def html(self, stylesheet: str) -> str:
        """The whole document; `stylesheet` is the markup that brings in the CSS."""
        return (
            f'<!doctype html>\n<html lang="{html_attribute(self.language)}">\n<head>\n<meta charset="utf-8">\n'
            '<meta name="viewport" content="width=device-width, initial-scale=1">\n'
            f"<title>{html_text(self.title)}</title>\n{self.preload}{stylesheet}\n</head>\n"
            f'<body class="gf-page">\n{self.body}{self.script}</body>\n</html>\n'
        )


def _layer_files(emission: Emission) -> str:
    """Which picture file a layer shows, for each serving range."""
    text = ""
    for area in emission.page.areas():
        for layer in area.backdrop.layers:
            for picture in layer.pictures():
                text += _picture_files(emission, area.id, picture, file_property(layer, picture))
    return text


def _picture_files(emission: Emission, area_id: str, picture: ImageLayer, said: str) -> str:
    text = ""
    asset = emission.site.asset(picture.asset)
    for n, served in enumerate(emission.served(area_id, picture)):
        chosen: Declarations = [(said, emission.image_set(asset, served))]
        if n == 0:
            text += rule(f".{named(picture.id)}", chosen)
        else:
            text += f"@media (min-width: {served.span.least}px) {{\n{rule(f'.{named(picture.id)}', chosen, '  ')}}}\n"
    return text


def _widths(screen: Screen, least: int = 0) -> str:
    """The widths that a screen stands for, from `least` on."""
    return f"(min-width: {max(screen.least, least)}px) and (max-width: {screen.most + 0.98:g}px)"


def _tracks(page: Page) -> Rules:
    return {
        f".{named(band.id)} > .gf-content": [("grid-template-columns", shares(band))]
        for band in page.bands
        if band.layout == "auto" and len(band.columns) > 1
    }


def _rows(site: Site, page: Page) -> str:
    """Columns side by side where there is room, on bands of which nothing else is said."""
    rows = _tracks(page)
    text = f"@media (min-width: {STACK_BELOW}px) {{\n{rules_text(rows, '  ')}}}\n" if rows else ""
    for screen in site.screens:
        # in another order, columns of other widths stand there
        other = {name: said for name, said in _tracks(page_on(page, screen.id)).items() if rows.get(name) != said}
        if other and screen.most >= STACK_BELOW:
            text += f"@media {_widths(screen, STACK_BELOW)} {{\n{rules_text(other, '  ')}}}\n"
    return text


def _exceptions(site: Site, page: Page, base: Rules, fonts: FontBook) -> str:
    """What differs on single screens."""
    text = ""
    for screen in site.screens:
        changed = difference(base, page_rules(site, page_on(page, screen.id), fonts))
        if changed:
            text += f"{css_comment(screen.name)}\n@media {_widths(screen)} {{\n{rules_text(changed, '  ')}}}\n"
    return text


def _moving(page: Page) -> str:
    text = ""
    for area in page.areas():
        seen = (layer for layer in area.backdrop.layers if ever_visible(layer))
        moving = "".join(moving_css(layer, f"--gf-{area.id}") for layer in seen)
        if f"--gf-{area.id};" in moving:
            selector = ".gf-page" if area is page else f".{named(area.id)}"
            text += rule(selector, [("view-timeline", f"--gf-{area.id} block")])
        text += moving
    return text


def _pointed_letters(page: Page) -> dict[str, Declarations]:
    """The letters' other colours, by selector."""
    blocks = (b for b in page.blocks() if b.lettering.over is not None)
    return {pointed(b): [("color", b.lettering.over or "")] for b in blocks}


def _over(site: Site, page: Page) -> str:
    """What changes under the pointer and with the keyboard's focus."""
    changes, fades = over_rules(site, page)
    text = rules_text(changes) + rules_text(_pointed_letters(page))
    if fades:
        text += f"@media (prefers-reduced-motion: no-preference) {{\n{rules_text(fades, '  ')}}}\n"
    return text


def _plays(page: Page, emission: Emission) -> bool:
    """Whether something moves by itself, with the files that there are."""
    layers = (layer for area in page.areas() for layer in area.backdrop.layers)
    return any(layer.period() is not None and ever_visible(layer) and plays(layer, emission) for layer in layers)


WORDS: Declarations = [("margin", "0"), ("font-synthesis", "none"), ("overflow-wrap", "break-word")]
COMMON: Rules = {
    ".gf-page": [
        ("margin", "0"),
        ("position", "relative"),
        ("isolation", "isolate"),
        ("min-block-size", "100vh"),
        ("display", "grid"),
        ("grid-template-columns", "minmax(0, 1fr)"),
        ("justify-content", "center"),
        ("align-content", "start"),
    ],
    ".gf-main": [("display", "contents")],
    ".gf-band": [
        ("position", "relative"),
        ("isolation", "isolate"),
        ("box-sizing", "border-box"),
        ("grid-column", "1"),
        ("display", "grid"),
        ("grid-template-columns", "minmax(0, 1fr)"),
    ],
    ".gf-behind, .gf-layer": [("position", "absolute"), ("inset", "0"), ("pointer-events", "none")],
    ".gf-behind": [("z-index", "-1"), ("overflow", "clip")],
    ".gf-behind-page": [("z-index", "-2")],
    ".gf-join": [("position", "relative"), ("z-index", "-1"), ("grid-column", "1"), ("overflow", "clip")],
    ".gf-content": [
        ("inline-size", "100%"),
        ("margin-inline", "auto"),
        ("display", "grid"),
        ("grid-template-columns", "minmax(0, 1fr)"),
    ],
    ".gf-column": [
        ("position", "relative"),
        ("isolation", "isolate"),
        ("box-sizing", "border-box"),
        ("display", "flex"),
        ("flex-direction", "column"),
    ],
    ".gf-words": WORDS,
    ".gf-plated": [("position", "relative"), ("isolation", "isolate"), ("box-sizing", "border-box")],
    ".gf-button": [("text-decoration", "none")],
    ".gf-heard": [
        ("position", "absolute"),
        ("inline-size", "1px"),
        ("block-size", "1px"),
        ("overflow", "hidden"),
        ("clip-path", "inset(50%)"),
        ("white-space", "nowrap"),
    ],
    ".gf-words a": [("color", "inherit"), ("text-decoration", "none")],
    ".gf-words :is(strong, em)": [("font-weight", "inherit"), ("font-style", "inherit")],
    ".gf-words .gf-underlined": [
        ("text-decoration-line", "underline"),
        ("text-decoration-thickness", f"max(1px, {UNDERLINE_THICK}em)"),
        ("text-underline-offset", f"{UNDERLINE_BELOW}em"),
    ],
    ".gf-menu": [("display", "flex"), ("flex-wrap", "wrap"), ("gap", "0.35em 1.5em")],
    ".gf-menu a": [("white-space", "nowrap")],
    ".gf-picture": [("display", "block"), ("block-size", "auto"), ("object-fit", "cover")],
    ".gf-column picture": [("display", "contents")],
    ".gf-column picture > source": [("display", "none")],
    ".gf-pictured": [
        ("display", "block"),
        ("inline-size", "100%"),
        ("block-size", "100%"),
        ("object-fit", "cover"),
    ],
    ".gf-space": [("flex", "none")],
}


def emit_page(site: Site, page: Page, fonts: FontBook, urls: Urls, groups: Sequence[Group] = ()) -> EmittedPage:
    """A page's HTML and CSS. Everything the owner has written is escaped. Bands of `groups` are chosen among where the
    page is looked at."""
    fonts = fonts.of(site)
    emission = Emission(site, page, fonts, urls)
    base = page_rules(site, page, fonts)
    css = RESET + rules_text({**COMMON, **common_rules(page)}) + rules_text(base) + _rows(site, page)
    css += _layer_files(emission) + _exceptions(site, page, base, fonts) + _moving(page)
    control = control_of(site, page, emission.windows) if _plays(page, emission) else None
    css += _over(site, page) + (stop_css(control, pickable(page)) if control else "") + arrival_css(page)
    css += other_media()
    css += WITHOUT_SCRIPT if any(group.default and not group.fixed for group in groups) else ""
    seen = emission.for_page()
    chosen = frozenset(n for g in groups if not g.fixed for _, names in g.candidates for n in names)
    body = page_body(page, seen, control, groups)
    script = FILMS_STOP if control and any(emission.film_files()) else ""
    return EmittedPage(page.title, site.language, font_css(page, fonts, urls), css, body, seen.preloads(chosen), script)
