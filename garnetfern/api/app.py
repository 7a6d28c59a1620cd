"""The application: routes of the interface, live pages, pictures, fonts, and the built interface itself."""

import re
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from dataclasses import asdict, replace
from pathlib import Path
from typing import Annotated, Any

from fastapi import APIRouter, FastAPI, HTTPException, Query
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import FileResponse, HTMLResponse, Response
from fastapi.staticfiles import StaticFiles
from starlette.middleware.gzip import DEFAULT_EXCLUDED_CONTENT_TYPES, GZipMiddleware

from .. import __version__
from ..core.cache import Cache
from ..core.css import EmittedPage, EmittedRule
from ..core.css.escape import style_text
from ..core.document import pointed_at, stilled
from ..core.limits import FILM_SECONDS
from ..fonts import FOLDER as FONTS
from ..service.views.build_up import BuildUp, BuildUpView
from ..service.views.check import ReadingsView, check_page, verdict
from ..service.views.every_situation import page_met
from ..service.views.overlay import OverlayView, overlay_remedy
from ..service.views.pages import content_of
from ..service.workspace.studio import Studio
from . import asked as a
from . import errors
from . import models as m
from .answers import FOREVER, FRESH, problem_of, taken
from .file_routes import file_routes
from .guard import LIVE, Door, Guard
from .lines import LINES
from .look_routes import look_routes
from .news_routes import news_routes
from .picture_routes import area_routes, shelf_routes, work_routes
from .remedy_routes import remedy_routes
from .versions import Have, Versions, Window

WEB = Path(__file__).resolve().parent.parent / "web"
PICTURE_NAME = re.compile(
    r"[a-z0-9-]*?-(\d{1,5})-([0-9a-f]{10})(?:-c(\d{1,5}-\d{1,5}-\d{1,5}-\d{1,5}))?(?:-t(\d{1,3}(?:\.\d{1,3})?))?\.webp"
)
FILM_NAME = re.compile(r"[a-z0-9-]*?-\d{1,5}-([0-9a-f]{10})\.(?:av1|h264)\.mp4")
LIVE_STYLE = "html { scrollbar-width: none; }"


def _in_lines(page: EmittedPage) -> dict[str, list[str]]:
    """A page by its lines, so that of two versions only those that differ have to be told."""
    return {name: getattr(page, name).split("\n") for name in ("fonts", "css", "body")}


def document_routes(studio: Studio, versions: Versions) -> APIRouter:
    """State, changes, undo and redo, preview."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(404)})

    @api.get("/health", response_model=m.HealthView)
    def health() -> Any:
        cache = studio.cache
        return {
            "version": __version__,
            "revision": studio.history.revision(),
            "cache": {"bytes": cache.size, "most": cache.most, "kinds": cache.facts()},
        }

    @api.get("/state", response_model=m.StateView)
    def state() -> Any:
        return asdict(studio.state())

    @api.post("/change", response_model=m.StepView)
    def change(body: a.KeptChange) -> Any:
        return taken(studio, body.revision, studio.change, body.revision, body.patch, body.label)

    @api.post("/undo", response_model=m.StepView)
    def undo(body: a.Change) -> Any:
        return taken(studio, body.revision, studio.undo, body.revision)

    @api.post("/redo", response_model=m.StepView)
    def redo(body: a.Change) -> Any:
        return taken(studio, body.revision, studio.redo, body.revision)

    @api.post("/live", response_model=m.Live)
    def live(body: a.AskedLive, have: Have = None) -> Any:
        with studio.manners.hurry():
            site = studio.asked(body.patch, body.revision)
            found = studio.page(site, body.page)
            met = page_met(site, found, body.situation) if body.situation else found
            met = pointed_at(met) if body.pointed else met
            page = studio.emitted(site, stilled(met) if body.still else met)
            return versions.answer(_in_lines(page), have)

    @api.get("/before", response_model=m.Live)
    def before(page: str) -> Any:
        site = studio.site_before()
        return _in_lines(studio.emitted(site, studio.page(site, page)))

    return api


def computing_routes(studio: Studio, versions: Versions) -> APIRouter:
    """Readings, the build-up, remedies, and the rule."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(404)})

    @api.post("/readings", response_model=ReadingsView)
    def readings(body: a.Asked, have: Have = None) -> Any:
        with studio.manners.hurry():
            site = studio.asked(body.patch, body.revision)
            page = studio.page(site, body.page)
            found = check_page(studio.reader, site, page)
            return versions.answer({"readings": found, **verdict(site, page, found)}, have)

    @api.post("/build-up", response_model=BuildUpView)
    def build_up(body: a.AskedBuildUp, window: Window = "", have: Have = None) -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page)
        area, reader = studio.area(page, body.area), studio.polite("build-up", window)
        of = (body.page, body.area, body.block)
        found = studio.remembered("build-up", site, of, lambda: BuildUp(reader, site, page, area).cards(body.block))
        return versions.answer(found, have)

    @api.post("/overlay", response_model=OverlayView)
    def overlay(body: a.AskedLayer, window: Window = "") -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page)
        area, reader = studio.area(page, body.area), studio.polite("overlay", window)
        of = (body.page, body.area, body.layer)
        return studio.remembered("overlay", site, of, lambda: overlay_remedy(reader, site, page, area, body.layer))

    @api.get("/rule", response_model=EmittedRule)
    def rule(page: str, area: str, selector: Annotated[str, Query(max_length=200)] = ".banner") -> Any:
        site = studio.site()
        whole = studio.page(site, page)
        return studio.rule(site, whole, studio.area(whole, area), selector)

    @api.get("/fonts", response_model=list[m.FontView])
    def fonts() -> Any:
        return [
            {
                "family": f.name,
                "character": f.character,
                "stack": f.stack,
                "least_weight": f.least_weight,
                "most_weight": f.most_weight,
                "variable": f.variable,
                "italic": bool(f.italics),
            }
            for f in studio.fonts.families
        ]

    return api


