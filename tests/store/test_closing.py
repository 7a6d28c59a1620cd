"""A data folder is closed while other threads read it."""

import sqlite3
import threading

import pytest

from garnetfern.store.connection import Gate
from garnetfern.store.database import open_database

LONG = "WITH RECURSIVE n(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM n WHERE x < 400000) SELECT sum(x) FROM n"


def test_everything_is_closed_only_after_the_statements_that_run(tmp_path):
    db = open_database(tmp_path / "site.db")
    begun, ended = threading.Event(), []

    def read():
        try:
            while True:
                begun.set()
                ended.append(db.execute_sql(LONG).fetchone())
        except Exception as error:
            ended.append(str(error))

    threads = [threading.Thread(target=read) for _ in range(4)]
    for thread in threads:
        thread.start()
    begun.wait()
    db.close_all()
    for thread in threads:
        thread.join(timeout=30)
        assert not thread.is_alive()
    assert [said for said in ended if isinstance(said, str)] == ["Cannot operate on a closed database."] * 4


def test_what_is_inside_is_waited_for_and_nothing_else_comes_in():
    gate = Gate()
    with gate:
        assert not gate.shut(0.01)
    assert gate.shut(0.01)
    with pytest.raises(sqlite3.ProgrammingError, match="closed"), gate:
        raise AssertionError("nobody comes in")
