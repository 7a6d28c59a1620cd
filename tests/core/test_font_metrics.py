"""What is read out of the shipped fonts, beside their own tables as another library reads them."""

import math

import pytest
from fontTools.ttLib import TTFont

from garnetfern.fonts import FOLDER, shipped_fonts

FAMILIES = shipped_fonts().families


@pytest.mark.parametrize("family", FAMILIES, ids=lambda f: f.name)
@pytest.mark.parametrize("size", [10.0, 16.0, 37.5, 64.0])
def test_ascent_and_descent_are_those_of_the_font_rounded_to_whole_px(family, size):
    font = TTFont(FOLDER / family.faces[-1].id)
    table, units = font["hhea"], font["head"].unitsPerEm
    if font["OS/2"].fsSelection & 1 << 7:
        table = type("Typo", (), {"ascent": font["OS/2"].sTypoAscender, "descent": font["OS/2"].sTypoDescender})
    expected = (math.floor(table.ascent * size / units + 0.5), math.floor(-table.descent * size / units + 0.5))
    assert family.ascent_descent(size, family.least_weight) == expected


@pytest.mark.parametrize("family", FAMILIES, ids=lambda f: f.name)
def test_letters_are_served_by_a_face_that_has_them(family):
    for letter in "Fern äöüß éè":
        face = family.face_for(ord(letter), family.least_weight)
        assert face is not None
        assert ord(letter) in TTFont(FOLDER / face.id).getBestCmap()
