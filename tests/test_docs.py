"""The documents say what the code does."""

import importlib
import pkgutil
import re
from pathlib import Path

import pytest

import garnetfern
from garnetfern.cli import app
from garnetfern.core import errors
from garnetfern.core.css.choice import CHOOSE_HASH
from garnetfern.core.picture.decode import ENDINGS

HOUSE = Path(__file__).parents[1]
PAGES = [HOUSE / "README.md", HOUSE / "CONTRIBUTING.md", *sorted((HOUSE / "docs").rglob("*.md"))]


@pytest.mark.parametrize("page", PAGES, ids=lambda p: p.name)
def test_every_link_leads_somewhere(page):
    for target in re.findall(r"\]\(([^)#]+)\)", page.read_text()):
        assert (page.parent / target).exists(), f"{page.name} links to {target}"


def test_readme_names_every_command():
    commands = {(c.name or c.callback.__name__) for c in app.registered_commands}
    named = set(re.findall(r"garnetfern (\w+)", (HOUSE / "README.md").read_text()))
    assert commands == named


def test_readme_names_every_kind_of_picture():
    text = (HOUSE / "README.md").read_text().lower()
    assert all(kind in text for kind in ENDINGS)


def test_make_targets_that_are_named_exist():
    targets = set(re.findall(r"^([a-z]+):", (HOUSE / "Makefile").read_text(), re.MULTILINE))
    for page in PAGES:
        assert set(re.findall(r"`?make ([a-z]+)`", page.read_text())) <= targets, page.name


def test_keys_in_the_guide_are_those_of_the_interface():
    keys = (HOUSE / "web" / "src" / "keys.ts").read_text()
    plain = {name.strip("'") for name in re.findall(r"^    ('?.'?): \(\) =>", keys, re.MULTILINE)}
    for key in re.findall(r"`([A-Z?])`", (HOUSE / "docs" / "guide.md").read_text()):
        assert key.lower() in plain


def test_the_guide_admits_the_script_that_is_handed_out():
    assert CHOOSE_HASH in (HOUSE / "docs" / "guide.md").read_text()


def test_no_page_of_the_house_is_too_long():
    for file in [
        *(HOUSE / "garnetfern").rglob("*.py"),
        *(HOUSE / "web" / "src").rglob("*.*"),
        *(HOUSE / "tests").rglob("*.py"),
    ]:
        if file.suffix in {".py", ".ts", ".svelte", ".css"} and "generated" not in file.name:
            lines = [line for line in file.read_text().splitlines() if line.strip()]
            assert len(lines) <= 300, f"{file} has {len(lines)} lines"


def test_lock_files_name_no_registry():
    assert '"resolved"' not in (HOUSE / "web" / "package-lock.json").read_text()


def test_no_component_takes_a_name_that_the_shared_styles_have():
    """A class of app.css reaches into every component; one that means something else must be called otherwise."""
    classes = re.compile(r"^\s*\.([a-z][\w-]*)\s*[{,:]", re.MULTILINE)
    source = HOUSE / "web" / "src"
    shared = set(classes.findall((source / "app.css").read_text()))
    assert "quiet" in shared
    for file in source.rglob("*.svelte"):
        style = re.search(r"<style>(.*)</style>", file.read_text(), re.DOTALL)
        own = set(classes.findall(style[1])) if style else set()
        assert not own & shared, f"{file.name}: {own & shared}"


def _tree(kind: type, depth: int = 0) -> list[tuple[int, str]]:
    """A class and all below it: how deep each lies, and its name."""
    return [(depth, kind.__name__), *(found for below in kind.__subclasses__() for found in _tree(below, depth + 1))]


def test_the_tree_of_errors_is_shown_as_it_is():
    for module in pkgutil.walk_packages(garnetfern.__path__, "garnetfern."):
        if not module.name.endswith("__main__"):
            importlib.import_module(module.name)
    shown = [
        (line.index(name) // 3, name)
        for line in (errors.__doc__ or "").splitlines()
        for name in re.findall(r"\w+Error\b", line)[:1]
        if line.startswith(("Garnet", "├", "└", "│", "   "))
    ]
    assert sorted(shown) == sorted(_tree(errors.GarnetfernError))