def visitor_routes(studio: Studio) -> APIRouter:
    """Pages, pictures and fonts as a visitor's browser asks for them."""
    routes = APIRouter(include_in_schema=False)

    @routes.get("/live/{page}", response_class=HTMLResponse)
    def live_page(page: str) -> HTMLResponse:
        site = studio.site()
        emitted = replace(studio.emitted(site, studio.page(site, page)), script="")
        texts = {"gf-fonts": emitted.fonts, "gf-css": emitted.css, "gf-live": LIVE_STYLE, "gf-frozen": ""}
        styles = "".join(f"<style id={name}>{style_text(text)}</style>" for name, text in texts.items())
        return HTMLResponse(emitted.html(styles), headers={**FRESH, "content-security-policy": LIVE})

    @routes.get("/films/{name}")
    def film(name: str) -> FileResponse:
        match = FILM_NAME.fullmatch(name)
        path = studio.fitted.whole_path(match[1]) if match else None
        if path is None:
            raise HTTPException(404, "There is no such file of a film.")
        return FileResponse(path, media_type="video/mp4", headers=FOREVER)

    @routes.get("/page-pictures/{page}/{content}")
    def page_image(page: str, content: str) -> Response:
        site = studio.site()
        found = studio.page(site, page)
        fresh = FOREVER if content == content_of(site, found) else FRESH
        return Response(studio.page_picture(site, found), media_type="image/jpeg", headers=fresh)

    @routes.get("/strips/{hash_}")
    def strip(hash_: str) -> Response:
        return Response(studio.strip(hash_), media_type="image/webp", headers=FOREVER)

    @routes.get("/thumbs/{hash_}")
    def thumb(
        hash_: str, large: str | None = None, at: Annotated[float, Query(ge=0, le=FILM_SECONDS)] = 0.0
    ) -> Response:
        data = studio.thumb_data(hash_, 360 if large is None else 1200, at)
        return Response(data, media_type="image/webp", headers=FOREVER)

    @routes.get("/pictures/{name}")
    def picture(name: str) -> Response:
        match = PICTURE_NAME.fullmatch(name)
        if not match:
            raise HTTPException(404, "There is no such picture.")
        part = tuple(map(int, match[3].split("-"))) if match[3] else None
        at = float(match[4]) if match[4] else 0.0
        data = studio.rendition_data(match[2], int(match[1]), part, at)  # type: ignore[arg-type]
        return Response(data, media_type="image/webp", headers=FOREVER)

    return routes


LOOPBACK = Door()


class Guarded(FastAPI):
    """An application with a guard before everything, error pages included."""

    guard: Guard

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        """Answer one request, if the guard lets it through."""
        await self.guard(super().__call__, scope, receive, send)


def create_app(data: Path, door: Door = LOOPBACK, cache: Cache | None = None) -> Guarded:
    """The application on a data folder, answering to the names of a door; `cache`: one that others fill as well."""
    studio = Studio(data, cache=cache)

    @asynccontextmanager
    async def lifespan(_: FastAPI) -> AsyncIterator[None]:
        await run_in_threadpool(studio.begin)
        yield
        await run_in_threadpool(studio.close)

    app = Guarded(
        title="Garnetfern",
        version=__version__,
        docs_url=None,
        redoc_url=None,
        openapi_url="/api/openapi.json",
        lifespan=lifespan,
    )
    app.guard = Guard(door, studio.note_refusal)
    app.state.studio = studio
    errors.install(app)
    # what comes line by line is not held back until enough of it can be packed; films are packed already
    plain = (*DEFAULT_EXCLUDED_CONTENT_TYPES, LINES, "video/mp4")
    app.add_middleware(GZipMiddleware, minimum_size=1400, compresslevel=5, exclude_content_types=plain)
    versions = Versions()
    every = (
        look_routes,
        remedy_routes,
        shelf_routes,
        work_routes,
        file_routes,
        news_routes,
        visitor_routes,
    )
    for routes in every:
        app.include_router(routes(studio))
    for computed in (document_routes, computing_routes, area_routes):
        app.include_router(computed(studio, versions))

    @app.api_route("/api/{rest:path}", methods=["GET", "POST", "PUT", "DELETE"], include_in_schema=False)
    def no_such(rest: str) -> None:
        raise HTTPException(404, f"There is no /api/{rest[:60]} here.")

    app.mount("/fonts", StaticFiles(directory=FONTS), name="fonts")
    if WEB.is_dir():
        app.mount("/", StaticFiles(directory=WEB, html=True), name="web")
    return app
