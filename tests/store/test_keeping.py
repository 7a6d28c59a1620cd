"""Backup, restore, verify, tidy, copies: what is kept is kept, and what is wrong with it is told."""

import json
import os
import shutil
import sqlite3
import zipfile
from datetime import date

import pytest
from typer.testing import CliRunner

from garnetfern.cli import app
from garnetfern.service.edits.pictures import LayPicture, ShelvePicture
from garnetfern.service.workspace.house import first_site
from garnetfern.store import DamagedError, FolderError, leftovers, restore, tidy, verify
from garnetfern.store.backup import backup
from garnetfern.store.opening import DATABASE
from tests.conftest import jpeg
from tests.near_room import NearRoom
from tests.sites import one_banner

run = CliRunner().invoke


def tree(folder):
    """Every file with its bytes."""
    return {str(f.relative_to(folder)): f.read_bytes() for f in sorted(folder.rglob("*")) if f.is_file()}


@pytest.fixture
def data(tmp_path):
    return tmp_path / "data"


@pytest.fixture
def studio(data):
    made = first_site(data, NearRoom())
    made.start(one_banner(), "A new site")
    for n in range(3):
        asset = made.add_picture(jpeg(60 + n, 40), f"fern {n}.jpg")
        made.edit(made.state().revision, ShelvePicture(asset=asset))
    made.bundle()
    yield made
    made.close()


def hashes(studio):
    return [a.hash for a in studio.site().assets]


def spoil(file, at=10):
    """Flip a byte."""
    whole = bytearray(file.read_bytes())
    whole[at % len(whole)] ^= 0x40
    file.write_bytes(whole)


def test_a_backup_of_a_running_site_comes_back_whole(studio, data, tmp_path):
    file = tmp_path / "site.backup.zip"
    assert run(app, ["backup", str(data), str(file)]).exit_code == 0
    state = studio.state()
    manifest = json.loads(zipfile.ZipFile(file).read("manifest.json"))
    assert manifest["revision"] == state.revision
    assert {m["name"] for m in manifest["members"]} == {DATABASE, *(f"originals/{h}" for h in hashes(studio))}
    back = tmp_path / "back"
    assert run(app, ["restore", str(file), str(back)]).exit_code == 0
    again = first_site(back, NearRoom())
    assert again.state() == state
    assert again.undo(state.revision).redo == state.undo
    assert again.bundle_files()
    again.close()
    assert verify(back) == []


def test_nothing_is_written_over_and_what_was_there_is_set_aside(studio, data, tmp_path):
    file = tmp_path / "site.backup.zip"
    backup(data, file)
    studio.close()
    before = tree(data)
    refused = run(app, ["restore", str(file), str(data)])
    assert refused.exit_code == 2
    assert "--replace" in refused.output
    assert tree(data) == before
    assert run(app, ["restore", str(file), str(data), "--replace"]).exit_code == 0
    (aside,) = tmp_path.glob("data.set-aside-*")
    assert DATABASE in tree(aside)
    assert verify(data) == []


