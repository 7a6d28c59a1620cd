"""Removing what nothing refers to any more, and giving its space back."""

import sqlite3
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

from .opening import DATABASE, read_only
from .references import has_fonts, needed
from .releases import released

UNNAMED = "no step and no copy names this picture"
UNUSED = "no step and no copy names this font"
UNRELEASED = "no release holds this file"
ORPHANED = "made from a picture that is gone, or not known"


@dataclass(frozen=True)
class Leftover:
    """A file that nothing refers to, and the hash of the picture, or of the font, whose row goes with it."""

    file: Path
    bytes: int
    why: str
    picture: str | None = None
    font: str | None = None


def _leftover(file: Path, why: str, picture: str | None = None, font: str | None = None) -> Leftover:
    return Leftover(file, file.stat().st_size, why, picture, font)


def _by_hash(folder: Path) -> list[Path]:
    """The files of a folder that are called by a hash."""
    return sorted(folder.glob("*/[0-9a-f]*"))


def leftovers(folder: Path) -> list[Leftover]:
    """What nothing refers to: pictures and fonts that no step and no copy names, files made from them, half files."""
    wanted = needed(folder)
    with closing(read_only(folder / DATABASE)) as db:
        rows = {h for (h,) in db.execute("SELECT hash FROM picture")}
        fitted = {h for key, h in db.execute("SELECT key, hash FROM fitted") if key.split("/")[0] in wanted}
        made = {name for (name,) in db.execute("SELECT name FROM made")}
        live = {file.hash for *_, files in released(db) for file in files.values()}
        fonts = {h for (h,) in db.execute("SELECT hash FROM font")} if has_fonts(db) else set()
    lettered = needed(folder, "fonts")
    pictures = folder / "pictures"
    halves = sorted(f for f in folder.rglob(".part-*") if f.is_file())
    originals, renditions = _by_hash(pictures / "originals"), _by_hash(pictures / "renditions")
    found = [_leftover(f, "half a file, left by a crash") for f in halves]
    found += [_leftover(f, UNNAMED, f.name) for f in originals if f.name not in wanted]
    found += [_leftover(f, ORPHANED) for f in renditions if f.name[:64] not in wanted or f.name not in made]
    found += [_leftover(f, ORPHANED) for f in _by_hash(folder / "fitted") if f.name not in fitted]
    found += [_leftover(f, UNRELEASED) for f in _by_hash(folder / "releases") if f.name not in live]
    found += [_leftover(f, UNUSED, font=f.name) for f in _by_hash(folder / "fonts") if f.name not in lettered]
    lost = fonts - lettered - {x.font for x in found}
    found += [Leftover(folder / DATABASE, 0, "a row of a font whose file is gone", font=h) for h in sorted(lost)]
    gone = rows - wanted - {x.picture for x in found}
    found += [Leftover(folder / DATABASE, 0, "a row of a picture whose file is gone", h) for h in sorted(gone)]
    return found


def tidy(folder: Path, found: list[Leftover]) -> int:
    """Remove what was found, rows first, and give back the space; gives how many bytes the folder became smaller."""
    before = sum(f.stat().st_size for f in folder.rglob("*") if f.is_file())
    with closing(sqlite3.connect(folder / DATABASE)) as db:
        for leftover in found:
            if leftover.picture is not None:
                db.execute("DELETE FROM picture WHERE hash = ?", (leftover.picture,))
                db.execute("DELETE FROM fitted WHERE key LIKE ?", (f"{leftover.picture}/%",))
                db.execute("DELETE FROM made WHERE name LIKE ?", (f"{leftover.picture}-%",))
            if leftover.font is not None:
                db.execute("DELETE FROM font WHERE hash = ?", (leftover.font,))
        db.commit()
        for leftover in found:
            if leftover.file.name != DATABASE:
                leftover.file.unlink(missing_ok=True)
        db.execute("VACUUM")
        db.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    return before - sum(f.stat().st_size for f in folder.rglob("*") if f.is_file())
