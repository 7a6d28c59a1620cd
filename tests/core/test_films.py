"""Films as the core sees them: which frame is there when, where it lies, which files it needs, what is handed out."""

import io
from fractions import Fraction

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from garnetfern.core import limits
from garnetfern.core.css import emit_page, emit_rule
from garnetfern.core.css.pictures import Emission
from garnetfern.core.css.urls import Urls
from garnetfern.core.document import Asset, VideoLayer
from garnetfern.core.document.footage import footage_of
from garnetfern.core.errors import DocumentError, PictureError
from garnetfern.core.film import Leaves, Reel
from garnetfern.core.film.coding import coded
from garnetfern.core.film.colour import HLG, PQ, _toned
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.film import PIXELS, film_place, film_size
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.core.resolve.sheets import FilmSheet, ImageSheet
from garnetfern.fonts import shipped_fonts
from tests.films import drawn, film, film_of
from tests.sites import HEADING, document, film_layer, with_film

FONTS = shipped_fonts()


def layer(**more):
    return VideoLayer.model_validate({**film_layer(), **more})


@pytest.mark.parametrize(
    ("start", "end", "rate", "time", "frame", "at"),
    [
        (0, 2, 10, 0, 0, 0.05),
        (0, 2, 10, 0.099, 0, 0.05),
        (0, 2, 10, 0.1, 1, 0.15),
        (0, 2, 10, 1.99, 19, 1.95),
        (0, 2, 10, 2, 0, 0.05),
        (1.5, 2, 10, 0.45, 4, 1.95),
        (1.5, 2, 10, 0.5, 0, 1.55),
        (0, 1, 24000 / 1001, 0.5, 11, 0.4796),
    ],
)
def test_which_frame_is_there(start, end, rate, time, frame, at):
    footage = footage_of(start, end, rate)
    assert footage.frame(time) == frame
    assert footage.moment(frame) == pytest.approx(at, abs=1e-4)


@given(
    st.floats(0, 500),
    st.floats(0.3, 60),
    st.floats(1, 30),
    st.floats(0, 1000).map(lambda t: round(t, 3)),
    st.integers(0, 9),
)
def test_frames_come_again_after_a_period_and_lie_in_the_part(start, long, rate, time, rounds):
    footage = footage_of(start, start + long, rate)
    there = (int(time * footage.rate) + Fraction(1, 2)) / footage.rate
    assert footage.frame(float(there)) == footage.frame(float(there + rounds * footage.count / footage.rate))
    assert 0 <= footage.frame(time) < footage.count
    assert start - 1e-3 <= footage.moment(footage.frame(time)) <= start + long + 1


@pytest.mark.parametrize(
    ("size", "focal", "box"),
    [
        ("cover", (0.5, 0.5), (-100, 0, 600, 300)),
        ("cover", (0, 0.5), (0, 0, 600, 300)),
        ("cover", (1, 0.5), (-200, 0, 600, 300)),
        ("contain", (0.5, 0.5), (0, 50, 400, 200)),
        ("contain", (0.5, 1), (0, 100, 400, 200)),
        ("stretch", (0.2, 0.9), (0, 0, 400, 300)),
    ],
)
def test_where_a_frame_lies(size, focal, box):
    assert film_place(layer(size=size, focal=focal), (200, 100), Box(0, 0, 400, 300)) == Box(*box)


@given(st.integers(16, 4096), st.integers(16, 4096), st.booleans())
def test_a_file_is_even_never_larger_and_not_more_than_it_may_be(width, height, phone):
    asset = Asset(
        id="f", name="f.mp4", hash="0" * 64, type="mp4", width=width, height=height, bytes=1, duration=1, rate=9
    )
    wide, high = film_size(asset, phone)
    assert wide % 2 == high % 2 == 0
    assert wide <= width + 1
    assert high <= height + 1
    assert wide * high <= PIXELS[phone] + 2 * (wide + high)


def test_a_part_has_a_length_and_phases_fill_its_period():
    for wrong in ({"start": 1.9}, {"start": 2, "end": 1}, {"end": 61}):
        with pytest.raises(ValidationError):
            layer(**wrong)
    for end in (0.4, 2, 9, 60):
        found = layer(end=end)
        phases = found.phases()
        assert phases[0].start == 0
        assert phases[-1].end == pytest.approx(found.period())
        assert [p.end for p in phases[:-1]] == [p.start for p in phases[1:]]
    assert len(layer(end=60).phases()) == 6


