"""Commands on somebody's own stylesheet: what can be read of it, and whether the words of its page can be read."""

import json
import os
from contextlib import suppress
from dataclasses import dataclass
from pathlib import Path
from typing import Annotated, Any
from urllib.parse import unquote, urlsplit

import typer

from ..core.document import Asset, Site
from ..core.errors import FontError, PictureError
from ..core.fontfile import TakenFont
from ..core.limits import STYLESHEET
from ..core.stylesheet import Brought, BroughtArea, Unread
from ..core.stylesheet.given import FONTS, PICTURES
from ..core.stylesheet.matching import match
from ..core.stylesheet.sources import is_elsewhere
from ..fonts import shipped_fonts
from ..sandbox import shared_room
from ..service.edits.brought import lay_on
from ..service.files.assets import new_asset
from ..service.files.brought import Found, called, fonts_known, fonts_named, found_for, site_of, with_found
from ..service.files.own_fonts import with_fonts
from ..service.files.site_file import SiteFile, pack_site_file
from ..service.kinds.empty import empty_site
from ..service.views.bringing import sentence_of, unread_row
from ..store import hash_of
from ..store.files import write_whole
from .common import app, fail, opened, page_of, telling

MOST_FILES, DEEPEST = 2_000, 3
"""So many files, in folders so deep, are looked through for what a page names."""


def beside(folder: Path) -> dict[str, Path]:
    """The stylesheets, pictures and fonts in a folder and a few below, by their paths from there; none is read."""
    found: dict[str, Path] = {}
    seen = 0
    for here, folders, names in os.walk(folder):
        deep = len(Path(here).relative_to(folder).parts)
        folders[:] = sorted(f for f in folders if not f.startswith(".")) if deep < DEEPEST else []
        for name in sorted(names):
            seen += 1
            if name.lower().endswith((".css", *PICTURES, *FONTS)):
                path = Path(here) / name
                found[path.relative_to(folder).as_posix()] = path
        if seen > MOST_FILES:
            break
    return found


@dataclass(frozen=True)
class FilesRead:
    """What was read, the pictures that it names, and the site that it was read for, with the fonts that it names."""

    brought: Brought
    pictures: dict[str, bytes]
    site: Site
    fonts: dict[str, bytes]


def read_files(files: list[Path], site: Site, only: list[Path]) -> FilesRead:
    """What is read of files; of stylesheets beside them only what they name. Ends with 2 where nothing can be read."""
    for file in files:
        if not file.is_file():
            fail(f"{file}: there is no such file.")
    with telling(files[0]):
        folder = files[0].resolve().parent
        there = beside(folder)
        given = {_path_from(folder, file): file.read_bytes() for file in files}
        sheets = {name: path for name, path in there.items() if name.lower().endswith(".css") and name not in given}
        given |= {name: path.read_bytes() for name, path in sheets.items() if path.stat().st_size <= STYLESHEET}
        names = {_path_from(folder, f) for f in only}
        wanted = [
            (n, d) for n, d in given.items() if n not in sheets or n in names or _imported(n, list(given.items()))
        ]
        brought, _, _ = shared_room().bring(wanted, site.screens, fonts_known(shipped_fonts().of(site)))
        lettered, fonts = _fonts(site, brought, there)
        if fonts:
            brought, _, _ = shared_room().bring(wanted, site.screens, fonts_known(shipped_fonts().of(lettered)))
        return FilesRead(brought, _pictures(folder, brought, there), lettered, fonts)


def _path_from(folder: Path, file: Path) -> str:
    whole = file.resolve()
    return whole.relative_to(folder).as_posix() if whole.is_relative_to(folder) else whole.name


