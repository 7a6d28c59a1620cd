"""Do the tests bite? Changes one operator, number or name of the core at a time, and looks whether a test fails.

    python scripts/mutants.py [how many] [--seed n]

Those of `known_mutants.json` once lived; they come first and must all be killed.

Mutants are drawn at random over `core/colour`, `core/picture`, `core/reading`, `core/resolve` and `core/remedy`, or
over the files whose paths hold `--where`; each runs in a copy of its own, with the tests that run through the changed
line. Prints what survived; ends with 1 where under 85 of 100 were killed.
"""

import argparse
import ast
import copy
import json
import os
import random
import re
import shutil
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from queue import SimpleQueue
from typing import Any

from coverage import CoverageData

ROOT = Path(__file__).parent.parent
ROOMS = ("colour", "picture", "reading", "resolve", "remedy")
WANTED = 0.85
PATIENCE = 3
"""A mutant with which the tests take so many times as long as without one makes them run for ever: it is killed."""
SWAPS: dict[type[ast.AST], type[ast.AST]] = {
    ast.Lt: ast.LtE, ast.LtE: ast.Lt, ast.Gt: ast.GtE, ast.GtE: ast.Gt, ast.Eq: ast.NotEq, ast.NotEq: ast.Eq,
    ast.Add: ast.Sub, ast.Sub: ast.Add, ast.Mult: ast.Div, ast.Div: ast.Mult, ast.And: ast.Or, ast.Or: ast.And,
    ast.In: ast.NotIn, ast.NotIn: ast.In, ast.Is: ast.IsNot, ast.IsNot: ast.Is,
}  # fmt: skip
NAMES = {"min": "max", "max": "min", "any": "all", "all": "any", "floor": "ceil", "ceil": "floor"}
ATTRIBUTES = {"width": "height", "height": "width", "x": "y", "y": "x", "minimum": "maximum", "maximum": "minimum"}
ENV = {**os.environ, "CI": "true", "PYTHONDONTWRITEBYTECODE": "1"}
AT_MOST = 400
"""So many tests are tried with a mutant, those of its own room first."""
APART = ("test_own_kinds",)
"""What runs in a process of its own is not seen."""
SLOW = ("test_escaping", "test_budget", "test_remedies", "test_situations")


@dataclass(frozen=True)
class Mutant:
    """A changed file: where, what was there, what is there now, and the whole text."""

    path: Path
    line: int
    was: str
    now: str
    text: str


def _changes(node: ast.AST) -> Iterator[ast.AST]:
    """The node with one thing changed, in every way there is."""
    changed: Any = copy.deepcopy(node)
    if isinstance(node, ast.BinOp | ast.BoolOp) and type(node.op) in SWAPS:
        changed.op = SWAPS[type(node.op)]()
        yield changed
    elif isinstance(node, ast.Compare) and type(node.ops[0]) in SWAPS:
        changed.ops[0] = SWAPS[type(node.ops[0])]()
        yield changed
    elif isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.Not):
        yield copy.deepcopy(node.operand)
    elif isinstance(node, ast.Constant) and isinstance(node.value, int | float) and not isinstance(node.value, bool):
        yield ast.Constant(node.value + 1 if isinstance(node.value, int) else node.value * 1.5 + 0.1)
    elif isinstance(node, ast.Name) and node.id in NAMES:
        yield ast.Name(NAMES[node.id], node.ctx)
    elif isinstance(node, ast.Attribute) and node.attr in ATTRIBUTES and isinstance(node.ctx, ast.Load):
        yield ast.Attribute(node.value, ATTRIBUTES[node.attr], node.ctx)


def mutants_of(path: Path) -> Iterator[Mutant]:
    """Every mutant of a file. What stands outside of functions is left alone: most of it are facts."""
    text = path.read_text("utf-8")
    lines = text.encode().split(b"\n")
    for function in (n for n in ast.walk(ast.parse(text)) if isinstance(n, ast.FunctionDef)):
        for part in (p for stage in function.body for p in ast.walk(stage)):
            for changed in _changes(part):
                was, now = ast.unparse(part), ast.unparse(changed)
                yield Mutant(path, part.lineno, was, now, _with(lines, part, now))  # type: ignore[attr-defined]


def _with(lines: list[bytes], part: Any, now: str) -> str:
    """A text in which one part of its tree says something else."""
    first, last = part.lineno - 1, part.end_lineno - 1
    there = lines[first][: part.col_offset] + f"({now})".encode() + lines[last][part.end_col_offset :]
    return b"\n".join([*lines[:first], there, *lines[last + 1 :]]).decode()


def known() -> list[Mutant]:
    """Those that once lived."""
    found = []
    for row in json.loads((ROOT / "scripts" / "known_mutants.json").read_text()):
        path = ROOT / "garnetfern" / "core" / row["file"]
        text = path.read_text("utf-8")
        before, there, after = text.partition(row["was"])
        if not there:
            raise ValueError(f"{row['file']} does not say {row['was']!r} any more.")
        found.append(Mutant(path, before.count("\n") + 1, row["was"], row["now"], before + row["now"] + after))
    return found


TOLD_APART = """
import coverage
import pytest

@pytest.hookimpl(tryfirst=True)
def pytest_runtest_protocol(item):
    coverage.Coverage.current().switch_context(item.nodeid)
"""
"""A plugin by which `coverage` knows which test is running."""


