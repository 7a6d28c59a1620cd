"""Answers of which only the difference is sent to whoever has an earlier version of them.

A question may carry the header `garnetfern-have` with the version of an earlier answer. Where that is still known, the
answer is a JSON Patch (RFC 6902) on it, of the type `application/json-patch+json`; otherwise it is whole.
"""

from collections import OrderedDict
from itertools import count
from secrets import token_hex
from threading import Lock
from typing import Annotated, Any

from fastapi import Header
from fastapi.responses import JSONResponse

from ..service.runtime.difference import difference

VERSION = "garnetfern-version"
PATCH = "application/json-patch+json"
KEPT = 32
"""How many answers are remembered, for all windows together."""

Have = Annotated[str | None, Header(alias="garnetfern-have", max_length=40)]
Window = Annotated[str, Header(alias="garnetfern-window", max_length=60)]
"""Which window asks, and after a space the number of its question. A newer question of one window supersedes only its
own older one."""


class Versions:
    """Remembers the last answers by their version."""

    def __init__(self) -> None:
        self._run = token_hex(4)
        self._numbers = count(1)
        self._known: OrderedDict[str, Any] = OrderedDict()
        self._lock = Lock()

    def answer(self, found: Any, have: str | None) -> JSONResponse:
        """An answer, whole or as what leads to it from the version that the asker has. It must not change later."""
        version = f"{self._run}-{next(self._numbers)}"
        with self._lock:
            before = self._known.get(have) if have else None
            self._known[version] = found
            while len(self._known) > KEPT:
                self._known.popitem(last=False)
        headers = {VERSION: version, "cache-control": "no-store"}
        if before is None:
            return JSONResponse(found, headers=headers)
        return JSONResponse(difference(before, found), headers=headers, media_type=PATCH)
