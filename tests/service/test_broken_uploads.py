"""Broken pictures by the hundred: a reason each, nothing left behind, and memory that stays where it was."""

import gc
import random
import resource
import subprocess
import sys
from pathlib import Path

import pytest

from garnetfern.core.errors import PictureError
from garnetfern.demo.pictures import draw_picture
from garnetfern.demo.tiles import draw_small

from ..conftest import encoded
from ..pictures import png_of_size

COUNT = 1000
MEMORY_KB = 400_000
"""How much the process may grow over all of them, kB."""


def _sources() -> list[bytes]:
    kinds = ("JPEG", "PNG", "WEBP", "AVIF", "GIF")
    svg = b'<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="9" height="9"/></svg>'
    return [*(encoded(60, 40, (90, 120, 60), kind) for kind in kinds), draw_small("fern-tile"), svg]


def broken(seed: int, sources: list[bytes]) -> bytes:
    """A file cut short, with bits turned over, with a wrong beginning, or of giant dimensions."""
    rng = random.Random(seed)
    data = bytearray(rng.choice(sources))
    way = seed % 5
    if way == 0:
        return bytes(data[: rng.randrange(len(data))])
    if way == 1:
        for _ in range(rng.choice([1, 3, 40])):
            data[rng.randrange(len(data))] ^= 1 << rng.randrange(8)
    elif way == 2:
        data[: rng.choice([2, 4, 12])] = rng.randbytes(rng.choice([2, 4, 12]))
    elif way == 3:
        return png_of_size(rng.randrange(1, 2**31), rng.randrange(1, 2**31))
    else:
        at = rng.randrange(len(data))
        data[at:at] = rng.randbytes(rng.randrange(1, 2000))
    return bytes(data)


def _files(folder: Path) -> set[Path]:
    return {p for p in folder.rglob("*") if p.is_file() and ".sqlite" not in p.name}


def test_broken_files_are_refused_with_a_reason_and_leave_nothing(studio, tmp_path):
    sources = _sources()
    studio.add_picture(draw_picture("misted-panes"), "warm.jpg")
    before, kept = _files(tmp_path), 0
    gc.collect()
    start = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    for seed in range(COUNT):
        try:
            asset = studio.add_picture(broken(seed, sources), f"broken {seed}.png")
        except PictureError as error:
            assert len(error.message) > 20
        else:
            kept += 1
            assert asset.width * asset.height <= 80_000_000
    grown = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss - start
    after = _files(tmp_path)
    assert len(after - before) <= kept
    assert not any(p.name.startswith(".part-") for p in after)
    assert grown < MEMORY_KB
    assert kept < COUNT


@pytest.mark.parametrize("name", ["", "x" * 300, "../../etc/passwd", "<script>.png", "a\x00b.png"])
def test_names_are_only_names(studio, name):
    asset = studio.add_picture(encoded(20, 20, (1, 2, 3), "PNG"), name)
    assert "/" not in asset.name
    assert 1 <= len(asset.name) <= 120


def test_nothing_acknowledged_is_lost_by_kills(tmp_path):
    """`make kills` does the same two hundred times."""
    house = Path(__file__).resolve().parent.parent.parent
    command = [sys.executable, "-m", "tests.service.kill_rounds", str(tmp_path / "data"), "15"]
    done = subprocess.run(command, cwd=house, capture_output=True, text=True, timeout=1800)
    assert done.returncode == 0, done.stderr
    kills, acknowledged = (int(word) for word in done.stdout.split() if word.isdigit())
    assert kills == 15
    assert acknowledged >= 7
