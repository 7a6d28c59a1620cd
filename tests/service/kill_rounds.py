"""Kill a process at random moments of its work, and look at what it leaves. Run as a program: FOLDER ROUNDS.

Each round forks, so that the application is imported once. The child tells through a pipe what was acknowledged.
What it does changes from round to round: uploading and editing, packing, backing up, migrating.
"""

import io
import os
import random
import shutil
import signal
import sqlite3
import sys
import time
from pathlib import Path

from PIL import Image

from garnetfern.service.edits.pictures import ShelvePicture
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.kinds.empty import empty_site
from garnetfern.service.workspace.house import first_site
from garnetfern.service.workspace.studio import Studio
from garnetfern.store import backup, verify
from garnetfern.store.opening import DATABASE
from tests.near_room import NearRoom


def _picture(seed: int) -> bytes:
    rng = random.Random(seed)
    out = io.BytesIO()
    Image.effect_noise((rng.randrange(40, 160), 60), 60).convert("RGB").save(out, "PNG")
    return out.getvalue() + bytes(str(seed), "ascii")


def _upload(studio: Studio, pipe: int, seed: int, n: int) -> None:
    asset = studio.add_picture(_picture(seed * 1000 + n), f"p{seed}-{n}.png")
    os.write(pipe, f"picture {asset.hash}\n".encode())
    state, _ = studio.edit(studio.state().revision, ShelvePicture(asset=asset))
    os.write(pipe, f"revision {state.revision} {asset.hash}\n".encode())


def uploading(data: Path, pipe: int, seed: int) -> None:
    """Upload and edit without end; after each acknowledgement write a line."""
    studio = first_site(data, NearRoom())
    os.write(pipe, b"ready\n")
    for n in range(10_000):
        _upload(studio, pipe, seed, n)


def packing(data: Path, pipe: int, seed: int) -> None:
    """The same, and everything packed after each picture, and a copy made."""
    studio = first_site(data, NearRoom())
    os.write(pipe, b"ready\n")
    for n in range(10_000):
        _upload(studio, pipe, seed, n)
        studio.bundle()
        studio.site_file()
        shutil.rmtree(data / "copies", ignore_errors=True)
        studio.folder.keep_copy()


def backing_up(data: Path, pipe: int, seed: int) -> None:
    """The same, and a backup after each picture."""
    studio = first_site(data, NearRoom())
    os.write(pipe, b"ready\n")
    for n in range(10_000):
        _upload(studio, pipe, seed, n)
        backup(data, data.parent / "kept.backup.zip")


def migrating(data: Path, pipe: int, seed: int) -> None:
    """The database taken back to an earlier form and opened again, without end."""
    os.write(pipe, b"ready\n")
    for n in range(10_000):
        with sqlite3.connect(data / DATABASE) as db:
            db.execute("DROP TABLE IF EXISTS made")
            db.execute("DELETE FROM migration WHERE name LIKE '0003%'")
        db.close()
        studio = first_site(data, NearRoom())
        _upload(studio, pipe, seed, n)
        studio.close()


WAYS = (uploading, uploading, packing, backing_up, migrating)


def check(data: Path, lines: list[str]) -> None:
    """Everything that was acknowledged is there, and nothing is wrong with the folder."""
    grave = [f.what for f in verify(data) if f.grave]
    assert not grave, grave
    studio = first_site(data, NearRoom())
    state = studio.state()
    shelf = {a.hash for a in studio.site().assets}
    for line in lines:
        kind, *rest = line.split()
        studio.pictures.original(rest[-1])
        assert studio.pictures.find(rest[-1]) is not None, "a picture without its row"
        if kind == "revision":
            assert state.revision >= int(rest[0]), "an edit was lost"
            assert rest[-1] in shelf, "an acknowledged picture is not on the shelf"
    assert not list(data.rglob(".part-*")), "half a file"
    studio.close()
    # a picture that came in whole and was not acknowledged may lie there without a row
    later = [f.what for f in verify(data) if f.grave or "without a row" not in f.what]
    assert not later, later


def main(data: Path, rounds: int) -> None:
    """Kill that many times."""
    first = first_site(data, NearRoom())
    first.start(SiteFile(empty_site(), {}), "A new site")
    first.add_picture(_picture(-1), "warm.png")
    first.close()
    rng = random.Random(11)
    acknowledged = 0
    for n in range(rounds):
        read, write = os.pipe()
        child = os.fork()
        if child == 0:
            os.close(read)
            WAYS[n % len(WAYS)](data, write, n)
        os.close(write)
        assert os.read(read, 6) == b"ready\n"
        # every other round something was acknowledged for certain
        early = os.read(read, 4096).decode() if n % 2 else ""
        time.sleep(rng.uniform(0.01, 0.25))
        os.kill(child, signal.SIGKILL)
        os.waitpid(child, 0)
        with os.fdopen(read) as pipe:
            lines = [line for line in (early + pipe.read()).splitlines() if len(line.split()) >= 2]
        acknowledged += len(lines)
        check(data, lines)
    print(f"{rounds} kills, {acknowledged} acknowledgements")


if __name__ == "__main__":
    main(Path(sys.argv[1]), int(sys.argv[2]))
