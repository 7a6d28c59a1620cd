"""Font files as browsers ask for them: those that ship, and those of owners by the hash of their bytes."""

import re
from typing import Any

from fastapi.concurrency import run_in_threadpool
from starlette.exceptions import HTTPException
from starlette.responses import FileResponse, Response
from starlette.staticfiles import StaticFiles

from ..fonts import FOLDER
from ..store import FontFiles
from .answers import FOREVER

OWN = re.compile(r"([0-9a-f]{64})\.woff2")


class ServedFonts(StaticFiles):
    """Everything under /fonts/."""

    def __init__(self, own: FontFiles) -> None:
        super().__init__(directory=FOLDER)
        self._own = own

    async def get_response(self, path: str, scope: Any) -> Response:
        """A file that ships, or an owner's, if it is whole."""
        match = OWN.fullmatch(path)
        if match is None:
            return await super().get_response(path, scope)
        if not await run_in_threadpool(self._own.whole, match[1]):
            raise HTTPException(404, "There is no such font.")
        return FileResponse(self._own.path(match[1]), media_type="font/woff2", headers=FOREVER)
