"""What is known of a kept picture's looks, found once and kept."""

import json

from ...core.errors import NotFoundError, PictureError
from ...core.picture.known import Known, from_plain, to_plain
from ...core.picture.look import Look
from ...sandbox import Room
from ...store import DamagedError, PictureFiles

NOTHING = Known(Look((), 50.0, 0.0, ((0.0,),), ((1,),), 0.0, ((50.0,),)), None, ("#808080", "#808080"), 0.0)
"""What is known of a picture that cannot be looked at."""


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
                try:
                    known = self._room.known(self._pictures.first(hash_))
                except (DamagedError, NotFoundError, PictureError):
                    return NOTHING  # said where the picture is used; the other pictures are shown all the same
                self._pictures.set_look(hash_, to_json(known))
            self._at_hand[hash_] = known
        return self._at_hand[hash_]
