"""Request bodies that are files: read whole, but never beyond a limit."""

from fastapi import HTTPException, Request


async def read_body(request: Request, most: int, what: str) -> bytes:
    """The body. Refused with 413 as soon as its announced or real size is over `most` bytes."""
    megabytes = most // 1024 // 1024
    refusal = f"{what} has more than {megabytes} MB, which is the most. It was not taken; nothing was changed."
    announced = request.headers.get("content-length", "")
    if announced.isdigit() and int(announced) > most:
        raise HTTPException(413, refusal)
    body = bytearray()
    async for chunk in request.stream():
        body += chunk
        if len(body) > most:
            raise HTTPException(413, refusal)
    return bytes(body)
