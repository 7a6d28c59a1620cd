"""What was put live is kept: numbered, never changed, in backups, looked at by `verify`, not touched by `tidy`."""

import json
import shutil
import sqlite3

import pytest

from garnetfern.core.errors import NotFoundError
from garnetfern.service.workspace.house import first_site
from garnetfern.store import DamagedError, FolderError, NameTakenError, backup, leftovers, restore, verify
from garnetfern.store.opening import DATABASE
from garnetfern.store.releases import REACHABLE
from tests.near_room import NearRoom
from tests.sites import one_banner

SITE = "site"


@pytest.fixture
def studio(tmp_path):
    made = first_site(tmp_path / "data", NearRoom())
    made.start(one_banner(), "A new site")
    yield made
    made.close()


@pytest.fixture
def releases(studio):
    return studio.folder.releases


def publish(studio, **texts):
    """A release with files by their path, `css_a` standing for `css/a`."""
    kept = studio.folder.releases
    files = {path.replace("_", "/") + ending(path): kept.keep(text.encode()) for path, text in texts.items()}
    return kept.publish(SITE, studio.state().revision, studio.site().model_dump(mode="json"), files, {"short": 0})


def ending(path):
    return ".css" if path.startswith("css") else ".html"


def test_numbers_go_up_and_the_last_is_live(studio, releases):
    assert releases.live(SITE) is None
    first = publish(studio, index="one", css_a1="blue")
    second = publish(studio, index="two", css_a1="blue", css_b2="red")
    assert (first.number, second.number) == (1, 2)
    assert releases.live(SITE) == second
    assert releases.get(SITE, 1) == first
    assert [r.number for r in releases.list(SITE)] == [2, 1]
    assert releases.list("other") == []


def test_going_back_makes_a_new_one_and_changes_nothing_of_the_old(studio, releases):
    first = publish(studio, index="one", css_a1="blue")
    publish(studio, index="two", css_b2="red")
    third = releases.back(SITE, 1)
    assert (third.number, third.back, third.files) == (3, 1, first.files)
    assert releases.get(SITE, 1) == first
    assert releases.data(releases.reachable(SITE)["index.html"]) == b"one"
    with pytest.raises(NotFoundError, match="no release 9"):
        releases.back(SITE, 9)


def test_files_of_the_last_releases_stay_where_they_were(studio, releases):
    for n in range(REACHABLE + 2):
        publish(studio, index=f"page {n}", **{f"css_{n:02}": f"sheet {n}"})
    reach = releases.reachable(SITE)
    assert [p for p in reach if p.startswith("css")] == [f"css/{n:02}.css" for n in range(2, REACHABLE + 2)]
    assert releases.data(reach["index.html"]) == f"page {REACHABLE + 1}".encode()


def test_pages_that_are_gone_are_not_reachable(studio, releases):
    publish(studio, index="one", fair="come")
    publish(studio, index="two")
    assert set(releases.reachable(SITE)) == {"index.html"}


def test_a_name_never_comes_to_mean_something_else(studio, releases):
    publish(studio, index="one", css_a1="blue")
    with pytest.raises(NameTakenError, match="css/a1"):
        publish(studio, index="two", css_a1="red")
    assert releases.live(SITE).number == 1


def test_what_is_damaged_is_not_handed_out_and_heals(studio, releases, tmp_path):
    release = publish(studio, index="one")
    file = releases.path(release.files["index.html"].hash)
    file.write_bytes(b"ond")
    with pytest.raises(DamagedError):
        releases.data(release.files["index.html"])
    with pytest.raises(DamagedError):
        releases.back(SITE, 1)
    said = [f.what for f in verify(tmp_path / "data") if f.grave]
    assert len(said) == 1
    assert "Release 1 of site" in said[0]
    with pytest.raises(FolderError, match="is damaged on the disk; no backup"):
        backup(tmp_path / "data", tmp_path / "kept.zip")
    publish(studio, index="one")
    assert releases.data(release.files["index.html"]) == b"one"
    assert [f for f in verify(tmp_path / "data") if f.grave] == []


def test_releases_are_in_a_backup(studio, releases, tmp_path):
    publish(studio, index="one", css_a1="blue")
    live = publish(studio, index="two", css_a1="blue")
    backup(tmp_path / "data", tmp_path / "kept.zip")
    restore(tmp_path / "kept.zip", tmp_path / "other", replace=False)
    again = first_site(tmp_path / "other", NearRoom())
    assert again.folder.releases.live(SITE) == live
    assert {again.folder.releases.data(f) for f in live.files.values()} == {b"two", b"blue"}
    again.close()


def test_tidy_leaves_what_is_released(studio, releases, tmp_path):
    publish(studio, index="one")
    lost = releases.keep(b"made, and never put live")
    found = leftovers(tmp_path / "data")
    assert [(x.file.name, x.why) for x in found] == [(lost.hash, "no release holds this file")]


def test_a_document_of_a_release_keeps_its_pictures(studio, releases, tmp_path):
    plain = studio.site().model_dump(mode="json")
    hash_ = "a" * 64
    entry = {"id": "p", "name": "p.jpg", "hash": hash_, "type": "jpeg", "width": 2, "height": 2, "bytes": 3}
    releases.publish(SITE, 1, {**plain, "assets": [entry]}, {"index.html": releases.keep(b"x")}, {})
    said = [f.what for f in verify(tmp_path / "data") if f.grave]
    assert said == ["Release 1 of site names the picture aaaaaaaaaa, which the database does not know."]


@pytest.mark.parametrize("spoilt", ["{", "[]", "null"])
def test_rows_that_cannot_be_read_are_told(studio, releases, tmp_path, spoilt):
    publish(studio, index="one")
    db = sqlite3.connect(tmp_path / "data" / DATABASE)
    db.execute("UPDATE release SET document = ?", (spoilt,))
    db.commit()
    db.close()
    assert any(f.grave and "Release 1 of site" in f.what for f in verify(tmp_path / "data"))


def test_another_process_works_beside(studio, tmp_path):
    from garnetfern.store import Folder

    beside = Folder(tmp_path / "data", NearRoom().rendition, beside=True)
    assert not beside.alone
    part = tmp_path / "data" / "pictures" / ".part-x"
    part.parent.mkdir(exist_ok=True)
    part.write_bytes(b"being written")
    Folder(tmp_path / "data", NearRoom().rendition, beside=True).close()
    assert part.exists()
    kept = beside.releases.keep(b"one")
    beside.releases.publish(SITE, 1, json.loads(studio.site().model_dump_json()), {"index.html": kept}, {})
    beside.close()
    assert studio.folder.releases.live(SITE).number == 1
    assert studio.change(1, [{"op": "replace", "path": "/name", "value": "Now"}], "Rename").revision == 2


def test_beside_an_earlier_version_nothing_is_opened(studio, tmp_path):
    from garnetfern.store.database import join_database

    other = tmp_path / "older"
    shutil.copytree(tmp_path / "data", other)
    db = sqlite3.connect(other / DATABASE)
    db.execute("DELETE FROM migration WHERE name LIKE '0006%'")
    db.commit()
    db.close()
    with pytest.raises(FolderError, match="earlier version"):
        join_database(other / DATABASE)
