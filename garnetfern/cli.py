"""The command line: serve, demo, check, render, emit, schema."""

import json
import socket
import sys
import threading
from pathlib import Path
from typing import Annotated, NoReturn

import cv2
import typer
import uvicorn

from .core.colour.contrast import Requirement
from .core.css import bundle_files
from .core.document import Page, Site, site_schema
from .core.draw.words import draw_page
from .core.errors import DocumentError, GarnetfernError
from .core.reading import Reader
from .core.resolve.lengths import Viewport
from .core.resolve.page import resolve_page
from .fonts import font_bytes, shipped_fonts
from .service.memory import MemoryPictures
from .service.report import Progress, check_site, demanding, junit, run_over_widths, table, width_table
from .service.site_file import SiteFile, pack_site_file, unpack_site_file
from .service.vouching import lettering_notes

app = typer.Typer(
    help="Words over pictures, and whether they can be read.",
    no_args_is_help=True,
    add_completion=False,
    pretty_exceptions_enable=False,
)
SiteArgument = Annotated[Path, typer.Argument(help="a site file (zip with site.json and pictures/)")]


def _fail(message: str) -> NoReturn:
    typer.echo(message, err=True)
    raise typer.Exit(2)


def _open(file: Path) -> SiteFile:
    try:
        return unpack_site_file(file.read_bytes(), shipped_fonts().names())
    except OSError as error:
        _fail(f"{file}: {error.strerror}.")
    except DocumentError as error:
        _fail("\n".join(f"{file}: {p.path}: {p.message}" for p in error.problems))
    except GarnetfernError as error:
        _fail(f"{file}: {error.message}")


def _page(site: Site, wanted: str) -> Page:
    page = site.page(wanted)
    if page is None:
        _fail(f"There is no page {wanted!r}; there are {', '.join(p.slug for p in site.pages)}.")
    return page


def start_site(data: Path, demo: bool) -> None:
    """Put a first site into an empty data folder: the sample site, or a page with an empty banner."""
    from .demo import demo_site_file
    from .demo.empty import empty_site_file
    from .service.studio import Studio

    studio = Studio(data)
    if studio.history.empty():
        studio.start(demo_site_file() if demo else empty_site_file(), "The sample site" if demo else "A new site")
    studio.close()


@app.command()
def serve(
    demo: Annotated[bool, typer.Option(help="begin with the sample site where there is none yet")] = False,
    host: Annotated[str, typer.Option(help="anything but this machine alone asks visitors for a token")] = "127.0.0.1",
    port: Annotated[int, typer.Option(min=1, max=65535)] = 8420,
    data: Annotated[Path, typer.Option(help="where the site and its pictures are kept")] = Path("data/site"),
    allow_host: Annotated[list[str] | None, typer.Option(help="a further name it answers to; may be repeated")] = None,
) -> None:
    """Start the application and print its address."""
    from .api.app import WEB, create_app
    from .api.guard import Door, new_token
    from .api.guard.door import is_loopback

    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            _fail(f"Port {port} on {host} cannot be used ({error.strerror}). Choose another with --port.")
    start_site(data, demo)
    token = None if is_loopback(host) else new_token()
    application = create_app(data, Door.of([host, *(allow_host or [])], token))
    if not WEB.is_dir():
        typer.echo("The interface is not built; run `make setup` first. The API is served alone.", err=True)
    if token is None:
        typer.echo(f"Garnetfern is at http://{host}:{port}/  (Ctrl+C ends it; everything is kept in {data})")
    else:
        typer.echo(_open_to_others(host, port, token, data))
    threading.Thread(target=application.state.studio.warm, daemon=True).start()
    uvicorn.run(application, host=host, port=port, log_level="warning")


def _open_to_others(host: str, port: int, token: str, data: Path) -> str:
    """What to say where other machines can reach the application."""
    named = f"[{host}]" if ":" in host else host
    return (
        f"Garnetfern listens on {host}, port {port}: every machine that reaches this one can ask it for pages, and\n"
        "who has the token below can see and change everything. It is printed once and holds until the end:\n\n"
        f"  http://{named}:{port}/enter?token={token}\n\n"
        "It travels unencrypted; beyond a network that you trust, put a server with TLS before it. For other names\n"
        f"than {host} say --allow-host NAME. Ctrl+C ends it; everything is kept in {data}."
    )


