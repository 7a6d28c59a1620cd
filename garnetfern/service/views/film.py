"""A film behind words: its files for visitors as far as they were made, and whether it may play."""

from typing_extensions import TypedDict

from ...core.document import Page, Site, VideoLayer
from ...core.errors import NotFoundError
from ...core.film.coding import CODECS
from ..files.films import CODEC_NAMES, Films, flash_sentence


class FilmFile(TypedDict):
    """A file for visitors: for phones or for wider screens, its codec, size in px, weight, and whether it fits."""

    phone: bool
    codec: str
    width: int
    height: int
    bytes: int
    budget: int
    fits: bool


class FilmView(TypedDict):
    """A film's files, how many are still to be made, how many pictures its part has, and why it does not play (None: it
    does, once they are made)."""

    layer: str
    files: list[FilmFile]
    missing: int
    count: int
    held: str | None


def _layer(page: Page, area_id: str, layer_id: str) -> VideoLayer:
    area = page.area(area_id)
    films = (film for layer in (area.backdrop.layers if area else ()) for film in layer.films())
    found = next((film for film in films if film.id == layer_id), None)
    if found is None:
        raise NotFoundError(f"There is no film {layer_id!r} in this area.")
    return found


def film_view(films: Films, site: Site, page: Page, area_id: str, layer_id: str) -> FilmView:
    """What is known of a layer's film. Raises NotFoundError."""
    layer = _layer(page, area_id, layer_id)
    cuts = films.cuts(site, page, layer)
    files: list[FilmFile] = [
        {
            "phone": n > 0,
            "codec": CODEC_NAMES[codec],
            "width": cut.width,
            "height": cut.height,
            "bytes": file.bytes,
            "budget": cut.budget,
            "fits": file.fits,
        }
        for n, cut in enumerate(cuts)
        for codec, file in films.files(cut)
    ]
    flash = films.flash(cuts[0].hash, layer.footage) if cuts else None
    return {
        "layer": layer.id,
        "files": files,
        "missing": len(cuts) * len(CODECS) - len(files),
        "count": layer.footage.count,
        "held": flash_sentence(layer.name, flash),
    }
