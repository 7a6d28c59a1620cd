"""The browser as referee over ligatures: each letter of one has a reading of its own, and the worst decides."""

import io

import numpy as np
import pytest
from PIL import Image

from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from tests.sampled import sampled
from tests.sites import document, image_layer, with_picture

from .banners import Sample
from .met import met

WORDING = "fi ffi Th fi ffl fi"
"""Hardly any letter that is no part of one: another would be the worst."""
FAMILIES = [family.name for family in shipped_fonts().families]


def striped(every, wide):
    """A picture of narrow light stripes: one that is a tenth of a ligature is a good part of one of its letters."""
    light = (np.arange(1440) % every) < wide
    pixels = np.where(light[None, :, None], [150, 154, 152], [40, 60, 50]).astype(np.uint8)
    out = io.BytesIO()
    Image.fromarray(np.ascontiguousarray(np.broadcast_to(pixels, (400, 1440, 3)))).save(out, "PNG")
    return out.getvalue()


@pytest.mark.parametrize("family", sampled(FAMILIES, 2))
def test_the_letters_of_ligatures_read_as_the_browsers_do(browser, family):
    blocks = [words(f"at{size}", "text", WORDING, family, f"{size}px", "#fbf7ee") for size in (22, 40, 71)]
    plain = document(image_layer(size="natural", repeat=["repeat", "repeat"]), blocks=blocks, height={"min": "400px"})
    file = with_picture(plain, striped(61, 5), "stripes.png")
    sample = Sample(file.site, dict(file.pictures))
    found = list(met(browser, sample, lambda s: s.kind in ("rest", "enlarged") and s.screen != "tablet"))
    assert len(found) == 12
    # 8 to 14 % where the whole glyph is judged; a column of px on the cut may go to either letter
    off = {one.name: round(one.off, 4) for one in found if one.off > 0.03}
    assert not off
