"""Folders that cannot be opened: each is told in a sentence, and nothing in it is touched."""

import os
import shutil
import sqlite3
import subprocess
import sys
import textwrap

import pytest
from typer.testing import CliRunner

from garnetfern.cli import app
from garnetfern.service.workspace.house import first_site
from garnetfern.store import FolderError
from garnetfern.store.database import open_database
from garnetfern.store.migrations import MIGRATIONS
from garnetfern.store.opening import DATABASE
from tests.conftest import jpeg
from tests.near_room import NearRoom
from tests.sites import one_banner


@pytest.fixture
def data(tmp_path):
    folder = tmp_path / "data"
    made = first_site(folder, NearRoom())
    made.start(one_banner(), "A new site")
    made.add_picture(jpeg(), "fern.jpg")
    made.close()
    return folder


def execute(file, *queries):
    with sqlite3.connect(file) as db:
        for query in queries:
            db.execute(query)
    db.close()


def truncated(file):
    with file.open("r+b") as handle:
        handle.truncate(file.stat().st_size // 2 + 100)


def scrambled(file):
    whole = bytearray(file.read_bytes())
    for at in range(4096, len(whole), 97):
        whole[at] ^= 0x5A
    file.write_bytes(whole)


BROKEN = {
    "empty": (lambda f: f.write_bytes(b""), "empty (0 bytes)"),
    "no database": (lambda f: f.write_bytes(b"<html>" * 900), "no database"),
    "truncated": (truncated, "damaged"),
    "scrambled": (scrambled, "damaged"),
    "a newer version": (lambda f: execute(f, "INSERT INTO migration VALUES ('9999 later', 'x')"), "newer version"),
    "another application's": (lambda f: execute(f, "PRAGMA application_id = 77"), "another application"),
    "other tables": (lambda f: (f.unlink(), execute(f, "CREATE TABLE plants (name)")), "another application"),
    "tables are gone": (lambda f: execute(f, "PRAGMA foreign_keys = off", "DROP TABLE step"), "lacks tables"),
    "missing beside pictures": (lambda f: f.unlink(), "is missing"),
    "a folder": (lambda f: (f.unlink(), f.mkdir()), "cannot be read"),
}


@pytest.mark.parametrize("name", BROKEN)
def test_a_folder_that_is_not_whole_is_told_and_left_alone(data, name):
    harm, said = BROKEN[name]
    harm(data / DATABASE)
    file = data / DATABASE
    before = file.read_bytes() if file.is_file() else None
    with pytest.raises(FolderError, match="Nothing"):
        first_site(data, NearRoom())
    told = CliRunner().invoke(app, ["serve", "--data", str(data), "--port", "18429"])
    assert told.exit_code == 2
    assert said in told.output
    assert len(told.output.strip().splitlines()) == 1
    assert (file.read_bytes() if file.is_file() else None) == before


def test_somebody_else_s_folder_is_not_begun_in(tmp_path):
    (tmp_path / "holiday.txt").write_text("mine")
    with pytest.raises(FolderError, match=r"holiday\.txt"):
        first_site(tmp_path, NearRoom())
    assert [p.name for p in tmp_path.iterdir()] == ["holiday.txt"]


def test_a_second_one_is_told_who_holds_the_folder(data):
    holder = first_site(data, NearRoom())
    with pytest.raises(FolderError, match=f"in use by process {os.getpid()}"):
        first_site(data, NearRoom())
    told = CliRunner().invoke(app, ["serve", "--data", str(data), "--port", "18429"])
    assert told.exit_code == 2
    holder.close()
    first_site(data, NearRoom()).close()


HOLDER = textwrap.dedent(
    """
    import sys, time
    from pathlib import Path
    from garnetfern.store import FolderLock
    lock = FolderLock(Path(sys.argv[1]))
    print("held", flush=True)
    time.sleep(60)
    """
)


def test_the_lock_dies_with_its_holder(data):
    holder = subprocess.Popen([sys.executable, "-c", HOLDER, str(data)], stdout=subprocess.PIPE)
    assert holder.stdout.readline() == b"held\n"
    with pytest.raises(FolderError, match=f"process {holder.pid}"):
        first_site(data, NearRoom())
    holder.kill()
    holder.wait()
    holder.stdout.close()
    first_site(data, NearRoom()).close()


def earlier(data):
    """The folder as the version before this one left it."""
    execute(
        data / DATABASE,
        "DROP TABLE made",
        "DROP TABLE release",
        "DROP TABLE font",
        "ALTER TABLE picture DROP COLUMN duration",
        "ALTER TABLE picture DROP COLUMN rate",
        "CREATE TABLE old AS SELECT number, label, document, made FROM step",
        "CREATE TABLE stood AS SELECT 1 AS id, revision, step FROM place",
        "DROP TABLE place",
        "DROP TABLE step",
        "DROP TABLE site",
        "ALTER TABLE old RENAME TO step",
        "ALTER TABLE stood RENAME TO place",
        "ALTER TABLE job DROP COLUMN site",
        "DELETE FROM migration WHERE name > '0003'",
        "PRAGMA application_id = 0",
    )


def test_an_earlier_form_is_migrated_and_kept_as_it_was(data):
    studio = first_site(data, NearRoom())
    state = studio.change(1, [{"op": "replace", "path": "/name", "value": "Now"}], "Rename")
    studio.close()
    earlier(data)
    studio = first_site(data, NearRoom())
    assert (studio.id, studio.state()) == ("site", state)
    assert studio.undo(state.revision).redo == "Rename"
    assert [kept.id for kept in studio.folder.sites.list()] == ["site"]
    studio.close()
    kept = sqlite3.connect(data / "copies" / "before-0007.sqlite")
    assert kept.execute("SELECT COUNT(*) FROM migration").fetchone() == (2,)
    kept.close()


def test_a_migration_that_fails_touches_nothing(data, monkeypatch):
    earlier(data)
    before = (data / DATABASE).read_bytes()

    def fails(db):
        db.execute_sql("DROP TABLE job")
        raise RuntimeError("power")

    monkeypatch.setattr("garnetfern.store.migrations.MIGRATIONS", (*MIGRATIONS[:2], ("0003 fails", fails)))
    with pytest.raises(FolderError, match="cannot be brought to the present form"):
        first_site(data, NearRoom())
    assert (data / DATABASE).read_bytes() == before
    assert not list((data / "work").iterdir())


def test_two_applications_in_one_process_keep_to_their_own_folders(tmp_path):
    one, other = (first_site(tmp_path / name, NearRoom()) for name in ("one", "other"))
    one.start(one_banner(base="#111111"), "One")
    other.start(one_banner(base="#222222"), "Other")
    one.change(1, [{"op": "replace", "path": "/name", "value": "First"}], "Rename")
    assert (one.state().revision, other.state().revision) == (2, 1)
    assert one.site().name == "First"
    assert other.site().name != "First"
    one.close()
    assert other.state().revision == 1
    other.close()


def test_the_write_ahead_log_is_folded_in_at_the_end(data):
    studio = first_site(data, NearRoom())
    studio.change(1, [{"op": "replace", "path": "/name", "value": "Folded"}], "Rename")
    studio.close()
    wal = data / f"{DATABASE}-wal"
    assert not wal.exists() or wal.stat().st_size == 0
    alone = data.parent / "alone.sqlite"
    shutil.copy(data / DATABASE, alone)
    db = open_database(alone)
    assert db.execute_sql("SELECT COUNT(*) FROM step").fetchone() == (2,)
    db.close_all()


def test_a_document_of_the_first_version_is_read_as_one_of_this(data):
    execute(
        data / DATABASE,
        """UPDATE step SET document = replace(replace(document, '"version": 4', '"version": 1'),
        '"slug": "home"', '"slug": "index"')""",
    )
    studio = first_site(data, NearRoom())
    state = studio.state()
    assert (state.document["version"], state.document["pages"][0]["slug"]) == (4, "index-2")
    changed = studio.change(1, [{"op": "replace", "path": "/name", "value": "Now"}], "Rename")
    assert studio.undo(changed.revision).document == state.document
    studio.close()
