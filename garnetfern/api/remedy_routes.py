"""Routes about situations, widths and ways out. Long answers come line by line, as their parts are found."""

from datetime import UTC, date, datetime, timedelta
from typing import Any

from fastapi import APIRouter, Request
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import StreamingResponse

from ..core.document import Asset
from ..core.picture.look import Look
from ..core.placement import day_of
from ..service.runtime.told import told_lines
from ..service.views.banners import whole_banners
from ..service.views.calendar import CalendarView, calendar_view
from ..service.views.every_situation import situations_view, width_view
from ..service.views.film import FilmView, film_view
from ..service.views.fit import fit_trouble, fit_view, fit_ways
from ..service.views.mending import begin_page, mend_page
from ..service.views.pages import PagesView
from ..service.views.remedies import block_named, ways_out
from ..service.views.shares import SharesView, shares_view
from ..service.views.time_line import TimeLine, time_line
from ..service.workspace.studio import Studio
from . import asked as a
from . import models as m
from .answers import problem_of, taken
from .lines import found_line, streamed
from .uploads import read_body
from .versions import Window


def remedy_routes(studio: Studio) -> APIRouter:
    """Every situation, every width, and what to do about it."""
    api = APIRouter(prefix="/api", responses={**problem_of(409), **problem_of(422), **problem_of(404)})

    def colours(asset: Asset) -> tuple[str, ...]:
        return tuple(swatch.colour for swatch in studio.looks.of(asset.hash).look.colours)

    def look(asset: Asset) -> Look:
        return studio.looks.of(asset.hash).look

    @api.post("/situations", response_model=m.SituationLines)
    def every_situation(body: a.Asked, window: Window = "") -> StreamingResponse:
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page, body.day), studio.polite("situations", window)
        return streamed(
            told_lines(lambda told: found_line(situations_view(reader, site, page, studio.films.flash, told)))
        )

    @api.post("/widths", response_model=m.WidthLines)
    def widths(body: a.Asked, window: Window = "") -> StreamingResponse:
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page, body.day), studio.polite("widths", window)
        return streamed(told_lines(lambda told: found_line(width_view(reader, site, page, told))))

    @api.post("/fit", response_model=m.FitLines)
    def fit(body: a.Asked, window: Window = "") -> StreamingResponse:
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page, body.day), studio.polite("fit", window)
        return streamed(told_lines(lambda told: found_line(fit_view(reader, site, page, told))))

    @api.post("/fit-ways", response_model=m.FitWayLines)
    def fit_ways_out(body: a.AskedMisfit, window: Window = "") -> StreamingResponse:
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page), studio.polite("fit-ways", window)
        return streamed(fit_ways(fit_trouble(reader, site, page, body.block, body.misfit)))

    @api.get("/pages", response_model=PagesView)
    def pages(window: Window = "") -> Any:
        return studio.pages(studio.site(), window)

    @api.get("/calendar", response_model=CalendarView)
    def calendar(first: date | None = None) -> Any:
        """Eight weeks from a day on; by itself from the Monday of this week."""
        site = studio.site()
        today = day_of(site, datetime.now(UTC))
        return calendar_view(site, first or today - timedelta(today.weekday()), today)

    @api.get("/shares", response_model=SharesView)
    def shares() -> Any:
        return shares_view(studio.site())

    @api.post("/film", response_model=FilmView)
    def film(body: a.AskedLayer) -> Any:
        site = studio.asked(body.patch, body.revision)
        return film_view(studio.films, site, studio.page(site, body.page, body.day), body.area, body.layer)

    @api.post("/time-line", response_model=TimeLine)
    def times(body: a.AskedLayer, window: Window = "") -> Any:
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page, body.day), studio.polite("time-line", window)
        of = (body.page, body.area, body.layer)
        return studio.remembered("time-line", site, of, lambda: time_line(reader, site, page, body.area, body.layer))

    @api.post("/visits", response_model=m.StepView)
    async def visits(request: Request, revision: int) -> Any:
        data = await read_body(request, 64 * 1024, "The table of visits")
        return await run_in_threadpool(taken, studio, revision, studio.take_visits, data, revision)

    @api.post("/remedies", response_model=m.RemedyLines)
    def remedies(body: a.AskedWords, window: Window = "") -> StreamingResponse:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page)
        block = block_named(page, body.block)
        return streamed(ways_out(studio.polite("remedies", window), site, page, block, colours))

    @api.post("/mend-page", response_model=m.MendLines)
    def mend_whole(body: a.AskedMending, window: Window = "") -> StreamingResponse:
        """Up to three whole pages, each by one idea; nothing is kept."""
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page), studio.polite("remedies", window)
        return streamed(mend_page(reader, site, page, colours, body.least))

    @api.post("/banners", response_model=m.BannerLines)
    def banners(body: a.AskedBanners, window: Window = "") -> StreamingResponse:
        """Six whole banners of one band's words and picture, or more like one of them; nothing is kept."""
        site = studio.asked(body.patch, body.revision)
        page, reader = studio.page(site, body.page), studio.polite("remedies", window)
        return streamed(whole_banners(reader, site, page, body.band, look, body.like, body.number))

    @api.post("/begin", response_model=m.BeginLines)
    def begin(body: a.AskedBeginning, window: Window = "") -> StreamingResponse:
        """Picture and words put together and mended; nothing is kept."""
        site, begun = studio.begun(body.revision, body.page, body.asset, body.words)
        return streamed(begin_page(studio.polite("begin", window), site, begun, body.page, colours))

    return api
