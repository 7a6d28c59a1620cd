"""Routes of the list of sites: new ones, copies, their order, removing one and bringing it back."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Annotated, Any

from fastapi import APIRouter, Query, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import StreamingResponse
from pydantic import BaseModel, Field

from ..core.errors import NotFoundError
from ..core.limits import SITE_FILE
from ..core.telling import Told
from ..service.files.site_file import SiteFile
from ..service.runtime.told import told_lines
from ..service.views.sites import SitesView
from ..service.workspace.house import House
from ..service.workspace.studio import Studio
from . import models as m
from .answers import problem_of
from .lines import streamed
from .uploads import read_body
from .versions import Window


class NewSite(BaseModel):
    """What a new site begins with."""

    start: str = Field(max_length=40)


class NamedSite(BaseModel):
    """One of the sites."""

    site: str = Field(max_length=40)


class MovedSite(NamedSite):
    """Another place for it."""

    to: int = Field(ge=0, le=10_000)


@dataclass(frozen=True)
class Sample:
    """Sites to look around in: what the first of them is called, and what makes them all."""

    name: str
    make: Callable[[Told], list[SiteFile]]


def _named(studio: Studio) -> dict[str, str]:
    return {"site": studio.id, "name": studio.site().name}


def _looked_around(house: House, sample: Sample, told: Told) -> m.SiteLine:
    def there() -> m.SiteLine | None:
        found = next((kept for kept in house.there() if kept.name == sample.name), None)
        return None if found is None else {"kind": "site", "site": found.id, "name": found.name}

    if (known := there()) is not None:
        return known
    files = [file for file in sample.make(told) if file.site.assets]
    # another window may have asked for it meanwhile
    if (known := there()) is not None:
        return known
    first, *_ = [house.add(file, "The sample site") for file in files]
    return {"kind": "site", "site": first.id, "name": first.site().name}


def site_list_routes(house: House, sample: Sample | None) -> APIRouter:
    """The sites of the data folder; `sample`: what makes others to look around in."""
    api = APIRouter(prefix="/api/sites", responses={**problem_of(404), **problem_of(422)})

    @api.get("", response_model=SitesView)
    def sites(window: Window = "") -> Any:
        return house.view(window)

    @api.get("/names", response_model=list[m.SiteName])
    def names() -> Any:
        return [{"site": kept.id, "name": kept.name} for kept in house.there()]

    @api.post("/new", response_model=m.SiteName)
    def new(body: NewSite) -> Any:
        return _named(house.new(body.start))

    @api.post("/sample", response_model=m.SiteLines)
    def look_around() -> StreamingResponse:
        """The sites of the sample beside those that are there; the one of its name that is there already, if so."""
        if sample is None:
            raise NotFoundError("There is no sample here.")
        made = sample
        return streamed(told_lines(lambda told: _looked_around(house, made, told)))

    @api.post("/copy", response_model=m.SiteName)
    def copy(body: NamedSite) -> Any:
        return _named(house.copy(body.site))

    @api.post("/remove", response_model=SitesView)
    def remove(body: NamedSite, window: Window = "") -> Any:
        house.remove(body.site)
        return house.view(window)

    @api.post("/bring-back", response_model=SitesView)
    def bring_back(body: NamedSite, window: Window = "") -> Any:
        house.bring_back(body.site)
        return house.view(window)

    @api.post("/move", response_model=SitesView)
    def move(body: MovedSite, window: Window = "") -> Any:
        house.move(body.site, body.to)
        return house.view(window)

    @api.post("/open", response_model=m.SiteName)
    async def open_file(request: Request, name: Annotated[str, Query(max_length=120)] = "a site file") -> Any:
        data = await read_body(request, SITE_FILE, name)
        return await run_in_threadpool(lambda: _named(house.open_file(data, name)))

    return api
