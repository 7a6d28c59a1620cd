"""Every site has the whole application beneath an address of its own; without one, the first site is meant."""

from collections.abc import Callable
from threading import Lock
from typing import Any

from fastapi import FastAPI, HTTPException
from fastapi.concurrency import run_in_threadpool

from ..core.errors import GarnetfernError
from ..service.workspace.house import House
from ..service.workspace.studio import Studio
from . import errors
from .bring_routes import bring_routes
from .document_routes import computing_routes, document_routes
from .file_routes import file_routes
from .guard.door import OF
from .laid_in import lay_in
from .look_routes import look_routes
from .news_routes import news_routes
from .picture_routes import area_routes, shelf_routes, work_routes
from .release_routes import release_routes
from .remedy_routes import remedy_routes
from .versions import Versions
from .visitor_routes import visitor_routes

OWN = ("/api/", "/live/", "/page-pictures/", "/pictures/", "/films/", "/strips/", "/thumbs/")
"""What an address begins with that a site answers."""


def _path(scope: Any) -> str:
    """The path of a request within what it was handed to."""
    return str(scope["path"]).removeprefix(scope.get("root_path", ""))


def site_app(studio: Studio) -> FastAPI:
    """The routes of one site."""
    app = FastAPI(docs_url=None, redoc_url=None, openapi_url=None)
    errors.install(app)
    versions = Versions()
    looked = (look_routes, remedy_routes, release_routes, bring_routes)
    told = (routes(studio) for routes in (*looked, shelf_routes, work_routes, file_routes, news_routes, visitor_routes))
    computed = (routes(studio, versions) for routes in (document_routes, computing_routes, area_routes))
    lay_in(app, *told, *computed)

    @app.api_route("/api/{rest:path}", methods=["GET", "POST", "PUT", "DELETE"], include_in_schema=False)
    def no_such(rest: str) -> None:
        raise HTTPException(404, f"There is no /api/{rest[:60]} here.")

    return app


class BySite:
    """Hands a request on to the site that its address names: `/of/<site>/…`."""

    def __init__(self, house: House) -> None:
        self._house = house
        self._apps: dict[str, FastAPI] = {}
        self._lock = Lock()

    def _app(self, studio: Studio) -> FastAPI:
        with self._lock:
            found = self._apps.get(studio.id)
            if found is None:
                found = self._apps[studio.id] = site_app(studio)
                studio.look_after_films()
        return found

    def app(self, site: str) -> FastAPI:
        """The application of a site. Raises NotFoundError where it is not there, or was removed."""
        return self._app(self._house.studio(site))

    def first(self) -> FastAPI:
        """That of the first site."""
        return self._app(self._house.first())

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        """One request beneath `/of`."""
        site, _, _ = _path(scope).lstrip("/").partition("/")
        try:
            found = await run_in_threadpool(self.app, site)
        except GarnetfernError as error:
            answer = errors.problem(errors.status_of(error), error.kind, error.message)
            await answer(scope, receive, send)
            return
        await found({**scope, "root_path": f"{scope.get('root_path', '')}/{site}"}, receive, send)

    def described(self, own: Callable[[], dict[str, Any]]) -> Callable[[], dict[str, Any]]:
        """The description of the whole (OpenAPI): what all sites share, and beside it what each of them answers."""

        def whole() -> dict[str, Any]:
            found, site = own(), self.first().openapi()
            schemas = {**found["components"]["schemas"], **site["components"]["schemas"]}
            return {**found, "paths": {**site["paths"], **found["paths"]}, "components": {"schemas": schemas}}

        return whole


class FirstSite:
    """What names no site: the interface's own files, and the first site's answers."""

    def __init__(self, by_site: BySite, files: Any) -> None:
        self._by_site, self._files = by_site, files

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        """One request."""
        if self._files is not None and not _path(scope).startswith(OWN):
            await self._files(scope, receive, send)
            return
        await (await run_in_threadpool(self._by_site.first))(scope, receive, send)


__all__ = ["OF", "BySite", "FirstSite", "site_app"]
