"""The room: hostile files are refused with a sentence, workers that break are replaced, walls hold."""

import io
import os
import signal
import subprocess
import sys
import textwrap
import threading
import time

import pytest
from PIL import Image

from garnetfern.core import limits
from garnetfern.core.errors import GarnetfernError, PictureError
from garnetfern.sandbox import Room
from garnetfern.sandbox.pool import Asked, OverrunError, Pool
from tests.conftest import encoded, jpeg
from tests.hostile import DRAWINGS, PICTURES, png_of, saved, svg


@pytest.fixture(scope="module")
def room():
    made = Room(1)
    yield made
    made.close()


@pytest.mark.parametrize("name", [*DRAWINGS, *PICTURES])
def test_a_hostile_file_is_refused_with_a_sentence_or_taken_within_limits(room, name):
    started = time.monotonic()
    try:
        facts, _ = room.look_at({**DRAWINGS, **PICTURES}[name], "fern.svg")
    except GarnetfernError as error:
        assert error.message.startswith("fern.svg ")
        assert error.message.endswith(".")
    else:
        assert min(facts.width, facts.height) >= 1
        assert max(facts.width, facts.height) <= limits.PICTURE_SIDE
    assert time.monotonic() - started < limits.ROOM_UPLOAD_SECONDS + 5
    assert room.examine(jpeg(), "good.jpg").width == 60


def at_the_edge(**more):
    """A drawing that asks for one kind of thing."""
    clip = '<clipPath id="c"><rect width="9" height="9"/></clipPath>'
    return {
        "nesting": lambda n: svg("<g>" * (n - 2) + "<rect/>" + "</g>" * (n - 2)),
        "side": lambda n: svg("<rect/>", n, 10),
        "text": lambda n: svg(f"<text>{'x' * n}</text>"),
        "elements": lambda n: svg("<rect/>" * (n - 1)),
        "sheets": lambda n: svg(clip + '<rect clip-path="url(#c)"/>' * n),
        "deep": lambda n: svg('<g opacity=".9">' * n + "<rect/>" + "</g>" * n),
        "blur": lambda n: svg(f'<filter id="f"><feGaussianBlur stdDeviation="{n}"/></filter><rect/>'),
    }[more["what"]]


@pytest.mark.parametrize(
    ("what", "limit", "step"),
    [
        ("nesting", limits.SVG_NESTING, 1),
        ("side", limits.SVG_SIDE, 1),
        ("text", limits.SVG_TEXT, 1),
        ("elements", limits.SVG_ELEMENTS, 1),
        ("sheets", limits.SVG_SHEETS, 1),
        ("deep", limits.SVG_SHEETS_DEEP, 1),
        ("blur", limits.SVG_BLUR, 0.5),
    ],
)
def test_a_drawing_is_taken_at_its_limit_and_refused_beyond(what, limit, step):
    from garnetfern.core.picture.vector import svg_facts

    make = at_the_edge(what=what)
    assert svg_facts(make(limit), "fern.svg")
    with pytest.raises(PictureError):
        svg_facts(make(limit + step), "fern.svg")


def test_a_side_is_taken_at_its_limit_and_refused_beyond(room):
    grey = Image.new("L", (limits.PICTURE_SIDE, 2))
    assert room.examine(saved(grey, "PNG"), "long.png").width == limits.PICTURE_SIDE
    with pytest.raises(PictureError, match="16,383"):
        room.examine(png_of(limits.PICTURE_SIDE + 1, 2), "longer.png")
    assert limits.PICTURE_PIXELS == 16_000 * 5_000
    with pytest.raises(PictureError, match="80 megapixels"):
        room.examine(png_of(16_000, 5_001), "larger.png")


def test_a_large_picture_is_opened_within_the_room(room):
    big = Image.new("RGB", (8000, 6250), (90, 120, 60))
    assert room.look_at(saved(big, "WEBP", method=0), "big.webp")[0].height == 6250
    cmyk = Image.new("CMYK", (10_000, 8_000))
    assert room.examine(saved(cmyk, "JPEG"), "print.jpg").width == 10_000


@pytest.fixture
def pool():
    made = Pool(1)
    yield made
    made.close()
    assert not made._free


