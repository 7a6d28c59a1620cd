"""The history: every change is a step, nothing old overwrites anything new, and a crash leaves whole states."""

import subprocess
import sys
import textwrap
from pathlib import Path

import pytest
from hypothesis import settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, rule
from peewee import SqliteDatabase

from garnetfern.core.errors import NotFoundError, StaleError
from garnetfern.store import History
from garnetfern.store.database import open_database
from garnetfern.store.files import sweep, write_whole
from garnetfern.store.migrations import MIGRATIONS, migrate
from garnetfern.store.tables import Tables


@pytest.fixture
def db(tmp_path):
    found = open_database(tmp_path / "site.sqlite")
    yield found
    found.close()


@pytest.fixture
def history(db):
    made = History(Tables(db))
    made.start({"n": 0}, "start")
    return made


def test_a_change_can_be_undone_and_redone(history):
    history.change(1, {"n": 1}, "one")
    back = history.undo(2)
    assert (back.document, back.undo, back.redo) == ({"n": 0}, None, "one")
    again = history.redo(3)
    assert (again.document, again.undo, again.redo) == ({"n": 1}, "one", None)


def test_a_change_after_undo_drops_what_was_undone(history):
    history.change(1, {"n": 1}, "one")
    history.undo(2)
    state = history.change(3, {"n": 2}, "two")
    assert state.redo is None
    assert history.undo(4).document == {"n": 0}


@pytest.mark.parametrize("write", ["change", "undo", "redo"])
def test_a_write_on_an_old_revision_is_refused_and_changes_nothing(history, write):
    history.change(1, {"n": 1}, "one")
    arguments = ({"n": 9}, "nine") if write == "change" else ()
    with pytest.raises(StaleError) as caught:
        getattr(history, write)(1, *arguments)
    assert (caught.value.based_on, caught.value.current) == (1, 2)
    assert history.state().document == {"n": 1}


def test_the_ends_of_the_history_are_said(history):
    with pytest.raises(NotFoundError, match="nothing to undo"):
        history.undo(1)
    with pytest.raises(NotFoundError, match="nothing to redo"):
        history.redo(1)


def test_before_is_one_step_back(history):
    assert history.before() is None
    history.change(1, {"n": 1}, "one")
    assert history.before() == {"n": 0}


def test_history_survives_closing(tmp_path, history, db):
    history.change(1, {"n": 1}, "one")
    db.close()
    again = open_database(tmp_path / "site.sqlite")
    assert History(Tables(again)).state().undo == "one"
    again.close()


def test_migrations_run_once_and_are_recorded(tmp_path):
    db = SqliteDatabase(str(tmp_path / "new.sqlite"))
    assert migrate(db) == [name for name, _ in MIGRATIONS]
    assert migrate(db) == []
    db.close()


def test_a_migration_that_fails_leaves_nothing(tmp_path, monkeypatch):
    def fails(db):
        db.execute_sql("CREATE TABLE half (id INTEGER)")
        raise RuntimeError("power cut")

    monkeypatch.setattr("garnetfern.store.migrations.MIGRATIONS", (("0001 fails", fails),))
    db = SqliteDatabase(str(tmp_path / "new.sqlite"))
    with pytest.raises(RuntimeError):
        migrate(db)
    assert db.get_tables() == ["migration"]
    db.close()


class Walk(RuleBasedStateMachine):
    """Any sequence of changes, undos and redos agrees with a list and a place in it."""

    @initialize()
    def begin(self):
        self.db = open_database(Path(f"file:walk{id(self)}?mode=memory"))
        self.history = History(Tables(self.db))
        self.steps, self.at = [{"n": 0}], 0
        self.revision = self.history.start({"n": 0}, "start").revision

    @rule(n=st.integers())
    def change(self, n):
        self.steps = [*self.steps[: self.at + 1], {"n": n}]
        self.at += 1
        self.check(self.history.change(self.revision, {"n": n}, f"to {n}"))

    @rule()
    def undo(self):
        if self.at:
            self.at -= 1
            self.check(self.history.undo(self.revision))

    @rule()
    def redo(self):
        if self.at < len(self.steps) - 1:
            self.at += 1
            self.check(self.history.redo(self.revision))

    def check(self, state):
        assert state.document == self.steps[self.at]
        assert state.revision == self.revision + 1
        assert (state.undo is not None) == (self.at > 0)
        assert (state.redo is not None) == (self.at < len(self.steps) - 1)
        self.revision = state.revision

    def teardown(self):
        self.db.close()
        for file in Path().glob(f"file:walk{id(self)}*"):
            file.unlink()


Walk.TestCase.settings = settings(max_examples=12, stateful_step_count=15, deadline=None)
TestWalk = Walk.TestCase


WRITER = textwrap.dedent(
    """
    import sys
    from pathlib import Path
    from garnetfern.store import History
    from garnetfern.store.database import open_database
    from garnetfern.store.tables import Tables
    from garnetfern.store.tables import Tables
    db = open_database(Path(sys.argv[1])); history = History(Tables(db))
    state = history.state() if not history.empty() else history.start({"n": 0}, "start")
    while True:
        state = history.change(state.revision, {"n": state.revision}, "step")
        print(state.revision, flush=True)
    """
)


def test_what_was_acknowledged_before_a_kill_is_there_after_it(tmp_path):
    file = tmp_path / "site.sqlite"
    for lines in (3, 7, 12):
        writer = subprocess.Popen([sys.executable, "-c", WRITER, str(file)], stdout=subprocess.PIPE, text=True)
        acknowledged = [int(writer.stdout.readline()) for _ in range(lines)][-1]
        writer.kill()
        acknowledged = max([acknowledged, *map(int, writer.stdout.read().split())])
        writer.wait()
        writer.stdout.close()
        db = open_database(file)
        state = History(Tables(db)).state()
        assert state.revision >= acknowledged
        assert state.document["n"] == state.revision - 1
        db.close()


def test_a_file_is_written_whole_or_not_at_all(tmp_path, monkeypatch):
    target = tmp_path / "a" / "picture"
    write_whole(target, b"first")
    monkeypatch.setattr("os.replace", lambda *_: (_ for _ in ()).throw(OSError("full")))
    with pytest.raises(OSError, match="full"):
        write_whole(target, b"second")
    assert target.read_bytes() == b"first"
    assert list(tmp_path.rglob(".part-*")) == []


def test_what_an_interrupted_write_left_is_swept(tmp_path):
    (tmp_path / ".part-abc").write_bytes(b"half")
    (tmp_path / "whole").write_bytes(b"whole")
    assert sweep(tmp_path) == 1
    assert [p.name for p in tmp_path.iterdir()] == ["whole"]
