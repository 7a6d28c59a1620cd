"""Owners' font files on disk, by the hash of their bytes, with what was found when they came in.

A file that is not what it was is never handed out, and heals when the same font is brought again.
"""

import json
from pathlib import Path
from typing import Any

from ..core.document import FontFile
from ..core.errors import NotFoundError
from .files import write_whole
from .migrations import now
from .pictures import hash_of
from .tables import Tables
from .trouble import DamagedError

OWN = frozenset(("id", "name", "family", "category", "note"))
"""What the owner may say otherwise in a document; all else of an entry was found in the file."""


class FontFiles:
    """The store of owners' fonts."""

    def __init__(self, tables: Tables, folder: Path) -> None:
        self._tables, self._folder = tables, folder

    def path(self, hash_: str) -> Path:
        """Where a file lies."""
        return self._folder / hash_[:2] / hash_

    def keep(self, data: bytes, entry: FontFile) -> None:
        """Keep a file and the facts of it. The same bytes are kept once."""
        target = self.path(entry.hash)
        if not target.exists() or hash_of(target.read_bytes()) != entry.hash:
            write_whole(target, data)
        facts = json.dumps(entry.model_dump(mode="json", exclude=set(OWN)), sort_keys=True)
        with self._tables.db.atomic("IMMEDIATE"):
            row = self._tables.font.insert(hash=entry.hash, bytes=len(data), added=now(), facts=facts)
            row.on_conflict_replace().execute()

    def data(self, hash_: str) -> bytes:
        """The bytes of a file. Raises NotFoundError, or DamagedError where they are not what they were."""
        try:
            data = self.path(hash_).read_bytes()
        except FileNotFoundError as error:
            raise NotFoundError(f"The font {hash_[:10]} is not in the store; its file is missing.") from error
        if hash_of(data) != hash_:
            raise DamagedError(
                f"The file of the font {hash_[:10]} is damaged on the disk: its bytes are not what they were. "
                "Bring the same file again to heal it. Nothing was changed."
            )
        return data

    def whole(self, hash_: str) -> bool:
        """Whether a file is there and what it was."""
        try:
            return bool(self.data(hash_))
        except (NotFoundError, DamagedError):
            return False

    def facts(self, hash_: str) -> dict[str, Any] | None:
        """What was found in a file; None where there is no such font."""
        row = self._tables.font.get_or_none(self._tables.font.hash == hash_)
        return None if row is None else dict(json.loads(row.facts))
