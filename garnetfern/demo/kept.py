"""What the sample's code has drawn, kept beside it: `make` draws it once, with the interface, and a wheel brings it.

Where nothing is kept, or the code that draws has changed since, everything is drawn when it is asked for.
"""

from collections.abc import Callable
from functools import cache
from hashlib import blake2b
from pathlib import Path

HERE = Path(__file__).resolve().parent
FOLDER = HERE / "drawings"
SOURCES = (
    HERE / "pictures.py",
    HERE / "films.py",
    HERE.parent / "stock" / "brush.py",
    HERE.parent / "core" / "film" / "coding.py",
    HERE.parent / "core" / "film" / "colour.py",
)
"""All that the pictures and the film are drawn by."""
STAMP = "drawn-by"


def stamp() -> str:
    """Of the code that draws: what was drawn by other code is not taken for its work."""
    return blake2b(b"\0".join(path.read_bytes() for path in SOURCES), digest_size=12).hexdigest()


@cache
def _is_ours() -> bool:
    try:
        return (FOLDER / STAMP).read_text() == stamp()
    except OSError:
        return False


def kept(name: str, draw: Callable[[], bytes]) -> bytes:
    """What was kept under a name, drawn now where it was not."""
    try:
        return (FOLDER / name).read_bytes() if _is_ours() else draw()
    except OSError:
        return draw()


def keep(drawn: dict[str, bytes]) -> None:
    """Keep what was drawn; the stamp comes last, so that a half of it counts for nothing."""
    FOLDER.mkdir(exist_ok=True)
    (FOLDER / STAMP).unlink(missing_ok=True)
    for name, data in drawn.items():
        (FOLDER / name).write_bytes(data)
    (FOLDER / STAMP).write_text(stamp())
    _is_ours.cache_clear()


def all_kept(names: list[str]) -> bool:
    """Whether all of these are kept, as the code draws them now."""
    return _is_ours() and all((FOLDER / name).is_file() for name in names)
