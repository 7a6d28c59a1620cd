"""News for open windows, as server-sent events (HTML, section 9.2). Nothing is polled."""

import asyncio
import json
from collections.abc import AsyncIterator
from dataclasses import asdict
from typing import Any

from fastapi import APIRouter
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import StreamingResponse

from ..service.workspace.studio import Studio
from . import models as m
from .answers import FRESH, problem_of

BEAT = 15.0
"""After so many quiet seconds a comment is sent, so that a window that has gone is noticed."""

END = "end"
"""The kind of news with which the application says that it ends."""


def _event(kind: str, what: dict[str, Any]) -> str:
    return f"event: {kind}\ndata: {json.dumps(what)}\n\n"


async def _events(studio: Studio) -> AsyncIterator[str]:
    """The present revision first, then what happens, until the window or the application has gone."""
    loop = asyncio.get_running_loop()
    waiting: asyncio.Queue[tuple[str, dict[str, Any]]] = asyncio.Queue()

    def hear(kind: str, what: dict[str, Any]) -> None:
        loop.call_soon_threadsafe(waiting.put_nowait, (kind, what))

    leave = studio.news.listen(hear)
    try:
        yield _event("revision", {"revision": await run_in_threadpool(studio.history.revision)})
        while True:
            try:
                kind, what = await asyncio.wait_for(waiting.get(), BEAT)
            except TimeoutError:
                yield ": still here\n\n"
                continue
            if kind == END:
                return
            yield _event(kind, what)
    finally:
        leave()


def news_routes(studio: Studio) -> APIRouter:
    """What has changed since a revision, and that something has."""
    api = APIRouter(prefix="/api", responses={**problem_of(404)})

    @api.get("/news", response_class=StreamingResponse, include_in_schema=False)
    async def news() -> StreamingResponse:
        """Events `revision` (its number) and `work` (a piece of long work), as they happen."""
        return StreamingResponse(_events(studio), media_type="text/event-stream", headers=FRESH)

    @api.get("/since", response_model=m.StepView)
    def since(revision: int) -> Any:
        return asdict(studio.step(studio.state(), revision))

    return api
