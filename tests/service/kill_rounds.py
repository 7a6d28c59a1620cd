"""Kill a process that uploads and edits, at random moments, and look at what it leaves. Run as a program.

Each round forks, so that the application is imported once. The child tells through a pipe what was acknowledged.
"""

import hashlib
import io
import os
import random
import signal
import sys
import time
from pathlib import Path

from PIL import Image

from garnetfern.demo.empty import empty_site_file
from garnetfern.service.edits.pictures import ShelvePicture
from garnetfern.service.studio import Studio


def _picture(seed: int) -> bytes:
    rng = random.Random(seed)
    out = io.BytesIO()
    Image.effect_noise((rng.randrange(40, 160), 60), 60).convert("RGB").save(out, "PNG")
    return out.getvalue() + bytes(str(seed), "ascii")


def work(data: Path, pipe: int, seed: int) -> None:
    """Upload and edit without end; after each acknowledgement write a line."""
    studio = Studio(data)
    os.write(pipe, b"ready\n")
    for n in range(10_000):
        asset = studio.add_picture(_picture(seed * 1000 + n), f"p{seed}-{n}.png")
        os.write(pipe, f"picture {asset.hash}\n".encode())
        state = studio.state()
        state, _ = studio.edit(state.revision, ShelvePicture(asset=asset))
        os.write(pipe, f"revision {state.revision} {asset.hash}\n".encode())


def _check(data: Path, lines: list[str]) -> None:
    studio = Studio(data)
    state = studio.state()
    shelf = {a.hash for a in studio.site().assets}
    for line in lines:
        kind, *rest = line.split()
        hash_ = rest[-1]
        assert hashlib.sha256(studio.pictures.original(hash_)).hexdigest() == hash_, "a half picture"
        assert studio.pictures.find(hash_) is not None, "a picture without its row"
        if kind == "revision":
            assert state.revision >= int(rest[0]), "an edit was lost"
            assert hash_ in shelf, "an acknowledged picture is not on the shelf"
    for file in (data / "pictures" / "originals").rglob("*"):
        if file.is_file():
            assert not file.name.startswith(".part-"), "half a file"
            assert hashlib.sha256(file.read_bytes()).hexdigest() == file.name
    studio.db.close()


def main(data: Path, rounds: int) -> None:
    """Kill that many times."""
    first = Studio(data)
    first.start(empty_site_file(), "A new site")
    first.add_picture(_picture(-1), "warm.png")
    first.site()
    first.db.close()
    rng = random.Random(11)
    acknowledged = 0
    for n in range(rounds):
        read, write = os.pipe()
        child = os.fork()
        if child == 0:
            os.close(read)
            work(data, write, n)
        os.close(write)
        early = os.read(read, 6)
        assert early == b"ready\n"
        first = (
            os.read(read, 4096).decode() if n % 2 else ""
        )  # every other round something was acknowledged for certain
        time.sleep(rng.uniform(0.03, 0.25))
        os.kill(child, signal.SIGKILL)
        os.waitpid(child, 0)
        with os.fdopen(read) as pipe:
            lines = [line for line in (first + pipe.read()).splitlines() if len(line.split()) >= 2]
        acknowledged += len(lines)
        _check(data, lines)
    print(f"{rounds} kills, {acknowledged} acknowledgements")


if __name__ == "__main__":
    main(Path(sys.argv[1]), int(sys.argv[2]))
