"""Request bodies: read whole, but never beyond a limit."""

from collections.abc import AsyncIterator

from fastapi import HTTPException, Request

from ..core.limits import MB


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


async def read_body(request: Request, most: int, what: str) -> bytes:
    """The body of a request that hands in a file. Refused with 413 where it is larger."""
    found = await at_most(request.stream(), request.headers.get("content-length", ""), most)
    if found is None:
        refusal = f"{what} has more than {most // MB} MB, which is the most. It was not taken; nothing was changed."
        raise HTTPException(413, refusal)
    return found
