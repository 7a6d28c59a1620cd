"""The sample's drawings: what is kept is what the code draws, and nothing older is taken for it."""

import pytest

from garnetfern.demo import kept as keeping
from garnetfern.demo.drawn import FILM, one_after_the_other
from garnetfern.demo.pictures import DRAWERS, painted


@pytest.fixture
def folder(tmp_path, monkeypatch):
    monkeypatch.setattr(keeping, "FOLDER", tmp_path / "drawings")
    keeping._is_ours.cache_clear()
    yield tmp_path / "drawings"
    monkeypatch.undo()
    keeping._is_ours.cache_clear()


def test_what_make_has_kept_is_what_the_code_draws():
    assert keeping.all_kept([*DRAWERS, FILM]), "make setup keeps them"
    assert one_after_the_other()["misted-panes"] == painted("misted-panes")


def test_what_is_kept_is_given_and_nothing_is_drawn(folder):
    keeping.keep({"fern": b"green"})
    assert keeping.kept("fern", lambda: pytest.fail("drawn")) == b"green"
    assert keeping.all_kept(["fern"])
    assert not keeping.all_kept(["fern", "moss"])
    assert keeping.kept("moss", lambda: b"drawn") == b"drawn"


@pytest.mark.parametrize("harm", ["other code", "no stamp", "nothing kept"])
def test_what_cannot_be_vouched_for_is_drawn(folder, harm):
    if harm != "nothing kept":
        keeping.keep({"fern": b"old"})
        stamp = folder / keeping.STAMP
        stamp.write_text("other") if harm == "other code" else stamp.unlink()
    assert keeping.kept("fern", lambda: b"new") == b"new"
    assert not keeping.all_kept(["fern"])
