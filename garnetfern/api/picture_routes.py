"""Routes about pictures: edits, the shelf, framing, tiles, slots, stock, weights and long work."""

from dataclasses import asdict
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Query
from fastapi.responses import Response

from ..core.errors import NotFoundError
from ..service.files.cuts import cut_file, mended
from ..service.files.stock import StockView, search_stock, stock_thumb
from ..service.views.areas import ScreenAreas, area_views
from ..service.views.framing import FramingView, framing
from ..service.views.seams import MendView, mend_view
from ..service.views.shelf import CropFacts, PictureView, SlotView, crop_facts, shelf_view, slot_view
from ..service.views.weights import WeightsView, weights
from ..service.workspace.studio import Studio
from ..store import JobState
from . import asked as a
from . import models as m
from .answers import FOREVER, download, problem_of
from .versions import Have, Versions


def _asset(studio: Studio, asset_id: str) -> Any:
    found = next((a for a in studio.site().assets if a.id == asset_id), None)
    if found is None:
        raise NotFoundError(f"There is no picture {asset_id!r} on the shelf.")
    return found


def area_routes(studio: Studio, versions: Versions) -> APIRouter:
    """Edits, areas and framing."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(404)})

    @api.post("/edit", response_model=m.EditedView)
    def edit(body: a.AskedEdit) -> Any:
        state, chosen = studio.edit(body.revision, body.edit)
        return {"step": asdict(studio.step(state, body.revision)), "chosen": chosen}

    @api.post("/areas", response_model=list[ScreenAreas])
    def areas(body: a.Asked, have: Have = None) -> Any:
        site = studio.asked(body.patch, body.revision)
        return versions.answer(area_views(site, studio.page(site, body.page, body.day), studio.fonts), have)

    @api.post("/framing", response_model=FramingView)
    def frames(body: a.AskedLayer, have: Have = None) -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page, body.day)
        return versions.answer(framing(site, page, body.area, body.layer, studio.looks, studio.fonts), have)

    return api


def shelf_routes(studio: Studio) -> APIRouter:
    """The shelf, stock, mending and slots."""
    api = APIRouter(prefix="/api", responses={**problem_of(422), **problem_of(404)})

    @api.get("/shelf", response_model=list[PictureView])
    def shelf() -> Any:
        return shelf_view(studio.site(), studio.looks, studio.pictures.intact)

    @api.get("/stock", response_model=list[StockView])
    def stock(word: str = "", colour: str = "", shape: str = "") -> Any:
        return search_stock(word, colour, shape)

    @api.post("/stock/{name}", response_model=m.Picked)
    def take_stock(name: str) -> Any:
        return {"asset": studio.add_stock(name)}

    @api.get("/stock/{name}/small", response_class=Response, include_in_schema=False)
    def small(name: str) -> Response:
        return Response(stock_thumb(name), media_type="image/webp", headers=FOREVER)

    @api.post("/mend/facts", response_model=MendView)
    def mend_facts(body: a.AskedMend) -> Any:
        asset = _asset(studio, body.asset)
        data, before, after = mended(studio.room, studio.pictures.original, asset, body.way)
        return mend_view(asset, body.way, len(data), before, after)

    @api.post("/mend", response_model=m.Picked)
    def mend(body: a.AskedMend) -> Any:
        asset = _asset(studio, body.asset)
        data, _, _ = mended(studio.room, studio.pictures.original, asset, body.way)
        return {"asset": studio.add_picture(data, f"{asset.title}, mended.png", asset.credit)}

    @api.get("/mended/{asset}/{way}.png", response_class=Response, include_in_schema=False)
    def mended_picture(asset: str, way: Literal["cross-fade", "mirror"]) -> Response:
        data, _, _ = mended(studio.room, studio.pictures.original, _asset(studio, asset), way)
        return Response(data, media_type="image/png")

    @api.post("/slot", response_model=SlotView)
    def slot(body: a.AskedSlot) -> Any:
        site = studio.asked(body.patch, body.revision)
        if all(s.id != body.slot for s in site.slots):
            raise NotFoundError(f"There is no slot {body.slot!r} in this site.")
        return slot_view(site, body.slot)

    @api.post("/crop", response_model=CropFacts)
    def crop(body: a.AskedCrop) -> Any:
        site = studio.asked(body.patch, body.revision)
        if all(s.id != body.slot for s in site.slots) or all(a.id != body.asset for a in site.assets):
            raise NotFoundError("There is no such slot or picture.")
        return crop_facts(site, body.slot, body.asset, body.crop)

    @api.get("/slot-file", response_class=Response)
    def slot_file(slot: str, asset: str, kind: Annotated[Literal["jpeg", "png"], Query()] = "jpeg") -> Response:
        site = studio.site()
        data, name = cut_file(studio.room, studio.source, site, slot, asset, kind)
        return download(data, name, f"image/{kind}")

    return api


def work_routes(studio: Studio) -> APIRouter:
    """Weights and long work."""
    api = APIRouter(prefix="/api", responses={**problem_of(422), **problem_of(404)})

    @api.get("/weights", response_model=WeightsView)
    def weight() -> Any:
        return weights(studio.site(), studio.fonts, studio.fitting, studio.fitted, studio.films)

    @api.get("/work", response_model=list[JobState])
    def work() -> Any:
        return studio.jobs.list(studio.id)

    @api.post("/work", response_model=JobState)
    def ask(body: a.AskedWork) -> Any:
        return studio.ask_work(body.kind)

    @api.post("/work/{job}/stop", response_model=JobState)
    def stop(job: int) -> Any:
        return studio.jobs.stop(job)

    return api
