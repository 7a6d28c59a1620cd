"""The frames of a film file. A film is read from a file that can be sought in; nothing else is opened."""

import io
from collections import OrderedDict
from collections.abc import Iterable, Iterator
from contextlib import suppress
from itertools import pairwise
from typing import BinaryIO

import av
import numpy as np

from .. import limits
from ..errors import PictureError
from .colour import Rgb, high_range, rgb_of
from .facts import ENDINGS, KINDS, FilmFacts, FilmType, film_type
from .leaves import Leaves

FORMATS = {"mp4": "mov", "mov": "mov", "webm": "matroska"}
CODECS = ("h264", "hevc", "vp8", "vp9", "av1", "libdav1d", "mpeg4", "mjpeg", "prores")
"""Decoders that are let at a film; others are told."""
LOOKS = 6
"""At so many places of a film frames are decoded when it comes in."""
AT_HAND = 64 * limits.MB
"""So many bytes of frames that were decoded last stay at hand: moments are asked for to and fro."""
NEAR = 1.0
"""A frame so far ahead is reached by decoding on; a later one by seeking, s."""


class Reel:
    """A film file, opened. Raises PictureError, with the film's name, where it cannot be."""

    def __init__(self, file: BinaryIO, name: str = "This film") -> None:
        self.name = name
        start = file.read(64)
        file.seek(0)
        kind = film_type(start)
        if kind is None:
            raise PictureError(f"{name} is not a film of a known kind, whatever its name says. {KINDS}.")
        self.type: FilmType = kind
        try:
            self._open(file)
        except (av.error.FFmpegError, ValueError, OSError) as error:
            raise PictureError(f"{name} begins like a film ({kind.upper()}), but its header is damaged.") from error

    def _open(self, file: BinaryIO) -> None:
        self._container = av.open(file, mode="r", format=FORMATS[self.type], metadata_errors="replace")
        if not self._container.streams.video:
            raise PictureError(f"{self.name} holds no moving pictures. {KINDS}.")
        self._stream = self._container.streams.video[0]
        coder = self._stream.codec_context
        if coder is None or coder.name not in CODECS:
            what = coder.codec.long_name if coder is not None else "nothing that is known here"
            raise PictureError(f"{self.name} is coded in a way that is not opened here ({what}).")
        width, height = coder.width, coder.height
        if not (0 < width <= limits.FILM_SIDE and 0 < height <= limits.FILM_SIDE):
            raise PictureError(
                f"{self.name} is {width:,} x {height:,} px; a film's side has {limits.FILM_SIDE:,} px at the most. "
                "It was not unfolded; save it smaller."
            )
        coder.thread_type, coder.thread_count = "AUTO", 2
        self._base = float(self._stream.time_base or 0) or 1e-3
        self._begin = float((self._stream.start_time or 0) * self._base)
        self._running: Iterator[tuple[float, av.VideoFrame]] | None = None
        self._held: tuple[float, av.VideoFrame] | None = None
        self._next: tuple[float, av.VideoFrame] | None = None
        self._recent: OrderedDict[float, tuple[float, av.VideoFrame]] = OrderedDict()

    def _decoded(self, start: float) -> Iterator[tuple[float, av.VideoFrame]]:
        """Frames with their times, s from the film's beginning, from the last key frame before a time on."""
        place = int((max(0.0, start) + self._begin) / self._base)
        self._container.seek(place, stream=self._stream, backward=True)
        with suppress(av.error.FFmpegError, EOFError):  # what cannot be decoded ends it: the last frame stays
            for frame in self._container.decode(self._stream):
                if max(frame.width, frame.height) > limits.FILM_SIDE:
                    return
                if frame.pts is not None:
                    yield frame.pts * self._base - self._begin, frame

    def _forward(self) -> None:
        self._held, self._next = self._next, next(self._running, None) if self._running else None
        if self._held is not None and self._next is not None:
            self._recent[self._held[0]] = (self._next[0], self._held[1])
            while len(self._recent) > max(2, AT_HAND // (self._held[1].width * self._held[1].height * 2)):
                self._recent.popitem(last=False)

    def _at(self, time: float) -> av.VideoFrame | None:
        """The frame that is shown at a time: the last one that begins at or before it."""
        for begin, (end, frame) in self._recent.items():
            if begin <= time + 1e-6 < end:
                return frame
        self._to(time)
        return None if self._held is None else self._held[1]

    def _to(self, time: float) -> None:
        held = self._held
        if held is None or time < held[0] - 1e-6 or time > held[0] + NEAR:
            self._running = self._decoded(time)
            self._held, self._next = None, next(self._running, None)
            self._forward()
            if self._held is not None and self._held[0] > time + 1e-6 and time > 0:
                self._running = self._decoded(0)  # no key frame before it could be found: from the beginning
                self._next = next(self._running, None)
                self._forward()
        while self._next is not None and self._next[0] <= time + 1e-6:
            self._forward()

    def frames(self, times: Iterable[float]) -> Iterator[Rgb]:
        """The frames that are shown at rising times, s: upright, in square px, sRGB. Raises PictureError."""
        for time in times:
            frame = self._at(time)
            if frame is None:
                raise PictureError(f"{self.name} cannot be decoded: no picture comes out of it.")
            yield self._upright(frame)

    def _upright(self, frame: av.VideoFrame) -> Rgb:
        return np.ascontiguousarray(np.rot90(rgb_of(frame), int(frame.rotation or 0) // 90))

    def _counted(self) -> tuple[int, float, bool]:
        """How many pictures it holds, how long they last, s, and whether they come unevenly: by reading all packets."""
        times: list[float] = []
        last = 0.0
        self._container.seek(0)
        with suppress(av.error.FFmpegError, EOFError):
            for packet in self._container.demux(self._stream):
                stamp = packet.pts if packet.pts is not None else packet.dts
                if stamp is None or packet.size == 0:
                    continue
                time = stamp * self._base - self._begin
                times.append(time)
                last = max(last, time + float(packet.duration or 0) * self._base)
                if len(times) > limits.FILM_FRAMES or time > limits.FILM_SECONDS + 1:
                    break
        times = sorted(t for t in times if t >= -1e-6)
        steps = [b - a for a, b in pairwise(times)]
        if steps and last <= times[-1]:
            last = times[-1] + steps[-1]
        uneven = bool(steps) and max(steps) > 1.5 * (sum(steps) / len(steps))
        return len(times), last, uneven

    def examined(self) -> FilmFacts:
        """What it holds, by reading all of it and decoding at several places. Raises PictureError with the reason."""
        count, duration, uneven = self._counted()
        if count < 2 or duration <= 0:
            raise PictureError(f"{self.name} holds {count} pictures, which is no film. It was not taken.")
        if duration > limits.FILM_SECONDS:
            raise PictureError(
                f"{self.name} is longer than {limits.FILM_SECONDS // 60} minutes, which is the most. Cut it shorter."
            )
        rate = round(count / duration, 3)
        if rate > limits.FILM_RATE or count > limits.FILM_FRAMES:
            raise PictureError(
                f"{self.name} has {rate:,.0f} pictures in a second; {limits.FILM_RATE} are the most. It was not taken."
            )
        first = next(self.frames([0.0]))
        frame = self._held[1] if self._held is not None else None
        late = self._held[0] if self._held is not None else 0.0
        for n in range(1, LOOKS):
            next(self.frames([duration * n / LOOKS]))
        notes = self._notes(duration, uneven, late, frame)
        width, height = self._square(first, frame)
        return FilmFacts(self.type, width, height, round(duration, 3), rate, self._alpha(), notes)

    def _square(self, first: Rgb, frame: av.VideoFrame | None) -> tuple[int, int]:
        """Width and height of an upright frame in square px (the file may say that its px are wider than high)."""
        height, width = first.shape[:2]
        ratio = float(self._stream.sample_aspect_ratio or 1) or 1.0
        if frame is not None and int(frame.rotation or 0) % 180:
            return width, max(1, round(height * ratio))
        return max(1, round(width * ratio)), height

    def _alpha(self) -> bool:
        return self._stream.metadata.get("alpha_mode") == "1"

    def _notes(self, duration: float, uneven: bool, late: float, frame: av.VideoFrame | None) -> str:
        notes = []
        said = float(self._container.duration or 0) / 1e6
        if said > duration + max(0.5, duration * 0.05):
            notes.append(f"It says that it is {said:.1f} s long, but its data end after {duration:.1f} s.")
        if late > 0.05:
            notes.append(f"It shows nothing before {late:.1f} s; its first picture stands there.")
        if self._container.streams.audio:
            notes.append("Its sound is left out.")
        if uneven:
            notes.append("Its pictures come unevenly; files for visitors show them evenly.")
        if self._alpha():
            notes.append("What is transparent in it is not: it is shown as it stands in the file.")
        if frame is not None and high_range(frame):
            notes.append("It is in high dynamic range (HDR); its light is toned to that of every screen.")
        dot = self.name.rfind(".")
        if dot > 0 and self.name[dot:].lower() not in ENDINGS[self.type]:
            ending = self.name[dot:][:12]
            notes.insert(0, f"Its name ends in {ending}, but it is a film ({self.type.upper()}) and was taken as one.")
        return " ".join(notes)

    def close(self) -> None:
        """Let the file go."""
        self._container.close()


def opened(file: BinaryIO, name: str = "This film") -> "Reel | Leaves":
    """A film, or a picture that moves. Raises PictureError."""
    start = file.read(16)
    file.seek(0)
    if start[:3] == b"GIF" or start[:4] == b"RIFF":
        return Leaves(io.BytesIO(file.read(limits.PICTURE)), name)
    return Reel(file, name)
