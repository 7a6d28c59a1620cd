"""Putting a site live from the command line, while the application runs and while it does not."""

import json
from pathlib import Path
from typing import Annotated, Any

import typer

from ..service.views.whole_check import falls_short
from ..service.workspace.house import House
from ..service.workspace.publishing import FallsShortError, Prepared
from ..service.workspace.studio import Studio
from ..store import Plan, Release, planned, write_release
from .common import DataArgument, app, fail, progress, telling


@app.command()
def release(
    data: DataArgument,
    to: Annotated[Path, typer.Option(help="the folder that the owner's host hands out")],
    site: Annotated[str | None, typer.Option(help="the id of the site; needed where there are several")] = None,
    anyway: Annotated[bool, typer.Option("--anyway", help="although words fall short; that is kept with it")] = False,
    dry_run: Annotated[bool, typer.Option("--dry-run", help="list what would be written; put nothing live")] = False,
    as_json: Annotated[bool, typer.Option("--json")] = False,
) -> None:
    """Put a site live as its next release, and write that into a folder: the old one stands there, or the new one.

    What is live already is written again, without a new release. Exit code 1: words fall short, and nothing was put
    live or written; 2: it cannot be done.
    """
    if not data.is_dir():
        fail(f"{data} is no folder.")
    with telling(data):
        house = House(data, beside=True)
        try:
            _release(_studio(house, site), to, anyway, dry_run, as_json)
        finally:
            house.close()


def _studio(house: House, site: str | None) -> Studio:
    there = [kept.id for kept in house.there()]
    if site is None and len(there) != 1:
        fail(f"There are {len(there)} sites; say which with --site: {', '.join(there) or 'none'}.")
    return house.studio(site or there[0])


def _release(studio: Studio, to: Path, anyway: bool, dry_run: bool, as_json: bool) -> None:
    say = progress()
    releases, publishing = studio.folder.releases, studio.publishing
    state = studio.state()
    ready = publishing.prepare(studio.site(), studio.reader, say)
    if dry_run:
        say("done\n", 1.0)
        _tell(None, planned(to, studio.id, {**releases.reachable(studio.id), **ready.files}), ready, as_json)
        raise typer.Exit(1 if falls_short(ready.check) and not anyway else 0)
    planned(to, studio.id, ready.files)
    try:
        publishing.refuse_short(ready.check, anyway)
        made = publishing.publish_same(ready) or publishing.publish(state.revision, studio.reader, anyway, say)
    except FallsShortError as error:
        say("done\n", 1.0)
        typer.echo(f"{error.message} Say --anyway to do it all the same; that is kept with it.", err=True)
        raise typer.Exit(1) from error
    with telling(to):
        plan = write_release(to, studio.id, made, releases.reachable(studio.id), releases.data, say)
    say("done\n", 1.0)
    _tell(made, plan, ready, as_json)


def _tell(made: Release | None, plan: Plan, ready: Prepared, as_json: bool) -> None:
    listed: dict[str, Any] = {"fresh": plan.fresh, "gone": plan.gone, "same": plan.same, "own": plan.own}
    check = {name: value for name, value in ready.check.items() if name != "rows"}
    if as_json:
        typer.echo(json.dumps({"release": made.number if made else None, **check, **listed}, indent=1))
        return
    for sign, paths in (("+", plan.fresh), ("-", plan.gone), ("=", plan.own)):
        for path in paths:
            typer.echo(f"{sign} {path}")
    size = sum(ready.files[path].bytes for path in plan.fresh if path in ready.files)
    counts = f"{len(plan.fresh)} files come ({size:,} bytes), {len(plan.gone)} go, {len(plan.same)} stay"
    own = f", {len(plan.own)} of your own come along" if plan.own else ""
    verb = f"Release {made.number} is live" if made else "Nothing was written"
    short = " That is kept with it." if made and falls_short(ready.check) else ""
    typer.echo(f"{verb}: {counts}{own}. {ready.check['sentence']}{short}")
