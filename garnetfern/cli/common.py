"""What all commands share: the application, opening site files, saying what went wrong, and progress."""

import os
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import datetime
from pathlib import Path
from typing import Annotated, NoReturn

import typer

from ..core.cache import Cache
from ..core.document import Page, Site
from ..core.errors import DocumentError, GarnetfernError
from ..core.limits import MB
from ..core.placement import site_on
from ..core.reading import Reader
from ..fonts import shipped_fonts
from ..service.files.memory import MemoryPictures
from ..service.files.site_file import SiteFile, unpack_site_file
from ..service.views.report import Progress
from ..store import refusal_of

app = typer.Typer(
    help="Words over pictures, and whether they can be read.",
    no_args_is_help=True,
    add_completion=False,
    pretty_exceptions_enable=False,
)
SiteArgument = Annotated[Path, typer.Argument(help="a site file (zip with site.json and pictures/)")]
DataArgument = Annotated[Path, typer.Argument(help="the data folder of a site")]


def fail(message: str) -> NoReturn:
    """End with 2: it could not be done."""
    typer.echo(message, err=True)
    raise typer.Exit(2)


COLOURS = {"ok": "green", "SHORT": "yellow", "LOST": "yellow", "unsure": "cyan"}


def painted(line: str, verdict: str) -> str:
    """A line in the colour of its verdict, on a terminal alone; not where `NO_COLOR` is set. Words say the same."""
    if not sys.stdout.isatty() or os.environ.get("NO_COLOR"):
        return line
    return typer.style(line, fg=COLOURS.get(verdict))


@contextmanager
def telling(what: object) -> Iterator[None]:
    """What goes wrong inside is told in a sentence, and the command ends with 2."""
    try:
        yield
    except DocumentError as error:
        fail("\n".join(f"{what}: {p.path}: {p.message}" for p in error.problems[:20]))
    except GarnetfernError as error:
        fail(f"{what}: {error.message}")
    except OSError as error:
        refusal = refusal_of(error)
        fail(f"{what}: {refusal.message if refusal and not error.filename else error.strerror or error}.")


KEPT = 256 * MB
"""So many bytes of what was decoded and computed one check keeps."""


def reader_of(found: SiteFile, busy: bool = False) -> tuple[Reader, MemoryPictures]:
    """A reader of a site file that was opened, and its pictures; `busy`: readings tell how busy the ground is."""
    pictures = MemoryPictures(found.pictures, Cache(KEPT))
    return Reader(found.book(shipped_fonts()), pictures, pictures.cache, busy), pictures


def opened(file: Path) -> SiteFile:
    """A site file, read and checked."""
    with telling(file):
        return unpack_site_file(file.read_bytes(), shipped_fonts().names())


OnOption = Annotated[
    datetime | None,
    typer.Option("--on", formats=["%Y-%m-%d"], help="the site as rules show it on this day, in its own time zone"),
]


def on_day(site: Site, day: datetime | None) -> Site:
    """The site as rules show it on a day; without one, itself."""
    return site if day is None else site_on(site, day.date())


def page_of(site: Site, wanted: str) -> Page:
    """A page by its id or address."""
    page = site.page(wanted)
    if page is None:
        fail(f"There is no page {wanted!r}; there are {', '.join(p.slug for p in site.pages)}.")
    return page


def progress() -> Progress:
    """Says on a terminal how far it is; silent where nobody looks."""
    if not sys.stderr.isatty():
        return lambda _, __: None

    def say(what: str, share: float) -> None:
        typer.echo(f"\r{share:4.0%} {what[:60]:60}", nl=False, err=True)

    return say
