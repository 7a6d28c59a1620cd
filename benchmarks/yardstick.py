"""How fast the machine is at a moment: a shared one gives more or less of itself from hour to hour, and figures of two
hours can be compared only beside it."""

import time

import cv2
import numpy as np

TIMES = 5


def _plain() -> int:
    found = 0
    for n in range(400_000):
        found += n % 7
    return found


def _arrays(picture: np.ndarray[tuple[int, ...], np.dtype[np.float32]]) -> float:
    for _ in range(8):
        picture = cv2.blur(picture, (9, 9))
    return float(np.sort(picture, axis=None)[0])


def yardstick() -> float:
    """Milliseconds of the same work each time, some of it Python's own and some in arrays: the middle of five."""
    picture = np.random.default_rng(1).random((900, 900), dtype=np.float32)
    found = []
    for _ in range(TIMES):
        start = time.perf_counter()
        _plain()
        _arrays(picture)
        found.append(time.perf_counter() - start)
    return 1000 * sorted(found)[TIMES // 2]
