"""Words that are part of a picture: said, asked for, emitted for those who cannot see them, counted as neither."""

import re

import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.document import read_site
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.views.every_situation import situations_view
from garnetfern.service.views.vouching import lettering_notes
from tests.conftest import jpeg
from tests.sites import HEADING, document, image_layer, no_flashes, one_banner, reader_of, with_picture


def lettered(lettering, **layer):
    file = with_picture(document(image_layer(**layer)), jpeg())
    plain = file.site.model_dump(mode="json")
    plain["assets"][0]["lettering"] = lettering
    return file, read_site(plain)


@pytest.mark.parametrize(
    ("lettering", "wanted", "said"),
    [("", True, "Write down what it says"), ("Fern fair <2027>", False, "'Fern fair <2027>'")],
)
def test_a_picture_that_bears_lettering_is_not_measured_and_says_so(lettering, wanted, said):
    file, site = lettered(lettering)
    note = lettering_notes(site, site.pages[0])[0]
    assert note["wanted"] is wanted
    assert said in note["sentence"]
    view = situations_view(reader_of(file), site, site.pages[0], no_flashes)
    assert view["notes"] == [note]


def test_pictures_without_lettering_and_hidden_ones_are_not_named():
    for lettering, layer in ((None, {}), ("", {"visible": False})):
        _, site = lettered(lettering, **layer)
        assert lettering_notes(site, site.pages[0]) == []


def test_what_a_picture_says_is_there_for_those_who_cannot_see_it():
    file, site = lettered("Fern fair <2027>")
    files = bundle_files(site, shipped_fonts(), MemoryPictures(file.pictures).file)
    page = files["index.html"].decode()
    assert '<p class="gf-heard">Fern fair &lt;2027&gt;</p>' in page
    _, silent = lettered("")
    plain = bundle_files(silent, shipped_fonts(), MemoryPictures(file.pictures).file)["index.html"].decode()
    assert "gf-heard" not in plain


def test_a_picture_among_the_words_is_told_with_its_lettering():
    picture = {"id": "poster", "kind": "picture", "asset": "picture", "wording": "A poster"}
    file = with_picture(document(blocks=[HEADING, picture]), jpeg())
    plain = file.site.model_dump(mode="json")
    plain["assets"][0]["lettering"] = "Fern fair"
    files = bundle_files(read_site(plain), shipped_fonts(), MemoryPictures(file.pictures).file)
    assert re.search(r'alt="A poster Fern fair"', files["index.html"].decode())


def test_what_cannot_be_vouched_for_counts_as_neither():
    strange = {**HEADING, "wording": "羊歯 under glass", "lettering": {"colour": "#20302a", "size": "40px"}}
    file = one_banner(blocks=[strange])
    view = situations_view(reader_of(file), file.site, file.site.pages[0], no_flashes)
    assert view["unsure"] == len(view["cells"])
    assert (view["sentence"], view["good"]) == ("Nothing here could be measured.", False)
    assert not any(s["trouble"] for s in view["situations"])
