"""One handler for each family of errors; every answer is `{kind, message, path}`."""

import logging

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from peewee import PeeweeException
from starlette.exceptions import HTTPException

from ..core.errors import GarnetfernError, NotFoundError, StaleError
from ..sandbox import RoomError
from ..service.runtime.polite import SupersededError
from ..store import RefusedError, refusal_of

log = logging.getLogger("garnetfern")
STATUS: dict[type[GarnetfernError], int] = {
    StaleError: 409,
    NotFoundError: 404,
    SupersededError: 410,
    RoomError: 503,
    RefusedError: 507,
}


def problem(status: int, kind: str, message: str, path: str = "$") -> JSONResponse:
    """An error answer."""
    return JSONResponse({"kind": kind, "message": message, "path": path}, status)


def status_of(error: GarnetfernError) -> int:
    """The HTTP status that says what kind of error it is."""
    return next((code for cls, code in STATUS.items() if isinstance(error, cls)), 422)


def _known(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, GarnetfernError)
    return problem(status_of(error), error.kind, error.message, error.path)


def _bad_request(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, RequestValidationError)
    first = error.errors()[0]
    path = "$" + "".join(f"[{p}]" if isinstance(p, int) else f".{p}" for p in first["loc"][1:])
    return problem(422, "request", f"{first['msg']}.", path)


def _http(_: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, HTTPException)
    return problem(error.status_code, "http", str(error.detail))


def _unforeseen(_: Request, error: Exception) -> JSONResponse:
    refusal = refusal_of(error)
    if refusal is not None:
        log.error("refused by the system: %s", type(error).__name__)
        return problem(status_of(refusal), refusal.kind, refusal.message)
    log.error("unforeseen error", exc_info=error)
    return problem(500, "internal", "Something went wrong inside. Nothing was changed; please try again.")


def install(app: FastAPI) -> None:
    """Register the handlers."""
    app.add_exception_handler(GarnetfernError, _known)
    app.add_exception_handler(RequestValidationError, _bad_request)
    app.add_exception_handler(HTTPException, _http)
    for kind in (OSError, PeeweeException, MemoryError):
        app.add_exception_handler(kind, _unforeseen)
    app.add_exception_handler(Exception, _unforeseen)
