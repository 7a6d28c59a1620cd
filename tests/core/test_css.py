"""What is emitted: nothing dropped in silence, nothing unescaped, every range served."""

import re

import pytest

from garnetfern.core.css import Urls, bundle_files, emit_page, emit_rule
from garnetfern.core.css.urls import rendition_name
from garnetfern.core.resolve.serving import serving_ranges
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.conftest import jpeg
from tests.sites import HEADING, colour_layer, document, image_layer, one_banner, with_picture

FONTS = shipped_fonts()
EVIL = '<script>alert(1)</script> & "quotes" </style>'


def emitted(file):
    return emit_page(file.site, file.site.pages[0], FONTS, Urls())


def rule(file, selector=".banner"):
    return emit_rule(file.site, file.site.pages[0], file.site.pages[0].bands[0], selector, FONTS, Urls())


def photo(**more):
    return with_picture(document(image_layer(**more), colour_layer("#0b1a14", 0.4)), jpeg(3000, 2000))


def test_what_the_owner_writes_is_escaped():
    plain = document(blocks=[{**HEADING, "wording": EVIL}])
    plain["pages"][0]["title"] = EVIL
    plain["pages"][0]["bands"][0]["name"] = "evil */ body { display: none }"
    file = with_picture({**plain}, jpeg(), "<script>.jpg")
    page = emitted(file)
    html = page.html("<style></style>")
    assert "<script>" not in html
    assert "&lt;script&gt;" in html
    assert "*/ body" not in page.css


def test_picture_names_are_safe_and_change_with_the_content():
    file = with_picture(document(image_layer()), jpeg(), "../<script>é .jpg")
    asset = file.site.assets[0]
    from garnetfern.core.resolve.image import renditions

    name = rendition_name(asset, renditions(asset)[0])
    assert re.fullmatch(r"[a-z0-9-]+-\d+-[0-9a-f]{10}\.webp", name)
    assert asset.hash[:10] in name


def test_line_breaks_are_kept():
    file = one_banner(blocks=[{**HEADING, "wording": "one\ntwo"}])
    assert "one<br>two" in emitted(file).body


def test_every_serving_range_has_its_file():
    file = photo()
    css = emitted(file).css
    least = [int(n) for n in re.findall(r"min-width: (\d+)px\) \{\n  \.gf-photo", css)]
    assert least == [r.least for r in serving_ranges(file.site.screens) if r.least][: len(least)]
    widths = [int(w) for w in re.findall(r"picture-(\d+)-", css)]
    assert widths == sorted(widths) or "2x" in css
    assert "image-set(" in css


def test_a_layer_that_is_off_is_not_emitted():
    file = one_banner(colour_layer("#123456", 0.4, visible=False))
    page = emitted(file)
    assert "#123456" not in page.css
    assert "gf-over" not in page.body


def test_there_is_one_main_between_header_and_footer(demo):
    body = emit_page(demo.site, demo.site.pages[0], FONTS, Urls()).body
    assert body.count("<main ") == body.count("</main>") == 1
    assert body.index("</header>") < body.index("<main ") < body.index("</main>") < body.index("<footer")


def test_only_fonts_that_are_used_are_asked_for():
    fonts = emitted(one_banner()).fonts
    assert set(re.findall(r'font-family: "([^"]+)"', fonts)) == {"Young Serif", "Young Serif stand-in"}


def test_one_rule_says_base_picture_and_overlay_from_top_to_bottom():
    css = rule(photo(focal=[0.62, 0.41])).css
    assert css.startswith(".banner {\n  background-color: #20302a;")
    assert css.index("linear-gradient(rgb(11 26 20 / 0.4)") < css.index("url(")
    assert "background-position: 0 0, 62% 41%;" in css
    assert "background-size: auto, cover;" in css


def test_a_faded_picture_on_an_opaque_base_is_said_by_the_base_over_it():
    css = rule(photo(opacity=0.75)).css
    assert "rgb(32 48 42 / 0.25)" in css
    assert css.index("rgb(11 26 20") < css.index("rgb(32 48 42") < css.index("url(")


def test_what_one_rule_cannot_say_is_listed():
    plain = document(colour_layer("#102030", 0.3, id="below"), image_layer(opacity=0.5))
    found = rule(with_picture(plain, jpeg(3000, 2000)))
    assert any("Photo" in line and "50 %" in line for line in found.left_out)
    assert any("serves every screen" in line for line in found.left_out)


def test_a_natural_size_is_written_out_as_renditions_have_other_sizes():
    assert "background-size: auto, 3000px 2000px;" in rule(photo(size="natural")).css


def test_without_layers_the_rule_is_the_base_alone():
    found = rule(one_banner())
    assert "background-image" not in found.css
    assert found.left_out == ()


@pytest.fixture(scope="module")
def bundle():
    file = photo()
    return bundle_files(file.site, FONTS, MemoryPictures(file.pictures).file)


def test_everything_a_bundle_names_is_in_it(bundle):
    for name, data in bundle.items():
        if name.endswith((".html", ".css")):
            folder = name.rpartition("/")[0]
            for target in re.findall(r'(?:href=|url\()"([^"#]+)"', data.decode()):
                path = target if not folder else target.replace("../", "")
                assert path in bundle, f"{name} names {target}"


def test_a_bundle_fetches_nothing_from_elsewhere(bundle):
    for name, data in bundle.items():
        if name.endswith((".html", ".css")):
            assert b"//" not in data.replace(b"/* ", b"")
            assert b"<script" not in data


def test_a_bundle_is_the_same_every_time(bundle):
    file = photo()
    assert bundle_files(file.site, FONTS, MemoryPictures(file.pictures).file) == bundle


def test_the_words_backdrop_is_hidden_from_screen_readers():
    assert 'class="gf-behind" aria-hidden="true"' in emitted(photo()).body
