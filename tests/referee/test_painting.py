"""The order of painting in Chromium: plates and shadows that lie over words, lines over lines, letter by letter."""

import numpy as np
import pytest

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.css import bundle_files
from garnetfern.core.draw.words import draw_page, paint_around
from garnetfern.core.reading import Reader, situations
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sites import one_banner

from .browser import HIDDEN, Opened

CAST = {"down": "-30px", "blur": "12px", "spread": "4px", "colour": "#000000a0"}
PLATE = {"backdrop": {"base": "#7a1f2bb0", "layers": []}, "padding": {"block": "6px", "inline": "8px"}, "shadow": CAST}
SHADOWS = {
    "a soft shadow": {"shadow": {"across": "3px", "down": "-20px", "blur": "9px", "colour": "#001018c0"}},
    "a hard one": {"shadow": {"across": "-2px", "down": "-22px", "blur": "0px", "colour": "#000000"}},
    "a narrow one": {"shadow": {"down": "2px", "blur": "2px", "colour": "#000000"}},
    "with an outline": {
        "shadow": {"across": "4px", "down": "3px", "blur": "6px", "colour": "#000000b0"},
        "outline": {"width": "2px", "colour": "#f2d9a0"},
    },
    "hollow": {
        "shadow": {"across": "4px", "down": "3px", "blur": "6px", "colour": "#000000b0"},
        "outline": {"width": "2px", "colour": "#f2d9a0"},
        "hollow": True,
    },
}


def _block(name, lettering, **more):
    found = words(name, "text", "Maidenhair and\nplaty fern", "Hanken Grotesk", "34px", "#fbf7ee")
    found["lettering"] |= {"line": 1.05, **lettering}
    return found | more


@pytest.mark.parametrize("name", SHADOWS)
def test_what_is_painted_later_lies_over_what_was_painted_before(browser, name):
    blocks = [_block("one", SHADOWS[name]), _block("two", {}, plate=PLATE), _block("three", SHADOWS[name])]
    columns = [{"id": "column", "gap": "0px", "blocks": blocks}]
    file = one_banner(base="#4f7f5a", columns=columns)
    reader, page = Reader(shipped_fonts(), MemoryPictures({})), file.site.pages[0]
    rest = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, rest)
    opened = Opened(browser, bundle_files(file.site, reader.fonts, MemoryPictures({}).file))
    opened.at(int(rest.moment.viewport.width), int(rest.moment.viewport.height))
    whole, ground = opened.styled("/* as it is */"), opened.styled(HIDDEN)
    opened.close()
    region = (0, 0, whole.shape[1], whole.shape[0])
    hollow = "hollow" in SHADOWS[name]
    box = record.bands[0].box
    part = np.s_[int(box.y) : int(box.bottom), 0:520]
    drawn = draw_page(record, region, reader.pictures, reader.glyphs).astype(np.float32)
    off = np.abs(drawn - whole)[part]
    assert off.mean() <= 0.6
    # the raster gives letters more contrast at their rims than their coverage says
    assert (off.max(axis=2) <= 12).mean() >= 0.97
    if not hollow:
        beside = draw_page(record, region, reader.pictures, reader.glyphs, paint_around).astype(np.float32)
        off = np.abs(beside - ground)[part]
        assert off.mean() <= 0.3
        assert (off.max(axis=2) <= 4).mean() >= 0.98


@pytest.mark.parametrize("outline", [None, "1px", "3px"])
@pytest.mark.parametrize("colour", ["#000000", "#404040", "#808080", "#f2d9a0", "#ffffff", "#00c000"])
def test_letters_lay_down_as_much_of_their_colour_as_in_the_browser(browser, colour, outline):
    lettering = {"colour": colour, "size": "30px"}
    if outline is not None:
        lettering |= {"outline": {"width": outline, "colour": colour}, "hollow": True}
    base = "#000000" if colour > "#7" else "#ffffff"
    file = one_banner(base=base, columns=[{"id": "column", "blocks": [_block("one", lettering)]}])
    reader, page = Reader(shipped_fonts(), MemoryPictures({})), file.site.pages[0]
    rest = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, rest)
    opened = Opened(browser, bundle_files(file.site, reader.fonts, MemoryPictures({}).file))
    opened.at(int(rest.moment.viewport.width), int(rest.moment.viewport.height))
    seen = opened.styled("/* as it is */")
    opened.close()
    box = next(record.blocks()).box
    part = np.s_[int(box.y) - 6 : int(box.bottom) + 6, int(box.x) - 6 : int(box.x) + 300]
    drawn = draw_page(record, (0, 0, seen.shape[1], seen.shape[0]), reader.pictures, reader.glyphs).astype(np.float32)
    ground = np.float32(0 if base == "#000000" else 255)
    inked = np.abs(seen[part] - ground).max(axis=2) > 0
    most = np.abs(np.array(parse_colour(colour).rgb, dtype=np.float32) - ground).max()
    off = ((drawn - seen)[part][inked] / most * 255).mean(axis=1)
    assert abs(off.mean()) <= 2, "as much on the whole"
    assert np.abs(off).mean() <= 6
