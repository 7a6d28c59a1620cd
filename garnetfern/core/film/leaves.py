"""Pictures that move (GIF, WebP), read as films."""

from bisect import bisect_right
from collections.abc import Iterable, Iterator
from typing import BinaryIO

import numpy as np
from PIL import Image

from .. import limits
from ..errors import PictureError
from .colour import Rgb

SHORTEST, INSTEAD = 0.011, 0.1
"""Browsers show a picture that says less time than the first for as long as the second, s."""


class Leaves:
    """A picture that moves, opened. What is transparent in it stands on white."""

    def __init__(self, file: BinaryIO, name: str = "This picture") -> None:
        self.name = name
        self._image = Image.open(file, formats=["GIF", "WEBP"])
        self._starts, self.duration = self._times()

    def _times(self) -> tuple[list[float], float]:
        """When each picture of it begins, and how long all last, s."""
        starts, now = [], 0.0
        try:
            for n in range(min(getattr(self._image, "n_frames", 1), limits.FILM_FRAMES)):
                self._image.seek(n)
                self._image.load()
                starts.append(now)
                lasts = float(self._image.info.get("duration", 0)) / 1000
                now += INSTEAD if lasts < SHORTEST else lasts
                if now > limits.FILM_SECONDS:
                    raise PictureError(
                        f"{self.name} moves for more than {limits.FILM_SECONDS // 60} minutes, which is the most."
                    )
        except (OSError, EOFError, ValueError, SyntaxError) as error:
            if len(starts) < 2:
                raise PictureError(f"{self.name} is damaged: it cannot be read to its second picture.") from error
        return starts, now

    @property
    def rate(self) -> float:
        """Pictures in a second, on the mean."""
        return len(self._starts) / self.duration if self.duration else 0.0

    def frames(self, times: Iterable[float]) -> Iterator[Rgb]:
        """The pictures that are shown at rising times, s: sRGB. Raises PictureError."""
        shown, held = -1, None
        for time in times:
            wanted = max(0, bisect_right(self._starts, time + 1e-6) - 1)
            if held is None or wanted != shown:
                try:
                    self._image.seek(wanted)
                    whole = self._image.convert("RGBA")
                except (OSError, EOFError, ValueError, SyntaxError) as error:
                    raise PictureError(f"{self.name} is damaged: it ends too early.") from error
                flat = Image.new("RGB", whole.size, "white")
                flat.paste(whole, mask=whole.getchannel("A"))
                shown, held = wanted, np.asarray(flat)
            yield held

    def close(self) -> None:
        """Let the file go."""
        self._image.close()
