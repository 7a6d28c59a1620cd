"""The rules of a page that is free of exceptions: selector to declarations, in order.

Emitting compares the rules of each screen with those of the page without exceptions and writes what differs.
"""

from ..document import Band, Block, Column, ImageLayer, Layer, Page, Site
from ..resolve.fonts import FontBook
from ..resolve.layout import picture_size
from .layers import Declarations, layer_declarations, number, rule

Rules = dict[str, Declarations]


def ever_visible(item: Layer | Band | Block) -> bool:
    """Whether something is to be seen on any screen."""
    exceptions = getattr(item, "screens", {}).values()
    return item.visible or any(e.visible for e in exceptions)


def _display(item: Layer | Band | Block, value: str) -> Declarations:
    """`display`, where it differs between screens or the thing is hidden."""
    if not item.visible:
        return [("display", "none")]
    varies = any(e.visible is not None for e in getattr(item, "screens", {}).values())
    return [("display", value)] if varies else []


def shares(band: Band) -> str:
    """The tracks of a band's columns side by side."""
    return " ".join(f"minmax(0, {number(c.share)}fr)" for c in band.columns)


def height_of(band: Band, page: Page) -> str:
    """A band's least height as CSS."""
    if band.height.proportion is None:
        return band.height.min
    width = f"min(100vw, {page.width})" if page.width else "100vw"
    return f"max({band.height.min}, {width} / {number(band.height.proportion)})"


def _block_rule(site: Site, block: Block, band: Band, fonts: FontBook) -> Declarations:
    if block.kind == "space":
        return [("block-size", block.height), *_display(block, "block")]
    found: Declarations
    align = block.lettering.align or band.content.align
    if block.kind == "picture":
        wide = f"min(100%, {block.width})" if block.width else "100%"
        width, height = picture_size(site, block)
        found = [("inline-size", wide), ("aspect-ratio", f"{width} / {height}"), ("align-self", band.content.align)]
        return found + _display(block, "block")
    lettering = block.lettering
    family = fonts.family(lettering.font)
    found = [
        ("font-family", family.stack),
        ("font-weight", str(family.weight(lettering.weight))),
        ("font-size", lettering.size),
        ("line-height", number(lettering.line)),
        ("color", lettering.colour),
    ]
    if align != "start":
        found.append(("justify-content" if block.kind == "menu" else "text-align", align))
    if block.width is not None:
        found += [("inline-size", f"min(100%, {block.width})"), ("align-self", align)]
    return found + _display(block, "flex" if block.kind == "menu" else "block")


def _column_rule(column: Column, band: Band) -> Declarations:
    found: Declarations = [("gap", column.gap)]
    if (column.padding.block, column.padding.inline) != ("0px", "0px"):
        found.append(("padding", f"{column.padding.block} {column.padding.inline}"))
    if column.backdrop.base:
        found.append(("background-color", column.backdrop.base))
    if band.content.level != "start":
        found.append(("justify-content", band.content.level))
    return found


def _layers(site: Site, layers: tuple[Layer, ...]) -> Rules:
    found: Rules = {}
    for layer in layers:
        if ever_visible(layer):
            asset = site.asset(layer.asset) if isinstance(layer, ImageLayer) else None
            found[f".gf-{layer.id}"] = layer_declarations(layer, asset) + _display(layer, "block")
    return found


def _band_rules(site: Site, page: Page, band: Band, row: int | None, fonts: FontBook) -> Rules:
    own: Declarations = [
        ("align-content", band.content.stand),
        ("min-block-size", height_of(band, page)),
        ("padding", f"{band.padding.block} {band.padding.inline}"),
    ]
    if row is not None:
        own.append(("grid-row", str(row)))
    if band.space not in ("0", "0px"):
        own.append(("margin-block", band.space))
    if band.backdrop.base:
        own.append(("background-color", band.backdrop.base))
    found: Rules = {f".gf-{band.id}": own + _display(band, "grid"), **_layers(site, band.backdrop.layers)}
    if band.columns:
        content: Declarations = [("max-inline-size", band.content.width), ("gap", band.content.gap)]
        if band.layout != "auto" and len(band.columns) > 1:
            tracks = shares(band) if band.layout == "row" else "minmax(0, 1fr)"
            content.append(("grid-template-columns", tracks))
        found[f".gf-{band.id} > .gf-content"] = content
    for column in band.columns:
        found[f".gf-{column.id}"] = _column_rule(column, band)
        found |= _layers(site, column.backdrop.layers)
        found |= {f".gf-{b.id}": _block_rule(site, b, band, fonts) for b in column.blocks if ever_visible(b)}
    return found


def page_rules(site: Site, page: Page, fonts: FontBook) -> Rules:
    """All rules of a page without exceptions, but for picture files and what every page shares."""
    own: Declarations = []
    if page.backdrop.base:
        own.append(("background-color", page.backdrop.base))
    if page.width is not None:
        own.append(("grid-template-columns", f"minmax(0, {page.width})"))
    found: Rules = {".gf-page": own} if own else {}
    found |= _layers(site, page.backdrop.layers)
    order = [band.id for band in page.bands]
    for join in page.joins:
        rows = f"{order.index(join.first) + 1} / {order.index(join.last) + 2}"
        declarations: Declarations = [("grid-row", rows)]
        if join.backdrop.base:
            declarations.append(("background-color", join.backdrop.base))
        found |= {f".gf-{join.id}": declarations, **_layers(site, join.backdrop.layers)}
    for n, band in enumerate(page.bands):
        if ever_visible(band):
            found |= _band_rules(site, page, band, n + 1 if page.joins else None, fonts)
    return found


def difference(base: Rules, other: Rules) -> Rules:
    """What has to be said on top of `base` to arrive at `other`. What `other` does not have is hidden there."""
    found: Rules = {selector: [("display", "none")] for selector in base if selector not in other}
    for selector, declarations in other.items():
        known = dict(base[selector])
        wanted = dict(declarations)
        changed = [(name, value) for name, value in declarations if known.get(name) != value]
        changed += [(name, "initial") for name in known if name not in wanted]
        if changed:
            found[selector] = changed
    return found


def rules_text(rules: Rules, indent: str = "") -> str:
    """Rules as CSS text."""
    return "".join(rule(selector, declarations, indent) for selector, declarations in rules.items())