@pytest.mark.parametrize("member", [DATABASE, "manifest.json", "original"])
def test_a_damaged_backup_is_refused_and_nothing_is_left(studio, data, tmp_path, member):
    file, bad = tmp_path / "site.backup.zip", tmp_path / "bad.zip"
    backup(data, file)
    with zipfile.ZipFile(file) as old, zipfile.ZipFile(bad, "w") as new:
        for name in old.namelist():
            content = bytearray(old.read(name))
            if member in name:
                content[len(content) // 2] ^= 0x21
            new.writestr(name, bytes(content))
    with pytest.raises(FolderError):
        restore(bad, tmp_path / "back", replace=False)
    assert sorted(p.name for p in tmp_path.iterdir()) == ["bad.zip", "data", "site.backup.zip"]


def test_a_backup_that_climbs_out_is_refused(studio, data, tmp_path):
    file, bad = tmp_path / "site.backup.zip", tmp_path / "bad.zip"
    backup(data, file)
    with zipfile.ZipFile(file) as old, zipfile.ZipFile(bad, "w") as new:
        manifest = json.loads(old.read("manifest.json"))
        manifest["members"][1]["name"] = "../escaped"
        new.writestr(DATABASE, old.read(DATABASE))
        new.writestr("../escaped", b"x")
        new.writestr("manifest.json", json.dumps(manifest))
    with pytest.raises(FolderError):
        restore(bad, tmp_path / "back", replace=False)
    assert not (tmp_path / "escaped").exists()


FAULTS = {
    "a picture is missing": lambda d, h: (d / "pictures/originals" / h[:2] / h).unlink(),
    "a picture is damaged": lambda d, h: spoil(d / "pictures/originals" / h[:2] / h),
    "a row is missing": lambda d, h: change(d, "DELETE FROM picture WHERE hash = ?", h),
    "a document is damaged": lambda d, _: change(d, "UPDATE step SET document = '{' WHERE number = 2"),
    "a document breaks a rule": lambda d, _: change(
        d, "UPDATE step SET document = replace(document, '#20302a', 'red') WHERE number = 3"
    ),
    "the place is nowhere": lambda d, _: change(d, "UPDATE place SET step = 99", off=True),
}


def change(data, query, *values, off=False):
    with sqlite3.connect(data / DATABASE) as db:
        db.execute(f"PRAGMA foreign_keys = {'off' if off else 'on'}")
        db.execute(query, values)
    db.close()


@pytest.mark.parametrize("name", FAULTS)
def test_what_is_wrong_is_found(studio, data, name):
    hash_ = hashes(studio)[1]
    assert verify(data) == []
    FAULTS[name](data, hash_)
    assert any(f.grave for f in verify(data))
    told = run(app, ["verify", str(data)])
    assert told.exit_code == 1
    assert "WRONG" in told.output


def test_a_folder_without_a_site_is_said(tmp_path):
    assert run(app, ["verify", str(tmp_path)]).exit_code == 1
    assert run(app, ["verify", str(tmp_path / "nowhere")]).exit_code == 2


def test_a_damaged_original_is_told_where_it_is_used_and_heals(studio, data):
    hash_ = hashes(studio)[0]
    spoil(studio.pictures.original_path(hash_))
    with pytest.raises(DamagedError, match=r"fern 0\.jpg.*It is used nowhere"):
        studio.bundle()
    with pytest.raises(DamagedError):
        studio.site_file()
    with pytest.raises(FolderError, match="no backup was made"):
        backup(data, data.parent / "b.zip")
    assert not (data.parent / "b.zip").exists()
    asset, healed = studio.take_picture(jpeg(60, 40), "again.jpg")
    assert (asset.hash, healed) == (hash_, True)
    assert studio.bundle()
    assert studio.take_picture(jpeg(60, 40), "again.jpg")[1] is False


def test_a_damaged_rendition_is_made_anew(studio, data):
    hash_ = hashes(studio)[0]
    good = studio.rendition_data(hash_[:10], 60)
    file = next((data / "pictures" / "renditions").rglob(f"{hash_}-60x40.webp"))
    spoil(file, 30)
    assert studio.rendition_data(hash_[:10], 60) == good
    assert file.read_bytes() == good


def test_a_damaged_fitted_file_is_made_anew(studio, data):
    asset = studio.add_picture(jpeg(900, 600), "wide.jpg")
    studio.edit(studio.state().revision, LayPicture(page="home", area="banner", asset=asset))
    for one, kind in studio.fitting.missing(studio.site(), studio.fonts):
        studio.fitting.make(one, kind)
    good = studio.bundle_files()
    file = next(f for f in (data / "fitted").glob("*/*") if f.read_bytes() in good.values())
    before = file.stat()
    spoil(file, 200)
    os.utime(file, ns=(before.st_atime_ns, before.st_mtime_ns))  # as a disk damages it: nothing else tells
    assert studio.bundle_files() == good


def test_tidy_takes_what_nothing_names_and_no_more(studio, data):
    studio.add_picture(jpeg(99, 40), "never laid.jpg")
    kept = hashes(studio)
    (data / "pictures" / "originals" / "aa").mkdir(exist_ok=True)
    (data / "pictures" / "originals" / "aa" / ".part-x").write_bytes(b"half")
    studio.close()
    before = tree(data)
    shown = run(app, ["tidy", str(data)])
    assert "no step and no copy names this picture" in shown.output
    assert {f for f in tree(data) if not f.endswith(("-wal", "-shm"))} == set(before)
    found = leftovers(data)
    assert any(x.picture for x in found)
    assert run(app, ["tidy", str(data), "--yes"]).exit_code == 0
    assert verify(data) == []
    assert leftovers(data) == []
    again = first_site(data, NearRoom())
    assert all(again.pictures.original(h) for h in kept)
    again.close()


def test_what_a_copy_needs_is_not_tidied(studio, data):
    hash_ = hashes(studio)[2]
    studio.folder.keep_copy()
    studio.undo(studio.state().revision)
    studio.change(studio.state().revision, [{"op": "replace", "path": "/name", "value": "Other"}], "Rename")
    studio.close()
    tidy(data, leftovers(data))
    again = first_site(data, NearRoom())
    assert hash_ not in hashes(again)
    (copy,) = again.copies()
    assert copy.steps == 4
    state = again.bring_back(again.state().revision, copy.day)
    assert hash_ in hashes(again)
    assert again.undo(state.revision).document["name"] == "Other"
    again.close()


def test_one_copy_a_day_where_something_has_changed_and_seven_are_kept(studio, data):
    copies, revision = studio.folder.copies, studio.state().revision
    for day in range(1, 12):
        assert copies.keep(revision + day, date(2026, 5, day)) is True
        assert copies.keep(revision + day, date(2026, 5, day)) is False
        revision = studio.change(
            studio.state().revision, [{"op": "replace", "path": "/name", "value": f"Day {day}"}], f"Day {day}"
        ).revision
    assert [c.day for c in copies.list()] == [f"2026-05-{d:02}" for d in range(11, 4, -1)]
    assert copies.keep(copies.list()[0].revision, date(2026, 6, 1)) is False
    spoil(data / "copies" / "2026-05-09.sqlite", 5000)
    with (data / "copies" / "2026-05-10.sqlite").open("r+b") as file:
        file.truncate(3000)
    assert "2026-05-11" in [c.day for c in copies.list()]
    assert shutil.disk_usage(data)


def test_the_log_holds_revisions_and_refusals_and_no_wordings(studio, data):
    studio.change(studio.state().revision, [{"op": "replace", "path": "/name", "value": "Secret garden"}], "Secret")
    studio.house.note_refusal(403, "POST", "/api/change")
    text = (data / "log" / "garnetfern.log").read_text()
    assert f"kept site='site' revision='{studio.state().revision}'" in text
    studio.undo(studio.state().revision)
    text = (data / "log" / "garnetfern.log").read_text()
    assert f"kept site='site' revision='{studio.state().revision}'" in text
    assert "refused status='403'" in text
    assert "Secret" not in text