def _pictures(folder: Path, brought: Brought, there: dict[str, Path]) -> dict[str, bytes]:
    """The pictures that areas name: where addresses say, as seen from the first file, or of such a name beside it."""
    pictures = {name: path for name, path in there.items() if name.lower().endswith(PICTURES)}
    found: dict[str, bytes] = {}
    for address in {address for area in brought.areas for address in area.pictures.values()}:
        path = unquote(urlsplit(address).path)
        file = (folder / path.lstrip("/")).resolve()
        if not is_elsewhere(address) and file.suffix.lower() in PICTURES and file.is_file():
            found[path] = file.read_bytes()
        elif (name := match(address, pictures).name) is not None:
            found[name] = pictures[name].read_bytes()
    return found


def _fonts(site: Site, brought: Brought, there: dict[str, Path]) -> tuple[Site, dict[str, bytes]]:
    """The site with the fonts that stylesheets name and that lie beside them, and their bytes by hash. What is no font
    is left out; words in it are read in the nearest."""
    files = {name: path for name, path in there.items() if name.lower().endswith(FONTS)}
    taken: list[tuple[str, list[TakenFont]]] = []
    for family, name in fonts_named(brought.faces, files):
        with suppress(FontError, OSError):
            found = shared_room().fonts(files[name].read_bytes(), name) if family else []
            taken.append((name, [called(font, family) for font in found]))
    held = {font.hash: font.data for _, fonts in taken for font in fonts}
    return with_fonts(site, taken).site, held


def _imported(name: str, given: list[tuple[str, bytes]]) -> bool:
    """Whether another file names a stylesheet."""
    last = name.rpartition("/")[2].encode()
    return any(
        last in data for other, data in given if other != name and other.lower().endswith((".css", ".html", ".htm"))
    )


def assets_of(brought: Brought, pictures: dict[str, bytes], site: Site) -> tuple[dict[str, Asset], dict[str, bytes]]:
    """The pictures that are named and were found, as assets of a site, and their bytes by hash."""
    found: dict[str, Asset] = {}
    held: dict[str, bytes] = {}
    present = site
    for area in brought.areas:
        for one in found_for(area, {n: _placeholder(n) for n in pictures}).values():
            if one.asset is None or one.asset.name in found:
                continue
            name, data = one.asset.name, pictures[one.asset.name]
            try:
                facts = shared_room().examine(data, name)
            except PictureError as error:
                typer.echo(f"{name}: {error.message}", err=True)
                continue
            asset = new_asset(present, name.rpartition("/")[2], hash_of(data), len(data), facts, "")
            found[name], held[asset.hash] = asset, data
            present = present.model_copy(update={"assets": (*present.assets, asset)})
    return found, held


def _placeholder(name: str) -> Asset:
    return Asset(id="picture", name=name, hash="0" * 64, type="png", width=1, height=1, bytes=1)


def _row(area: BroughtArea, found: dict[str, Found]) -> dict[str, Any]:
    return {
        "selector": area.selector,
        "sheet": area.sheet,
        "line": area.line,
        "band": area.band.model_dump(mode="json", exclude_defaults=True),
        "pictures": {f.address: {"file": f.asset.name if f.asset else None, "said": f.said} for f in found.values()},
        "unread": [unread_row(u) for u in area.unread],
    }


def told(one: Unread) -> str:
    """A line about what was not read."""
    nearest = f"; read as {one.nearest}" if one.nearest else ""
    return f"{one.sheet}:{one.line}:{one.column}: {one.what}: {one.why}{nearest}"


