"""Routes about files: pictures in, bundles and site files out and in, daily copies."""

from collections.abc import Callable, Mapping
from typing import Annotated, Any

from fastapi import APIRouter, Query, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import Response, StreamingResponse

from ..core.limits import FONT, SITE_FILE
from ..core.telling import Told
from ..service.runtime.told import told_lines
from ..service.views.fonts import OwnFontsView
from ..service.workspace.studio import Studio
from ..store import Copy, State
from . import asked as a
from . import models as m
from .answers import download, problem_of, taken
from .lines import found_line, streamed
from .uploads import read_body, taken_in

SiteName = Annotated[str, Query(max_length=120)]


def file_routes(studio: Studio) -> APIRouter:
    """Pictures in, bundles and site files out and in."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(413)})

    @api.post("/pictures", response_model=m.Picked)
    async def add_picture(request: Request, name: Annotated[str, Query(min_length=1, max_length=300)]) -> Any:
        asset, healed = await taken_in(request, studio, name)
        return {"asset": asset, "healed": healed}

    @api.get("/copies", response_model=list[Copy])
    def copies() -> Any:
        return studio.copies()

    @api.post("/copies/bring-back", response_model=m.StepView)
    def bring_back(body: a.AskedCopy) -> Any:
        return taken(studio, body.revision, studio.bring_back, body.revision, body.day)

    @api.post("/packing", response_model=m.PackingLines)
    def packing() -> StreamingResponse:
        """Pack the bundle, line by line; it is fetched by its number then."""
        site = studio.site()

        def work(told: Told) -> Mapping[str, Any]:
            packed = studio.packing.pack(site, told)
            files = [{"name": name, "bytes": weight} for name, weight in packed.weights.items()]
            return found_line({"number": packed.number, "bytes": len(packed.data), "files": files})

        return streamed(told_lines(work))

    @api.get("/bundle.zip", response_class=Response)
    def bundle(number: int | None = None) -> Response:
        return download(studio.bundle(number), "garnetfern-bundle.zip")

    @api.get("/site-file", response_class=Response)
    def site_file() -> Response:
        return download(studio.site_file(), "site.garnetfern.zip")

    async def from_site_file(request: Request, revision: int, name: str, call: Callable[..., State]) -> Any:
        data = await read_body(request, SITE_FILE, name)
        return await run_in_threadpool(taken, studio, revision, call, data, revision, name)

    @api.post("/site-file", response_model=m.StepView)
    async def open_site_file(request: Request, revision: int, name: SiteName = "a site file") -> Any:
        return await from_site_file(request, revision, name, studio.open_site_file)

    @api.get("/own-fonts", response_model=OwnFontsView)
    def own_fonts() -> Any:
        return studio.own_fonts.view()

    @api.post("/own-fonts", response_model=m.StepView)
    async def take_fonts(request: Request, revision: int, name: SiteName = "a font") -> Any:
        data = await read_body(request, FONT, name)
        return await run_in_threadpool(taken, studio, revision, studio.own_fonts.take, data, revision, name)

    @api.post("/looks-of", response_model=m.StepView)
    async def looks_of(request: Request, revision: int, name: SiteName = "a site file") -> Any:
        return await from_site_file(request, revision, name, studio.take_looks)

    return api
