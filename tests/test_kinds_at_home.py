"""What kinds there are is asked of the kinds themselves: no other code asks for one by its name or its class."""

import ast
from collections.abc import Iterator
from pathlib import Path

import pytest

import garnetfern
from garnetfern.core.document import BLOCK_KINDS, LAYER_KINDS
from garnetfern.core.draw.sheets import PAINTERS
from garnetfern.core.reading import KINDS as SITUATIONS
from garnetfern.core.remedy.kinds import KINDS as REMEDIES

ROOT = Path(garnetfern.__file__).parent
HOMES = ("layers", "blocks", "sheets", "kinds", "ideas")
"""Folders in which kinds are at home."""
NAMES = {*LAYER_KINDS, *BLOCK_KINDS, *SITUATIONS, *REMEDIES}
CLASSES = {c.__name__ for c in (*LAYER_KINDS.values(), *PAINTERS)}


def _constants(node: ast.AST) -> Iterator[str]:
    for part in ast.walk(node):
        if isinstance(part, ast.Constant) and isinstance(part.value, str):
            yield part.value


def asked(source: str, names: set[str] = NAMES, classes: set[str] = CLASSES) -> list[str]:
    """Where source text asks what kind something is: comparing a `kind` with a kind's name, matching it, or
    `isinstance` with a kind's class."""
    found = []
    for node in ast.walk(ast.parse(source)):
        said: set[str] = set()
        if isinstance(node, ast.Compare):
            sides = [node.left, *node.comparators]
            if any(isinstance(s, ast.Attribute) and s.attr == "kind" for s in sides):
                said = names & {c for s in sides for c in _constants(s)}
        elif isinstance(node, ast.Match) and isinstance(node.subject, ast.Attribute) and node.subject.attr == "kind":
            said = names & {c for case in node.cases for c in _constants(case.pattern)}
        elif isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id == "isinstance":
            said = classes & {part.id for part in ast.walk(node.args[1]) if isinstance(part, ast.Name)}
        found += [f"line {node.lineno}: {', '.join(sorted(said))}"] if said else []
    return found


@pytest.mark.parametrize(
    ("source", "said"),
    [
        ('if block.kind == "menu": pass', ["line 1: menu"]),
        ('x = layer.kind in ("image", "colour")', ["line 1: colour, image"]),
        ('x = "rest" != situation.kind', ["line 1: rest"]),
        ('match block.kind:\n    case "space":\n        pass', ["line 1: space"]),
        ("x = isinstance(layer, ImageLayer | EdgeLayer)", ["line 1: EdgeLayer, ImageLayer"]),
        ('x = area.kind == "page" and block.lettered and isinstance(area, Block)', []),
    ],
)
def test_such_questions_are_seen(source, said):
    assert asked(source) == said


def test_no_code_away_from_the_kinds_asks_for_one():
    elsewhere = (p for p in ROOT.rglob("*.py") if not set(HOMES) & set(p.relative_to(ROOT).parts))
    found = {str(p.relative_to(ROOT)): asked(p.read_text("utf-8")) for p in elsewhere}
    assert len(found) > 150
    assert {path: lines for path, lines in found.items() if lines} == {}
