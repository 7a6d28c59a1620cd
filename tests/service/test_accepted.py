"""Accepted implies shown, read, packed, emitted and opened again: pictures at the edges of every format."""

import io
import os

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from PIL import Image, PngImagePlugin

from garnetfern.core.errors import PictureError
from garnetfern.core.picture import decode_rendition
from garnetfern.core.resolve.image import renditions
from garnetfern.service.edits.pictures import LayPicture
from garnetfern.service.files.site_file import unpack_site_file
from garnetfern.service.workspace.house import first_site
from tests.near_room import NearRoom
from tests.sites import one_banner

SIDES = st.sampled_from([1, 2, 3, 7, 16, 97, 161, 640])
MODES = {
    "PNG": ["1", "L", "LA", "P", "RGB", "RGBA", "I;16"],
    "JPEG": ["L", "RGB", "CMYK"],
    "WEBP": ["RGB", "RGBA", "L"],
    "AVIF": ["RGB", "RGBA", "L"],
    "GIF": ["1", "L", "P", "RGB"],
    "TIFF": ["RGB"],
}


@st.composite
def pictures(draw):
    """A picture file: its bytes and a name that may lie."""
    kind = draw(st.sampled_from(sorted(MODES)))
    mode = draw(st.sampled_from(MODES[kind]))
    size = draw(SIDES), draw(SIDES)
    noise = Image.frombytes(
        "L", size, draw(st.binary(min_size=1, max_size=64)).ljust(1, b"\0") * (size[0] * size[1]), "raw"
    )
    image = noise.convert("RGB").convert("I").convert("I;16") if mode == "I;16" else noise.convert(mode)
    more = {}
    if kind in ("PNG", "JPEG", "WEBP") and draw(st.booleans()):
        more["icc_profile"] = draw(st.binary(max_size=200))
    if kind in ("JPEG", "PNG", "WEBP", "AVIF") and draw(st.booleans()):
        exif = Image.Exif()
        exif[0x0112] = draw(st.integers(0, 9))
        exif[0x0100] = draw(st.integers(0, 2**31))
        more["exif"] = exif.tobytes()
    if mode == "P" and draw(st.booleans()):
        more["transparency"] = 0
    if kind == "PNG" and draw(st.booleans()):
        more["pnginfo"] = PngImagePlugin.PngInfo()
        more["pnginfo"].add_text("note", "x" * 100)
    out = io.BytesIO()
    image.save(out, kind, **more)
    data = out.getvalue()
    harm = draw(st.sampled_from(["whole", "whole", "whole", "cut", "trailing", "flipped"]))
    if harm == "cut":
        data = data[: len(data) * draw(st.integers(0, 9)) // 10]
    elif harm == "trailing":
        data += draw(st.binary(max_size=300))
    elif harm == "flipped" and data:
        at = draw(st.integers(0, len(data) - 1))
        data = data[:at] + bytes([data[at] ^ (1 << draw(st.integers(0, 7)))]) + data[at + 1 :]
    return data, "fern" + draw(st.sampled_from([".jpg", ".png", ".svg", "", ".exe", ".webp"]))


@st.composite
def drawings(draw):
    """An SVG with sizes at the edges."""
    length = st.sampled_from(["", "0", "0.01", "1", "37.5", "400", "50%", "3em", "-4", "1e3", "8000", "8001", "x"])
    width, height = draw(length), draw(length)
    sides = (f' width="{width}"' if width else "") + (f' height="{height}"' if height else "")
    box = draw(st.sampled_from(["", ' viewBox="0 0 100 50"', ' viewBox="-5 -5 1 9000"', ' viewBox="0 0 0 0"']))
    inner = '<rect width="50" height="20" fill="#345"/><circle r="9" opacity=".4"/>'
    return f'<svg xmlns="http://www.w3.org/2000/svg"{sides}{box}>{inner}</svg>'.encode(), "drawing.svg"


def survives(folder, data, name):
    """The whole way of one file: nothing but a PictureError may stop it, and that at the door."""
    studio = first_site(folder, NearRoom())
    try:
        if studio.history.empty():
            studio.start(one_banner(), "A new site")
        try:
            asset = studio.add_picture(data, name)
        except PictureError as error:
            assert error.message.endswith(".")
            return False
        lay = LayPicture(page="home", area="banner", asset=asset)
        studio.edit(studio.state().revision, lay)
        site = studio.site()
        laid = next(a for a in site.assets if a.hash == asset.hash)
        for rendition in renditions(laid):
            assert decode_rendition(studio.pictures.data(rendition)).shape[:2] == (rendition.height, rendition.width)
        assert studio.reader.read_page(site, site.pages[0])
        assert any(n.endswith(".webp") for n in studio.bundle_files())
        again = unpack_site_file(studio.site_file(), studio.fonts.names(), studio.room)
        assert again.site == site
        studio.undo(studio.state().revision)
        return True
    finally:
        studio.close()


MORE = int(os.environ.get("GARNETFERN_MORE", "1"))
"""`make fuzz` looks at many more."""


@settings(max_examples=25 * MORE, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(file=pictures())
def test_a_picture_that_is_taken_goes_the_whole_way(tmp_path, file):
    survives(tmp_path / "data", *file)


@settings(max_examples=MORE, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(file=drawings())
def test_a_drawing_that_is_taken_goes_the_whole_way(tmp_path, file):
    survives(tmp_path / "data", *file)


def test_whole_pictures_of_every_kind_are_taken(tmp_path):
    for kind, modes in MODES.items():
        for mode in modes:
            if kind == "TIFF":
                continue
            image = Image.new("L", (1, 1), 90)
            image = image.convert("I").convert("I;16") if mode == "I;16" else image.convert(mode)
            out = io.BytesIO()
            image.save(out, kind)
            assert survives(tmp_path / f"{kind}-{mode.replace(';', '')}", out.getvalue(), f"fern.{kind.lower()}")
