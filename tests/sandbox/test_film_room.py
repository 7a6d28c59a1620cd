"""Films in the room: what is broken or hostile ends its task and nothing else, and says why; walls hold."""

import io
import os
import signal
import sys
import threading
import time
from fractions import Fraction
from pathlib import Path

import pytest

from garnetfern.core import limits
from garnetfern.core.document.footage import footage_of
from garnetfern.core.errors import PictureError
from garnetfern.core.film import Reel
from garnetfern.core.resolve.film import Cut
from garnetfern.sandbox import Room
from garnetfern.sandbox.worker import AFTER, BEHIND
from tests.conftest import jpeg
from tests.films import film, film_of


@pytest.fixture(scope="module")
def room():
    made = Room(1)
    yield made
    made.close()


def whole(**more):
    return film(**{"count": 12, **more})


def without_index():
    """All pictures, but not where they are."""
    data = whole()
    return data[: data.index(b"moov") - 4]


def half():
    """An index that says more than there is."""
    from garnetfern.core.film.coding import coded

    frames = list(Reel(io.BytesIO(film(count=48))).frames([n / 12 for n in range(48)]))
    data = coded(lambda: iter(frames), 48, Fraction(12), (320, 180), "h264", 9_000_000, lambda _: None).data
    return data[: data.index(b"mdat") + (len(data) - data.index(b"mdat")) * 6 // 10]


def only_sound():
    import av

    out = io.BytesIO()
    with av.open(out, "w", format="mp4") as container:
        stream = container.add_stream("aac", rate=44100, layout="stereo")
        for n in range(5):
            frame = av.AudioFrame(format="fltp", layout="stereo", samples=1024)
            for plane in frame.planes:
                plane.update(bytes(plane.buffer_size))
            frame.rate, frame.pts, frame.time_base = 44100, 1024 * n, Fraction(1, 44100)
            container.mux(stream.encode(frame))
        container.mux(stream.encode(None))
    return out.getvalue()


REFUSED = {
    "nothing": (lambda: b"", "not a film"),
    "text": (lambda: b"a film, honestly" * 9, "not a film"),
    "a head alone": (lambda: b"\0\0\0\x20ftypisom" + b"\0" * 40, "damaged"),
    "noise behind a head": (lambda: b"\0\0\0\x14ftypisom\0\0\0\0isom" + os.urandom(5000), "damaged"),
    "noise in webm": (lambda: b"\x1a\x45\xdf\xa3" + os.urandom(5000), "damaged"),
    "no index": (without_index, "damaged"),
    "sound alone": (only_sound, "no moving pictures"),
    "one picture": (lambda: film(count=1), "no film"),
    "too wide": (lambda: whole(encoder="mjpeg", pixels="yuvj420p", size=(4104, 16), kind="mov"), "4,104 x 16 px"),
    "too many pictures": (lambda: whole(rate=260, count=60), "pictures in a second"),
    "too long": (lambda: whole(count=3, rate=1, times=[0, 300, 605]), "longer than 10 minutes"),
    "a kind that is not opened": (lambda: whole(encoder="ffv1", kind="matroska", pixels="yuv420p"), "not opened here"),
}
TOLD = {
    "ends early": (half, "data end after"),
    "sound": (lambda: whole(sound=True), ""),
    "uneven": (lambda: whole(times=[0, 1, 2, 3, 20, 21, 22, 23, 24, 25, 26, 27]), "unevenly"),
    "at the greatest side": (lambda: whole(encoder="mjpeg", pixels="yuvj420p", size=(4096, 16), kind="mov"), ""),
    "240 a second": (lambda: whole(rate=240, count=60), ""),
    "at the greatest length": (lambda: whole(count=3, rate=1, times=[0, 300, 598]), ""),
}


@pytest.mark.parametrize("name", REFUSED)
def test_what_is_no_film_that_can_be_shown_is_refused_with_a_sentence(room, tmp_path, name):
    make, words = REFUSED[name]
    file = tmp_path / "film"
    file.write_bytes(make())
    with pytest.raises(PictureError, match=words) as refused:
        room.films.look_at(file, "Fair.mp4")
    assert refused.value.message.startswith("Fair.mp4 ")
    assert room.examine(jpeg(), "good.jpg").width == 60


@pytest.mark.parametrize("name", TOLD)
def test_what_is_odd_in_a_film_is_told(room, tmp_path, name):
    make, words = TOLD[name]
    file = tmp_path / "film"
    file.write_bytes(make())
    facts, known = room.films.look_at(file, "Fair")
    assert words in facts.note
    assert facts.duration > 0
    assert known.look.colours
    frames = room.films.frames(file, [0.0, facts.duration / 2, facts.duration - 0.01], (64, 36))
    assert [f.shape for f in frames] == [(36, 64, 3)] * 3


@pytest.fixture
def long_film(tmp_path):
    file = tmp_path / "long"
    file.write_bytes(film(count=48, size=(640, 360)))
    return file, Cut("0" * 64, footage_of(0, 4, 12), 640, 360, 10_000_000)


def test_what_hears_how_far_it_is_can_end_it(room, long_film):
    heard = []

    def told(share):
        heard.append(share)
        if share > 0.3:
            raise KeyboardInterrupt

    with pytest.raises(KeyboardInterrupt):
        room.films.code(*long_film, "h264", told)
    assert heard == sorted(heard)
    assert max(heard) < 0.5
    assert room.films.code(*long_film, "h264", lambda _: None).fits


def test_a_worker_that_dies_while_it_codes_is_told_and_replaced(room, long_film):
    def kill(_):
        for process in os.listdir("/proc"):
            if process.isdigit() and _is_ours(int(process)):
                os.kill(int(process), signal.SIGKILL)

    with pytest.raises(PictureError, match="breaks down"):
        room.films.code(*long_film, "h264", kill)
    assert room.films.code(*long_film, "h264", lambda _: None).data


def _is_ours(process):
    try:
        said = Path(f"/proc/{process}/cmdline").read_text()
        parent = Path(f"/proc/{process}/stat").read_text().rsplit(")", 1)[1].split()[1]
    except OSError:
        return False
    return "garnetfern.sandbox.worker" in said and int(parent) == os.getpid()


def _turns(first=False):
    """How nice threads of our workers (`first`: those that they began with) are to others, and by which policy they get
    their time (proc(5): the 19th and the 41st field of stat)."""
    ours = filter(_is_ours, map(int, filter(str.isdigit, os.listdir("/proc"))))
    stats = (stat for one in ours for stat in Path(f"/proc/{one}/task").glob(f"{one if first else '*'}/stat"))
    fields = [stat.read_text().rsplit(")", 1)[1].split() for stat in stats]
    return {(int(found[16]), int(found[38])) for found in fields}


@pytest.mark.skipif(not sys.platform.startswith("linux"), reason="threads of Linux")
@pytest.mark.parametrize("codec", ["av1", "h264"])
def test_a_film_is_coded_behind_what_people_wait_for(room, long_film, codec):
    own = os.getpriority(os.PRIO_PROCESS, 0)
    work, behind = (own + AFTER, os.SCHED_OTHER), (own + AFTER + BEHIND, os.SCHED_OTHER)
    seen = set()
    assert room.films.code(*long_film, codec, lambda _: seen.update(_turns())).data
    assert behind in seen
    assert seen <= {work, behind, (own, os.SCHED_OTHER)}  # the last: helpers that were there before it was ready
    assert _turns(first=True) == {work}  # of those that began: they take up what comes next


def test_a_task_that_takes_too_long_is_ended(room, long_film, monkeypatch):
    monkeypatch.setattr("garnetfern.sandbox.films.ROOM_CODING_SECONDS", 0.05)
    started = time.monotonic()
    with pytest.raises(PictureError, match="takes longer"):
        room.films.code(*long_film, "av1", lambda _: None)
    assert time.monotonic() - started < 5
    assert room.examine(jpeg(), "good.jpg").width == 60


def test_only_the_file_that_was_handed_over_is_read(room, tmp_path):
    one, other = tmp_path / "one", tmp_path / "other"
    one.write_bytes(film_of("H.264, BT.709"))
    other.write_bytes(film_of("VP9"))
    first = room.films.frames(one, [0.5], (64, 36))[0]
    second = room.films.frames(other, [0.5], (64, 36))[0]
    again = room.films.frames(one, [0.5], (64, 36))[0]
    assert (first == again).all()
    assert second.shape == first.shape
    threads = [threading.Thread(target=room.films.still, args=(one, 0.2, (64, 36))) for _ in range(12)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    worker = room.pool._free[0].process.pid
    handles = [os.readlink(f"/proc/{worker}/fd/{n}") for n in os.listdir(f"/proc/{worker}/fd")]
    assert sum("/one" in name or "/other" in name for name in handles) <= 1
    assert len(handles) < limits.ROOM_FILES


def test_a_part_that_flashes_is_found_and_a_calm_one_is_not(room, tmp_path):
    import av
    import numpy as np

    out = io.BytesIO()
    with av.open(out, "w", format="mp4") as container:
        stream = container.add_stream("libx264", rate=Fraction(24))
        stream.width, stream.height, stream.pix_fmt = 160, 90, "yuv420p"
        for n in range(72):
            level = 230 if n >= 36 and n % 4 < 2 else 20
            frame = av.VideoFrame.from_ndarray(np.full((90, 160, 3), level, dtype=np.uint8), format="rgb24")
            frame.pts, frame.time_base = n, Fraction(1, 24)
            container.mux(stream.encode(frame))
        container.mux(stream.encode(None))
    file = tmp_path / "flashing"
    file.write_bytes(out.getvalue())
    heard = []
    assert room.films.flash(file, footage_of(0, 1.4, 24), heard.append) is None
    assert heard[-1] == 1
    found = room.films.flash(file, footage_of(0, 3, 24), lambda _: None)
    assert found is not None
    assert found.kind == "general"
    assert 1.5 < found.time < 2.5
