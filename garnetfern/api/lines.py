"""Answers that come line by line, as their parts are found: one JSON object a line."""

import json
import logging
from collections.abc import Iterator, Mapping
from typing import Any

from fastapi.responses import StreamingResponse

from ..core.errors import GarnetfernError
from ..store import refusal_of
from .answers import FRESH
from .errors import status_of

LINES = "application/x-ndjson"
log = logging.getLogger("garnetfern")


def _lines(found: Iterator[Mapping[str, Any]]) -> Iterator[str]:
    """One JSON object a line; an error on the way is the last of them."""
    try:
        for line in found:
            yield json.dumps(line) + "\n"
    except GarnetfernError as error:
        yield json.dumps({"kind": "problem", "status": status_of(error), "message": error.message}) + "\n"
    except Exception as error:
        refusal = refusal_of(error)
        if refusal is None:
            log.exception("an answer in lines")
        inside = "Something went wrong inside. Nothing was changed; please try again."
        message, status = (refusal.message, status_of(refusal)) if refusal else (inside, 500)
        yield json.dumps({"kind": "problem", "status": status, "message": message}) + "\n"


def found_line(found: Mapping[str, Any]) -> Mapping[str, Any]:
    """The line that an answer ends with."""
    return {"kind": "found", "found": found}


def streamed(found: Iterator[Mapping[str, Any]]) -> StreamingResponse:
    """The answer, sent while it is found."""
    return StreamingResponse(_lines(found), media_type=LINES, headers=FRESH)
