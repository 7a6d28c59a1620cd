"""The application: the guard before everything, the list of sites, each site, fonts, and the interface itself."""

from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path
from typing import Any

from fastapi import FastAPI
from fastapi.concurrency import run_in_threadpool
from fastapi.staticfiles import StaticFiles
from starlette.middleware.gzip import DEFAULT_EXCLUDED_CONTENT_TYPES, GZipMiddleware

from .. import __version__
from ..core.cache import Cache
from ..service.workspace.house import House
from . import errors
from .by_site import OF, BySite, FirstSite
from .font_files import ServedFonts
from .guard import Door, Guard
from .laid_in import lay_in
from .lines import LINES
from .site_routes import Sample, site_list_routes
from .visit_routes import visit_routes

WEB = Path(__file__).resolve().parent.parent / "web"
LOOPBACK = Door()


class Guarded(FastAPI):
    """An application with a guard before everything, error pages included."""

    guard: Guard

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        """Answer one request, if the guard lets it through."""
        await self.guard(super().__call__, scope, receive, send)


def create_app(data: Path, door: Door = LOOPBACK, cache: Cache | None = None, sample: Sample | None = None) -> Guarded:
    """The application on a data folder, answering to the names of a door; `cache`: one that others fill as well;
    `sample`: makes the sites of the sample for who wants to look around."""
    house = House(data, cache=cache)

    @asynccontextmanager
    async def lifespan(_: FastAPI) -> AsyncIterator[None]:
        await run_in_threadpool(house.begin)
        await run_in_threadpool(house.first().look_after_films)
        yield
        await run_in_threadpool(house.close)

    app = Guarded(
        title="Garnetfern",
        version=__version__,
        docs_url=None,
        redoc_url=None,
        openapi_url="/api/openapi.json",
        lifespan=lifespan,
    )
    app.guard = Guard(door, house.note_refusal)
    app.state.house = house
    errors.install(app)
    # what comes line by line is not held back until enough of it can be packed; films are packed already
    plain = (*DEFAULT_EXCLUDED_CONTENT_TYPES, LINES, "video/mp4")
    app.add_middleware(GZipMiddleware, minimum_size=1400, compresslevel=5, exclude_content_types=plain)
    lay_in(app, site_list_routes(house, sample), visit_routes(house))
    by_site = BySite(house)
    app.openapi = by_site.described(app.openapi)  # type: ignore[method-assign]
    app.mount(OF, by_site)
    app.mount("/fonts", ServedFonts(house.folder.fonts), name="fonts")
    web = StaticFiles(directory=WEB, html=True) if WEB.is_dir() else None
    app.mount("/", FirstSite(by_site, web), name="web")
    return app
