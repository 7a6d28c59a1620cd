"""Rules that tie the parts of a document together: unique ids, assets that exist, fonts that ship, joins that hold."""

from collections.abc import Collection, Iterator

from ..errors import Problem
from .backdrop import Backdrop
from .block import Block
from .bounds import address_problems, bound_problems
from .model import Area, Band, Page, Site
from .placing import placing_problems, zone_of
from .screens import range_problems
from .shares import share_problems

Placed = Iterator[tuple[Backdrop, str]]


def _repeated(ids: list[tuple[str, str]]) -> Iterator[Problem]:
    seen: set[str] = set()
    for value, path in ids:
        if value in seen:
            yield Problem("id", f"The id {value!r} is used twice; each is given once.", path)
        seen.add(value)


def _placed(page: Page, path: str) -> Iterator[tuple[Area | Block, str]]:
    """The parts of a page that have an id, and where each is."""
    yield page, path
    yield from ((join, f"{path}.joins[{j}]") for j, join in enumerate(page.joins))
    for b, band in enumerate(page.bands):
        yield band, f"{path}.bands[{b}]"
        for c, column in enumerate(band.columns):
            yield column, f"{path}.bands[{b}].columns[{c}]"
            yield from ((block, f"{path}.bands[{b}].columns[{c}].blocks[{k}]") for k, block in enumerate(column.blocks))


def _backdrops(page: Page, path: str) -> Placed:
    for part, where in _placed(page, path):
        yield part.backdrop, f"{where}.plate.backdrop" if isinstance(part, Block) else f"{where}.backdrop"


def _ids(page: Page, path: str) -> Iterator[tuple[str, str]]:
    yield from ((part.id, f"{where}.id") for part, where in _placed(page, path))
    for backdrop, where in _backdrops(page, path):
        for n, layer in enumerate(backdrop.layers):
            yield from ((name, f"{where}.layers[{n}].id") for name in layer.ids())


def _over_problems(backdrop: Backdrop, where: str) -> Iterator[Problem]:
    """What a state for the pointer names must be there."""
    layers = {layer.id: layer for layer in backdrop.layers}
    for name, change in (backdrop.over.layers if backdrop.over else {}).items():
        if name not in layers:
            yield Problem("layer", f"There is no layer {name!r} in this backdrop.", f"{where}.over.layers.{name}")
        elif change.colour is not None and "colour" not in type(layers[name]).model_fields:
            message = f"{layers[name].name} has no colour of its own that could change."
            yield Problem("layer", message, f"{where}.over.layers.{name}.colour")


def _layer_problems(site: Site, placed: Placed) -> Iterator[Problem]:
    known = {a.id: a for a in site.assets}
    assets = set(known)
    screens = {s.id for s in site.screens}
    for backdrop, where in placed:
        yield from _over_problems(backdrop, where)
        for n, layer in enumerate(backdrop.layers):
            place = f"{where}.layers[{n}]"
            for asset in layer.assets():
                if asset not in assets:
                    yield Problem("asset", f"There is no picture {asset!r} in this site.", f"{place}.asset")
            yield from (Problem("layer", message, place) for message in layer.problems(known))
            for part in (layer, *layer.pictures()):
                yield from _unknown_screens(getattr(part, "screens", {}), screens, place)


def _unknown_screens(exceptions: Collection[str], screens: Collection[str], place: str) -> Iterator[Problem]:
    for name in exceptions:
        if name not in screens:
            yield Problem("screens", f"There is no screen {name!r} in this site.", f"{place}.screens.{name}")


def _block_problems(site: Site, band: Band, path: str, fonts: Collection[str] | None) -> Iterator[Problem]:
    assets = {a.id for a in site.assets}
    slots = {s.id for s in site.slots}
    screens = {s.id for s in site.screens}
    yield from _unknown_screens(band.screens, screens, path)
    for c, column in enumerate(band.columns):
        for b, block in enumerate(column.blocks):
            where = f"{path}.columns[{c}].blocks[{b}]"
            if fonts is not None and block.lettering.font not in fonts:
                known = ", ".join(sorted(fonts))
                message = f"There is no font {block.lettering.font!r}; there are {known}."
                yield Problem("font", message, f"{where}.lettering.font")
            if block.asset is not None and block.asset not in assets:
                yield Problem("asset", f"There is no picture {block.asset!r} in this site.", f"{where}.asset")
            if block.slot is not None and block.slot not in slots:
                yield Problem("slot", f"There is no slot {block.slot!r} in this site.", f"{where}.slot")
            yield from _unknown_screens(block.screens, screens, where)


