"""A kind is declared once, and missing modules are told when they are imported."""

import sys
from types import ModuleType

import pytest

from garnetfern.core.registry import entries, parts


@pytest.fixture
def package(tmp_path, monkeypatch) -> ModuleType:
    """A package of two kinds and a helper."""
    folder = tmp_path / "some_kinds"
    folder.mkdir()
    for name in ("__init__", "fern", "moss", "_common"):
        (folder / f"{name}.py").write_text(f"NAME = {name!r}\n")
    monkeypatch.syspath_prepend(str(tmp_path))
    yield __import__("some_kinds")
    for name in [n for n in sys.modules if n.startswith("some_kinds")]:
        del sys.modules[name]


def test_the_modules_of_a_package_are_its_entries_but_for_helpers(package):
    assert {name: module.NAME for name, module in entries(package).items()} == {"fern": "fern", "moss": "moss"}


def test_parts_come_in_the_order_in_which_the_kinds_are_declared(package):
    assert list(parts(package, ("moss", "fern"))) == ["moss", "fern"]


@pytest.mark.parametrize(
    ("declared", "said"),
    [
        (("fern", "moss", "lichen"), "no module some_kinds.lichen"),
        (("fern",), "some_kinds.moss is of a kind that is not declared"),
    ],
)
def test_what_is_missing_or_not_declared_is_said(package, declared, said):
    with pytest.raises(ImportError, match=said):
        parts(package, declared)