@app.command()
def read(
    files: Annotated[list[Path], typer.Argument(help="stylesheets, or a page with its stylesheets beside it")],
    selector: Annotated[str | None, typer.Option(help="only what has this selector")] = None,
    site: Annotated[Path | None, typer.Option(help="a site file: lay what was read on it")] = None,
    page: Annotated[str | None, typer.Option(help="the page of the site file")] = None,
    area: Annotated[str | None, typer.Option(help="the area of that page")] = None,
    as_json: Annotated[bool, typer.Option("--json")] = False,
) -> None:
    """Read what lies behind words in a stylesheet. Exit code 0: all of it; 1: not all; 2: there is no stylesheet."""
    whole = opened(site) if site is not None else SiteFile(empty_site(), {})
    read = read_files(files, whole.site, files)
    brought, pictures = read.brought, read.pictures
    areas = [a for a in brought.areas if selector is None or a.selector == selector]
    if selector is not None and not areas:
        fail(
            f"No rule with a background has the selector {selector!r}; there are: "
            + ", ".join(a.selector for a in brought.areas[:20])
        )
    named, held = assets_of(Brought(tuple(areas), ()), pictures, whole.site)
    shelf = {a.name: a for a in whole.site.assets}
    found = [found_for(a, named, shelf) for a in areas]
    unread = [u for a in areas for u in a.unread] + list(brought.unread)
    lost = [f for one in found for f in one.values() if f.asset is None]
    if as_json:
        rows = [_row(a, f) for a, f in zip(areas, found, strict=True)]
        typer.echo(json.dumps({"areas": rows, "unread": [unread_row(u) for u in brought.unread]}, indent=1))
    else:
        for one, pairs in zip(areas, found, strict=True):
            typer.echo(f"{one.sheet}:{one.line}: {one.selector}: {_said(one)}")
            for f in pairs.values():
                typer.echo(
                    f"  {f.address[:80]}: {f.asset.name if f.asset else 'no picture'}{f'; {f.said}' if f.said else ''}"
                )
        for u in unread:
            typer.echo(told(u))
        typer.echo(sentence_of(Brought(tuple(areas), brought.unread), found))
    if site is not None:
        _lay(site, whole, areas, found, held, page, area)
    raise typer.Exit(1 if unread or lost else 0)


def _said(area: BroughtArea) -> str:
    layers = [layer.name for layer in area.band.backdrop.layers]
    base = [f"base {area.band.backdrop.base}"] if area.band.backdrop.base else []
    return ", ".join([*base, *layers]) or "nothing"


def _lay(
    file: Path,
    whole: SiteFile,
    areas: list[BroughtArea],
    found: list[dict[str, Found]],
    held: dict[str, bytes],
    page: str | None,
    area: str | None,
) -> None:
    """Lay the one area that was read on one of a site file, which is written anew."""
    if len(areas) != 1 or page is None or area is None:
        fail("To lay it, say --selector (one of those above), --page and --area. Nothing was written.")
    target_page = page_of(whole.site, page)
    target = target_page.area(area)
    if target is None:
        names = ", ".join(a.id for a in target_page.areas())
        fail(f"There is no area {area!r} on {page!r}; there are {names}. Nothing was written.")
    assets = [f.asset for f in found[0].values() if f.asset is not None]
    done = lay_on(whole.site, target_page.id, target, with_found(areas[0], found[0]), assets)
    with telling(file):
        write_whole(file, pack_site_file(SiteFile(done.site, {**whole.pictures, **held}, whole.fonts)))
    typer.echo(f"Laid {areas[0].selector} on {area} of {page}; wrote {file}.")


def own_page(stylesheets: list[Path], html: Path | None) -> tuple[SiteFile, list[Unread]]:
    """Somebody's own page as a site of one page, and what was not read of it. Ends with 2 where there is nothing."""
    like = empty_site()
    read = read_files([*([html] if html else []), *stylesheets], like, stylesheets)
    brought, pictures, like = read.brought, read.pictures, read.site
    named, held = assets_of(brought, pictures, like)
    found = [found_for(a, named) for a in brought.areas]
    bands = [with_found(a, f) for a, f in zip(brought.areas, found, strict=True)]
    if not bands:
        fail("There is no part with something behind its words in it. Nothing was measured.")
    unread = [u for a in brought.areas for u in a.unread] + list(brought.unread)
    for area, pairs in zip(brought.areas, found, strict=True):
        lost = [f for f in pairs.values() if f.asset is None]
        unread += [Unread(area.sheet, area.line, 1, f.address[:80], f.said or "there is no such picture") for f in lost]
    return SiteFile(site_of(like, bands, list(named.values()), shipped_fonts()), held, read.fonts), unread
