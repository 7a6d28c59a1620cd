"""Pictures whose parts have to be made out: each part against what lies around it, the worst one counts."""

import io

import numpy as np
import pytest
from PIL import Image, ImageDraw

from garnetfern.core.css import emit_page
from garnetfern.core.css.bundle import STANDARD
from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError
from garnetfern.core.reading import situations
from garnetfern.core.reading.graphics import parts_ratio
from garnetfern.fonts import shipped_fonts
from garnetfern.service.views.check import sentence
from garnetfern.service.views.every_situation import situations_view
from tests.sites import HEADING, document, no_flashes, reader_of, with_picture


def drawn(*parts, size=(240, 120)):
    """A transparent picture with filled ellipses, each a box and a colour."""
    image = Image.new("RGBA", size, (0, 0, 0, 0))
    for box, colour in parts:
        ImageDraw.Draw(image).ellipse(box, fill=colour)
    out = io.BytesIO()
    image.save(out, "PNG")
    return out.getvalue()


LEFT, RIGHT = (10, 10, 110, 110), (130, 10, 230, 110)


def file_of(picture, base="#000000", **more):
    logo = {"id": "logo", "kind": "picture", "asset": "picture", "wording": "Fern House", "width": "240px", **more}
    plain = document(blocks=[{**logo, "graphic": more.get("graphic", True)}], base=base)
    return with_picture(plain, picture, "picture.png")


def readings(file):
    page = file.site.pages[0]
    found = reader_of(file).parts_of(file.site, page, situations(file.site, page))
    return [r for s, there in found for r in there if s.kind == "rest"]


@pytest.mark.parametrize(
    ("parts", "base", "ratio"),
    [
        ([(LEFT, "#ffffff")], "#000000", 21.0),
        ([(LEFT, "#767676")], "#ffffff", 4.54),
        # the worst of several
        ([(LEFT, "#ffffff"), (RIGHT, "#2a2a2a")], "#000000", 1.46),
        # what lies within a part is none of its outline
        ([(LEFT, "#ffffff"), ((40, 40, 80, 80), "#dddddd")], "#000000", 21.0),
        # a speck is no part
        ([(LEFT, "#ffffff"), ((200, 50, 202, 52), "#111111")], "#000000", 21.0),
        # translucent as a whole: no part that can be told, and that is said
        ([(LEFT, "#ffffff40")], "#000000", None),
    ],
)
def test_the_worst_part_counts(parts, base, ratio):
    found = readings(file_of(drawn(*parts), base))
    assert len(found) == 3
    assert all(r.required == 3 for r in found)
    if ratio is None:
        assert {(r.ratio, r.verdict) for r in found} == {(None, "unread")}
        assert all("not read" in sentence(r) for r in found)
    else:
        assert all(r.ratio == pytest.approx(ratio, rel=0.03) for r in found)


def test_a_part_half_on_a_ground_like_it_is_short():
    alpha = np.zeros((60, 120), dtype=np.float32)
    alpha[15:45, 20:100] = 1
    behind = np.zeros((60, 120, 3), dtype=np.uint8)
    behind[:, 60:] = 250
    seen = behind.copy()
    seen[15:45, 20:100] = 255
    assert parts_ratio(seen, behind, alpha) < 1.1
    assert parts_ratio(seen, np.zeros_like(behind), alpha) == pytest.approx(21, rel=0.01)


def test_it_is_told_among_the_situations_with_its_name():
    file = file_of(drawn((LEFT, "#333333")), "#000000")
    page = file.site.pages[0]
    view = situations_view(reader_of(file), file.site, page, no_flashes)
    (row,) = [w for w in view["blocks"] if w["id"] == "logo/graphic"]
    assert row["words"] == "Parts of Fern House"
    cells = [c for c in view["cells"] if c["block"] == "logo/graphic"]
    assert all(c["verdict"] == "short" and "cannot be made out" in c["sentence"] for c in cells)
    assert not [c for c in cells if c["missing"]], "where it is not there it is not read"
    assert not readings(file_of(drawn((LEFT, "#333333")), graphic=False))


def test_clear_space_and_link_are_emitted_and_belong_to_pictures_alone():
    file = file_of(drawn((LEFT, "#ffffff")), clear="24px", link="index.html")
    emitted = emit_page(file.site, file.site.pages[0], shipped_fonts(), STANDARD)
    assert '<a class="gf-picture gf-logo" href="index.html"><picture>' in emitted.body
    assert "margin: 24px" in emitted.css
    with pytest.raises(DocumentError, match="Only a picture has clear space"):
        read_site(document(blocks=[{**HEADING, "clear": "4px"}]))
