"""What is known of a kept picture's looks, found once and kept."""

import json
import logging

from ..core.picture.known import Known, from_plain, to_plain
from ..sandbox import Room
from ..store import PictureFiles

log = logging.getLogger("garnetfern")


def to_json(known: Known) -> str:
    """As it is kept."""
    return json.dumps(to_plain(known))


def _from_json(text: str) -> Known | None:
    try:
        return from_plain(json.loads(text))
    except (ValueError, KeyError, TypeError):
        return None


class Looks:
    """Finds looks by hash; kept in the database and at hand."""

    def __init__(self, pictures: PictureFiles, room: Room) -> None:
        self._pictures, self._room = pictures, room
        self._at_hand: dict[str, Known] = {}

    def of(self, hash_: str) -> Known:
        """The looks of a kept picture, found anew where they are not kept. Raises NotFoundError."""
        if hash_ not in self._at_hand:
            row = self._pictures.find(hash_)
            known = _from_json(row.look) if row is not None and row.look else None
            if known is None:
                known = self._room.known(self._pictures.original(hash_))
                self._pictures.set_look(hash_, to_json(known))
            self._at_hand[hash_] = known
        return self._at_hand[hash_]
