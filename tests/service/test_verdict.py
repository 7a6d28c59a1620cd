"""What the readings of a page come to, in one sentence: never more than was measured."""

import pytest

from garnetfern.service.views.check import check_page, verdict, verdict_everywhere
from tests.conftest import encoded
from tests.films import film_of
from tests.sites import colour_layer, document, film_layer, image_layer, reader_of, with_film, with_picture


def reading(block="title", screen="phone", verdict="enough", away=False):
    return {"block": block, "screen": screen, "verdict": verdict, "away": away}


SHORT = {"verdict": "short"}
UNSURE = {"verdict": "unsure"}
EMPTY = {"verdict": "unread"}
AWAY = {"verdict": "unread", "away": True}


@pytest.mark.parametrize(
    ("readings", "sentence", "good"),
    [
        ([], "There are no words here yet.", False),
        ([reading()], "Every word can be read on every screen.", True),
        ([reading(**UNSURE)], "Nothing here could be measured.", False),
        ([reading(**EMPTY)], "There are no words here yet.", False),
        ([reading(**AWAY)], "Nothing here could be measured.", False),
        ([reading(), reading("text", **EMPTY)], "Every word can be read on every screen.", True),
        ([reading(), reading(**AWAY)], "Every word can be read on every screen.", True),
        ([reading(), reading("text", **UNSURE)], "Every word can be read on every screen, as far as it", True),
        ([reading(), reading("text", **AWAY)], "Every word can be read on every screen, as far as it", True),
        ([reading(**SHORT), reading("text")], "One block of words falls short on the phone.", False),
        (
            [reading(**SHORT), reading("text", "desktop", **SHORT)],
            "2 blocks of words fall short, on the desktop and the phone one or more.",
            False,
        ),
        (
            [reading(b, s, **SHORT) for b in ("text", "title") for s in ("desktop", "phone")],
            "2 blocks of words fall short on the desktop and the phone.",
            False,
        ),
        (
            [reading(screen=s, **SHORT) for s in ("desktop", "tablet", "phone")],
            "One block of words falls short on ev",
            False,
        ),
        ([reading(**SHORT), reading("text", **UNSURE)], "One block of words falls short on the phone.", False),
    ],
)
def test_a_sentence_for_every_outcome(demo, readings, sentence, good):
    found = verdict(demo.site, demo.site.pages[0], readings)
    assert found["sentence"].startswith(sentence)
    assert found["good"] is good


@pytest.mark.parametrize(
    ("readings", "sentence", "good"),
    [
        ([reading(**UNSURE)], "Nothing here could be measured.", False),
        ([reading()] * 3, "Every word can be read in every situation.", True),
        ([reading(), reading(**UNSURE)], "Every word can be read in every situation, as far as it", True),
        ([reading(), reading(**SHORT)], "1 of 2 readings falls short.", False),
        ([reading(**SHORT), reading(**SHORT), reading(**UNSURE)], "2 of 3 readings fall short.", False),
    ],
)
def test_and_for_every_situation(readings, sentence, good):
    found = verdict_everywhere(readings)
    assert found["sentence"].startswith(sentence)
    assert found["good"] is good


def test_a_page_with_a_film_says_that_it_was_not_read_while_that_plays():
    file = with_film(document(film_layer(), colour_layer("#000000", 0.97)), film_of("H.264, BT.709"))
    page = file.site.pages[0]
    readings = check_page(reader_of(file), file.site, page)
    assert (
        verdict(file.site, page, readings)["sentence"]
        == "Every word can be read on every screen before the film plays."
    )
    still = page.model_copy(update={"bands": ()})
    assert "film" not in verdict(file.site, still, readings)["sentence"]


def test_a_page_that_scrolls_over_its_picture_says_how_many_places_were_read():
    plain = document(image_layer(attachment="fixed"), colour_layer("#000000", 0.97))
    file = with_picture(plain, encoded(60, 40, (0, 0, 0), "PNG"), "picture.png")
    page = file.site.pages[0]
    found = verdict(file.site, page, check_page(reader_of(file), file.site, page))
    assert found["sentence"] == "Every word can be read on every screen, at 13 places of the page's way."
