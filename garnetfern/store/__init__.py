"""SQLite tables and picture files: what is kept, and how nothing that was acknowledged is lost."""

from .database import open_database
from .fitted import FittedFile, FittedFiles, fitted_key
from .history import History, State
from .jobs import Jobs, JobState
from .pictures import PictureFiles

__all__ = [
    "FittedFile",
    "FittedFiles",
    "History",
    "JobState",
    "Jobs",
    "PictureFiles",
    "State",
    "fitted_key",
    "open_database",
]
