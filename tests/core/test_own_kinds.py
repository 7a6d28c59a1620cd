"""A kind of layer and a kind of block can be new files alone: those of `tests/own_kinds` go through everything."""

import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).parents[2]


def test_kinds_that_are_new_files_alone_go_through_the_whole_application():
    plugin = ("-p", "tests.own_kinds", "-p", "no:cacheprovider", "-v", "tests/own_kinds/taken_through.py")
    found = subprocess.run(
        [sys.executable, "-m", "pytest", *plugin], cwd=ROOT, capture_output=True, text=True, timeout=600, check=False
    )
    assert found.returncode == 0, found.stdout[-4000:] + found.stderr[-2000:]
    assert "6 passed" in found.stdout
