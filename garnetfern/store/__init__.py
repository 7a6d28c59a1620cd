"""SQLite tables and picture files: what is kept, and how nothing that was acknowledged is lost."""

from .backup import backup, restore
from .copies import Copy
from .files import Incoming
from .films import FilmStills
from .fitted import FittedFile, FittedFiles, fitted_key
from .folder import Folder
from .fonts import FontFiles
from .history import History, State
from .jobs import Jobs, JobState
from .lock import FolderLock
from .pictures import PictureFiles, hash_of
from .release_folder import Plan, planned, write_release
from .releases import NameTakenError, Release, ReleasedFile, Releases, is_page
from .sites import KeptSite, Sites
from .tidy import leftovers, tidy
from .trouble import DamagedError, FolderError, RefusedError, StoreError, refusal_of
from .verify import Finding, verify

__all__ = [
    "Copy",
    "DamagedError",
    "FilmStills",
    "Finding",
    "FittedFile",
    "FittedFiles",
    "Folder",
    "FolderError",
    "FolderLock",
    "FontFiles",
    "History",
    "Incoming",
    "JobState",
    "Jobs",
    "KeptSite",
    "NameTakenError",
    "PictureFiles",
    "Plan",
    "RefusedError",
    "Release",
    "ReleasedFile",
    "Releases",
    "Sites",
    "State",
    "StoreError",
    "backup",
    "fitted_key",
    "hash_of",
    "is_page",
    "leftovers",
    "planned",
    "refusal_of",
    "restore",
    "tidy",
    "verify",
    "write_release",
]
