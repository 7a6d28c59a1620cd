"""What moves on a page, and which of it lies behind the same words."""

from collections.abc import Iterator
from itertools import product
from math import prod

from ...document import Area, Block, LayerBase, Page, Phase, ever_visible

COMBINED = 200
"""So many combinations of layers that move behind the same words are looked at."""

Together = tuple[tuple[LayerBase, Phase], ...]
"""Layers, each in a phase of its own."""


def moving(page: Page) -> list[LayerBase]:
    """The layers of a page that move by themselves and are to be seen on some screen."""
    layers = (layer for area in page.areas() for layer in area.backdrop.layers)
    return [layer for layer in layers if layer.period() is not None and ever_visible(layer)]


def restless(page: Page) -> list[LayerBase]:
    """Those that are never at rest: what is read with every edit is what stands there before they begin."""
    return [layer for layer in moving(page) if all(phase.start < phase.end for phase in layer.phases())]


def said(page: Page, layer: LayerBase, phase: Phase) -> str:
    """What a phase is called on a page: with the layer's name, where several move there."""
    return phase.name if len(moving(page)) < 2 else f"{phase.name} of {layer.name}"


def _behind(page: Page) -> Iterator[tuple[LayerBase, ...]]:
    """The moving layers behind each block of words."""
    order = [band.id for band in page.bands]
    for n, band in enumerate(page.bands):
        joins = [j for j in page.joins if order.index(j.first) <= n <= order.index(j.last)]
        for column in band.columns:
            for block in column.blocks:
                own: tuple[Block, ...] = (block,) if block.plate is not None else ()
                areas: tuple[Area, ...] = (page, *joins, band, column, *own)
                found = (layer for area in areas for layer in area.backdrop.layers)
                yield tuple(x for x in found if x.period() is not None and ever_visible(x))


def together(page: Page) -> list[tuple[LayerBase, ...]]:
    """Groups of two and more moving layers that lie behind the same words, each once."""
    found = {tuple(layer.id for layer in group): group for group in _behind(page) if len(group) > 1}
    return list(found.values())


def combinations(group: tuple[LayerBase, ...]) -> Iterator[Together]:
    """Every combination of their phases but that in which all begin; none where there are more than COMBINED."""
    if too_many(group):
        return
    for phases in product(*(layer.phases() for layer in group)):
        found = tuple(zip(group, phases, strict=True))
        if sum(phase.start < phase.end or phase != layer.phases()[0] for layer, phase in found) > 1:
            yield found


def too_many(group: tuple[LayerBase, ...]) -> bool:
    """Whether not every combination of a group can be looked at."""
    return prod(len(layer.phases()) for layer in group) > COMBINED
