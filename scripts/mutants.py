"""Do the tests bite? Changes one operator, number or name of the core at a time, and looks whether a test fails.

    python scripts/mutants.py [how many] [--seed n]

Those of `known_mutants.json` once lived; they come first and must all be killed.

Mutants are drawn at random over `core/colour`, `core/reading`, `core/resolve` and `core/remedy`; each runs in a copy of
its own, the tests of the mutated module first. Prints what survived; ends with 1 where under 85 of 100 were killed.
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

ROOT = Path(__file__).parent.parent
ROOMS = ("colour", "reading", "resolve", "remedy")
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
SLOW = ("test_own_kinds", "test_escaping", "test_budget", "test_remedies", "test_situations")


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


def tests_for(path: Path, folder: Path) -> list[str]:
    """The tests of the core in a copy: those whose names share a word with the module's first, slow ones last."""
    words = {w.rstrip("s") for w in (*path.stem.split("_"), path.parent.name)}

    def order(test: Path) -> tuple[bool, bool, str]:
        return test.stem in SLOW, not words & {w.rstrip("s") for w in test.stem.split("_")}, test.stem

    return [str(t.relative_to(folder)) for t in sorted((folder / "tests" / "core").glob("test_*.py"), key=order)]


def failing(tests: list[str], folder: Path, most: float | None = None) -> str | None:
    """The first test that fails in a copy. Raises TimeoutExpired after `most` seconds."""
    command = [sys.executable, "-m", "pytest", "-x", "-q", "-p", "no:cacheprovider", *tests]
    env = {**os.environ, "CI": "true", "PYTHONDONTWRITEBYTECODE": "1"}
    done = subprocess.run(command, cwd=folder, env=env, capture_output=True, text=True, timeout=most, check=False)
    if done.returncode == 0:
        return None
    named = re.search(r"^(?:FAILED|ERROR) (\S+)", done.stdout, re.MULTILINE)
    if named is None:
        raise RuntimeError(f"The tests did not run: {(done.stdout + done.stderr)[-2000:]}")
    return named[1].rpartition("::")[2]


def killed(mutant: Mutant, copies: "SimpleQueue[Path]", most: float) -> str | None:
    """The test that fails with it, or does not end."""
    folder = copies.get()
    place = folder / mutant.path.relative_to(ROOT)
    before = place.read_text("utf-8")
    place.write_text(mutant.text, "utf-8")
    try:
        return failing(tests_for(mutant.path, folder), folder, most)
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
    asked.add_argument("--drawn-alone", action="store_true", help="without those that once lived")
    args = asked.parse_args()
    files = sorted(p for room in ROOMS for p in (ROOT / "garnetfern" / "core" / room).rglob("*.py"))
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
        whole = Path(temporary) / "copy-0"
        began = time.monotonic()
        if without := failing(tests_for(files[0], whole), whole):
            print(f"{without} fails without any mutant; there is nothing to be learnt from the others.")
            return 2
        most = PATIENCE * (time.monotonic() - began)
        print(f"without a mutant the tests take {most / PATIENCE:.0f} s", flush=True)
        lived = []
        for mutant, by in zip(drawn, pool.map(lambda m: killed(m, copies, most), drawn), strict=True):
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