def test_its_still_lies_as_it_does_and_what_is_set_on_it_comes_back():
    film_ = layer(still=1.2, focal=(0.2, 0.7), screens={"phone": {"focal": (0.9, 0.5)}})
    still = film_.pictures()[0]
    assert (still.id, still.at, still.focal) == (film_.id, 1.2, (0.2, 0.7))
    assert film_.with_picture(still) == film_
    moved = still.model_copy(update={"focal": (0.4, 0.4), "size": "own", "at": 0.5})
    assert film_.with_picture(moved) == film_.model_copy(update={"focal": (0.4, 0.4), "still": 0.5})


def test_a_stretch_can_be_left_out_from_either_end():
    found = layer(start=1, end=7, still=1).shortened()
    assert [(name, x.start, x.end, x.still, round(share, 3)) for name, x, share in found] == [
        ("the first 2 s of Film", 3.0, 7, 3.0, 0.667),
        ("the last 2 s of Film", 1, 5.0, 1, 0.667),
    ]


@pytest.fixture(scope="module")
def site():
    return with_film(document(film_layer(still=1)), film_of("H.264, BT.709")).site


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"end": 5}, "is 2 s long"),
        ({"still": 2.5}, "is 2 s long"),
        ({"asset": "nothing"}, "There is no picture"),
        ({"screens": {"fridge": {"size": "cover"}}}, "There is no screen"),
    ],
)
def test_what_does_not_fit_its_film_is_refused(change, words):
    with pytest.raises(DocumentError, match=words):
        with_film(document(film_layer(**change)), film_of("H.264, BT.709"))


@pytest.mark.parametrize(
    ("how", "kind", "at"),
    [
        ({}, ImageSheet, 1.0),
        ({"time": 0.0}, FilmSheet, 0.04),
        ({"time": 0.5}, FilmSheet, 0.54),
        ({"phases": (("film", 1.0),)}, FilmSheet, 1.04),
        ({"time": 0.5, "less_motion": True}, ImageSheet, 1.0),
    ],
)
def test_before_it_plays_and_under_less_motion_the_still_is_there(site, how, kind, at):
    record = resolve_page(site, site.pages[0], Moment(Viewport(1440, 900), **how), FONTS)
    sheet = next(s for s in record.area("banner").sheets if s.id == "film")
    assert type(sheet) is kind
    shown = sheet.frame if kind is FilmSheet else sheet.rendition
    assert shown.at == pytest.approx(at, abs=0.005)
    missing = resolve_page(site, site.pages[0], Moment(Viewport(1440, 900), missing=True, **how), FONTS)
    assert [s.id for s in missing.area("banner").sheets] == ["base"]


def coded_urls(site):
    cuts = [cut for _, cut in Emission(site, site.pages[0], FONTS, Urls()).films()]
    return Urls(coded=dict.fromkeys(cuts, (("av1", "a" * 64), ("h264", "b" * 64))))


def test_sources_come_by_screen_and_the_lightest_codec_first(site):
    page = emit_page(site, site.pages[0], FONTS, coded_urls(site))
    at = [page.body.index(f"film-320-{name}") for name in ("a" * 10 + ".av1", "b" * 10 + ".h264")]
    assert at == sorted(at)
    assert page.body.count("<source") == 4
    assert page.body.count("(prefers-reduced-motion: no-preference)") == 4
    for word in ("autoplay", "muted", "loop", "playsinline", 'aria-hidden="true"', 'tabindex="-1"'):
        assert word in page.body
    assert len(page.script) < 1000
    assert "gf-stop" in page.body


def test_without_files_there_is_the_still_and_no_control(site):
    page = emit_page(site, site.pages[0], FONTS, Urls())
    assert "<video" not in page.body + page.script
    assert "gf-stop" not in page.body
    assert "-t1.webp" in page.css


