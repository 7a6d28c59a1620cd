"""A release as a folder: the old one or the new one stands there, whole, whatever happens meanwhile."""

import hashlib
import json
import os
import random
import signal
import time

import pytest

from garnetfern.store import FolderError, Release, ReleasedFile, planned, write_release
from garnetfern.store import exchange as exchanging
from garnetfern.store.exchange import put_in_place, recover
from garnetfern.store.release_folder import MANIFEST


class Held:
    """Files of releases by their content."""

    def __init__(self):
        self.contents = {}

    def keep(self, text):
        data = text.encode()
        file = ReleasedFile(hashlib.sha256(data).hexdigest(), len(data))
        self.contents[file.hash] = data
        return file

    def data(self, file):
        return self.contents[file.hash]


HELD = Held()


def release(number, count=3, size=1):
    """A release of some files, those of other numbers differing in every page."""
    files = {"index.html": HELD.keep(f"page of {number} " * size)}
    files |= {f"css/home-{number}.css": HELD.keep(f"sheet of {number}")}
    files |= {f"pictures/fern-{n}.webp": HELD.keep(f"picture {n} " * size) for n in range(count)}
    return Release(number, "2026-05-01T10:00:00+00:00", number, None, files, {"short": 0, "sentence": "All."})


def write(target, made, site="site"):
    return write_release(target, site, made, made.files, HELD.data)


def tree(folder):
    return {p.relative_to(folder).as_posix(): p.read_bytes() for p in folder.rglob("*") if p.is_file()}


def whole(folder):
    """The number of the release that a folder holds, every file of it as it should be and none beside."""
    found = tree(folder)
    said = json.loads(found.pop(MANIFEST))
    assert {path: hashlib.sha256(data).hexdigest() for path, data in found.items()} == said["files"]
    return said["release"]


def test_it_is_written_and_replaced(tmp_path):
    target = tmp_path / "deep" / "www"
    first = write(target, release(1))
    assert (whole(target), len(first.fresh), first.gone) == (1, 5, ())
    assert target.stat().st_mode & 0o777 == 0o755
    second = write(target, release(2))
    assert whole(target) == 2
    assert (second.fresh, second.gone) == (("css/home-2.css", "index.html"), ("css/home-1.css",))
    assert second.same == tuple(f"pictures/fern-{n}.webp" for n in range(3))
    assert os.listdir(target.parent) == ["www"]


def test_what_is_the_owner_s_comes_along(tmp_path):
    target = tmp_path / "www"
    write(target, release(1))
    (target / ".htaccess").write_text("Options -Indexes")
    (target / "more").mkdir()
    (target / "more" / "map.pdf").write_text("a map")
    plan = write(target, release(2))
    assert plan.own == (".htaccess", "more/map.pdf")
    assert (target / "more" / "map.pdf").read_text() == "a map"
    assert (target / ".htaccess").read_text() == "Options -Indexes"


@pytest.mark.parametrize("way", ["strangers", "another site", "a file", "a clash", "a broken manifest"])
def test_other_people_s_folders_are_left_alone(tmp_path, way):
    target = tmp_path / "www"
    if way == "a file":
        target.write_text("mine")
    elif way == "another site":
        write(target, release(1), "the-reading-room")
    else:
        target.mkdir()
        (target / "index.html").write_text("by hand")
    if way == "a broken manifest":
        (target / MANIFEST).write_text("{")
    if way == "a clash":
        (target / "index.html").unlink()
        write(target, release(1))
        (target / "css" / "home-2.css").write_text("by hand")
    before = tree(target) if target.is_dir() else target.read_text()
    with pytest.raises(FolderError, match="Nothing was written"):
        write(target, release(2))
    assert (tree(target) if target.is_dir() else target.read_text()) == before
    assert os.listdir(tmp_path) == ["www"]


def test_an_empty_folder_is_as_good_as_none(tmp_path):
    (tmp_path / "www").mkdir(mode=0o750)
    write(tmp_path / "www", release(1))
    assert whole(tmp_path / "www") == 1
    assert (tmp_path / "www").stat().st_mode & 0o777 == 0o750


def test_a_file_that_cannot_be_read_leaves_the_old_release(tmp_path):
    target = tmp_path / "www"
    write(target, release(1))
    broken = release(2)
    with pytest.raises(KeyError):
        write_release(target, "site", broken, {**broken.files, "z.css": ReleasedFile("0" * 64, 1)}, HELD.data)
    assert whole(target) == 1
    assert os.listdir(tmp_path) == ["www"]


def test_two_at_a_time_are_one_too_many(tmp_path):
    def again(file):
        with pytest.raises(FolderError, match="another process"):
            write(tmp_path / "www", release(2))
        return HELD.data(file)

    made = release(1)
    write_release(tmp_path / "www", "site", made, made.files, again)
    assert whole(tmp_path / "www") == 1


def test_listing_writes_nothing(tmp_path):
    plan = planned(tmp_path / "www", "site", release(1).files)
    assert len(plan.fresh) == 5
    assert os.listdir(tmp_path) == []


def test_systems_that_cannot_exchange(tmp_path, monkeypatch):
    monkeypatch.setattr(exchanging, "_exchange", lambda *_: False)
    write(tmp_path / "www", release(1))
    write(tmp_path / "www", release(2))
    assert whole(tmp_path / "www") == 2
    assert os.listdir(tmp_path) == ["www"]


def test_a_crash_between_two_renames_is_mended(tmp_path):
    write(tmp_path / "www", release(1))
    os.rename(tmp_path / "www", tmp_path / ".before-www")
    recover(tmp_path / "www")
    assert whole(tmp_path / "www") == 1
    # and after both of them: the new one stands, the old one goes
    write(tmp_path / ".before-www", release(0))
    recover(tmp_path / "www")
    assert whole(tmp_path / "www") == 1
    assert os.listdir(tmp_path) == ["www"]


def test_an_exchange_that_fails_says_so(tmp_path):
    (tmp_path / "www").mkdir()
    (tmp_path / "www" / "x").write_text("x")
    with pytest.raises(FileNotFoundError):
        put_in_place(tmp_path / "nowhere", tmp_path / "www")
    assert tree(tmp_path / "www") == {"x": b"x"}


def test_fifty_kills_leave_the_old_one_or_the_new_one(tmp_path):
    target = tmp_path / "www"
    odd, even = release(1, 60, 400), release(2, 60, 400)
    start = time.monotonic()
    write(target, even)
    took = time.monotonic() - start
    rng = random.Random(7)
    seen = set()
    for n in range(50):
        read, done = os.pipe()
        child = os.fork()
        if child == 0:
            write(target, odd if n % 2 == 0 else even)
            os.write(done, b"!")
            signal.pause()
        if n % 5 == 0:
            os.read(read, 1)
        else:
            time.sleep(rng.uniform(0, 2 * took))
        os.kill(child, signal.SIGKILL)
        os.waitpid(child, 0)
        os.close(read)
        os.close(done)
        seen.add(whole(target))
    assert seen == {1, 2}
    write(target, release(3))
    assert whole(target) == 3
    assert os.listdir(tmp_path) == ["www"]
