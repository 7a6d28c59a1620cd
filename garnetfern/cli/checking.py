"""Commands on site files: check, render, emit, schema."""

import json
from dataclasses import replace
from pathlib import Path
from typing import Annotated

import cv2
import typer

from ..core.colour.contrast import Requirement
from ..core.css import bundle_files
from ..core.css.bundle import STANDARD
from ..core.document import site_schema
from ..core.draw.words import draw_page
from ..core.resolve.lengths import Viewport
from ..core.resolve.moment import Moment
from ..core.resolve.page import resolve_page
from ..fonts import shipped_fonts
from ..sandbox import shared_room
from ..service.files.films import coded_at_once
from ..service.files.memory import MemoryPictures
from ..service.views.bringing import unread_row
from ..service.views.check import short_of
from ..service.views.fit import grave_of
from ..service.views.report import (
    composed,
    demanding,
    fit_summed,
    fit_table,
    junit,
    summed,
    table,
    unmeasured,
    width_table,
)
from ..service.views.vouching import notes_on
from ..store.files import write_whole
from .common import OnOption, SiteArgument, app, fail, on_day, opened, page_of, painted, progress, reader_of, telling
from .parallel import Wanted, check_at_once, look_at
from .reading import own_page, told

AS_READ = (
    "Each part was read as wide as the window, with its words one below the other; what other rules do to their places "
    "is not vouched for."
)
"""What holds of every reading of somebody's own page."""


@app.command()
def check(
    file: SiteArgument,
    as_json: Annotated[bool, typer.Option("--json")] = False,
    require: Annotated[Requirement | None, typer.Option(help="AA or AAA, instead of what the site says")] = None,
    width_run: Annotated[bool, typer.Option("--width-run", help="every width from 320 to 2560 px as well")] = False,
    report: Annotated[Path | None, typer.Option("--junit", help="write JUnit XML there")] = None,
    every: Annotated[bool, typer.Option("--all", help="every reading, not only what falls short")] = False,
    on: OnOption = None,
    html: Annotated[Path | None, typer.Option(help="FILE is a stylesheet, and this is its page: both your own")] = None,
    jobs: Annotated[int, typer.Option(min=1, max=64, help="so many processes look at pages at a time")] = 1,
) -> None:
    """Check every block of words in every situation, on every page that rules compose: what falls short, what does not
    fit, then the sum.

    Of somebody's own stylesheet and page as far as they can be read; what could not be is listed.
    Exit code 1: some fall short, or are lost because they do not fit; 2: it cannot be checked; 3: none of that, but
    some could not be measured.
    """
    own = file.suffix.lower() in (".css", ".html", ".htm")
    if html is not None and not own:
        fail(f"--html goes with a stylesheet; {file} is none.")
    found, unread = own_page([file], html) if own else (opened(file), [])
    site = on_day(demanding(found.site, require), on)
    reader, pictures = reader_of(found, as_json)
    say = progress()
    pages = composed(site)
    if jobs > 1 and len(pages) > 1 and not own:
        checked = check_at_once(Wanted(file, require, on, width_run, as_json), pages, jobs, say)
    else:
        checked = look_at(reader, site, own, width_run, say)
    rows, widths, fit = checked.rows, checked.widths, checked.fit
    say("done\n", 1.0)
    short, left, lost = short_of(rows), unmeasured(rows), grave_of(fit)
    failing = [row for row in widths if row["short"]]
    if report is not None:
        with telling(report):
            report.write_text(junit(rows, widths, fit, str(site.requirement)))
    unvouched = [unread_row(u) for u in unread]
    notes = [{"page": p.slug, **note} for p in site.visited for note in notes_on(site, p, reader.fonts, pictures.flash)]
    if as_json:
        whole = {
            "readings": rows,
            "short": len(short),
            "unmeasured": left,
            "widths": widths,
            "fit": fit,
            "notes": notes,
        }
        typer.echo(json.dumps({**whole, **({"unread": unvouched} if own else {})}, indent=1))
    else:
        for said, line in table(rows, every):
            typer.echo(painted(line, said))
        if widths:
            typer.echo(width_table(widths))
        for said, line in fit_table(fit):
            typer.echo(painted(line, said))
        for note in notes:
            typer.echo(f"note   {note['page']:10} {note['sentence']}")
        for one in unread:
            typer.echo(f"unsure {told(one)}")
        if own:
            typer.echo(AS_READ)
        if width_run:
            typer.echo(f"Over the widths words begin to fall short {len(failing)} times.")
        typer.echo(f"\n{summed(rows)} ({site.requirement}). {fit_summed(fit)}")
    raise typer.Exit(1 if short or failing or lost else 3 if left else 0)


@app.command()
def render(
    file: SiteArgument,
    page: Annotated[str, typer.Option()],
    width: Annotated[int, typer.Option(min=100, max=4000)],
    height: Annotated[int, typer.Option(min=100, max=20_000)],
    out: Annotated[Path, typer.Option()],
    at: Annotated[float | None, typer.Option(min=0, max=100_000, help="seconds since it was shown")] = None,
) -> None:
    """Draw a page as a PNG, as high as it is, as it is met at a time; without one at rest."""
    found = opened(file)
    reader, _ = reader_of(found)
    record = resolve_page(found.site, page_of(found.site, page), Moment(Viewport(width, height), time=at), reader.fonts)
    region = (0, 0, width, min(20_000, round(record.height)))
    pixels = draw_page(record, region, reader.pictures, reader.glyphs)
    done, data = cv2.imencode(".png", pixels[:, :, ::-1])
    if not done:
        fail("The picture could not be encoded.")
    with telling(out):
        out.write_bytes(data.tobytes())
    typer.echo(f"Wrote {out}.")


@app.command()
def emit(file: SiteArgument, out: Annotated[Path, typer.Option()], on: OnOption = None) -> None:
    """Write the site as HTML, CSS, pictures, films and fonts into a folder."""
    found = opened(file)
    site = on_day(found.site, on)
    pictures, fonts, say = MemoryPictures(found.pictures), found.book(shipped_fonts()), progress()
    coded, film = coded_at_once(shared_room(), pictures.film_path, site, fonts, say)
    files = bundle_files(site, fonts, pictures.file, replace(STANDARD, coded=coded), lambda *_: None, film)
    say("done\n", 1.0)
    with telling(out):
        for name, data in files.items():
            write_whole(out / name, data)
    typer.echo(f"Wrote {len(files)} files to {out}; open {out / 'index.html'}.")


@app.command()
def schema() -> None:
    """Print the JSON Schema of the site document."""
    typer.echo(json.dumps(site_schema(), indent=2))
