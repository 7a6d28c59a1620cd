"""The log in the data folder: every refusal, every revision and when it was made. No wordings, no names of files."""

import logging
from contextlib import suppress
from logging.handlers import RotatingFileHandler
from pathlib import Path

from ..core.limits import LOG_BYTES, LOG_FILES


class _Quiet(RotatingFileHandler):
    """A log must never be the reason for anything to fail."""

    def emit(self, record: logging.LogRecord) -> None:
        """Write a line and let go of the file: nothing is held open between lines."""
        super().emit(record)
        stream, self.stream = self.stream, None
        with suppress(OSError):
            if stream is not None:
                stream.close()

    def handleError(self, record: logging.LogRecord) -> None:  # noqa: N802 - the name is the library's
        """Say nothing: the disk may be full."""


class Journal:
    """Writes lines, oldest files dropped."""

    def __init__(self, folder: Path) -> None:
        folder.mkdir(parents=True, exist_ok=True)
        self._handler = _Quiet(
            folder / "garnetfern.log", maxBytes=LOG_BYTES, backupCount=LOG_FILES - 1, encoding="utf-8", delay=True
        )
        self._handler.setFormatter(logging.Formatter("%(asctime)s %(message)s"))

    def note(self, what: str, **facts: object) -> None:
        """Write a line: a word, and facts by name."""
        told = " ".join(f"{name}={str(value)[:120]!r}" for name, value in facts.items())
        self._handler.handle(logging.LogRecord("garnetfern", logging.INFO, "", 0, f"{what} {told}", None, None))

    def close(self) -> None:
        """Close the file."""
        self._handler.close()
