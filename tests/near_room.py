"""A room without walls: the same tasks in the own process, for tests of what is kept, not of how it is opened."""

from typing import Any

from garnetfern.core.errors import PictureError, SiteFileError
from garnetfern.sandbox import Room
from garnetfern.sandbox.tasks import TASKS


class NearPool:
    """Asks nobody."""

    def ask(self, task: str, said: dict[str, Any], blobs: list[bytes], seconds: float, hurry: bool) -> Any:
        try:
            return TASKS[task](said, blobs)
        except (PictureError, SiteFileError) as error:
            return {"refused": type(error).__name__, "message": error.message, "path": error.path}, []

    def close(self) -> None:
        """Nothing to end."""


class NearRoom(Room):
    """Does everything itself."""

    def __init__(self) -> None:
        self.pool = NearPool()  # type: ignore[assignment]
