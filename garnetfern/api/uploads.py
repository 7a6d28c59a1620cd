"""Request bodies: read whole, but never beyond a limit; films are written aside as they come."""

from collections.abc import AsyncIterator
from typing import Any

from fastapi import HTTPException, Request
from fastapi.concurrency import run_in_threadpool

from ..core.document import Asset
from ..core.film import film_type
from ..core.limits import FILM, MB, PICTURE
from ..service.workspace.studio import Studio

AT_ONCE = 4 * MB
"""So much of a film is gathered before it is written."""


async def at_most(parts: AsyncIterator[bytes], announced: str, most: int) -> bytes | None:
    """A body of `most` bytes at the most; None as soon as its announced or real size is over that."""
    if announced.isdigit() and int(announced) > most:
        return None
    body = bytearray()
    async for part in parts:
        body += part
        if len(body) > most:
            return None
    return bytes(body)


def _too_large(what: str, most: int) -> HTTPException:
    refusal = f"{what} has more than {most // MB} MB, which is the most. It was not taken; nothing was changed."
    return HTTPException(413, refusal)


async def read_body(request: Request, most: int, what: str) -> bytes:
    """The body of a request that hands in a file. Refused with 413 where it is larger."""
    found = await at_most(request.stream(), request.headers.get("content-length", ""), most)
    if found is None:
        raise _too_large(what, most)
    return found


async def _joined(first: bytes, rest: AsyncIterator[bytes]) -> AsyncIterator[bytes]:
    yield first
    async for part in rest:
        yield part


async def _film(parts: AsyncIterator[bytes], studio: Studio, name: str) -> Any:
    """A film, written aside while it comes, then looked at and kept; nothing is left of one that is refused."""
    came = await run_in_threadpool(studio.incoming)
    try:
        waiting: list[bytes] = []
        size = 0
        async for part in parts:
            waiting.append(part)
            size += len(part)
            if size > FILM:
                raise _too_large(name[:80], FILM)
            if sum(map(len, waiting)) >= AT_ONCE:
                await run_in_threadpool(came.write, b"".join(waiting))
                waiting = []
        await run_in_threadpool(came.write, b"".join(waiting))
        await run_in_threadpool(came.close)
        return await run_in_threadpool(studio.take_film, came, name)
    finally:
        await run_in_threadpool(came.drop)


async def taken_in(request: Request, studio: Studio, name: str) -> tuple[Asset, bool]:
    """A picture or a film that somebody hands in, told by its first bytes, and whether it healed a damaged file."""
    parts, announced = request.stream(), request.headers.get("content-length", "")
    first = b""
    async for part in parts:
        first += part
        if len(first) >= 64:
            break
    most = FILM if film_type(first) else PICTURE
    if announced.isdigit() and int(announced) > most:
        raise _too_large(name[:80], most)
    if film_type(first):
        found: tuple[Asset, bool] = await _film(_joined(first, parts), studio, name)
        return found
    data = await at_most(_joined(first, parts), announced, most)
    if data is None:
        raise _too_large(name[:80], most)
    return await run_in_threadpool(studio.take_picture, data, name)