class Touching:
    """Which tests of the core run through a line: found once, by running all of them under `coverage`."""

    def __init__(self, folder: Path) -> None:
        (folder / "covered.cfg").write_text("[run]\nsource = garnetfern.core\n")
        (folder / "told_apart.py").write_text(TOLD_APART)
        every = [str(t.relative_to(folder)) for t in sorted((folder / "tests" / "core").glob("test_*.py"))]
        kept = [t for t in every if Path(t).stem not in APART]
        covered = ["coverage", "run", "--rcfile=covered.cfg", "-m", "pytest", "-q", "-p", "no:cacheprovider"]
        covered += ["-p", "told_apart", *kept]
        done = subprocess.run([sys.executable, "-m", *covered], cwd=folder, env=ENV, capture_output=True, text=True)
        if done.returncode:
            raise RuntimeError(f"Tests fail without any mutant: {done.stdout[-2000:]}")
        self._data = CoverageData(str(folder / ".coverage"))
        self._data.read()
        self._folder = folder

    def of(self, mutant: Mutant) -> list[str]:
        """Ids of tests, those of the mutant's own room first. Where a fixture alone runs through it: all tests."""
        lines = self._data.contexts_by_lineno(str(self._folder / mutant.path.relative_to(ROOT)))
        contexts = lines.get(mutant.line, [])
        found = {context for context in contexts if context}
        words = {w.rstrip("s") for w in (*mutant.path.stem.split("_"), mutant.path.parent.name)}

        def order(test: str) -> tuple[bool, bool, str]:
            name = Path(test.partition("::")[0]).stem
            return name in SLOW, not words & {w.rstrip("s") for w in name.split("_")}, test

        return sorted(found, key=order)[:AT_MOST] or (["tests/core"] if contexts else [])


def failing(tests: list[str], folder: Path, most: float | None = None) -> str | None:
    """The first test that fails in a copy. Raises TimeoutExpired after `most` seconds."""
    command = [sys.executable, "-m", "pytest", "-x", "-q", "-p", "no:cacheprovider", *tests]
    done = subprocess.run(command, cwd=folder, env=ENV, capture_output=True, text=True, timeout=most, check=False)
    if done.returncode == 0:
        return None
    named = re.search(r"^(?:FAILED|ERROR) (\S+)", done.stdout, re.MULTILINE)
    if named is None:
        raise RuntimeError(f"The tests did not run: {(done.stdout + done.stderr)[-2000:]}")
    return named[1].rpartition("::")[2]


def killed(mutant: Mutant, copies: "SimpleQueue[Path]", tests: list[str], most: float) -> str | None:
    """The test that fails with it, or does not end."""
    if not tests:
        return None
    folder = copies.get()
    place = folder / mutant.path.relative_to(ROOT)
    before = place.read_text("utf-8")
    place.write_text(mutant.text, "utf-8")
    try:
        return failing(tests, folder, most)
    except subprocess.TimeoutExpired:
        return "time"
    finally:
        place.write_text(before, "utf-8")
        copies.put(folder)


def main() -> int:
    """Draw, run, tell."""
    asked = argparse.ArgumentParser(description=__doc__)
    asked.add_argument("count", type=int, nargs="?", default=60)
    asked.add_argument("--seed", type=int, default=1)
    asked.add_argument("--at-once", type=int, default=max(1, os.cpu_count() or 1))
    asked.add_argument("--where", default="", help="a part of the paths of the files to change")
    asked.add_argument("--drawn-alone", action="store_true", help="without those that once lived")
    args = asked.parse_args()
    files = sorted(p for room in ROOMS for p in (ROOT / "garnetfern" / "core" / room).rglob("*.py"))
    files = [path for path in files if args.where in str(path)]
    every = [m for path in files for m in mutants_of(path)]
    drawn = [
        *([] if args.drawn_alone else known()),
        *random.Random(args.seed).sample(every, min(args.count, len(every))),
    ]
    with tempfile.TemporaryDirectory() as temporary, ThreadPoolExecutor(args.at_once) as pool:
        copies: SimpleQueue[Path] = SimpleQueue()
        for n in range(args.at_once):
            folder = Path(temporary) / f"copy-{n}"
            for part in ("garnetfern", "tests", "scripts", "web/src", "docs"):
                shutil.copytree(ROOT / part, folder / part, ignore=shutil.ignore_patterns("__pycache__"))
            shutil.copy(ROOT / "pyproject.toml", folder)
            copies.put(folder)
        began = time.monotonic()
        touching = Touching(Path(temporary) / "copy-0")
        most = PATIENCE * (time.monotonic() - began)
        print(f"without a mutant the tests take {most / PATIENCE:.0f} s, watched line by line", flush=True)
        tests = [touching.of(mutant) for mutant in drawn]
        outcomes = pool.map(lambda m, of: killed(m, copies, of, most), drawn, tests)
        lived = []
        for mutant, by in zip(drawn, outcomes, strict=True):
            where = f"{mutant.path.relative_to(ROOT)}:{mutant.line}"
            told = f"killed by {by}" if by else "LIVES"
            print(f"{told}: {where}  {mutant.was}  ->  {mutant.now}", flush=True)
            if by is None:
                lived.append(mutant)
    share = 1 - len(lived) / max(1, len(drawn))
    print(f"{len(drawn)} of {len(every)} mutants, {share:.0%} killed, {len(lived)} live")
    return 0 if share >= WANTED else 1


if __name__ == "__main__":
    sys.exit(main())
