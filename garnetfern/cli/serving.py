"""Commands that start something: serve, demo."""

import socket
import threading
from pathlib import Path
from typing import Annotated

import typer

from ..core.cache import MOST, Cache
from ..core.limits import MB
from ..service.files.site_file import pack_site_file
from .common import app, fail, telling


def start_site(data: Path, demo: bool) -> None:
    """Put first sites into an empty data folder: those of the sample, or one page with an empty banner."""
    from ..demo import sample_sites
    from ..service.files.site_file import SiteFile
    from ..service.kinds.empty import empty_site
    from ..service.workspace.house import House

    house = House(data)
    try:
        if not house.empty():
            return
        if demo:
            typer.echo("The sample site is made, this first time only.")
            for file in sample_sites(lambda said, _: typer.echo(f"  {said}")):
                house.add(file, "The sample site")
        else:
            house.first().start(SiteFile(empty_site(), {}), "A new site")
    finally:
        house.close()


@app.command()
def serve(
    demo: Annotated[bool, typer.Option(help="begin with the sample site where there is none yet")] = False,
    host: Annotated[
        str, typer.Option(envvar="GARNETFERN_HOST", help="anything but this machine alone asks visitors for a token")
    ] = "127.0.0.1",
    port: Annotated[int, typer.Option(envvar="GARNETFERN_PORT", min=1, max=65535)] = 8420,
    data: Annotated[
        Path, typer.Option(envvar="GARNETFERN_DATA", help="where the site and its pictures are kept")
    ] = Path("data/site"),
    allow_host: Annotated[
        list[str] | None,
        typer.Option(envvar="GARNETFERN_ALLOW_HOST", help="a further name it answers to; may be repeated"),
    ] = None,
    memory: Annotated[
        int,
        typer.Option(envvar="GARNETFERN_MEMORY", min=64, help="how many MB of what was computed are kept at hand"),
    ] = MOST // MB,
) -> None:
    """Start the application and print its address. What is not said here may be said in the environment."""
    from ..api.app import WEB, create_app
    from ..api.guard import Door, new_token
    from ..api.guard.door import is_loopback
    from ..api.local import Server
    from ..api.site_routes import Sample
    from ..demo import SAMPLE, sample_sites

    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((host, port))
        except OSError as error:
            fail(f"Port {port} on {host} cannot be used ({error.strerror}). Choose another with --port.")
    with telling(data):
        start_site(data, demo)
    token = None if is_loopback(host) else new_token()
    with telling(data):
        door, sample = Door.of([host, *(allow_host or [])], token), Sample(SAMPLE, sample_sites)
        application = create_app(data, door, Cache(memory * MB), sample)
    if not WEB.is_dir():
        typer.echo("The interface is not built; run `make setup` first. The API is served alone.", err=True)
    if token is None:
        typer.echo(f"Garnetfern is at http://{host}:{port}/  (Ctrl+C ends it; everything is kept in {data})")
    else:
        typer.echo(_open_to_others(host, port, token, data))
    threading.Thread(target=application.state.house.first().warm, daemon=True).start()
    Server(application, host, port).run()


def _open_to_others(host: str, port: int, token: str, data: Path) -> str:
    """What to say where other machines can reach the application."""
    here = {"0.0.0.0": "127.0.0.1", "::": "::1"}.get(host, host)
    named = f"[{here}]" if ":" in here else here
    return (
        f"Garnetfern listens on {host}, port {port}: every machine that reaches this one can ask it for pages, and\n"
        "who has the token below can see and change everything. It is printed once and holds until the end:\n\n"
        f"  http://{named}:{port}/enter?token={token}\n\n"
        "It travels unencrypted; beyond a network that you trust, put a server with TLS before it. For every name\n"
        f"under which others know this machine say --allow-host NAME. Ctrl+C ends it; everything is kept in {data}."
    )


@app.command()
def demo(file: Path) -> None:
    """Write the sample site as a site file."""
    from ..demo import demo_site_file

    with telling(file):
        file.write_bytes(pack_site_file(demo_site_file()))
    typer.echo(f"Wrote {file}.")
