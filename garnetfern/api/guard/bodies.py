"""Bodies of requests: their type, their size while they are read, and JSON that holds no surprise."""

from collections.abc import AsyncIterator, Awaitable, Callable, MutableMapping
from typing import Any

from fastapi.concurrency import run_in_threadpool

from ...core.errors import DocumentError
from ...core.limits import JSON_BODY, KB, MB
from ...core.plain import read_json
from ..uploads import at_most
from .door import SAFE, Refusal, within_site

Message = MutableMapping[str, Any]
Receive = Callable[[], Awaitable[Message]]
FILES = frozenset(
    {
        "/api/pictures",
        "/api/site-file",
        "/api/looks-of",
        "/api/visits",
        "/api/sites/open",
        "/api/bring/file",
        "/api/own-fonts",
    }
)
"""Where files are handed in, each with a limit of its own; everywhere else JSON is."""


AT_ONCE = 32 * KB
"""Longer bodies are looked through beside the event loop."""


class GoneError(Exception):
    """Whoever asked has gone before the body was whole."""


async def chunks(receive: Receive) -> AsyncIterator[bytes]:
    """The parts of a body. Raises GoneError."""
    more = True
    while more:
        message = await receive()
        if message["type"] != "http.request":
            raise GoneError
        more = message.get("more_body", False)
        yield message.get("body", b"")


def refusal_of_type(method: str, path: str, headers: dict[str, str]) -> Refusal | None:
    """Why a body of this type is not read: forms and plain text, which any page can send, are not."""
    if method in SAFE:
        return None
    wanted = "application/octet-stream" if within_site(path) in FILES else "application/json"
    received = headers.get("content-type", "")
    if received.split(";")[0].strip().lower() == wanted:
        return None
    message = f"A request here has the type {wanted}. Received: {received[:60] or 'none'!r}. Nothing was changed."
    return Refusal(415, "type", message)


async def whole_json(receive: Receive, headers: dict[str, str]) -> bytes | Refusal | DocumentError:
    """A JSON body that was checked, or why it is refused. Nothing beyond the limit is kept in memory."""
    body = await at_most(chunks(receive), headers.get("content-length", ""), JSON_BODY)
    if body is None:
        return Refusal(413, "size", f"A request has {JSON_BODY // MB} MB at the most. Nothing was changed.")
    try:
        if len(body) <= AT_ONCE:
            read_json(body)
        else:
            await run_in_threadpool(read_json, body)
    except DocumentError as error:
        return error
    return body


def again(body: bytes, receive: Receive) -> Receive:
    """A receiver that gives a body that was read already, then whatever comes next."""
    waiting: list[Message] = [{"type": "http.request", "body": body, "more_body": False}]

    async def given() -> Message:
        return waiting.pop() if waiting else await receive()

    return given
