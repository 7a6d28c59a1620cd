"""What answers have in common: caching, downloads, and the errors a route may give."""

from collections.abc import Callable
from dataclasses import asdict
from typing import Any
from urllib.parse import quote

from fastapi.responses import Response

from ..service.workspace.studio import Studio
from ..store import State
from . import models as m

FOREVER = {"cache-control": "public, max-age=31536000, immutable"}
FRESH = {"cache-control": "no-store"}


def taken(studio: Studio, since: int, call: Callable[..., State], *arguments: Any) -> dict[str, Any]:
    """Change the site, and tell what leads from the revision `since` to what became of it. Not for the event loop."""
    return asdict(studio.step(call(*arguments), since))


def problem_of(status: int) -> dict[int | str, dict[str, Any]]:
    """That a route may answer with a problem of this status."""
    return {status: {"model": m.ProblemView}}


def download(data: bytes, name: str, media: str = "application/zip") -> Response:
    """A file to be kept by the browser."""
    headers = {"content-disposition": f"attachment; filename*=UTF-8''{quote(name)}", **FRESH}
    return Response(data, media_type=media, headers=headers)
