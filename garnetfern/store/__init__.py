"""SQLite tables and picture files: what is kept, and how nothing that was acknowledged is lost."""

from .database import open_database
from .history import History, State
from .pictures import PictureFiles

__all__ = ["History", "PictureFiles", "State", "open_database"]
