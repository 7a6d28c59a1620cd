"""Fonts that were made to do harm, and small ones that were not."""

import io
import struct
import zlib

import brotli
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTCollection, TTFont, newTable
from fontTools.ttLib.tables._g_l_y_f import Glyph, GlyphComponent

from garnetfern.core.fontfile import take_fonts
from garnetfern.core.fontfile.sample import build


def saved(font):
    out = io.BytesIO()
    font.save(out)
    return out.getvalue()


def changed(change, **more):
    """The small font with something of it otherwise."""
    font = TTFont(io.BytesIO(build(**more)), recalcBBoxes=False)
    change(font)
    return saved(font)


def packed(flavor):
    def change(font):
        font.flavor = flavor

    return changed(change)


def collection(*fonts):
    made = TTCollection()
    made.fonts = [TTFont(io.BytesIO(font)) for font in fonts]
    return saved(made)


def _plain(points):
    pen = TTGlyphPen(None)
    pen.moveTo((0, 0))
    for n in range(points - 1):
        pen.lineTo((n % 700, 700 - n % 650))
    pen.closePath()
    return pen.glyph()


def _made_of(*names):
    glyph = Glyph()
    glyph.numberOfContours = -1
    glyph.components = []
    for n, name in enumerate(names):
        part = GlyphComponent()
        part.glyphName, part.x, part.y, part.flags = name, n, 0, 0x4
        glyph.components.append(part)
    return glyph


def drawn(glyphs):
    """A font with these letters, the last of them A."""
    order = [".notdef", *glyphs]
    builder = FontBuilder(1000, isTTF=True)
    builder.setupGlyphOrder(order)
    builder.setupCharacterMap({65: order[-1]})
    builder.setupHorizontalMetrics(dict.fromkeys(order, (600, 0)))
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": "Harm", "styleName": "Regular"})
    builder.setupOS2()
    builder.setupPost()
    table = newTable("glyf")
    table.glyphs = {".notdef": _plain(3), **glyphs}
    table.glyphOrder = order
    for glyph in table.glyphs.values():
        glyph.xMin = glyph.yMin = 0
        glyph.xMax = glyph.yMax = 700
    builder.font["loca"], builder.font["glyf"] = newTable("loca"), table
    builder.font.recalcBBoxes = False
    builder.font["maxp"].numGlyphs = len(order)
    return saved(builder.font)


def nested(deep, wide=1):
    """Letters made of letters, `deep` times over, of `wide` each."""
    glyphs = {"base": _plain(60)}
    for n in range(deep):
        glyphs[f"c{n}"] = _made_of(*([f"c{n - 1}" if n else "base"] * wide))
    return drawn(glyphs)


def many(count):
    """So many letters."""
    order = [".notdef", *(f"g{n}" for n in range(count - 1))]
    builder = FontBuilder(1000, isTTF=True)
    builder.setupGlyphOrder(order)
    builder.setupCharacterMap({0x20000 + n: name for n, name in enumerate(order[1:])})
    glyph = _plain(4)
    builder.setupGlyf(dict.fromkeys(order, glyph))
    builder.setupHorizontalMetrics(dict.fromkeys(order, (600, 0)))
    builder.setupHorizontalHeader(ascent=800, descent=-200)
    builder.setupNameTable({"familyName": "Many", "styleName": "Regular"})
    builder.setupOS2()
    builder.setupPost(keepGlyphNames=False)
    return saved(builder.font)


def zeros_in_woff2(count):
    stream = brotli.compress(b"\0" * count, quality=5)
    good = take_fonts(build(), "a font")[0].data
    return good[:20] + struct.pack(">I", len(stream)) + good[24:48] + b"\x0a\0" + stream


def zeros_in_woff(count):
    stream = zlib.compress(b"\0" * count, 1)
    header = struct.pack(">IHHIHHIIIII", 0, 1, 0, 1000, 1, 0, 0, 0, 0, 0, 0)
    return b"wOFF\0\1\0\0" + header + b"head" + struct.pack(">IIII", 64, len(stream), count, 0) + stream


def kerned_without_end():
    """Pairs of pairs: a positioning table whose parts point back into it."""
    return (
        b"\0\1\0\0\0\1\0\n\0\x1e\0\x2c\0\1DFLT\0\x08\0\4\0\0\xff\xff\0\1\0\0\0\1kern\0\x08\0\0\0\1\0\0" + b"\0\1" * 900
    )


def with_table(tag, data):
    def change(font):
        table = newTable(tag)
        table.data = data
        table.decompile = lambda *_: None
        table.compile = lambda _: data
        font[tag] = table

    return changed(change)


def lookups(count):
    """A substitution that makes every letter longer, again and again."""
    from fontTools.feaLib.builder import addOpenTypeFeaturesFromString

    def change(font):
        rules = "\n".join(f"lookup l{n} {{ sub A by A A A A A A A A; }} l{n};" for n in range(count))
        used = "\n".join(f"lookup l{n};" for n in range(count))
        addOpenTypeFeaturesFromString(font, f"{rules}\nfeature ccmp {{ {used} }} ccmp;")

    return changed(change)


def _no_letters(font):
    font["cmap"].tables = []


def _without(tag):
    def change(font):
        del font[tag]

    return changed(change)


HARM = {
    "nothing": lambda: b"",
    "no font": lambda: b"body { color: red }" * 9,
    "half of one": lambda: build()[:300],
    "bytes turned": lambda: bytes(b ^ (0x55 if n > 200 and n % 37 == 0 else 0) for n, b in enumerate(build())),
    "a letter made of itself": lambda: drawn({"a": _made_of("b"), "b": _made_of("a")}),
    "letters thirty deep": lambda: nested(30),
    "letters that unfold": lambda: nested(12, 10),
    "200 MB of zeros in WOFF2": lambda: zeros_in_woff2(200_000_000),
    "200 MB of zeros in WOFF": lambda: zeros_in_woff(200_000_000),
    "WOFF2 that says 2 GB": lambda: packed("woff2")[:16] + struct.pack(">I", 2**31) + packed("woff2")[20:],
    "a header alone": lambda: b"wOF2" + b"\0" * 20,
    "a packed collection": lambda: b"wOF2ttcf" + b"\0" * 60,
    "a collection of thousands": lambda: b"ttcf\0\1\0\0" + struct.pack(">I", 4000) + b"\0" * 99,
    "no letters": lambda: changed(_no_letters),
    "no names": lambda: _without("name"),
    "no outlines": lambda: _without("glyf"),
    "ever longer words": lambda: lookups(12),
    "too large": lambda: b"\0\1\0\0" + b"\0" * (8_000_001 - 4),
}
"""What is refused, each with a sentence."""

HARD = {
    "positions without end": lambda: with_table("GPOS", kerned_without_end()),
    "16 deep": lambda: nested(15),
    "tables of nobody": lambda: with_table("Harm", b"\0" * 999),
}
"""What is taken all the same, as nothing comes of it."""


def os2(data, **values):
    """A font whose OS/2 table says otherwise."""
    font = TTFont(io.BytesIO(data), recalcTimestamp=False)
    for name, value in values.items():
        setattr(font["OS/2"], name, value)
    return saved(font)
