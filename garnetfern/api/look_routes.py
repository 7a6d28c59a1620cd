"""Routes about the library, colours, blending and schemes."""

from typing import Annotated, Any

from fastapi import APIRouter, Query
from fastapi.responses import JSONResponse

from ..core.colour.notations import read_colour
from ..service.kinds.layers import OffersView, Place, offered
from ..service.views.blends import BlendLooks, blend_looks
from ..service.views.colours import (
    ColourView,
    SchemeCard,
    SchemeTried,
    SpotView,
    colour_view,
    notations_view,
    picture_colours,
    scheme_of,
    scheme_view,
    schemes_view,
)
from ..service.views.eyes import EyeView, SeenPage, eyes_view, seen_page
from ..service.views.library import Library, library
from ..service.workspace.studio import Studio
from . import asked as a
from .answers import problem_of
from .versions import Window


def look_routes(studio: Studio) -> APIRouter:
    """The library, colours, blend modes, schemes."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(404)})

    @api.get("/library", response_model=Library)
    def whole_library() -> Any:
        return library()

    @api.get("/offers", response_model=list[OffersView])
    def offers(
        page: Annotated[str, Query(max_length=40)], area: Annotated[str | None, Query(max_length=40)] = None
    ) -> Any:
        site = studio.site()
        found = studio.page(site, page)
        return offered(site, Place(found, None if area is None else studio.area(found, area)))

    @api.post("/blends", response_model=BlendLooks)
    def blends(body: a.AskedLayer, window: Window = "") -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page, body.day)
        area = studio.area(page, body.area)
        return JSONResponse(blend_looks(studio.polite("blends", window), site, page, area, body.layer))

    @api.get("/colour", response_model=ColourView)
    def colour(text: Annotated[str, Query(max_length=80)]) -> Any:
        return notations_view(read_colour(text))

    @api.post("/colour-at", response_model=SpotView)
    def colour_at(body: a.AskedSpot) -> Any:
        site = studio.asked(body.patch, body.revision)
        return colour_view(studio.reader, site, studio.page(site, body.page, body.day), body.screen, body.x, body.y)

    @api.post("/picture-colours", response_model=list[str])
    def colours_of_pictures(body: a.AskedArea) -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page, body.day)
        return picture_colours(site, page, studio.area(page, body.area), studio.looks)

    @api.get("/eyes", response_model=list[EyeView])
    def eyes() -> Any:
        return eyes_view()

    @api.post("/seen", response_model=SeenPage)
    def seen(body: a.AskedEyes, window: Window = "") -> Any:
        """The page through other eyes: advice beside its readings."""
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page, body.day), studio.polite("eyes", window)
        return JSONResponse(seen_page(reader, site, page, body.eye, body.dials))

    @api.get("/schemes", response_model=list[SchemeCard])
    def schemes() -> Any:
        return schemes_view(studio.site())

    @api.post("/scheme", response_model=SchemeTried)
    def scheme(body: a.AskedScheme) -> Any:
        site = studio.asked(None, body.revision)
        return scheme_view(site, scheme_of(site, studio.looks, body.which), body.turn, body.strength)

    return api
