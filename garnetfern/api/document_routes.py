"""Routes of the document that is worked on: its state and steps, how it looks, what it reads as."""

from dataclasses import asdict
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Query
from fastapi.responses import Response, StreamingResponse

from .. import __version__
from ..core.css import EmittedPage, EmittedRule
from ..core.document import pointed_at, stilled
from ..core.placement import shown_by_rules
from ..service.files.taken import TakenAway
from ..service.runtime.told import told_lines
from ..service.views.build_up import BuildUp, BuildUpView
from ..service.views.check import ReadingsView, check_page, verdict
from ..service.views.every_situation import page_met
from ..service.views.overlay import OverlayView, overlay_remedy
from ..service.views.overlay_everywhere import overlay_everywhere
from ..service.workspace.studio import Studio
from . import asked as a
from . import models as m
from .answers import download, problem_of, taken
from .lines import found_line, streamed
from .versions import Have, Versions, Window

Selector = Annotated[str, Query(max_length=200)]
Base = Annotated[str, Query(max_length=200)]
"""Where the folders of a bundle lie, as the place sees it that a text is put into."""
Prefix = Annotated[str, Query(max_length=40)]
WITHOUT_RULES = ", without what rules show"
"""What is not looked at where no day is chosen."""


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
            "site": studio.id,
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
            found = studio.page(site, body.page, body.day)
            met, plain = page_met(site, found, body.situation) if body.situation else (found, False)
            met = pointed_at(met) if body.pointed else met
            page = studio.emitted(site, stilled(met) if body.still else met, plain)
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
            page = studio.page(site, body.page, body.day)
            found = check_page(studio.reader, site, page)
            reserve = WITHOUT_RULES if body.day is None and shown_by_rules(site, page) else ""
            return versions.answer({"readings": found, **verdict(site, page, found, reserve)}, have)

    @api.post("/build-up", response_model=BuildUpView)
    def build_up(body: a.AskedBuildUp, window: Window = "", have: Have = None) -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page, body.day)
        area, reader = studio.area(page, body.area), studio.polite("build-up", window)
        of = (body.page, body.area, body.block)
        found = studio.remembered("build-up", site, of, lambda: BuildUp(reader, site, page, area).cards(body.block))
        return versions.answer(found, have)

    @api.post("/overlay", response_model=OverlayView)
    def overlay(body: a.AskedLayer, window: Window = "") -> Any:
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page, body.day)
        area, reader = studio.area(page, body.area), studio.polite("overlay", window)
        of = (body.page, body.area, body.layer)
        return studio.remembered("overlay", site, of, lambda: overlay_remedy(reader, site, page, area, body.layer))

    @api.post("/overlay-everywhere", response_model=m.EverywhereLines)
    def everywhere(body: a.AskedLayer, window: Window = "") -> StreamingResponse:
        """The same on all pages: which is looked at, then the whole."""
        site = studio.asked(body.patch, body.revision)
        page = studio.page(site, body.page)
        area, reader = studio.area(page, body.area), studio.polite("everywhere", window)
        return streamed(
            told_lines(lambda told: found_line(overlay_everywhere(reader, site, page, area, body.layer, told)))
        )

    @api.get("/rule", response_model=EmittedRule)
    def rule(page: str, area: str, selector: Selector = ".banner", base: Base = "") -> Any:
        site = studio.site()
        whole = studio.page(site, page)
        return studio.taking.rule(site, whole, studio.area(whole, area), selector, base)

    @api.get("/rule.zip", response_class=Response)
    def rule_files(page: str, area: str, selector: Selector = ".banner", base: Base = "") -> Response:
        site = studio.site()
        whole = studio.page(site, page)
        return download(studio.taking.rule_files(site, whole, studio.area(whole, area), selector, base), "rule.zip")

    @api.get("/taken", response_model=TakenAway)
    def taken_away(
        page: str, area: str, way: Literal["part", "inline", "pictures"], base: Base = "", prefix: Prefix = "ours"
    ) -> Any:
        site = studio.site()
        whole = studio.page(site, page)
        return studio.taking.taken(site, whole, studio.area(whole, area), way, base, prefix)

    @api.get("/fonts", response_model=list[m.FontView])
    def fonts() -> Any:
        site = studio.site()
        return [
            {
                "family": f.name,
                "character": f.character,
                "stack": f.stack,
                "weights": f.weights(),
                "italic": bool(f.italics),
                "own": f.own,
                "axes": next((file.axes for file in site.fonts if file.family == f.name), ()),
                "instances": [i for file in site.fonts if file.family == f.name for i in file.instances],
            }
            for f in studio.fonts.of(site).families
        ]

    return api
