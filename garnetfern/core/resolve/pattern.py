"""Tiles of patterns as SVG: what is drawn and what is emitted."""

from ..art import TILES
from ..document import PatternLayer

XMLNS = 'xmlns="http://www.w3.org/2000/svg"'


def tile_size(layer: PatternLayer) -> tuple[int, int]:
    """Width and height of one tile with its spacing, whole px."""
    tile = TILES[layer.tile]
    return layer.size + layer.spacing, max(1, round(layer.size * tile.high / 100)) + layer.spacing


def tile_figure(layer: PatternLayer) -> str:
    """One tile's figure in px as SVG, in white; swapped, what is around it."""
    tile = TILES[layer.tile]
    width, height = tile_size(layer)
    high = height - layer.spacing
    half = f"{layer.spacing / 2:g}"
    flip = f"translate({layer.size} 0) scale(-1 1) " if layer.flip else ""
    scale = f"{layer.size / 100:g} {high / tile.high:.6g}"
    figure = f'<g transform="translate({half} {half}) {flip}scale({scale})">{tile.figure()}</g>'
    if layer.swapped:
        ground = f'<path d="M0 0H{width}V{height}H0z"/>'
        black = figure.replace("#fff", "#000")
        mask = f'<mask id="m" maskUnits="userSpaceOnUse" x="0" y="0" width="{width}" height="{height}">'
        return f'{mask}<g fill="#fff">{ground}</g><g fill="#000">{black}</g></mask><g mask="url(#m)">{ground}</g>'
    return figure


def tile_svg(layer: PatternLayer) -> str:
    """One tile as an SVG picture in white."""
    width, height = tile_size(layer)
    return f'<svg {XMLNS} width="{width}" height="{height}"><g fill="#fff">{tile_figure(layer)}</g></svg>'


def pattern_svg(layer: PatternLayer, colour: str) -> str:
    """The whole pattern as an SVG picture without a size of its own: it takes its area's."""
    width, height = tile_size(layer)
    turn = f"rotate({layer.turn:g}) " if layer.turn else ""
    moved = f"translate({layer.offset[0]:g} {layer.offset[1]:g})" if any(layer.offset) else ""
    how = f' patternTransform="{(turn + moved).strip()}"' if turn or moved else ""
    figure = tile_figure(layer)
    if not layer.swapped:
        figure = figure.replace("#fff", colour)
    tile = f'<pattern id="p" width="{width}" height="{height}" patternUnits="userSpaceOnUse"{how}>'
    return (
        f'<svg {XMLNS}><defs>{tile}<g fill="{colour}">{figure}</g></pattern></defs>'
        '<rect width="100%" height="100%" fill="url(#p)"/></svg>'
    )
