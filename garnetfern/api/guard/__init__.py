"""The guard stands before everything else: hosts, origins, token, types and sizes of bodies, headers of answers.

Nothing behind it is reached by a request that it refuses.
"""

from collections.abc import Awaitable, Callable
from html import escape
from typing import Any
from urllib.parse import parse_qs

from fastapi.concurrency import run_in_threadpool
from fastapi.responses import HTMLResponse, RedirectResponse, Response

from ...core.errors import DocumentError
from ..errors import problem
from .bodies import GoneError, Message, Receive, again, refusal_of_type, whole_json
from .door import SAFE, Door, Refusal, refusal_of_origin
from .policies import LIVE, VISITED, with_policies
from .tokens import ASKED, ENTER, PAGE, Tokens, carried, cookie, new_token

Send = Callable[[Message], Awaitable[None]]
Scope = dict[str, Any]
Inner = Callable[[Scope, Receive, Send], Awaitable[None]]
Note = Callable[[int, str, str], None]
"""Told of each refusal: status, method, path. It may write to the disk, so it is told beside the event loop."""


def _headers_of(scope: Scope) -> dict[str, str]:
    return {name.decode("latin-1").lower(): value.decode("latin-1") for name, value in scope["headers"]}


def _answer(refusal: Refusal) -> Response:
    return problem(refusal.status, refusal.kind, refusal.message)


def _wants_page(headers: dict[str, str], method: str) -> bool:
    return method == "GET" and "text/html" in headers.get("accept", "")


class Guard:
    """Lets through what is for this application, from its own pages, and no larger than agreed."""

    def __init__(self, door: Door, note: Note = lambda *_: None) -> None:
        self.door = door
        self._note = note
        self._tokens = Tokens(door.token) if door.token else None

    async def __call__(self, inner: Inner, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass one request on to `inner`, or answer it with a refusal."""
        if scope["type"] == "lifespan":
            return await inner(scope, receive, send)
        if scope["type"] != "http":
            return await send({"type": "websocket.close", "code": 1008})

        async def sent(message: Message) -> None:
            if message["type"] == "http.response.start":
                message["headers"] = with_policies(list(message.get("headers", [])))
                if message["status"] >= 400:
                    await run_in_threadpool(self._note, message["status"], scope["method"], scope["path"])
            await send(message)

        headers, method, path = _headers_of(scope), scope["method"], scope["path"]
        hosts = [v.decode("latin-1") for n, v in scope["headers"] if n.lower() == b"host"]
        own = f"{scope.get('scheme', 'http')}://{headers.get('host', '')}".lower()
        refused = (
            self.door.refusal_of_host(hosts)
            or refusal_of_origin(method, own, headers, path)
            or refusal_of_type(method, path, headers)
        )
        if refused is not None:
            return await _answer(refused)(scope, receive, sent)
        if self._tokens is not None:
            answered = await self._at_the_door(self._tokens, headers, scope)
            if answered is not None:
                return await answered(scope, receive, sent)
        if method not in SAFE and headers.get("content-type", "").lower().startswith("application/json"):
            try:
                body = await whole_json(receive, headers)
            except GoneError:
                return None
            if isinstance(body, Refusal):
                return await _answer(body)(scope, receive, sent)
            if isinstance(body, DocumentError):
                found = problem(422, body.problems[0].kind, body.message, body.path)
                return await found(scope, receive, sent)
            receive = again(body, receive)
        return await inner(scope, receive, sent)

    async def _at_the_door(self, tokens: Tokens, headers: dict[str, str], scope: Scope) -> Response | None:
        """The answer to somebody who has not shown the token yet, or shows it now; None for those who are in."""
        if scope["path"] == ENTER and scope["method"] == "GET":
            given = parse_qs(scope.get("query_string", b"").decode("latin-1")).get("token", [""])[0].strip()
            if tokens.right(given):
                inside = RedirectResponse("/", 303)
                inside.headers["set-cookie"] = cookie(headers, given)
                return inside
            refused = await tokens.slow_down()
            return HTMLResponse(PAGE.format(sentence=escape(refused.message)), refused.status)
        shown = carried(headers)
        if tokens.right(shown):
            return None
        if shown:
            await tokens.slow_down()
        if _wants_page(headers, scope["method"]):
            return HTMLResponse(PAGE.format(sentence=ASKED), 401)
        return _answer(Refusal(401, "token", ASKED + " Nothing was read or changed."))


__all__ = ["LIVE", "VISITED", "Door", "Guard", "new_token"]
