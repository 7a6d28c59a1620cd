"""The browser as referee over every kind of layer with its options, every blend mode, plates and lettering."""

from typing import get_args

import numpy as np
import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.document import BlendMode, pointed_at
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.reading import Reader
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.sampled import sampled

from .browser import HIDDEN, Opened
from .compare import compare
from .kinds import SAMPLES, STACKS, blends_page, page_with, samples_page
from .lettering import generate_lettering
from .placings import bands_beside
from .stacks import generate_stack

SMOOTH = ("colour", "edge", "gradient")
"""Kinds whose pixels must agree to one level; where two edges meet the browser lays masks over one another."""
HARD = ("repeating", "rings")
"""Gradients that jump: a px on the edge may fall on the other side of it."""
FIGURES = 1.5
"""Figures of a pattern a few px wide: edges are taken to quarters of a px as the browser takes them, curves of the
third degree and parallels of strokes only nearly so."""
ON_STACKS = [(k, *on) for k in SAMPLES for on in (("on a colour", (1283, 700)), ("on a picture", (411, 700)))]


@pytest.mark.parametrize(("kind", "stack", "viewport"), sampled(ON_STACKS, 2))
def test_every_kind_with_its_options_agrees(browser, kind, stack, viewport):
    file, names = samples_page(kind, stack)
    for agreement in bands_beside(browser, file, names, viewport):
        jumps = any(word in agreement.name for word in HARD)
        assert agreement.mean <= (FIGURES if kind == "pattern" else 1.2 if jumps else 0.5), agreement
        if kind != "pattern":
            assert agreement.within >= 0.97, agreement
        if kind in SMOOTH and stack == "on a colour" and "all four" not in agreement.name:
            assert agreement.worst <= 1, agreement


WEIGHED = {
    "scaled": {"size": "cover"},
    "brighter": {"size": "cover", "filter": {"brightness": 1.079}},
    "less contrast, fewer colours": {"size": "cover", "filter": {"contrast": 0.8, "saturate": 0.6}},
    "as it is": {"size": "natural", "position": {"across": "20px", "down": "10px"}},
    "as it is, half a px aside": {"size": "natural", "position": {"across": "20.5px", "down": "10px"}},
    "as it is, cut": {"size": "natural", "position": {"across": "-20px", "down": "10px"}},
    "as it is, in tiles": {"size": "natural", "repeat": ["repeat", "repeat"]},
}


@pytest.mark.parametrize("opacity", [0.36, 0.5, 0.73])
def test_a_picture_at_an_opacity_is_weighed_as_the_browser_weighs_it(browser, opacity):
    made = [{"kind": "image", "asset": "picture", "opacity": opacity, **more} for more in WEIGHED.values()]
    file = page_with([{"base": "#f4efe4", "layers": [layer]} for layer in made])
    for agreement in bands_beside(browser, file, list(WEIGHED), (701, 700)):
        assert agreement.mean <= 0.02, agreement


@pytest.mark.parametrize("stack", sampled(list(STACKS), 1))
def test_every_blend_mode_agrees_over_opaque_and_translucent_stacks(browser, stack):
    file, names = blends_page(list(get_args(BlendMode)), stack)
    for agreement in bands_beside(browser, file, names, (700, 700)):
        assert agreement.mean <= 1, agreement
        assert agreement.worst <= 4, agreement


@pytest.mark.parametrize("seed", sampled([1, 2, 6, 8], 1))
def test_plates_buttons_and_lettering_agree(browser, seed):
    for outcome in compare(browser, generate_lettering(seed)):
        assert outcome.box <= 0.1, outcome.name
        assert outcome.lines_equal == outcome.lines_total, outcome.name
        assert outcome.mean <= 0.6, outcome.name
        assert outcome.within >= 0.95, outcome.name
        for block, core, seen, required in outcome.readings:
            assert core == pytest.approx(seen, rel=0.04), f"{outcome.name}, {block}"
            assert (core >= required) == (seen >= required) or abs(core / required - 1) < 0.04


@pytest.mark.parametrize("seed", sampled([3, 5, 11], 1))
def test_stacks_of_many_layers_agree_and_so_do_their_readings(browser, seed):
    for outcome in compare(browser, generate_stack(seed)):
        assert outcome.mean <= 1.5, outcome.name
        for block, core, seen, required in outcome.readings:
            assert core == pytest.approx(seen, rel=0.03), f"{outcome.name}, {block}"
            assert (core >= required) == (seen >= required) or abs(core / required - 1) < 0.03


def test_pointing_at_an_area_shows_the_state_that_was_computed(browser):
    layers = [{"kind": "colour", "colour": "#0b1a14", "opacity": 0.2}, {"kind": "edge", "colour": "#7a1f2b"}]
    over = {"fade": 0, "base": "#f2d9a0", "layers": {"l0-0": {"opacity": 0.7}, "l0-1": {"colour": "#2b5a73"}}}
    file = page_with([{"base": "#3f6f46", "layers": layers, "over": over}])
    pictures = MemoryPictures(file.pictures)
    reader = Reader(shipped_fonts(), pictures)
    opened = Opened(browser, bundle_files(file.site, reader.fonts, pictures.file)).at(500, 400)
    page = file.site.pages[0]
    seen = {}
    for pointed in (False, True):
        opened.page.mouse.move(200, 100 if pointed else 390)
        opened.page.wait_for_timeout(100)
        shown = pointed_at(page) if pointed else page
        record = resolve_page(file.site, shown, Moment(Viewport(500, 400)), reader.fonts)
        drawn = paint_backdrops(record, (0, 0, 500, 213), reader.pictures)
        seen[pointed] = opened.styled(HIDDEN)[:213]
        assert np.abs(drawn.astype(np.float32) - seen[pointed]).max() <= 2
    opened.close()
    assert np.abs(seen[True] - seen[False]).mean() > 20