def test_in_a_plate_it_stands_among_words_and_one_rule_says_what_it_cannot(site):
    plate = {"backdrop": {"base": "#0b1a14", "layers": [film_layer()]}}
    file = with_film(document(blocks=[{**HEADING, "plate": plate}]), film_of("H.264, BT.709"))
    page = emit_page(file.site, file.site.pages[0], FONTS, coded_urls(file.site))
    assert '<span class="gf-layer gf-film"><video' in page.body
    rule = emit_rule(site, site.pages[0], site.pages[0].bands[0], ".b", FONTS, Urls())
    assert any("does not move" in said for said in rule.left_out)


def test_a_budget_is_kept_where_that_can_be_and_said_where_not():
    frames = list(drawn(24, (320, 180)))
    for budget, fits in ((400_000, True), (30_000, True), (900, False)):
        found = coded(lambda: iter(frames), 24, Fraction(12), (320, 180), "h264", budget, lambda _: None)
        assert found.fits is fits
        assert (len(found.data) <= budget) is fits
        assert found.data.index(b"moov") < found.data.index(b"mdat")
        assert Reel(io.BytesIO(found.data)).examined().duration == pytest.approx(2)


@pytest.mark.parametrize("transfer", [PQ, HLG])
def test_high_range_is_toned_without_turning_back(transfer):
    ramp = np.repeat(np.linspace(0, 1, 50)[None, :, None], 3, axis=2)
    toned = _toned(ramp, transfer)[0, :, 1]
    assert toned[0] == pytest.approx(0, abs=0.01)
    assert (np.diff(toned) >= -1e-6).all()
    assert toned[-1] <= 1.0
    white = {PQ: 0.58, HLG: 0.75}[transfer]  # diffuse white, 203 cd/m2 (ITU-R BT.2408, table 1)
    there = float(_toned(np.full((1, 1, 3), white), transfer)[0, 0, 1])
    assert 0.8 < there < 0.97


def test_moving_pictures_show_each_picture_as_long_as_browsers_do():
    from PIL import Image

    pictures = [Image.new("RGB", (40, 30), c) for c in ("#ff0000", "#00ff00", "#0000ff")]
    out = io.BytesIO()
    pictures[0].save(out, "GIF", save_all=True, append_images=pictures[1:], duration=[500, 0, 250])
    leaves = Leaves(io.BytesIO(out.getvalue()))
    assert leaves.duration == pytest.approx(0.85)
    seen = [tuple(int(v) for v in f[0, 0]) for f in leaves.frames([0, 0.49, 0.5, 0.59, 0.61, 9])]
    assert seen == [(255, 0, 0), (255, 0, 0), (0, 255, 0), (0, 255, 0), (0, 0, 255), (0, 0, 255)]


def test_times_that_come_unevenly_are_kept():
    reel = Reel(io.BytesIO(film(count=4, times=[0, 1, 8, 9])), "film.mp4")
    facts = reel.examined()
    assert "unevenly" in facts.note
    assert facts.duration == pytest.approx(10 / 12, abs=0.01)
    frames = [next(reel.frames([t])) for t in (0.5 / 12, 5 / 12, 8.5 / 12)]
    want = list(drawn(4, (320, 180)))
    for found, n in zip(frames, (0, 1, 2), strict=True):
        near = [np.abs(found.astype(float) - w).mean() for w in want]
        assert int(np.argmin(near)) == n


def test_a_film_is_taken_at_its_limits_and_refused_beyond(monkeypatch):
    assert layer(end=limits.FILM_PART).footage.period == pytest.approx(60)
    monkeypatch.setattr(limits, "FILM_FRAMES", 12)
    assert Reel(io.BytesIO(film(count=12))).examined().duration == pytest.approx(1)
    with pytest.raises(PictureError, match="are the most"):
        Reel(io.BytesIO(film(count=13))).examined()
    monkeypatch.undo()
    for name, made in (
        ("FILM_SIDE", {"size": (324, 180)}),
        ("FILM_RATE", {"rate": 16}),
        ("FILM_SECONDS", {"count": 49}),
    ):
        monkeypatch.setattr(limits, name, {"FILM_SIDE": 320, "FILM_RATE": 12, "FILM_SECONDS": 4}[name])
        assert Reel(io.BytesIO(film(count=24))).examined()
        with pytest.raises(PictureError):
            Reel(io.BytesIO(film(**{"count": 24, **made}))).examined()
        monkeypatch.undo()
