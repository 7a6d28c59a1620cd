"""Bodies of requests: their type, their size while they are read, and JSON that holds no surprise."""

from collections.abc import AsyncIterator, Awaitable, Callable, MutableMapping
from typing import Any

from ...core.errors import DocumentError
from ...core.limits import JSON_BODY, MB
from ...core.plain import read_json
from .door import SAFE, Refusal

Message = MutableMapping[str, Any]
Receive = Callable[[], Awaitable[Message]]
FILES = frozenset({"/api/pictures", "/api/site-file", "/api/looks-of", "/api/visits"})
"""Where files are handed in, each with a limit of its own; everywhere else JSON is."""


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
    wanted = "application/octet-stream" if path in FILES else "application/json"
    received = headers.get("content-type", "")
    if received.split(";")[0].strip().lower() == wanted:
        return None
    message = f"A request here has the type {wanted}. Received: {received[:60] or 'none'!r}. Nothing was changed."
    return Refusal(415, "type", message)


def too_large() -> Refusal:
    """That a JSON body is over its limit."""
    return Refusal(413, "size", f"A request has {JSON_BODY // MB} MB at the most. Nothing was changed.")


async def whole_json(receive: Receive, headers: dict[str, str]) -> bytes | Refusal | DocumentError:
    """A JSON body that was checked, or why it is refused. Nothing beyond the limit is kept in memory."""
    announced = headers.get("content-length", "")
    if announced.isdigit() and int(announced) > JSON_BODY:
        return too_large()
    body = bytearray()
    async for chunk in chunks(receive):
        body += chunk
        if len(body) > JSON_BODY:
            return too_large()
    try:
        read_json(bytes(body))
    except DocumentError as error:
        return error
    return bytes(body)


def again(body: bytes, receive: Receive) -> Receive:
    """A receiver that gives a body that was read already, then whatever comes next."""
    waiting: list[Message] = [{"type": "http.request", "body": body, "more_body": False}]

    async def given() -> Message:
        return waiting.pop() if waiting else await receive()

    return given
