"""Drawing: source-over by hand, sampling, and letters where they belong."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.colour.notation import parse_colour
from garnetfern.core.document import ImageLayer
from garnetfern.core.draw.neighbours import between, clamped, rounded_down, wrapped
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.draw.sample import sample
from garnetfern.core.draw.words import draw_page
from garnetfern.core.reading import situations
from garnetfern.core.remedy.kept import kept
from tests.conftest import encoded
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, reader_of, with_picture

RED, GREEN = (255, 0, 0), (0, 255, 0)


def painted(file, region=(0, 0, 8, 8)):
    reader = reader_of(file)
    page = file.site.pages[0]
    record = reader.resolve(file.site, page, situations(file.site, page)[0])
    return paint_backdrops(record, region, reader.pictures)


@pytest.mark.parametrize(
    ("base", "layers", "expected"),
    [
        ("#102030", [], (16, 32, 48)),
        ("#000000", [colour_layer("#ffffff", 0.5)], (127.5, 127.5, 127.5)),
        ("#000000", [colour_layer("#ffffff80", 0.5)], (64, 64, 64)),
        ("#00000080", [], (127, 127, 127)),
        ("#ff0000", [colour_layer("#00ff00", 0.2), colour_layer("#0000ff", 0.5, id="top")], (102, 25.5, 127.5)),
        ("#ff0000", [colour_layer("#00ff00", 1, visible=False)], (255, 0, 0)),
    ],
)
def test_layers_lie_over_one_another(base, layers, expected):
    pixels = painted(one_banner(*layers, base=base))
    assert pixels[4, 4] == pytest.approx(np.array(expected), abs=1.1)


def test_below_the_last_band_the_page_colour_shows():
    assert painted(one_banner(), (0, 500, 4, 4))[0, 0].tolist() == [255, 255, 255]


@pytest.mark.parametrize(("opacity", "expected"), [(1, (200, 100, 50)), (0.5, (100, 50, 25))])
def test_a_picture_of_one_colour_keeps_it(opacity, expected):
    data = encoded(400, 300, (200, 100, 50), "PNG")
    file = with_picture(document(image_layer(opacity=opacity), base="#000000"), data, "picture.png")
    assert painted(file)[3, 3] == pytest.approx(np.array(expected), abs=1)


def test_contain_leaves_the_base_colour_beside():
    data = encoded(100, 100, RED, "PNG")
    file = with_picture(document(image_layer(size="contain", focal=[1, 0]), base="#00ff00"), data, "picture.png")
    pixels = painted(file, (0, 0, 1440, 4))
    assert pixels[2, 2].tolist() == list(GREEN)
    assert pixels[2, 1438].tolist() == list(RED)


def test_transparent_parts_of_a_picture_let_the_base_show(tmp_path):
    import io

    from PIL import Image

    out = io.BytesIO()
    Image.new("RGBA", (50, 50), (255, 0, 0, 102)).save(out, "PNG")
    file = with_picture(document(image_layer(), base="#000000"), out.getvalue(), "picture.png")
    assert file.site.assets[0].alpha
    assert painted(file)[2, 2] == pytest.approx(np.array([102, 0, 0]), abs=1)


def test_sampling_at_its_own_size_gives_the_picture_itself():
    rng = np.random.default_rng(3)
    picture = rng.integers(0, 256, (20, 30, 3)).astype(np.uint8)
    assert np.array_equal(sample(picture, (30, 20), (0, 0), (4, 5, 10, 12)), picture[5:17, 4:14])


def test_sampling_at_twice_the_size_interpolates_between_neighbours():
    picture = np.array([[[0, 0, 0], [160, 160, 160]]], dtype=np.uint8)
    row = sample(picture, (4, 1), (0, 0), (0, 0, 4, 1))[0, :, 0]
    assert row.tolist() == [0, 40, 120, 160]


@given(
    size=st.tuples(st.integers(1, 40), st.integers(1, 30)),
    channels=st.sampled_from([3, 4]),
    drawn=st.tuples(st.floats(1, 90), st.floats(1, 90)),
    start=st.tuples(st.floats(-50, 50), st.floats(-50, 50)),
    repeats=st.booleans(),
    region=st.tuples(st.integers(-60, 60), st.integers(-60, 60), st.integers(1, 50), st.integers(1, 50)),
)
def test_what_lies_between_is_rounded_down_alike_however_it_is_computed(size, channels, drawn, start, repeats, region):
    picture = np.random.default_rng(7).integers(0, 256, (size[1], size[0], channels)).astype(np.uint8)
    along = wrapped if repeats else clamped
    across, down = (along(size[n], drawn[n], start[n], region[n], region[2 + n], exact=False) for n in (0, 1))
    want = between(picture, across, down).astype(np.uint8)
    assert np.array_equal(rounded_down(picture, across, down), want)


def test_shrinking_far_takes_means_and_not_single_pixels():
    checks = np.indices((64, 64)).sum(axis=0) % 2 * 255
    picture = np.repeat(checks[:, :, None], 3, axis=2).astype(np.uint8)
    assert abs(float(sample(picture, (8, 8), (0, 0), (0, 0, 8, 8)).mean()) - 127.5) < 2


def test_words_are_drawn_in_their_colour():
    file = one_banner(
        blocks=[{**HEADING, "wording": "I", "lettering": {"size": "200px", "font": "Oswald", "weight": 700}}]
    )
    reader = reader_of(file)
    page = file.site.pages[0]
    record = reader.resolve(file.site, page, situations(file.site, page)[0])
    pixels = draw_page(record, (0, 0, 400, 400), reader.pictures, reader.glyphs)
    fill = np.array(parse_colour("#20302a").rgb)
    assert (np.abs(pixels.astype(int) - fill).max(axis=2) < 2).any()
    line = record.bands[0].blocks[0].lines[0]
    column = pixels[int(line.baseline) - 60 : int(line.baseline) - 20, int(line.x) : int(line.x + line.width)]
    assert np.abs(column.astype(int) - fill).max() < 300


def test_an_image_layer_is_opaque_and_covers_unless_it_says_otherwise():
    layer = ImageLayer(id="p", name="p", asset="a")
    assert (layer.opacity, layer.size, layer.focal) == (1, "cover", (0.5, 0.5))


def test_kept_is_all_for_no_change_and_nothing_for_a_plain_fill():
    rng = np.random.default_rng(1)
    before = rng.integers(0, 256, (60, 60, 3)).astype(np.uint8)
    fill = parse_colour("#0b1a14")
    plain = np.broadcast_to(np.array(fill.rgb, dtype=np.uint8), before.shape)
    assert kept(before, before, fill) == 100
    assert kept(before, plain, fill) == pytest.approx(0, abs=1e-3)
    half = (before // 2 + plain // 2).astype(np.uint8)
    assert 30 < kept(before, half, fill) < 70
