"""The command line: serve, demo, check, render, emit, schema."""

import json
import socket
import threading
from pathlib import Path
from typing import Annotated, Any, NoReturn

import cv2
import typer
import uvicorn

from .core.css import bundle_files
from .core.document import Page, Site, site_schema
from .core.draw.words import draw_page
from .core.errors import DocumentError, GarnetfernError
from .core.reading import Reader
from .core.resolve.lengths import Viewport
from .core.resolve.page import resolve_page
from .fonts import font_bytes, shipped_fonts
from .service.check import check_page
from .service.memory import MemoryPictures
from .service.site_file import SiteFile, pack_site_file, unpack_site_file

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
    studio.db.close()


@app.command()
def serve(
    demo: Annotated[bool, typer.Option(help="begin with the sample site where there is none yet")] = False,
    host: str = "127.0.0.1",
    port: int = 8420,
    data: Annotated[Path, typer.Option(help="where the site and its pictures are kept")] = Path("data/site"),
) -> None:
    """Start the application and print its address."""
    from .api.app import WEB, create_app

    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            _fail(f"Port {port} on {host} cannot be used ({error.strerror}). Choose another with --port.")
    start_site(data, demo)
    application = create_app(data)
    if not WEB.is_dir():
        typer.echo("The interface is not built; run `make setup` first. The API is served alone.", err=True)
    typer.echo(f"Garnetfern is at http://{host}:{port}/  (Ctrl+C ends it; everything is kept in {data})")
    threading.Thread(target=application.state.studio.warm, daemon=True).start()
    uvicorn.run(application, host=host, port=port, log_level="warning")


@app.command()
def demo(file: Path) -> None:
    """Write the sample site as a site file."""
    from .demo import demo_site_file

    file.write_bytes(pack_site_file(demo_site_file()))
    typer.echo(f"Wrote {file}.")


def _table(rows: list[dict[str, Any]]) -> str:
    lines = []
    width = max((len(r["block"]) for r in rows), default=5)
    names = max((len(r["name"]) for r in rows), default=5)
    for r in rows:
        verdict = "unsure" if not r["vouched"] else "ok" if r["meets"] else "SHORT"
        figure = f"{r['shown'] or '-':>5} of {r['required']:g}"
        lines.append(
            f"{verdict:6} {r['page']:10} {r['block']:{width}}  {r['name']:{names}}  {figure:12} {r['sentence']}"
        )
    return "\n".join(lines)


@app.command()
def check(file: SiteArgument, as_json: Annotated[bool, typer.Option("--json")] = False) -> None:
    """Check every block of words in every situation. Exit code 1 where any falls short."""
    opened = _open(file)
    reader = Reader(shipped_fonts(), MemoryPictures(opened.pictures))
    rows = [{"page": page.slug, **row} for page in opened.site.pages for row in check_page(reader, opened.site, page)]
    short = [row for row in rows if not row["meets"]]
    if as_json:
        typer.echo(json.dumps({"readings": rows, "short": len(short)}, indent=1))
    else:
        typer.echo(_table(rows))
        met = f"{len(rows) - len(short)} of {len(rows)} readings meet {opened.site.requirement}"
        typer.echo(f"\n{met}; {len(short)} fall short.")
    raise typer.Exit(1 if short else 0)


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
