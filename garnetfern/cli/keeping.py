"""Commands about what is kept: backup, restore, verify, tidy."""

from pathlib import Path
from typing import Annotated

import typer

from ..core.limits import MB
from ..store import FolderLock, leftovers
from ..store import backup as make_backup
from ..store import restore as bring_back
from ..store import tidy as remove
from ..store import verify as look_through
from .common import DataArgument, app, fail, progress, telling


@app.command()
def backup(data: DataArgument, file: Annotated[Path, typer.Argument(help="the backup to write")]) -> None:
    """Write a backup of a site, its history and its pictures; the application may be running."""
    say = progress()
    with telling(data):
        if not data.is_dir():
            fail(f"{data} is no folder.")
        made = make_backup(data, file, say)
    say("done\n", 1.0)
    typer.echo(f"Wrote {file}: revision {made['revision']}, {made['pictures']} pictures, every hash checked.")


@app.command()
def restore(
    file: Annotated[Path, typer.Argument(help="a backup")],
    data: DataArgument,
    replace: Annotated[bool, typer.Option("--replace", help="set what is there aside first")] = False,
) -> None:
    """Bring a backup back into a data folder. Nothing is written over; with --replace the old folder is set aside."""
    say = progress()
    with telling(file):
        lock = FolderLock(data) if data.is_dir() and any(data.iterdir()) else None
        try:
            aside = bring_back(file, data, replace, say)
        finally:
            if lock is not None:
                lock.release()
    say("done\n", 1.0)
    typer.echo(f"{data} holds the site of {file}." + (f" What was there lies in {aside}." if aside else ""))


@app.command()
def verify(data: DataArgument) -> None:
    """Look at every row, every hash and every reference. Exit code 1: something is wrong; 2: it cannot be looked at."""
    say = progress()
    if not data.is_dir():
        fail(f"{data} is no folder.")
    with telling(data):
        found = look_through(data, say)
    say("done\n", 1.0)
    for finding in found:
        typer.echo(f"{'WRONG' if finding.grave else 'note '}  {finding.what}")
    grave = sum(f.grave for f in found)
    typer.echo(f"{grave} things are wrong." if grave else "Everything is as it was kept.")
    raise typer.Exit(1 if grave else 0)


@app.command()
def tidy(
    data: DataArgument, yes: Annotated[bool, typer.Option("--yes", help="remove it; without, it is only shown")] = False
) -> None:
    """Show what nothing refers to any more, and with --yes remove it and give its space back."""
    if not data.is_dir():
        fail(f"{data} is no folder.")
    with telling(data):
        wrong = [f for f in look_through(data) if f.grave]
        if wrong:
            fail(f"{data} is not whole, so nothing is removed: {wrong[0].what}")
        lock = FolderLock(data)
        try:
            found = leftovers(data)
            for leftover in found:
                typer.echo(f"{leftover.bytes:12,}  {leftover.file.relative_to(data)}  {leftover.why}")
            size = sum(x.bytes for x in found) / MB
            if not yes:
                typer.echo(f"{len(found)} files, {size:.1f} MB. Say --yes to remove them.")
                return
            saved = remove(data, found)
        finally:
            lock.release()
    typer.echo(f"Removed {len(found)} files; the folder is {saved / MB:.1f} MB smaller.")
