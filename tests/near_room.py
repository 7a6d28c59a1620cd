"""A room without walls: the same tasks in the own process, for tests of what is kept, not of how it is opened."""

from contextlib import ExitStack
from typing import Any

from garnetfern.core.errors import FontError, PictureError, SiteFileError, StylesheetError
from garnetfern.sandbox import Room
from garnetfern.sandbox.films import FilmRoom
from garnetfern.sandbox.pool import Asked
from garnetfern.sandbox.tasks import TASKS


class NearPool:
    """Asks nobody."""

    def ask(self, asked: Asked) -> Any:
        try:
            with ExitStack() as held:
                said = {**asked.said, "tell": asked.told}
                if asked.path is not None:
                    said["file"] = held.enter_context(asked.path.open("rb")).fileno()
                return TASKS[asked.task](said, asked.blobs)
        except (PictureError, SiteFileError, StylesheetError, FontError) as error:
            return {"refused": type(error).__name__, "message": error.message, "path": error.path}, []

    def close(self) -> None:
        """Nothing to end."""


class NearRoom(Room):
    """Does everything itself."""

    def __init__(self) -> None:
        self.pool = NearPool()  # type: ignore[assignment]
        self.films = FilmRoom(self._ask)
