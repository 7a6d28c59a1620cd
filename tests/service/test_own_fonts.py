"""Owners' fonts in a site: words that are set in them, letters they lack, how they are called and removed."""

import pytest

from garnetfern.core.css import Urls
from garnetfern.core.css.letters import font_css, used_on
from garnetfern.core.errors import AlreadyThereError, FontError, NotFoundError
from garnetfern.core.fontfile.sample import build
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits.fonts import NameFont, RemoveFont, SameStyleError, StandIn
from garnetfern.service.views.vouching import font_notes
from garnetfern.service.workspace.house import first_site
from tests.fonts.hostile import collection, os2
from tests.near_room import NearRoom
from tests.referee.own_fonts import files_of
from tests.sites import one_banner


@pytest.fixture
def studio(tmp_path):
    made = first_site(tmp_path / "data", NearRoom())
    made.start(one_banner(), "A new site")
    yield made
    made.close()


def take(studio, data, name="fern.ttf"):
    return studio.own_fonts.take(data, studio.state().revision, name)


def edit(studio, asked):
    return studio.edit(studio.state().revision, asked)


def set_in(studio, family, **lettering):
    """The first words of the page in a family."""
    path = "/pages/0/bands/0/columns/0/blocks/0/lettering"
    old = studio.site().model_dump(mode="json")["pages"][0]["bands"][0]["columns"][0]["blocks"][0]["lettering"]
    patch = [{"op": "replace", "path": path, "value": {**old, "font": family, **lettering}}]
    return studio.change(studio.state().revision, patch, f"Font {family}")


def lettering_of(studio):
    return studio.site().pages[0].bands[0].columns[0].blocks[0].lettering


LATO = "@fontsource/lato"


def test_words_are_set_in_a_font_of_ones_own_and_read_in_it(studio):
    for file in files_of(LATO):
        take(studio, file.read_bytes(), file.name)
    site = studio.site()
    assert [(f.family, f.least_weight, f.italic) for f in site.fonts] == [
        ("Lato", 400, False),
        ("Lato", 700, False),
        ("Lato", 400, True),
    ]
    set_in(studio, "Lato", weight=600)
    site = studio.site()
    found = studio.reader.read_page(site, site.pages[0])
    assert all(reading.vouched for _, readings in found for reading in readings)
    record = studio.reader.resolve(site, site.pages[0], found[0][0])
    runs = [run for line in next(record.blocks()).lines for run in line.runs]
    assert {run.face for run in runs} == {f"{site.fonts[1].hash}.woff2"}
    emitted = studio.emitted(site, site.pages[0])
    assert f"/fonts/{site.fonts[1].hash}.woff2" in emitted.fonts
    assert site.fonts[0].hash not in emitted.fonts, "only what is used is asked for"
    assert "font-weight: 700" in emitted.css
    assert 'local("Arial Bold")' in emitted.fonts


def test_the_same_font_is_there_once_and_a_newer_one_takes_its_place(studio):
    take(studio, build("Fern"))
    with pytest.raises(AlreadyThereError, match="Fern 400 is on the shelf already; it was not added twice"):
        take(studio, build("Fern"))
    newer = os2(build("Fern"), fsType=0)
    state = take(studio, newer)
    assert state.undo == "Font Fern 400, in place of what was there"
    assert len(studio.site().fonts) == 1


def test_a_collection_comes_as_one_step(studio):
    state = take(studio, collection(build("Fern"), build("Moss")), "ferns.ttc")
    assert state.undo == "2 fonts: Fern, Moss"
    assert {f.family for f in studio.site().fonts} == {"Fern", "Moss"}


def test_what_is_refused_changes_nothing(studio, tmp_path):
    with pytest.raises(FontError, match="is no font"):
        take(studio, b"not a font at all")
    assert studio.state().revision == 1
    assert not list((tmp_path / "data" / "fonts").rglob("*"))


