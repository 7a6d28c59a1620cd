"""Several sites in one data folder: each has a history of its own, and nothing of one is lost with another."""

import json
import re
import sqlite3

import pytest
from typer.testing import CliRunner

from garnetfern.cli import app
from garnetfern.core.errors import NotFoundError
from garnetfern.service.edits.pictures import ShelvePicture
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.kinds.empty import empty_site
from garnetfern.service.workspace.house import House, LastSiteError
from garnetfern.store import backup, leftovers, restore, verify
from garnetfern.store.opening import DATABASE
from tests.conftest import jpeg
from tests.near_room import NearRoom
from tests.sites import colour_layer, one_banner

RENAME = [{"op": "replace", "path": "/name", "value": "Now"}]


@pytest.fixture
def house(tmp_path):
    made = House(tmp_path / "data", NearRoom())
    made.add(one_banner(colour_layer("#ffffff", 0.5)), "A new site")
    made.add(SiteFile(empty_site(), {}), "A new site")
    yield made
    made.close()


def ids(house):
    return [kept.id for kept in house.there()]


def test_ids_come_from_names_and_stay(house):
    assert ids(house) == ["marrowby-fern-house", "my-site"]
    studio = house.first()
    studio.change(1, RENAME, "Rename")
    assert ids(house) == ["marrowby-fern-house", "my-site"]
    assert [kept.name for kept in house.there()] == ["Now", "My site"]
    # the name is free again, the id is not
    again = house.add(one_banner(), "A new site")
    assert (again.id, again.site().name) == ("marrowby-fern-house-2", "Marrowby Fern House")


def test_histories_do_not_touch_each_other(house):
    one, other = (house.studio(name) for name in ids(house))
    one.change(1, RENAME, "Rename")
    assert (one.state().revision, other.state().revision, other.state().undo) == (2, 1, None)
    with pytest.raises(NotFoundError):
        other.undo(1)
    other.change(1, [{"op": "replace", "path": "/name", "value": "Other"}], "Rename")
    one.undo(2)
    assert (one.site().name, other.site().name) == ("Marrowby Fern House", "Other")
    # steps that are dropped are those of one site alone
    one.change(3, [{"op": "replace", "path": "/name", "value": "Third"}], "Rename")
    assert other.undo(2).redo == "Rename"


def test_a_removed_site_comes_back_with_its_history_where_it_was(house):
    name = ids(house)[0]
    house.studio(name).change(1, RENAME, "Rename")
    house.remove(name)
    assert ids(house) == ["my-site"]
    with pytest.raises(NotFoundError, match="brought back under Sites"):
        house.studio(name)
    with pytest.raises(LastSiteError, match="only site"):
        house.remove("my-site")
    view = house.view()
    assert [row["name"] for row in view["removed"]] == ["Now"]
    back = house.bring_back(name)
    assert ids(house) == ["marrowby-fern-house", "my-site"]
    assert back.undo(2).document["name"] == "Marrowby Fern House"


def test_a_copy_is_a_site_of_its_own(house):
    old = house.first()
    made = house.copy(old.id)
    assert made.site().name == "Marrowby Fern House copy"
    assert made.site().pages == old.site().pages
    assert (made.state().revision, made.state().undo) == (1, None)
    made.change(1, RENAME, "Rename")
    assert old.site().name == "Marrowby Fern House"
    assert house.copy(old.id).site().name == "Marrowby Fern House copy"
    assert house.copy(old.id).site().name == "Marrowby Fern House copy 2"


@pytest.mark.parametrize("to", [0, 1, 2, 9])
def test_sites_are_moved(house, to):
    third = house.copy("my-site").id
    house.move(third, to)
    rest = ["marrowby-fern-house", "my-site"]
    assert ids(house) == [*rest[:to], third, *rest[to:]]
    with pytest.raises(NotFoundError):
        house.move("nobody", 0)


def test_new_sites_begin_with_our_starts(house):
    for start in [row["start"] for row in house.view()["starts"]]:
        made = house.new(start)
        assert made.site().pages[0].slug == "home"
    with pytest.raises(NotFoundError, match="There is no start"):
        house.new("nonsense")
    names = [kept.name for kept in house.there()]
    assert len(names) == len(set(names))


def test_the_list_says_what_was_measured_and_no_more(house):
    bare = house.new("empty")
    rows = {row["site"]: row for row in house.view()["sites"]}
    poor = rows["marrowby-fern-house"]
    assert (poor["short"], poor["good"]) == (True, False)
    assert "short" in poor["sentence"]
    fine = rows["my-site"]
    assert (fine["short"], fine["good"]) == (False, True)
    none = rows[bare.id]
    if none["sentence"] == "There are no words here yet.":
        assert (none["short"], none["good"]) == (False, False)
    else:
        assert re.match("Every word can be read", none["sentence"])


def test_work_is_told_to_the_windows_of_its_site_alone(house):
    one, other = (house.studio(name) for name in ids(house))
    heard = []
    one.news.listen(lambda kind, what: heard.append(("one", kind)))
    other.news.listen(lambda kind, what: heard.append(("other", kind)))
    other.ask_work("fit")
    assert heard == [("other", "work")]
    assert [list(one.jobs.list(one.id)), len(list(other.jobs.list(other.id)))] == [[], 1]


def test_backup_and_verify_know_every_site(house, tmp_path):
    one, other = (house.studio(name) for name in ids(house))
    asset = other.add_picture(jpeg(61, 40), "fern.jpg")
    other.edit(1, ShelvePicture(asset=asset))
    house.remove(other.id)
    house.folder.keep_copy()
    folder = house.folder.path
    assert [f for f in verify(folder) if f.grave] == []
    # the pictures of a removed site are not leftovers
    assert [x for x in leftovers(folder) if x.picture] == []
    made = backup(folder, tmp_path / "all.zip")
    assert made["pictures"] == 1
    restore(tmp_path / "all.zip", tmp_path / "back", False)
    again = House(tmp_path / "back", NearRoom())
    assert ids(again) == [one.id]
    assert again.bring_back(other.id).site().assets[0].hash == asset.hash
    again.close()
    with sqlite3.connect(folder / DATABASE) as db:
        db.execute("UPDATE place SET step = 77 WHERE site = ?", (one.id,))
    assert [f.what for f in verify(folder) if f.grave] == ["Row 1 of place refers to something that is not there."]


def test_a_daily_copy_brings_back_one_site_alone(house):
    one, other = (house.studio(name) for name in ids(house))
    assert house.folder.keep_copy()
    assert not house.folder.keep_copy()
    day = one.copies()[0].day
    for studio in (one, other):
        studio.change(1, RENAME, "Rename")
    one.bring_back(2, day)
    assert (one.site().name, other.site().name) == ("Marrowby Fern House", "Now")
    third = house.copy(other.id)
    assert third.copies() == []
    with pytest.raises(NotFoundError, match="not in the copy"):
        third.bring_back(1, day)


def test_the_command_line_lists_them_while_the_application_runs(house, tmp_path):
    run = CliRunner().invoke
    folder = str(house.folder.path)
    gone = house.copy("my-site").id
    house.remove(gone)
    found = run(app, ["sites", folder, "--json"])
    assert found.exit_code == 0
    rows = json.loads(found.output)
    assert [row["site"] for row in rows] == ids(house)
    assert rows[0] == {
        "site": "marrowby-fern-house",
        "name": "Marrowby Fern House",
        "pages": 1,
        "revision": 1,
        "live": None,
    }
    assert "my-site              My site, 1 page, revision 1" in run(app, ["sites", folder]).output
    assert run(app, ["sites", str(tmp_path)]).exit_code == 2
