"""Windows, focal points and exact slots."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.document import Asset, Crop, ImageLayer, Slot
from garnetfern.core.picture.framing import Window, reach, window_of
from garnetfern.core.picture.slots import locked, slot_facts, widest_crop
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.image import Room, image_sheet, used_size
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.sheets import Rendition

shares = st.floats(0, 1)
WIDE, TALL = (1.0, 0.4), (0.35, 1.0)


def asset(width=2400, height=1600):
    return Asset(id="a", name="a", hash="0" * 64, type="jpeg", width=width, height=height, bytes=1)


def shown(area, px=(2400, 1600), **settings):
    layer = ImageLayer(id="p", name="p", asset="a", **settings)
    box = Box(0, 0, *area)
    rendition = Rendition("0" * 64, *used_size(asset(*px), layer.crop))
    sheet = image_sheet(layer, asset(*px), Room(box, box, Viewport(*area)), rendition)
    return window_of(sheet, layer, asset(*px))


def window(size, x=0.0, y=0.0):
    return Window(x, y, *size, 1 - size[0] * size[1], 0.0, 1.0, (1, 1))


CASES = [
    ("a wide area cuts above and below", (1200, 400), {"size": "cover", "focal": (0.5, 0.0)}, (0, 0, 1, 0.5), 0.5, 0),
    ("all of it, bare beside", (1200, 400), {"size": "contain"}, (0, 0, 1, 1), 0, 0.5),
    ("natural size shows the middle", (600, 400), {"size": "natural"}, (0.375, 0.375, 0.25, 0.25), 0.9375, 0),
    ("tiles leave nothing bare", (1200, 400), {"size": "natural", "repeat": ("repeat", "repeat")}, (0, 0, 1, 1), 0, 0),
    ("a crop counts as the whole", (600, 800), {"crop": Crop(x=0.5, width=0.5)}, (0.5, 0, 0.5, 1), 0, 0),
]


@pytest.mark.parametrize(("why", "area", "settings", "box", "lost", "bare"), CASES, ids=[c[0] for c in CASES])
def test_a_window_is_what_the_area_shows(why, area, settings, box, lost, bare):
    found = shown(area, **settings)
    assert (found.x, found.y, found.width, found.height) == pytest.approx(box, abs=0.003)
    assert found.lost == pytest.approx(lost, abs=0.004)
    assert found.bare == pytest.approx(bare, abs=0.004)


def test_magnification_is_css_px_per_picture_px():
    assert shown((1200, 400)).magnification == pytest.approx(0.5)
    assert shown((1200, 400), px=(400, 300)).magnification == pytest.approx(3)
    assert shown((900, 600), crop=Crop(x=0, width=0.25, height=0.25)).magnification == pytest.approx(1.5)


@given(shares, shares, st.floats(0.02, 0.3), st.floats(0.02, 0.3))
def test_every_focal_point_in_reach_keeps_the_part(x, y, width, height):
    part = Crop(x=x * (1 - width), y=y * (1 - height), width=width, height=height)
    windows = [window(WIDE), window(TALL)]
    room = reach(windows, [part], None)
    assert room is not None
    for fx, fy in ((room.x, room.y), (room.right, room.bottom)):
        for w in windows:
            moved = window((w.width, w.height), fx * (1 - w.width), fy * (1 - w.height))
            assert moved.keeps(part)


def test_a_part_wider_than_a_window_is_out_of_reach():
    assert reach([window(TALL)], [Crop(x=0.1, width=0.5)], None) is None


@given(st.integers(20, 4000), st.integers(20, 4000), st.integers(8, 3000), st.integers(8, 3000), shares, shares)
def test_a_locked_crop_has_the_proportion_of_its_slot_and_stays_inside(pw, ph, sw, sh, x, y):
    picture, slot = asset(pw, ph), Slot(id="s", name="s", width=sw, height=sh)
    found = locked(picture, slot, Crop(x=x * 0.5, y=y * 0.5, width=0.5, height=0.5))
    assert found.width * pw / (found.height * ph) == pytest.approx(sw / sh, rel=1e-6)
    assert found.x >= 0
    assert found.x + found.width <= 1 + 1e-9
    assert found.y + found.height <= 1 + 1e-9


def test_a_slot_says_what_is_lost_and_what_is_soft():
    slot = Slot(id="s", name="s", width=1200, height=600)
    large = slot_facts(asset(), slot, widest_crop(asset(), slot))
    assert (large.magnification, large.lost) == (0.5, 0.25)
    assert large.sentence.startswith("Sharp")
    small = slot_facts(asset(600, 600), slot, widest_crop(asset(600, 600), slot))
    assert small.magnification == 2
    assert "Too small" in small.sentence
    assert "50 %" in small.sentence
