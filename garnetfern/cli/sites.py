"""Commands about the sites of a data folder; they work while the application runs, and while it does not."""

import json
import sqlite3
from contextlib import closing
from typing import Annotated

import typer

from ..store.opening import DATABASE, inspect, read_only
from ..store.releases import live_releases
from ..store.sites import standing, step_of
from .common import DataArgument, app, fail, telling


@app.command()
def sites(data: DataArgument, as_json: Annotated[bool, typer.Option("--json")] = False) -> None:
    """List the sites of a data folder: id, name, how many pages, revision, what is live. Nothing is changed."""
    file = data / DATABASE
    with telling(data):
        if not file.exists():
            fail(f"{data} holds no site: there is no {DATABASE}.")
        inspect(file)
        with closing(read_only(file)) as db:
            rows = list(_rows(db))
    if as_json:
        typer.echo(json.dumps(rows, indent=1))
        return
    width = max((len(str(row["site"])) for row in rows), default=0)
    for row in rows:
        pages = "1 page" if row["pages"] == 1 else f"{row['pages']} pages"
        live = f"release {row['live']} is live" if row["live"] else "nothing is live"
        typer.echo(f"{row['site']:{width}}  {row['name']}, {pages}, revision {row['revision']}, {live}")


def _rows(db: sqlite3.Connection) -> list[dict[str, object]]:
    """The sites that are there, in their order."""
    found: list[dict[str, object]] = []
    tables = {name for (name,) in db.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
    stands = standing(db)
    order, live = list(stands), live_releases(db)
    if "site" in tables:
        order = [name for (name,) in db.execute("SELECT id FROM site WHERE removed IS NULL ORDER BY number")]
    for site in order:
        revision, step = stands[site]
        document = json.loads(step_of(db, site, step, "document")[0])
        pages = sum(not page.get("loose") for page in document["pages"])
        row = {"site": site, "name": document["name"], "pages": pages, "revision": revision}
        found.append({**row, "live": live.get(site)})
    return found
