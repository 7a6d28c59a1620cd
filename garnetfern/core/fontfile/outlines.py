"""Whether the outlines of a font can be drawn without harm: how far letters made of letters unfold, and every letter
drawn and shaped once, in the room, before anybody else does it."""

import io

import freetype
import uharfbuzz as hb
from fontTools.ttLib import TTFont

from ..errors import FontError
from ..limits import FONT_NESTING, FONT_POINTS

PIECE = 400
"""So many letters are shaped at a time."""
PROBED = 15_000
"""So many letters are shaped, the first of all."""
SIZE = 20


def _refused(name: str, what: str) -> FontError:
    return FontError(f"{name} has a letter that {what}. It was not taken; nothing was changed.")


def check_composites(font: TTFont, name: str) -> None:
    """Letters made of letters: none in itself, none too deep, none of too many points. Raises FontError."""
    if "glyf" not in font:
        return
    table = font["glyf"]
    known: dict[str, tuple[int, int]] = {}

    def unfolded(glyph_name: str, above: tuple[str, ...]) -> tuple[int, int]:
        """Points of a glyph, and how deep it goes."""
        if glyph_name in above:
            raise _refused(name, f"is made of itself ({glyph_name!r})")
        if glyph_name not in known:
            glyph = table[glyph_name]
            points, deep = 0, 1
            if glyph.isComposite():
                for part in glyph.components:
                    more, under = unfolded(part.glyphName, (*above, glyph_name))
                    points, deep = points + more, max(deep, under + 1)
            elif glyph.numberOfContours > 0:
                points = glyph.endPtsOfContours[-1] + 1
            known[glyph_name] = (points, deep)
        points, deep = known[glyph_name]
        if points > FONT_POINTS:
            raise _refused(name, f"unfolds to {points:,} points ({glyph_name!r}); {FONT_POINTS:,} are the most")
        if deep > FONT_NESTING:
            raise _refused(name, f"is made of letters more than {FONT_NESTING} deep ({glyph_name!r})")
        return points, deep

    for glyph_name in font.getGlyphOrder():
        unfolded(glyph_name, ())


def try_out(data: bytes, name: str) -> None:
    """Draw every glyph and shape every letter of plain OpenType bytes, once. Raises FontError where that cannot be."""
    face = hb.Face(data)
    letters = sorted(face.unicodes)
    if not letters:
        raise FontError(f"{name} has no letters that Unicode knows. It was not taken; nothing was changed.")
    font = hb.Font(face)
    font.scale = (SIZE * 65536, SIZE * 65536)
    text = [code for code in letters if not 0xD800 <= code <= 0xDFFF][:PROBED]
    for at in range(0, len(text), PIECE):
        buffer = hb.Buffer()
        buffer.add_codepoints(text[at : at + PIECE])
        buffer.guess_segment_properties()
        try:
            hb.shape(font, buffer)
        except MemoryError as error:
            raise _refused(name, "grows without end when it is set") from error
    drawn = freetype.Face(io.BytesIO(data))
    if not drawn.is_scalable:
        raise FontError(f"{name} has pictures of letters, but no outlines. It was not taken; nothing was changed.")
    drawn.set_char_size(SIZE * 64, SIZE * 64, 72, 72)
    ill = 0
    for number in range(drawn.num_glyphs):
        try:
            drawn.load_glyph(number, freetype.FT_LOAD_TARGET_LIGHT | freetype.FT_LOAD_NO_BITMAP)
            drawn.glyph.render(freetype.FT_RENDER_MODE_NORMAL)
        except freetype.FT_Exception:
            ill += 1
    if ill:
        raise FontError(
            f"{name} has {ill:,} letters that cannot be drawn: their outlines are damaged. "
            "It was not taken; nothing was changed."
        )
