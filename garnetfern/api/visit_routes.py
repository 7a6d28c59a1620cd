"""What is live, as a good host hands it out: a stand-in for the owner's own, beneath `/visit/<site>/`.

What changes its name with its content is kept by visitors for a year (RFC 8246, immutable); pages, whose names stay,
are asked about each time, and sent again only where they have changed (RFC 9110, section 13.1.2).
"""

import mimetypes
from pathlib import PurePosixPath

from fastapi import APIRouter, Request
from fastapi.responses import FileResponse, HTMLResponse, RedirectResponse, Response

from ..core.css.escape import html_text
from ..core.document.addresses import FIRST
from ..core.errors import NotFoundError
from ..service.workspace.house import House
from ..store import is_page
from .answers import FOREVER
from .guard import VISITED

KINDS = {".avif": "image/avif", ".webp": "image/webp", ".woff2": "font/woff2", ".html": "text/html; charset=utf-8"}
"""Media types that not every machine knows."""
ASKED_EACH_TIME = {"cache-control": "no-cache"}


def media_type(path: str) -> str:
    """The media type of a file by its ending."""
    ending = PurePosixPath(path).suffix.lower()
    return KINDS.get(ending) or mimetypes.guess_type(f"x{ending}")[0] or "application/octet-stream"


def _nothing(what: str) -> HTMLResponse:
    page = f'<!doctype html><html lang="en"><title>Nothing here</title><p>{html_text(what)}</p></html>'
    return HTMLResponse(page, 404, {**ASKED_EACH_TIME, "content-security-policy": VISITED})


def _held(request: Request, tag: str) -> bool:
    """Whether the visitor has this state already (RFC 9110, section 13.1.2: compared weakly)."""
    tags = request.headers.get("if-none-match", "")
    return tags.strip() == "*" or tag in (t.strip().removeprefix("W/") for t in tags.split(","))


def visit_routes(house: House) -> APIRouter:
    """The live releases of all sites."""
    routes = APIRouter(prefix="/visit", include_in_schema=False)

    @routes.get("/{site}")
    def whole(site: str) -> Response:
        return RedirectResponse(f"/visit/{house.studio(site).id}/", 308)

    @routes.api_route("/{site}/{path:path}", methods=["GET", "HEAD"])
    def visited(request: Request, site: str, path: str) -> Response:
        try:
            studio = house.studio(site)
        except NotFoundError as error:
            return _nothing(error.message)
        releases = studio.folder.releases
        held = releases.reachable(studio.id)
        wanted = path or FIRST
        file = held.get(wanted)
        if file is None:
            none = "Nothing of this site has been put live yet." if not held else "There is no such page here."
            return _nothing(none)
        tag = f'"{file.hash[:32]}"'
        headers = {**(ASKED_EACH_TIME if is_page(wanted) else FOREVER), "etag": tag, "content-security-policy": VISITED}
        if _held(request, tag):
            return Response(status_code=304, headers=headers)
        data, kind = releases.data(file), media_type(wanted)
        if kind.startswith("video/"):
            # players ask for parts of a film (RFC 9110, section 14)
            return FileResponse(releases.path(file.hash), media_type=kind, headers=headers)
        return Response(data, media_type=kind, headers=headers)

    return routes
