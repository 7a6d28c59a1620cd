"""What all sites of a data folder share: the folder, the room, fonts, pictures, what was computed, and long work."""

from pathlib import Path

from ...core.cache import Cache
from ...core.reading import Reader
from ...fonts import shipped_fonts
from ...sandbox import Room, shared_room
from ...store import Folder, JobState
from ..files.films import Films
from ..runtime.polite import Manners
from ..runtime.work import Task, Worker
from ..views.looks import Looks


class Shared:
    """One data folder. Raises FolderError where it cannot be opened; `beside`: another process may hold it."""

    def __init__(self, data: Path, room: Room | None = None, cache: Cache | None = None, beside: bool = False) -> None:
        self.room = room or shared_room()
        self.folder = Folder(data, self.room.rendition, self.room.films, beside)
        self.fonts = shipped_fonts().with_own(self.folder.fonts.data)
        self.cache = cache or Cache()
        self.reader = Reader(self.fonts, self.folder.pictures, self.cache)
        self.manners = Manners()
        self.looks = Looks(self.folder.pictures, self.room)
        self.films = Films(self.room, self.folder.fitted, self.folder.pictures.film_path, self.fonts)
        self._worker = Worker(self.folder.jobs, self.task, self.folder.db.close, self.folder.keep_copy)

    def task(self, job: JobState) -> Task:
        """How a piece of long work is done."""
        raise NotImplementedError

    def begin(self) -> None:
        """Take up long work that was left."""
        self._worker.start()

    def wake(self) -> None:
        """There is new work."""
        self._worker.wake()

    @property
    def attended(self) -> bool:
        """Whether somebody carries out the long work: this process, or the one that holds the folder."""
        return self._worker.going or not self.folder.alone

    def close(self) -> None:
        """End all work and let the data folder go."""
        self._worker.stop()
        self.folder.close()

    def note_refusal(self, status: int, method: str, path: str) -> None:
        """Write a refusal into the log."""
        self.folder.journal.note("refused", status=status, method=method, path=path)