def test_letters_that_are_lacking_are_told_of_each_wording(studio):
    take(studio, build("Fern"))
    set_in(studio, "Fern")
    (family,) = studio.own_fonts.view()["families"]
    assert (family["used"], family["letters"]) == (1, 3)
    (lacking,) = family["lacking"]
    said = studio.site().pages[0].bands[0].columns[0].blocks[0].said
    assert set(lacking["letters"].split()) == set(said) - set("Aa ")
    assert lacking["sentence"].startswith(f"{lacking['letters']} are not in Fern: '{said[:20]}")
    _, readings = studio.reader.read_page(studio.site(), studio.site().pages[0])[0]
    assert not readings[0].vouched


def test_a_family_is_called_otherwise_with_its_words(studio):
    take(studio, build("Fern", varies=True))
    set_in(studio, "Fern", axes={"wdth": 80})
    edit(studio, NameFont(family="Fern", name="House letters"))
    assert (lettering_of(studio).font, lettering_of(studio).axes) == ("House letters", {"wdth": 80})
    with pytest.raises(NotFoundError):
        edit(studio, NameFont(family="Fern", name="Other"))


def test_two_files_of_one_style_are_not_one_family(studio):
    take(studio, build("Fern"))
    take(studio, build("Moss"))
    with pytest.raises(SameStyleError, match="has the style of"):
        edit(studio, NameFont(family="Moss", name="Fern"))


@pytest.mark.parametrize(
    ("family", "more", "wanted"),
    [("Fern", {}, "Hanken Grotesk"), ("Fern", {"instead": "Bitter"}, "Bitter"), ("Karla", {}, "Karla")],
)
def test_a_removed_family_leaves_its_words_in_another(studio, family, more, wanted):
    take(studio, build(family))
    set_in(studio, family, axes={"wdth": 80} if family == "Fern" else {})
    edit(studio, RemoveFont(family=family, **more))
    assert (studio.site().fonts, lettering_of(studio).font, lettering_of(studio).axes) == ((), wanted, {})
    studio.undo(studio.state().revision)
    assert lettering_of(studio).font == family
    assert len(studio.site().fonts) == 1


def test_one_file_of_a_family_goes_alone(studio):
    take(studio, build("Fern"))
    take(studio, os2(build("Fern"), usWeightClass=700))
    edit(studio, RemoveFont(family="Fern", file=studio.site().fonts[0].id))
    assert [f.least_weight for f in studio.site().fonts] == [700]


def test_the_kind_of_letters_decides_what_stands_in(studio):
    take(studio, build("Fern"))
    set_in(studio, "Fern")
    edit(studio, StandIn(family="Fern", category="serif"))
    site = studio.site()
    assert 'local("Times New Roman")' in font_css(site.pages[0], studio.fonts.of(site), Urls())


def test_a_font_that_may_not_be_embedded_is_a_note_where_it_is_used(studio):
    take(studio, os2(build("Fern"), fsType=2))
    site = studio.site()
    assert font_notes(site, site.pages[0]) == []
    set_in(studio, "Fern")
    site = studio.site()
    (note,) = font_notes(site, site.pages[0])
    assert "does not allow it to be embedded without leave" in note["sentence"]


def test_axes_are_said_in_css_and_the_weight_never_among_them(studio):
    take(studio, build("Fern", varies=True))
    set_in(studio, "Fern", axes={"wdth": 80})
    assert 'font-variation-settings: "wdth" 80' in studio.emitted(studio.site(), studio.site().pages[0]).css
    with pytest.raises(Exception, match="The weight is said by"):
        set_in(studio, "Fern", axes={"wght": 80})


def test_only_weights_that_are_used_are_asked_for():
    site = one_banner().site
    book = shipped_fonts()
    assert {(one.family.name, one.weight) for one in used_on(site.pages[0], book)} == {
        (block.lettering.font, book.family(block.lettering.font).weight(block.lettering.weight))
        for block in site.pages[0].blocks()
        if block.lettered
    }


def test_a_release_holds_the_font_and_keeps_it_when_it_is_gone(studio):
    take(studio, build("Fern"))
    set_in(studio, "Fern")
    files = studio.bundle_files()
    (name,) = (name for name in files if name.startswith("fonts/"))
    assert name.startswith("fonts/fern-400-")
    css = next(data for path, data in files.items() if path.startswith("css/")).decode()
    assert f"../{name}" in css