@app.command()
def demo(file: Path) -> None:
    """Write the sample site as a site file."""
    from .demo import demo_site_file

    file.write_bytes(pack_site_file(demo_site_file()))
    typer.echo(f"Wrote {file}.")


def _progress() -> Progress:
    """Says on a terminal how far it is; silent where nobody looks."""
    if not sys.stderr.isatty():
        return lambda _, __: None

    def say(what: str, share: float) -> None:
        typer.echo(f"\r{share:4.0%} {what[:60]:60}", nl=False, err=True)

    return say


@app.command()
def check(
    file: SiteArgument,
    as_json: Annotated[bool, typer.Option("--json")] = False,
    require: Annotated[Requirement | None, typer.Option(help="AA or AAA, instead of what the site says")] = None,
    width_run: Annotated[bool, typer.Option("--width-run", help="every width from 320 to 2560 px as well")] = False,
    report: Annotated[Path | None, typer.Option("--junit", help="write JUnit XML there")] = None,
) -> None:
    """Check every block of words in every situation. Exit code 1: some fall short; 2: it cannot be checked."""
    opened = _open(file)
    site = demanding(opened.site, require)
    reader = Reader(shipped_fonts(), MemoryPictures(opened.pictures))
    say = _progress()
    rows = check_site(reader, site, say)
    widths = run_over_widths(reader, site, say) if width_run else []
    say("done\n", 1.0)
    short = [row for row in rows if not row["meets"] and row["vouched"]]
    failing = [row for row in widths if row["short"]]
    if report is not None:
        report.write_text(junit(rows, widths, str(site.requirement)))
    notes = [{"page": p.slug, **note} for p in site.pages for note in lettering_notes(site, p)]
    if as_json:
        typer.echo(json.dumps({"readings": rows, "short": len(short), "widths": widths, "notes": notes}, indent=1))
    else:
        typer.echo(table(rows))
        if widths:
            typer.echo(width_table(widths))
        for note in notes:
            typer.echo(f"note   {note['page']:10} {note['sentence']}")
        unsure = sum(not row["vouched"] for row in rows)
        met = f"{len(rows) - len(short) - unsure} of {len(rows)} readings meet {site.requirement}"
        doubt = f"; {unsure} cannot be vouched for" if unsure else ""
        typer.echo(f"\n{met}; {len(short)} fall short{doubt}.")
        if width_run:
            typer.echo(f"Over the widths words begin to fall short {len(failing)} times.")
    raise typer.Exit(1 if short or failing else 0)


@app.command()
def render(
    file: SiteArgument,
    page: Annotated[str, typer.Option()],
    width: Annotated[int, typer.Option(min=100, max=4000)],
    height: Annotated[int, typer.Option(min=100, max=20_000)],
    out: Annotated[Path, typer.Option()],
) -> None:
    """Draw a page as a PNG, as high as it is."""
    opened = _open(file)
    reader = Reader(shipped_fonts(), MemoryPictures(opened.pictures))
    record = resolve_page(opened.site, _page(opened.site, page), Viewport(width, height), reader.fonts)
    region = (0, 0, width, min(20_000, round(record.height)))
    pixels = draw_page(record, region, reader.pictures, reader.glyphs)
    done, data = cv2.imencode(".png", pixels[:, :, ::-1])
    if not done:
        _fail("The picture could not be encoded.")
    out.write_bytes(data.tobytes())
    typer.echo(f"Wrote {out}.")


@app.command()
def emit(file: SiteArgument, out: Annotated[Path, typer.Option()]) -> None:
    """Write the site as HTML, CSS, pictures and fonts into a folder."""
    opened = _open(file)
    pictures = MemoryPictures(opened.pictures)
    files = bundle_files(opened.site, shipped_fonts(), pictures.file, font_bytes)
    for name, data in files.items():
        target = out / name
        target.parent.mkdir(parents=True, exist_ok=True)
        target.write_bytes(data)
    typer.echo(f"Wrote {len(files)} files to {out}; open {out / 'index.html'}.")


@app.command()
def schema() -> None:
    """Print the JSON Schema of the site document."""
    typer.echo(json.dumps(site_schema(), indent=2))


if __name__ == "__main__":
    app()
