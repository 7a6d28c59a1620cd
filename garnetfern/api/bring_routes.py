"""Routes of bringing in: a stylesheet is read, its areas are looked at, and one is laid."""

from dataclasses import asdict
from typing import Annotated, Any

from fastapi import APIRouter, Query, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import Response
from pydantic import BaseModel, Field

from ..core.limits import PAGE_UPLOAD, STYLESHEET, WHOLE_NUMBER
from ..service.views.bringing import BroughtView
from ..service.workspace.studio import Studio
from . import models as m
from .answers import FOREVER, problem_of
from .uploads import read_body

Beside = Annotated[int | None, Query(ge=0, le=WHOLE_NUMBER)]


class PastedText(BaseModel):
    """CSS, or a page, as it was pasted."""

    text: str = Field(max_length=STYLESHEET)


class LaidArea(BaseModel):
    """An area of what was read (`id`, `number`), to lie on an area of a page or below it as a band of its own."""

    revision: int = Field(ge=0, le=WHOLE_NUMBER)
    id: int = Field(ge=0, le=WHOLE_NUMBER)
    number: int = Field(ge=0, le=WHOLE_NUMBER)
    page: str = Field(max_length=100)
    area: str = Field(max_length=100)
    as_band: bool = False


class FontsAlong(BaseModel):
    """The fonts of what was read, to be put on the shelf."""

    revision: int = Field(ge=0, le=WHOLE_NUMBER)
    id: int = Field(ge=0, le=WHOLE_NUMBER)


class FontsBrought(BaseModel):
    """Where the site stands then, what was read once more, and why fonts were not taken."""

    step: m.StepView
    found: BroughtView
    refused: list[str]


def pasted_name(text: str) -> str:
    """What pasted text is called: a page where it begins as one, a stylesheet otherwise."""
    begin = text.lstrip()
    return "pasted.html" if begin[:1] == "<" and not begin.startswith("<!--") else "pasted.css"


def bring_routes(studio: Studio) -> APIRouter:
    """Bringing in a stylesheet."""
    api = APIRouter(prefix="/api/bring", responses={**problem_of(404), **problem_of(409), **problem_of(422)})

    @api.post("/text", response_model=BroughtView)
    def text(body: PastedText) -> Any:
        return studio.bringing.read([(pasted_name(body.text), body.text.encode())])

    @api.post("/file", response_model=BroughtView)
    async def file(
        request: Request, name: Annotated[str, Query(min_length=1, max_length=300)], beside: Beside = None
    ) -> Any:
        """`beside`: what was read before, to which this file belongs."""
        data = await read_body(request, PAGE_UPLOAD, name)
        return await run_in_threadpool(studio.bringing.read, [(name, data)], beside)

    @api.get("/picture/{id_}/{number}", response_class=Response)
    def picture(id_: int, number: int) -> Response:
        return Response(studio.bringing.picture(id_, number), media_type="image/jpeg", headers=FOREVER)

    @api.post("/fonts", response_model=FontsBrought)
    def fonts(body: FontsAlong) -> Any:
        state, found, refused = studio.bringing.take_fonts(body.revision, body.id)
        return {"step": asdict(studio.step(state, body.revision)), "found": found, "refused": refused}

    @api.post("/lay", response_model=m.EditedView)
    def lay(body: LaidArea) -> Any:
        asked = (body.revision, body.id, body.number, body.page, body.area, body.as_band)
        state, chosen = studio.bringing.lay(*asked)
        return {"step": asdict(studio.step(state, body.revision)), "chosen": chosen}

    return api