def test_what_overruns_or_dies_is_told_and_replaced(pool):
    said = {"name": "x", "look": True}
    pool.warm()
    # held still: no work is sure to take longer than a busy machine lets others wait
    os.kill(pool._free[0].process.pid, signal.SIGSTOP)
    with pytest.raises(OverrunError, match="time"):
        pool.ask(Asked("examine", said, [jpeg()], 0.2, True))
    assert pool.ask(Asked("examine", said, [jpeg()], 10, True))[0]["facts"]["width"] == 60
    first = pool._free[0].process
    os.kill(first.pid, signal.SIGKILL)
    first.wait()
    assert pool.ask(Asked("examine", said, [jpeg()], 10, True))[0]["facts"]["width"] == 60
    victim = pool._free[0].process

    large = saved(Image.effect_noise((3000, 3000), 60), "PNG")

    def kill() -> None:
        time.sleep(0.05)
        os.kill(victim.pid, signal.SIGKILL)

    killer = threading.Thread(target=kill)
    killer.start()
    with pytest.raises(OverrunError, match="died"):
        pool.ask(Asked("examine", said, [large], 20, True))
    killer.join()
    assert pool.ask(Asked("examine", said, [jpeg()], 10, True))[0]["facts"]["width"] == 60


def asking(pool, hurry, done):
    """Somebody who has a small picture examined, and says so when it is done."""

    def ask():
        pool.ask(Asked("examine", {"name": "x", "look": False}, [jpeg()], 10, hurry))
        done.append(hurry)

    thread = threading.Thread(target=ask)
    thread.start()
    return thread


def test_those_in_a_hurry_come_before_work_in_the_background(pool):
    pool.warm()
    hurried, behind = pool._take(True), pool._take(False)
    done = []
    later = asking(pool, False, done)
    now = asking(pool, True, done)
    while pool._hurried == 0:
        time.sleep(0.01)
    pool._give_back(behind, False)
    time.sleep(0.2)
    assert done == [], "there is a worker, and somebody in a hurry who waits for another"
    pool._give_back(hurried, True)
    now.join()
    later.join()
    assert sorted(done) == [False, True]


def test_work_in_the_background_never_takes_the_last_worker(pool):
    behind = pool._take(False)
    done = []
    later = asking(pool, False, done)
    asking(pool, True, done).join(timeout=20)
    assert done == [True], "only who is in a hurry is served while the background has its share"
    pool._give_back(behind, False)
    later.join()
    assert done == [True, False]


TRIES = textwrap.dedent(
    """
    import ctypes, os, socket, sys
    from garnetfern.sandbox import walls
    secret = sys.argv[1]
    network = walls.no_network()
    libc = ctypes.CDLL(None, use_errno=True)
    walls.bounded()
    files = walls.no_files()
    def raw_open():
        handle = libc.open(secret.encode(), 0)
        if handle < 0: raise PermissionError(ctypes.get_errno())
    def raw_write():
        handle = libc.open((secret + ".new").encode(), 0o101, 0o600)
        if handle < 0: raise PermissionError(ctypes.get_errno())
    def connect():
        s = socket.socket(); s.settimeout(2); s.connect(("127.0.0.1", int(sys.argv[2])))
    def tried(what):
        try: what()
        except MemoryError: return "memory"
        except OSError: return "refused"
        return "done"
    found = {"raw_open": tried(raw_open), "raw_write": tried(raw_write), "connect": tried(connect)}
    found["memory"] = tried(lambda: bytearray(4_000 * 1024 * 1024))
    walls.no_opening()
    found["open"] = tried(lambda: open(secret))
    found["fork"] = tried(lambda: os.posix_spawn("/bin/true", ["true"], {}))
    print(network, files, found)
    """
)


def test_the_walls_hold_against_more_than_python(tmp_path):
    import ast
    import socket

    secret = tmp_path / "garnetfern.sqlite"
    secret.write_text("the site")
    with socket.socket() as listening:
        listening.bind(("127.0.0.1", 0))
        listening.listen()
        command = [sys.executable, "-c", TRIES, str(secret), str(listening.getsockname()[1])]
        done = subprocess.run(command, capture_output=True, text=True, timeout=60)
    network, files, told = done.stdout.split(" ", 2)
    found = ast.literal_eval(told)
    assert found["open"] == found["fork"] == "refused"
    assert found["memory"] == "memory"
    if files == "True":
        assert found["raw_open"] == found["raw_write"] == "refused"
    if network == "True" or files == "True":
        assert found["connect"] == "refused"


def test_rare_encodings_of_drawings_are_read_behind_the_walls(room):
    text = '<?xml version="1.0" encoding="{}"?><svg xmlns="http://www.w3.org/2000/svg" width="20" height="10"/>'
    for name in ("iso-8859-15", "koi8-r", "windows-1252", "utf-8"):
        assert room.examine(text.format(name).encode(name), "d.svg").width == 20


def test_a_picture_is_the_same_from_the_room_as_from_near(room):
    from garnetfern.core.picture.decode import examined
    from garnetfern.core.picture.known import known_of

    data = encoded(300, 200, (40, 90, 60), "PNG")
    facts, image = examined(data, "p.png")
    assert room.look_at(data, "p.png") == (facts, known_of(image))
    assert Image.open(io.BytesIO(data)).size == (facts.width, facts.height)
