"""SVG pictures are drawn safely."""

import io

import numpy as np
import pytest
from PIL import Image

from garnetfern.core.errors import PictureError
from garnetfern.core.picture import examine
from garnetfern.core.picture.vector import svg_image

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40" height="20">'
GREEN = '<rect width="40" height="20" fill="#006000"/>'


def svg(inner: str, head: str = HEAD) -> bytes:
    return f"{head}{inner}</svg>".encode()


@pytest.mark.parametrize(
    "nasty",
    [
        "<script>alert(1)</script>",
        '<rect onload="alert(1)" width="1" height="1"/>',
        '<image href="file:///etc/passwd" width="40" height="20"/>',
        '<use xlink:href="https://elsewhere.example/x.svg#a"/>',
        '<foreignObject><p xmlns="http://www.w3.org/1999/xhtml">x</p></foreignObject>',
        '<rect width="9" height="9" fill="url(https://elsewhere.example/#a)"/>',
        "<style>@import 'https://elsewhere.example/x.css';</style>",
    ],
)
def test_scripts_and_outside_references_are_left_out_and_said(nasty):
    facts = examine(svg(GREEN + nasty), "drawing.svg")
    assert (facts.type, facts.width, facts.height) == ("svg", 40, 20)
    assert "left out" in facts.note


def test_a_plain_drawing_is_taken_as_it_is():
    facts = examine(svg(GREEN), "drawing.svg")
    assert facts.note == ""
    assert np.asarray(svg_image(svg(GREEN), 80))[20, 40].tolist() == [0, 96, 0, 255]


@pytest.mark.parametrize(
    ("head", "size"),
    [
        ('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100">', (300, 100)),
        ('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100" width="60">', (60, 20)),
        ('<svg xmlns="http://www.w3.org/2000/svg" width="1in" height="72pt">', (96, 96)),
        ('<svg xmlns="http://www.w3.org/2000/svg">', (300, 150)),
    ],
)
def test_its_size_comes_from_its_attributes(head, size):
    facts = examine(svg(GREEN, head), "drawing.svg")
    assert (facts.width, facts.height) == size


@pytest.mark.parametrize(
    ("data", "says"),
    [
        (b'<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg"/>', "entities"),
        (svg("<g>"), "not well-formed"),
        (b"<?xml version='1.0'?><html><svg/></html>", "not an SVG"),
        (svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'), "unfolds"),
        (
            svg(
                '<g id="g0"><rect width="1" height="1"/></g>'
                + "".join(f'<g id="g{n + 1}">{f"<use href={chr(34)}#g{n}{chr(34)}/>" * 10}</g>' for n in range(9))
            ),
            "unfolds",
        ),
        (svg("<g>" * 400 + "</g>" * 400), "nested deeper"),
    ],
)
def test_a_harmful_or_broken_drawing_is_refused(data, says):
    with pytest.raises(PictureError, match=says):
        examine(data, "drawing.svg")


def test_a_crop_is_drawn_sharp():
    halves = svg('<rect width="20" height="20" fill="#ff0000"/><rect x="20" width="20" height="20" fill="#0000ff"/>')
    found = np.asarray(svg_image(halves, 200, (20, 0, 20, 20)))
    assert found.shape == (200, 200, 4)
    assert (found[:, :, 2] == 255).all()


def test_an_animation_gives_its_first_picture_and_says_so():
    frames = [Image.new("RGB", (30, 20), colour) for colour in ("red", "blue")]
    out = io.BytesIO()
    frames[0].save(out, "GIF", save_all=True, append_images=frames[1:])
    facts = examine(out.getvalue(), "moving.gif")
    assert facts.type == "gif"
    assert "as a picture it shows its first moment" in facts.note
