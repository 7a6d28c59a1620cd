"""What was read, as plain data: it comes out of a process of its own."""

from collections.abc import Sequence
from dataclasses import asdict
from typing import Any

from ..document import Band, Screen
from .brought import Brought, BroughtArea, read_stylesheets
from .flatten import Face
from .given import Given, given
from .letters import Fonts
from .pages import read_page
from .sources import Sources
from .unread import Unread

Plain = dict[str, Any]


def read_given(found: Given, screens: Sequence[Screen], fonts: Fonts) -> Brought:
    """Pages with their stylesheets; stylesheets alone where there is no page, or where no page names them."""
    sources = Sources(found.sheets)
    pages = [read_page(html, name, sources, screens, fonts) for name, html in found.pages.items()]
    areas = [area for page in pages for area in page.areas]
    unread = [u for page in pages for u in page.unread]
    faces = [f for page in pages for f in page.faces]
    if not areas and found.sheets:
        alone = read_stylesheets(sources, screens)
        areas, faces = [*areas, *alone.areas], [*faces, *alone.faces]
        unread += alone.unread
    other = [
        Unread(name, 1, 1, name, "it is neither a stylesheet, a page, a picture nor a font") for name in found.others
    ]
    return Brought(tuple(areas), tuple(dict.fromkeys([*unread, *other])), tuple(dict.fromkeys(faces)))


def to_plain(brought: Brought) -> Plain:
    """As JSON can carry it."""
    return {
        "areas": [
            {
                "selector": area.selector,
                "sheet": area.sheet,
                "line": area.line,
                "band": area.band.model_dump(mode="json"),
                "pictures": area.pictures,
                "unread": [asdict(u) for u in area.unread],
            }
            for area in brought.areas
        ],
        "unread": [asdict(u) for u in brought.unread],
        "faces": [[face.family, list(face.files)] for face in brought.faces],
    }


def brought_from_plain(plain: Plain) -> Brought:
    """The same, read back and checked."""
    areas = tuple(
        BroughtArea(
            a["selector"],
            a["sheet"],
            a["line"],
            Band.model_validate(a["band"]),
            dict(a["pictures"]),
            tuple(Unread(**u) for u in a["unread"]),
        )
        for a in plain["areas"]
    )
    return Brought(
        areas,
        tuple(Unread(**u) for u in plain["unread"]),
        tuple(Face(family, tuple(files)) for family, files in plain["faces"]),
    )


def bring(
    files: Sequence[tuple[str, bytes]], screens: Sequence[Screen], fonts: Fonts
) -> tuple[Plain, dict[str, bytes], dict[str, bytes]]:
    """Read what somebody hands in; gives what was read, and the pictures and fonts that came with it. Raises
    StylesheetError."""
    found = given(files)
    return to_plain(read_given(found, screens, fonts)), found.pictures, found.fonts