def _join_problems(page: Page, path: str) -> Iterator[Problem]:
    order = {band.id: n for n, band in enumerate(page.bands)}
    taken: set[str] = set()
    for n, join in enumerate(page.joins):
        where = f"{path}.joins[{n}]"
        missing = next((x for x in (join.first, join.last) if x not in order), None)
        if missing is not None:
            yield Problem("join", f"There is no band {missing!r} on this page.", where)
            continue
        inner = [band.id for band in page.bands[order[join.first] : order[join.last] + 1]]
        if len(inner) < 2:
            yield Problem("join", "A join runs behind two bands or more, from the upper to the lower.", where)
        if taken & set(inner):
            yield Problem("join", "A band lies in one join at the most.", where)
        taken |= set(inner)


def _fit_problems(site: Site) -> Iterator[Problem]:
    assets, slots = {a.id for a in site.assets}, {s.id for s in site.slots}
    seen: set[tuple[str, str]] = set()
    for n, fit in enumerate(site.fits):
        if fit.asset not in assets:
            yield Problem("asset", f"There is no picture {fit.asset!r} in this site.", f"$.fits[{n}].asset")
        if fit.slot not in slots:
            yield Problem("slot", f"There is no slot {fit.slot!r} in this site.", f"$.fits[{n}].slot")
        if (fit.slot, fit.asset) in seen:
            yield Problem("fit", "A picture is cut once for a slot.", f"$.fits[{n}]")
        seen.add((fit.slot, fit.asset))


def _placing_problems(site: Site) -> Iterator[Problem]:
    visited = {page.id for page in site.visited}
    loose = {page.id for page in site.pages} - visited
    if not visited:
        yield Problem("pages", "A site has one page at least that visitors come to.", "$.pages")
    if any(page.loose for page in site.pages[: len(visited)]):
        yield Problem("pages", "Loose pages stand behind those that visitors come to.", "$.pages")
    yield from placing_problems(site.placed, loose, visited, set(site.kinds))
    try:
        zone_of(site.zone)
    except ValueError as error:
        yield Problem("zone", str(error), "$.zone")


def problems_of(site: Site, fonts: Collection[str] | None = None) -> Iterator[Problem]:
    """Every broken rule. `fonts` are the families that ship; None leaves them unchecked."""
    known = None if fonts is None else {*fonts, *(file.family for file in site.fonts)}
    yield from bound_problems(site)
    yield from address_problems(site)
    yield from share_problems(site)
    yield from _placing_problems(site)
    yield from range_problems(site.screens)
    yield from _repeated([(s.id, f"$.screens[{n}].id") for n, s in enumerate(site.screens)])
    yield from _repeated([(a.id, f"$.assets[{n}].id") for n, a in enumerate(site.assets)])
    yield from _repeated([(f.id, f"$.fonts[{n}].id") for n, f in enumerate(site.fonts)])
    yield from _repeated([(s.id, f"$.slots[{n}].id") for n, s in enumerate(site.slots)])
    yield from _repeated([(p.id, f"$.pages[{n}].id") for n, p in enumerate(site.pages)])
    yield from _repeated([(p.slug, f"$.pages[{n}].slug") for n, p in enumerate(site.pages)])
    yield from _repeated([(g.id, f"$.gradients[{n}].id") for n, g in enumerate(site.gradients)])
    yield from _repeated([(k.id, f"$.looks[{n}].id") for n, k in enumerate(site.looks)])
    yield from _layer_problems(site, ((k.backdrop, f"$.looks[{n}].backdrop") for n, k in enumerate(site.looks)))
    yield from _fit_problems(site)
    for n, page in enumerate(site.pages):
        path = f"$.pages[{n}]"
        yield from _repeated(list(_ids(page, path)))
        yield from _layer_problems(site, _backdrops(page, path))
        yield from _join_problems(page, path)
        for m, band in enumerate(page.bands):
            yield from _block_problems(site, band, f"{path}.bands[{m}]", known)
