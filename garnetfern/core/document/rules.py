"""Rules that tie the parts of a document together: unique ids, assets that exist, fonts that ship."""

from collections.abc import Collection, Iterator

from ..errors import Problem
from .model import Band, ImageLayer, Site


def _repeated(ids: list[tuple[str, str]]) -> Iterator[Problem]:
    seen: set[str] = set()
    for value, path in ids:
        if value in seen:
            yield Problem("id", f"The id {value!r} is used twice; each is given once.", path)
        seen.add(value)


def _band_ids(band: Band, path: str) -> Iterator[tuple[str, str]]:
    yield band.id, f"{path}.id"
    for n, layer in enumerate(band.backdrop.layers):
        yield layer.id, f"{path}.backdrop.layers[{n}].id"
    for c, column in enumerate(band.columns):
        yield column.id, f"{path}.columns[{c}].id"
        for b, block in enumerate(column.blocks):
            yield block.id, f"{path}.columns[{c}].blocks[{b}].id"


def problems_of(site: Site, fonts: Collection[str] | None = None) -> Iterator[Problem]:
    """Every broken rule. `fonts` are the families that ship; None leaves them unchecked."""
    yield from _repeated([(s.id, f"$.screens[{n}].id") for n, s in enumerate(site.screens)])
    yield from _repeated([(a.id, f"$.assets[{n}].id") for n, a in enumerate(site.assets)])
    yield from _repeated([(p.slug, f"$.pages[{n}].slug") for n, p in enumerate(site.pages)])
    assets = {a.id for a in site.assets}
    for n, page in enumerate(site.pages):
        ids = [(page.id, f"$.pages[{n}].id")]
        for m, band in enumerate(page.bands):
            path = f"$.pages[{n}].bands[{m}]"
            ids += _band_ids(band, path)
            for k, layer in enumerate(band.backdrop.layers):
                if isinstance(layer, ImageLayer) and layer.asset not in assets:
                    where = f"{path}.backdrop.layers[{k}].asset"
                    yield Problem("asset", f"There is no picture {layer.asset!r} in this site.", where)
            for c, column in enumerate(band.columns):
                for b, block in enumerate(column.blocks):
                    if fonts is not None and block.lettering.font not in fonts:
                        where = f"{path}.columns[{c}].blocks[{b}].lettering.font"
                        known = ", ".join(sorted(fonts))
                        message = f"There is no font {block.lettering.font!r}; there are {known}."
                        yield Problem("font", message, where)
        if page.backdrop.layers:
            yield Problem("backdrop", "A page takes a base colour; layers go on a band.", f"$.pages[{n}].backdrop")
        yield from _repeated(ids)
