"""One data folder, held by one application object: lock, database, files, copies and log."""

from pathlib import Path

from ..core.document import migrate
from .copies import Copies
from .database import join_database, open_database
from .files import sweep
from .films import NO_FILMS, FilmOpener
from .fitted import FittedFiles
from .fonts import FontFiles
from .jobs import Jobs
from .journal import Journal
from .lock import FolderLock
from .opening import DATABASE, check_folder
from .pictures import Draw, PictureFiles
from .releases import Releases
from .sites import Sites
from .tables import Tables
from .trouble import FolderError


class Folder:
    """Everything that is kept. Raises FolderError where the folder cannot be opened; then nothing was touched.

    `beside`: where another process holds it, work beside that one. What the other may be writing is left alone then,
    and so is the form of the database.
    """

    def __init__(self, path: Path, draw: Draw, films: FilmOpener = NO_FILMS, beside: bool = False) -> None:
        self.path = path
        try:
            check_folder(path)
            path.mkdir(parents=True, exist_ok=True)
            self._lock = lock_of(path, beside)
        except OSError as error:
            message = f"{path} cannot be used as a data folder ({error.strerror}). Give another with --data."
            raise FolderError(message) from error
        self.alone = alone = self._lock is not None
        try:
            self.db = open_database(path / DATABASE) if alone else join_database(path / DATABASE)
            tables = Tables(self.db)
            if alone:
                for kept in ("pictures", "fitted", "copies", "releases", "fonts"):
                    sweep(path / kept)
            self.sites = Sites(tables, migrate)
            self.pictures = PictureFiles(tables, path / "pictures", draw, films)
            self.fitted = FittedFiles(tables, path / "fitted")
            self.fonts = FontFiles(tables, path / "fonts")
            self.releases = Releases(tables, path / "releases")
            self.jobs = Jobs(tables)
            self.copies = Copies(path / DATABASE, path / "copies")
            self.journal = Journal(path / "log")
        except OSError as error:
            self._let_go()
            message = f"{path} cannot be used as a data folder ({error.strerror}). Nothing that was kept was touched."
            raise FolderError(message) from error
        except BaseException:
            self._let_go()
            raise
        self.journal.note("opened" if alone else "joined")

    def _let_go(self) -> None:
        if self._lock is not None:
            self._lock.release()

    def keep_copy(self) -> bool:
        """Make the day's copy where something has changed."""
        revisions = self.sites.revisions()
        return revisions > 0 and self.copies.keep(revisions)

    def close(self) -> None:
        """Fold the database together, close everything, let the folder go."""
        self.journal.note("closed")
        self.journal.close()
        self.db.close_all()
        self._let_go()


def lock_of(path: Path, beside: bool) -> FolderLock | None:
    """The lock of a folder; None where another process holds it and that is no matter. Raises FolderError."""
    try:
        return FolderLock(path)
    except FolderError:
        if not beside:
            raise
        return None
