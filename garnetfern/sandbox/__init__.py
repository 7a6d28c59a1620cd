"""A process of its own, with limits, for everything that decodes, draws or encodes somebody's bytes."""

from .pool import RoomError
from .room import Room, shared_room

__all__ = ["Room", "RoomError", "shared_room"]
