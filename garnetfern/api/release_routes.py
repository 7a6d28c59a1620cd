"""Routes of releases: what there is and what has changed, what the next one would be, putting live, going back."""

from collections.abc import Mapping
from typing import Annotated, Any

from fastapi import APIRouter, Query
from fastapi.responses import StreamingResponse
from pydantic import BaseModel, Field

from ..core.limits import WHOLE_NUMBER
from ..core.telling import Told
from ..service.runtime.told import told_lines
from ..service.views.releases import ReleasesView
from ..service.workspace.studio import Studio
from . import models as m
from .answers import problem_of, taken
from .lines import found_line, streamed
from .versions import Window


class AskedRelease(BaseModel):
    """The state that is to be looked at or put live; `anyway`: although words fall short."""

    revision: int = Field(ge=0, le=WHOLE_NUMBER)
    anyway: bool = False


class ReleaseNumber(BaseModel):
    """One of the releases."""

    number: int = Field(ge=1, le=WHOLE_NUMBER)


class WorkedRelease(ReleaseNumber):
    """One that is to be worked on again, in place of a state."""

    revision: int = Field(ge=0, le=WHOLE_NUMBER)


def release_routes(studio: Studio) -> APIRouter:
    """The releases of a site."""
    api = APIRouter(prefix="/api/releases", responses={**problem_of(404), **problem_of(409), **problem_of(422)})
    publishing = studio.publishing

    @api.get("", response_model=ReleasesView)
    def releases(revision: Annotated[int, Query(ge=0, le=WHOLE_NUMBER)]) -> Any:
        return publishing.view(studio.asked(None, revision))

    @api.post("/look", response_model=m.LookLines)
    def look(body: AskedRelease, window: Window = "") -> StreamingResponse:
        """What the next release would be, line by line."""
        studio.site(None, body.revision)
        reader = studio.polite("release", window)

        def work(told: Told) -> Mapping[str, Any]:
            return found_line(publishing.look(body.revision, reader, told))

        return streamed(told_lines(work))

    @api.post("/publish", response_model=m.PublishLines)
    def publish(body: AskedRelease, window: Window = "") -> StreamingResponse:
        """Put the site live, line by line; what falls short is refused unless it is meant."""
        studio.site(None, body.revision)
        reader = studio.polite("release", window)

        def work(told: Told) -> Mapping[str, Any]:
            release = publishing.publish(body.revision, reader, body.anyway, told)
            return found_line({"number": release.number})

        return streamed(told_lines(work))

    @api.post("/back", response_model=ReleaseNumber)
    def back(body: ReleaseNumber) -> Any:
        return {"number": publishing.back(body.number).number}

    @api.post("/work-on", response_model=m.StepView)
    def work_on(body: WorkedRelease) -> Any:
        return taken(studio, body.revision, studio.work_on, body.revision, body.number)

    return api
