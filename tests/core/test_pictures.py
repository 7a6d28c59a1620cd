"""Picture files as they come: true types, sizes, damage, rotation, transparency."""

import io

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.errors import PictureError
from garnetfern.core.picture import decode_rendition, encode_rendition, examine
from garnetfern.core.picture.decode import load
from garnetfern.core.resolve.sheets import Rendition
from tests.conftest import encoded, jpeg
from tests.pictures import png_of_size

BAD = {
    "a text named .jpg": (b"Dear committee, the ferns are well.", "is not a picture"),
    "nothing at all": (b"", "0 bytes"),
    "a JPEG that ends too early": (jpeg(400, 300)[:900], "damaged"),
    "a JPEG of a header only": (jpeg()[:12], "damaged"),
    "a PNG that unfolds to gigabytes": (png_of_size(60_000, 60_000), "60,000 x 60,000 px; a side has 16,383"),
    "a PNG without its rows": (png_of_size(500, 500), "damaged"),
    "a GIF of a header only": (b"GIF89a" + b"\0" * 6, "damaged"),
    "an HTML page": (b"<html><script>alert(1)</script>", "is not a picture"),
}


@pytest.mark.parametrize("name", BAD)
def test_a_bad_file_is_refused_with_its_reason(name):
    data, said = BAD[name]
    with pytest.raises(PictureError, match=said):
        examine(data, "holiday.jpg")


def test_more_than_fifty_megabytes_are_refused():
    with pytest.raises(PictureError, match="50 MB at the most"):
        examine(b"\xff\xd8\xff" + b"\0" * (50 * 1024 * 1024), "big.jpg")


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP", "AVIF"])
def test_all_four_kinds_are_taken(kind):
    facts = examine(encoded(64, 48, (200, 30, 30), kind), f"picture.{kind.lower()}")
    assert (facts.type, facts.width, facts.height, facts.note) == (kind.lower(), 64, 48, "")


def test_a_wrong_ending_is_taken_under_the_true_type_and_said():
    facts = examine(encoded(10, 10, (1, 2, 3), "PNG"), "photo.jpg")
    assert facts.type == "png"
    assert ".jpg" in facts.note
    assert "PNG" in facts.note


def test_the_cameras_rotation_is_applied():
    out = io.BytesIO()
    image = Image.new("RGB", (40, 20), (255, 0, 0))
    exif = image.getexif()
    exif[0x0112] = 6
    image.save(out, "JPEG", exif=exif)
    facts = examine(out.getvalue(), "upright.jpg")
    assert (facts.width, facts.height) == (20, 40)


def test_inks_become_srgb():
    out = io.BytesIO()
    Image.new("CMYK", (16, 16), (0, 255, 255, 0)).save(out, "JPEG")
    red, green, blue = load(out.getvalue()).getpixel((8, 8))
    assert red > 180
    assert green < 80
    assert blue < 80


def test_grey_and_sixteen_bits_become_rgb():
    for mode in ("L", "I;16", "1", "P"):
        out = io.BytesIO()
        Image.new(mode, (8, 8)).save(out, "PNG")
        assert load(out.getvalue()).mode == "RGB"


@pytest.mark.parametrize(("alpha", "expected"), [(255, False), (120, True)])
def test_transparency_is_what_is_really_there(alpha, expected):
    out = io.BytesIO()
    Image.new("RGBA", (8, 8), (1, 2, 3, alpha)).save(out, "PNG")
    assert examine(out.getvalue(), "p.png").alpha is expected


@given(st.integers(30, 400), st.integers(30, 400), st.integers(8, 300))
@settings(max_examples=20, deadline=None)
def test_a_rendition_has_the_size_it_says(width, height, wanted):
    data = jpeg(width, height, (10, 200, 90))
    rendition = Rendition("0" * 64, wanted, max(1, round(height * wanted / width)))
    pixels = decode_rendition(encode_rendition(data, rendition))
    assert pixels.shape == (rendition.height, rendition.width, 3)
    assert np.abs(pixels.reshape(-1, 3).mean(axis=0) - (10, 200, 90)).max() < 4


def test_a_lossless_rendition_is_exact():
    rng = np.random.default_rng(5)
    pixels = rng.integers(0, 256, (30, 40, 3)).astype(np.uint8)
    out = io.BytesIO()
    Image.fromarray(pixels).save(out, "PNG")
    found = decode_rendition(encode_rendition(out.getvalue(), Rendition("0" * 64, 40, 30, True)))
    assert np.array_equal(found, pixels)


def test_metadata_does_not_leave_the_house():
    out = io.BytesIO()
    image = Image.new("RGB", (40, 20))
    exif = image.getexif()
    exif[0x010E] = "taken at home"
    image.save(out, "JPEG", exif=exif)
    assert b"taken at home" not in encode_rendition(out.getvalue(), Rendition("0" * 64, 40, 20))


@settings(max_examples=120, deadline=None)
@given(st.data())
def test_broken_files_are_refused_or_taken_but_never_crash(data):
    kind = data.draw(st.sampled_from(["JPEG", "PNG", "WEBP", "AVIF"]))
    whole = bytearray(encoded(48, 32, (90, 120, 60), kind))
    for _ in range(data.draw(st.integers(0, 4))):
        whole[data.draw(st.integers(0, len(whole) - 1))] ^= 1 << data.draw(st.integers(0, 7))
    broken = bytes(whole[: data.draw(st.integers(0, len(whole)))])
    try:
        facts = examine(broken, "broken.jpg")
    except PictureError as error:
        assert error.message
    else:
        assert facts.width * facts.height <= 80_000_000
