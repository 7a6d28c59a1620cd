"""Small sites for tests: one page, one banner, words on it, and what lies behind them."""

import hashlib
import io
from dataclasses import asdict
from typing import Any

from garnetfern.core.document import read_site
from garnetfern.core.film import Reel, film_type
from garnetfern.core.picture import examine
from garnetfern.core.reading import Reader
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.kinds.empty import SCREENS

HEADING = words("headline", "heading", "Ferns under glass", "Young Serif", "40px", "#ffffff", level=1)


def no_flashes(_: str, __: Any) -> None:
    """No film flashes."""


def colour_layer(colour: str, opacity: float = 1.0, **more: Any) -> dict[str, Any]:
    return {"kind": "colour", "id": "over", "name": "Over", "colour": colour, "opacity": opacity, **more}


def image_layer(**more: Any) -> dict[str, Any]:
    return {"kind": "image", "id": "photo", "name": "Photo", "asset": "picture", **more}


def document(*layers: dict[str, Any], blocks: Any = (HEADING,), base: str = "#20302a", **band: Any) -> dict[str, Any]:
    """The plain JSON of a site with one banner."""
    banner = {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": "300px"},
        "backdrop": {"base": base, "layers": list(layers)},
        "columns": [{"id": "column", "blocks": list(blocks)}],
        **band,
    }
    return {
        "format": "garnetfern-site",
        "version": 4,
        "name": "Marrowby Fern House",
        "screens": SCREENS,
        "assets": [],
        "pages": [{"id": "home", "slug": "home", "title": "Home", "bands": [banner]}],
    }


def entry_of(name: str, file: str, data: bytes) -> dict[str, Any]:
    """The entry of a picture or a film in the document, under an id."""
    facts = asdict(Reel(io.BytesIO(data), file).examined() if film_type(data) else examine(data, file))
    return {**facts, "id": name, "name": file, "hash": hashlib.sha256(data).hexdigest(), "bytes": len(data)}


def with_assets(plain: dict[str, Any], *files: tuple[str, str, bytes]) -> SiteFile:
    """A site with pictures and films, each an id, a file's name and its bytes."""
    entries = [entry_of(*file) for file in files]
    held = {entry["hash"]: data for entry, (_, _, data) in zip(entries, files, strict=True)}
    return SiteFile(read_site({**plain, "assets": entries}, shipped_fonts().names()), held)


def with_picture(plain: dict[str, Any], data: bytes, name: str = "picture.jpg") -> SiteFile:
    """A site whose asset `picture` has these bytes."""
    return with_assets(plain, ("picture", name, data))


def film_layer(**more: Any) -> dict[str, Any]:
    return {"kind": "video", "id": "film", "name": "Film", "asset": "film", "end": 2, "rate": 12, **more}


def with_film(plain: dict[str, Any], data: bytes, name: str = "film.mp4") -> SiteFile:
    """A site whose asset `film` has these bytes."""
    return with_assets(plain, ("film", name, data))


def one_banner(*layers: dict[str, Any], **more: Any) -> SiteFile:
    """A site without pictures."""
    return SiteFile(read_site(document(*layers, **more), shipped_fonts().names()), {})


def reader_of(file: SiteFile, busy: bool = False) -> Reader:
    """A reader on the pictures of a site file; `busy`: its readings tell how busy the ground is."""
    return Reader(shipped_fonts(), MemoryPictures(file.pictures), busy=busy)
