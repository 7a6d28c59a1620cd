"""A very small font in each form, drawn by ourselves: for opening everything once that fonts are opened with."""

import io

from fontTools.designspaceLib import AxisDescriptor
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.t2CharStringPen import T2CharStringPen
from fontTools.pens.ttGlyphPen import TTGlyphPen

UNITS = 1000
MADE = 3_800_000_000
"""When it says that it was made, s since 1904; the same each time."""
LETTERS = {32: "space", 65: "A", 97: "a"}
AXES = [("wght", 300, 400, 700, "Weight"), ("wdth", 75, 100, 125, "Width")]


def _draw(pen: TTGlyphPen | T2CharStringPen, wide: int) -> None:
    pen.moveTo((50, 0))
    for point in ((50, 700), (wide - 50, 700), (wide - 50, 0)):
        pen.lineTo(point)
    pen.closePath()


def build(
    family: str = "Marrowby Sample", style: str = "Regular", outlines: str = "glyf", varies: bool = False
) -> bytes:
    """The OpenType bytes of a font with three letters; `outlines`: glyf or CFF."""
    order = [".notdef", *LETTERS.values()]
    widths = {name: (500 + 60 * n, 50) for n, name in enumerate(order)}
    builder = FontBuilder(UNITS, isTTF=outlines == "glyf")
    builder.setupGlyphOrder(order)
    builder.setupCharacterMap(LETTERS)
    drawn = {}
    for name in order:
        pen = TTGlyphPen(None) if outlines == "glyf" else T2CharStringPen(widths[name][0], None)
        if name != "space":
            _draw(pen, widths[name][0])
        drawn[name] = pen.glyph() if outlines == "glyf" else pen.getCharString()
    if outlines == "glyf":
        builder.setupGlyf(drawn)
    else:
        builder.setupCFF("MarrowbySample", {}, drawn, {})
    builder.setupHorizontalMetrics(widths)
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": family, "styleName": style})
    builder.setupOS2(sTypoAscender=800, usWeightClass=400)
    builder.setupPost()
    if varies:
        axes = [
            AxisDescriptor(tag=tag, minimum=least, default=usual, maximum=most, name=name)
            for tag, least, usual, most, name in AXES
        ]
        builder.setupFvar(axes, [{"location": {"wght": 700, "wdth": 75}, "stylename": "Narrow Bold"}])
        builder.setupGvar({name: [] for name in order})
    head = builder.font["head"]
    head.created = head.modified = MADE
    builder.font.recalcTimestamp = False
    out = io.BytesIO()
    builder.save(out)
    return out.getvalue()


def sample_fonts() -> list[bytes]:
    """The font with either kind of outlines, and with axes."""
    return [build(), build(outlines="CFF"), build(varies=True)]
