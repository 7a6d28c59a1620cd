"""How pictures and gradients in turn are said in CSS, and the control that stops them."""

import re

import numpy as np
import pytest

from garnetfern.core.colour.contrast import contrast, luminance_of
from garnetfern.core.css import Urls, emit_page, emit_rule
from garnetfern.core.css.stop import GROUND, INK, stop_markup
from garnetfern.service.views.every_situation import page_met
from tests.conftest import jpeg
from tests.sites import document, with_picture

from .test_sequences import FONTS, LIGHT, picture, turns


def emitted(*members, **more):
    file = with_picture(document(turns(*members, **more)), jpeg())
    return emit_page(file.site, file.site.pages[0], FONTS, Urls())


def frames(css, name):
    body = re.search(rf"@keyframes {name} {{\n(.*?)\n}}", css, re.S).group(1)
    return [(float(p), v) for p, v in re.findall(r"([\d.]+)% \{ (.*?); \}", body)]


def test_shares_in_the_style_sheet_sum_to_one_everywhere():
    css = emitted(picture(1), {**LIGHT, "stay": 3.7}, picture(4), stay=2.3, change=0.9).css
    names = ("member-1", "member-2", "member-4")
    curves = []
    for name in names:
        points = [(place, float(value.split(": ")[1])) for place, value in frames(css, f"gf-turn-{name}")]
        curves.append(np.interp(np.linspace(0, 100, 999), *zip(*points, strict=True)))
    assert np.abs(np.sum(curves, axis=0) - 1).max() < 1e-5


def test_only_the_first_picture_is_asked_for_at_once():
    page = emitted(picture(1), picture(4), picture(5))
    first, *later = (re.findall(rf"\.gf-member-{n} {{\n  ([a-z-]+): (?:url|image-set)", page.css) for n in (1, 4, 5))
    assert set(first) == {"background-image"}
    assert all(set(said) == {"--gf-picture"} for said in later)
    assert page.preload.count("preload") >= 1
    fetched = frames(page.css, "gf-fetch-member-4")
    assert fetched[0][1].endswith("none")
    assert 0 < fetched[1][0] < 100 * 2 / 9
    moving_part = page.css.index("prefers-reduced-motion: no-preference")
    assert "animation" not in page.css[: page.css.index("@keyframes")]
    assert page.css.index("animation: gf-turn-member-1") > moving_part


def test_with_another_at_each_visit_no_picture_comes_before_its_turn():
    page = emitted(picture(1), {**picture(4), "stay": 5}, begins="another")
    assert page.preload == ""
    assert "random(0, 1, 1)" in page.css
    assert "3s * clamp(0, var(--gf-turns-begin) - 0, 1)" in page.css
    assert not re.findall(r"\.gf-member-1 {\n  background-image: (?:url|image-set)", page.css)
    assert "@media not (prefers-reduced-motion: no-preference) {\n  .gf-member-1" in page.css


def test_a_cut_is_a_step_and_one_alone_does_not_move():
    cut = emitted(picture(1), LIGHT, change=0).css
    assert "gf-turn-member-1 4s step-end infinite" in cut
    assert frames(cut, "gf-turn-member-1")[:2] == [(0.0, "opacity: 1"), (50.0, "opacity: 0")]
    assert "@keyframes" not in emitted(picture(1)).css


def test_one_rule_shows_the_first_and_says_what_it_leaves_out():
    file = with_picture(document(turns(picture(1), picture(4))), jpeg())
    page = file.site.pages[0]
    rule = emit_rule(file.site, page, page.bands[0], ".banner", FONTS, Urls())
    assert rule.css.count("url(") == 1
    assert any("does not move" in said for said in rule.left_out)


@pytest.mark.parametrize(
    ("language", "said", "foreign"),
    [("en-GB", "Stop what moves", False), ("de-AT", "Bewegung anhalten", False), ("fi", "Stop what moves", True)],
)
def test_the_control_is_named_in_the_page_s_language_or_in_english_which_is_said(language, said, foreign):
    markup = stop_markup(language)
    assert f'aria-label="{said}"' in markup
    assert ('lang="en"' in markup) == foreign


def test_the_control_can_be_made_out_over_everything():
    assert contrast(luminance_of(INK), luminance_of(GROUND)) >= 3


def test_while_pictures_are_missing_only_gradients_take_their_turns():
    file = with_picture(document(turns(picture(1), LIGHT)), jpeg())
    page, plain = page_met(file.site, file.site.pages[0], "phone:missing")
    assert not plain
    css = emit_page(file.site, page, FONTS, Urls()).css
    assert "pictures/" not in css
    assert "#f0f0e0" in css
    assert frames(css, "gf-turn-member-2")[:3] == [(0.0, "opacity: 0"), (33.333333, "opacity: 0"), (50.0, "opacity: 1")]
