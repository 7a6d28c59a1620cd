"""The rules of a page that is free of exceptions: selector to declarations, in order.

Emitting compares the rules of each screen with those of the page without exceptions and writes what differs.
"""

from ..colour.notation import parse_colour
from ..document import Area, Backdrop, Band, Block, Column, Join, Layer, Page, Plate, Site, ever_visible
from ..resolve.book import FontBook
from .blocks import BlockContext, block_declarations, inner_rules
from .declarations import Declarations, number, rule
from .layers import layer_declarations, part_declarations
from .names import named
from .visible import display

Rules = dict[str, Declarations]


def shares(band: Band) -> str:
    """The tracks of a band's columns side by side."""
    return " ".join(f"minmax(0, {number(c.share)}fr)" for c in band.in_order())


def height_of(band: Band, page: Page) -> str:
    """A band's least height as CSS."""
    if band.height.proportion is None:
        return band.height.min
    width = f"min(100vw, {page.width})" if page.width else "100vw"
    return f"max({band.height.min}, {width} / {number(band.height.proportion)})"


def plate_frame(plate: Plate) -> Declarations:
    """A plate's corners, key line and shadow."""
    found: Declarations = []
    if plate.line is not None:
        found.append(("border", f"{plate.line.width} solid {parse_colour(plate.line.colour).css()}"))
    if plate.radius not in ("0", "0px"):
        found.append(("border-radius", plate.radius))
    if plate.shadow is not None:
        s = plate.shadow
        found.append(("box-shadow", f"{s.across} {s.down} {s.blur} {s.spread} {parse_colour(s.colour).css()}"))
    return found


def _base(backdrop: Backdrop, selector: str, own: Declarations) -> Rules:
    """Where an area's base colour is said: on the area, or behind its layers where one of them blends with it."""
    if not backdrop.base:
        return {selector: own}
    colour = ("background-color", backdrop.base)
    if backdrop.blends():
        return {selector: own, f"{selector} > .gf-behind": [colour]}
    return {selector: [*own, colour]}


def _block_rules(site: Site, block: Block, band: Band, fonts: FontBook) -> Rules:
    selector = f".{named(block.id)}"
    context = BlockContext(site, band, fonts)
    found: Rules = {selector: block_declarations(block, context), **inner_rules(block, context)}
    if block.plate is not None:
        base = block.plate.backdrop.base
        behind: Declarations = [("background-color", base)] if base else []
        found[f"{selector} > .gf-behind"] = behind + plate_frame(block.plate)
        found |= _layers(site, block.plate.backdrop.layers)
    return found


def _column_rule(column: Column, band: Band) -> Declarations:
    found: Declarations = [("gap", column.gap)]
    if (column.padding.block, column.padding.inline) != ("0px", "0px"):
        found.append(("padding", f"{column.padding.block} {column.padding.inline}"))
    if column.height not in ("0", "0px"):
        found.append(("min-block-size", column.height))
    stand = column.stand or band.content.level
    if stand != "start":
        found.append(("justify-content", stand))
    if band.order:
        found.append(("order", str(band.in_order().index(column))))
    return found


def _layers(site: Site, layers: tuple[Layer, ...]) -> Rules:
    found: Rules = {}
    for layer in layers:
        if ever_visible(layer):
            found[f".{named(layer.id)}"] = layer_declarations(layer, site) + display(layer, "block")
            found |= {f".{named(name)}": own for name, own in part_declarations(layer, site).items()}
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
    found = _base(band.backdrop, f".{named(band.id)}", own + display(band, "grid"))
    found |= _layers(site, band.backdrop.layers)
    if band.columns:
        content: Declarations = [("max-inline-size", band.content.width), ("gap", band.content.gap)]
        if band.layout != "auto" and len(band.columns) > 1:
            tracks = shares(band) if band.layout == "row" else "minmax(0, 1fr)"
            content.append(("grid-template-columns", tracks))
        found[f".{named(band.id)} > .gf-content"] = content
    for column in band.columns:
        found |= _base(column.backdrop, f".{named(column.id)}", _column_rule(column, band))
        found |= _layers(site, column.backdrop.layers)
        for block in column.blocks:
            if ever_visible(block) and not block.heard:
                found |= _block_rules(site, block, band, fonts)
    return found


def _canvas(page: Page) -> str:
    """The page's base colour over white: what its blending layers mix with."""
    base = parse_colour(page.backdrop.base or "#ffffff")
    red, green, blue = (round(255 + (v - 255) * base.alpha) for v in base.rgb)
    return f"rgb({red} {green} {blue})"


def _pointed(area: Area, page: Page) -> tuple[str, str]:
    """The selectors of an area while the pointer or the focus is in it: of itself, and of what holds its layers."""
    if isinstance(area, Page):
        own = ".gf-page:is(:hover, :focus-within)"
        return own, f"{own} > .gf-behind"
    if isinstance(area, Join):
        order = [band.id for band in page.bands]
        inner = order[order.index(area.first) : order.index(area.last) + 1]
        bands = ", ".join(f".{named(name)}:is(:hover, :focus-within)" for name in inner)
        own = f".gf-page:has({bands}) > .{named(area.id)}"
        return own, own
    own = f".{named(area.id)}:is(:hover, :focus-within)"
    return own, f"{own} > .gf-behind"


def over_rules(site: Site, page: Page) -> tuple[Rules, Rules]:
    """What changes while the pointer is over an area, and the time the changes take, by selector."""
    changes: Rules = {}
    fades: Rules = {}
    for area in page.areas():
        over = area.backdrop.over
        if over is None:
            continue
        own, behind = _pointed(area, page)
        time = f"{over.fade}ms"
        fade: Declarations = [("transition", f"opacity {time}, background-color {time}")]
        within = isinstance(area, Block) or area.backdrop.blends()
        if over.base is not None:
            changes[behind if within else own] = [("background-color", over.base)]
            plain = ".gf-page" if isinstance(area, Page) else f".{named(area.id)}"
            fades[f"{plain} > .gf-behind" if within else plain] = fade
        for rest, then in zip(area.backdrop.layers, area.backdrop.pointed_at().layers, strict=True):
            before = layer_declarations(rest, site)
            after = dict([*((n, "1") for n, _ in before if n == "opacity"), *layer_declarations(then, site)])
            changed = [(n, v) for n, v in after.items() if (n, v) not in before]
            if changed and ever_visible(rest):
                changes[f"{behind} > .{named(rest.id)}"] = changed
                fades[f".{named(rest.id)}"] = fade
    return changes, fades


def page_rules(site: Site, page: Page, fonts: FontBook) -> Rules:
    """All rules of a page without exceptions, but for picture files and what every page shares."""
    fonts = fonts.of(site)
    own: Declarations = []
    if page.backdrop.base:
        own.append(("background-color", page.backdrop.base))
    if page.width is not None:
        own.append(("grid-template-columns", f"minmax(0, {page.width})"))
    found: Rules = {".gf-page": own} if own else {}
    if page.backdrop.blends():
        found[".gf-behind-page"] = [("background-color", _canvas(page))]
    found |= _layers(site, page.backdrop.layers)
    order = [band.id for band in page.bands]
    for join in page.joins:
        rows = f"{order.index(join.first) + 1} / {order.index(join.last) + 2}"
        declarations: Declarations = [("grid-row", rows)]
        if join.backdrop.base:
            declarations.append(("background-color", join.backdrop.base))
        found |= {f".{named(join.id)}": declarations, **_layers(site, join.backdrop.layers)}
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
