"""Owners' fonts on disk: kept with all that is kept, healed by the same file, tidied when nothing names them."""

import json
import zipfile

import pytest

from garnetfern.core.errors import AlreadyThereError, DocumentError, NotFoundError, SiteFileError
from garnetfern.core.fontfile.sample import build
from garnetfern.service.edits.fonts import RemoveFont
from garnetfern.service.files.site_file import unpack_site_file
from garnetfern.service.workspace.house import House, first_site
from garnetfern.store import DamagedError, leftovers, restore, tidy, verify
from garnetfern.store.backup import backup
from garnetfern.store.opening import DATABASE
from tests.near_room import NearRoom
from tests.sites import one_banner
from tests.store.test_keeping import spoil
from tests.store.test_opening import execute


@pytest.fixture
def data(tmp_path):
    return tmp_path / "data"


@pytest.fixture
def studio(data):
    made = first_site(data, NearRoom())
    made.start(one_banner(), "A new site")
    made.own_fonts.take(build("Fern"), 1, "fern.ttf")
    yield made
    made.close()


def file_of(studio):
    return studio.folder.fonts.path(studio.site().fonts[0].hash)


def test_a_font_is_kept_as_one_step_that_can_be_undone(studio):
    state = studio.state()
    assert (state.revision, state.undo) == (2, "Font Fern 400")
    assert studio.folder.fonts.data(studio.site().fonts[0].hash)[:4] == b"wOF2"
    studio.undo(2)
    assert studio.site().fonts == ()
    studio.redo(3)
    assert [font.family for font in studio.site().fonts] == ["Fern"]


def test_a_damaged_font_is_never_handed_out_and_heals(studio, data):
    file = file_of(studio)
    whole = file.read_bytes()
    spoil(file)
    with pytest.raises(DamagedError, match="Bring the same file again"):
        studio.folder.fonts.data(file.name)
    assert any(f.grave and "The font" in f.what for f in verify(data))
    assert not studio.own_fonts.view()["families"][0]["files"][0]["intact"]
    with pytest.raises(AlreadyThereError, match="healed"):
        studio.own_fonts.take(build("Fern"), 2, "fern.ttf")
    assert file.read_bytes() == whole
    assert verify(data) == []


def test_a_lost_font_is_told(studio, data):
    file_of(studio).unlink()
    assert any(f.grave and "cannot be read" in f.what for f in verify(data))
    with pytest.raises(NotFoundError, match="its file is missing"):
        studio.site_file()


def test_a_document_that_names_an_unknown_font_is_found(studio, data):
    execute(data / DATABASE, "DELETE FROM font")
    assert any("names the font" in f.what for f in verify(data))


def test_fonts_are_in_the_backup_and_come_back(studio, data, tmp_path):
    made = tmp_path / "site.backup.zip"
    backup(data, made)
    hash_ = studio.site().fonts[0].hash
    with zipfile.ZipFile(made) as archive:
        assert f"fonts/{hash_}" in archive.namelist()
    restore(made, tmp_path / "other", replace=False)
    again = first_site(tmp_path / "other", NearRoom())
    assert again.folder.fonts.data(hash_) == studio.folder.fonts.data(hash_)
    assert again.site().fonts == studio.site().fonts
    again.close()


def test_a_font_that_no_step_names_any_more_is_tidied(studio, data):
    hash_ = studio.site().fonts[0].hash
    assert leftovers(data) == []
    studio.undo(2)
    studio.change(3, [{"op": "replace", "path": "/name", "value": "Now"}], "Rename")
    studio.close()
    found = leftovers(data)
    assert [leftover.font for leftover in found] == [hash_]
    tidy(data, found)
    assert leftovers(data) == []
    assert not (data / "fonts" / hash_[:2] / hash_).exists()


def test_a_site_file_carries_its_fonts(studio, tmp_path):
    packed = studio.site_file()
    file = unpack_site_file(packed, studio.fonts.names(), studio.room)
    assert file.site.fonts == studio.site().fonts
    house = House(tmp_path / "other", NearRoom())
    opened = house.open_file(packed, "site.zip")
    assert opened.folder.fonts.data(file.site.fonts[0].hash) == file.fonts[file.site.fonts[0].hash]
    house.close()


def _without(packed, gone):
    return _with(packed, lambda name, data: None if name == gone else data)


def _with(packed, change):
    import io

    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(packed)) as old, zipfile.ZipFile(out, "w") as new:
        for name in old.namelist():
            data = change(name, old.read(name))
            if data is not None:
                new.writestr(name, data)
    return out.getvalue()


def test_a_site_file_whose_font_is_not_what_it_says_is_refused(studio):
    name = f"fonts/{studio.site().fonts[0].hash}.woff2"
    packed = studio.site_file()
    names = studio.fonts.names()
    with pytest.raises(SiteFileError, match="lacks fonts/"):
        unpack_site_file(_without(packed, name), names, studio.room)
    with pytest.raises(SiteFileError, match="is not the font its name says"):
        unpack_site_file(_with(packed, lambda n, d: d + b"x" if n == name else d), names, studio.room)


def test_what_a_site_file_says_of_a_font_is_found_out_anew(studio):
    def lying(name, data):
        if name != "site.json":
            return data
        document = json.loads(data)
        document["fonts"][0]["embedding"] = "none"
        document["fonts"][0]["family"] = "Called otherwise"
        return json.dumps(document)

    file = unpack_site_file(_with(studio.site_file(), lying), studio.fonts.names(), studio.room)
    assert (file.site.fonts[0].embedding, file.site.fonts[0].family) == ("view", "Called otherwise")


def test_facts_cannot_be_changed_by_a_patch_and_names_can(studio):
    def put(field, value):
        return [{"op": "replace", "path": f"/fonts/0/{field}", "value": value}]

    with pytest.raises(DocumentError, match="cannot be changed"):
        studio.change(2, put("most_weight", 900), "Heavier")
    with pytest.raises(NotFoundError, match="hand it in first"):
        studio.change(2, put("hash", "0" * 64), "Another")
    assert studio.change(2, put("category", "serif"), "Kind").revision == 3


def test_a_removed_site_keeps_its_fonts_and_a_copy_has_them_too(data):
    house = House(data, NearRoom())
    studio = house.first()
    studio.start(one_banner(), "A new site")
    studio.own_fonts.take(build("Fern"), 1, "fern.ttf")
    copy = house.copy(studio.id)
    assert copy.site().fonts == studio.site().fonts
    house.remove(studio.id)
    assert leftovers(data) == []
    state = copy.state()
    copy.edit(state.revision, RemoveFont(family="Fern"))
    house.close()
    assert leftovers(data) == []
    assert verify(data) == []
