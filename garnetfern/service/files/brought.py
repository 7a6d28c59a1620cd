"""What was read of somebody's stylesheet, with pictures put in the places of the addresses that named them."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from ...core.document import Asset, Backdrop, Band, FontFile, Site, read_site
from ...core.document.model import Page
from ...core.fontfile import TakenFont
from ...core.resolve.book import FontBook
from ...core.stylesheet import BroughtArea
from ...core.stylesheet.flatten import Face
from ...core.stylesheet.letters import Fonts
from ...core.stylesheet.matching import Match, match


@dataclass(frozen=True)
class Found:
    """A picture that an area names: its address, the asset that was taken for it (None: there is none), and what was
    forgiven, or why there is none."""

    address: str
    asset: Asset | None
    said: str


def fonts_known(fonts: FontBook) -> Fonts:
    """The fonts that there are, for reading letters."""
    named = {family.name.lower(): family.name for family in fonts.families}
    return Fonts(named, {family.category: family.name for family in reversed(fonts.shipped)})


def found_for(area: BroughtArea, *shelves: Mapping[str, Asset]) -> dict[str, Found]:
    """The pictures of an area by the ids that stand for them, out of the first of some shelves that has them."""
    return {key: _found(address, shelves) for key, address in area.pictures.items()}


def _found(address: str, shelves: Sequence[Mapping[str, Asset]]) -> Found:
    told: list[Match] = []
    for shelf in shelves:
        one = match(address, shelf)
        if one.name is not None:
            return Found(address, shelf[one.name], one.forgiven)
        told.append(one)
    return Found(address, None, told[-1].forgiven if told else "")


def with_found(area: BroughtArea, found: Mapping[str, Found]) -> Band:
    """The area's band with its pictures; layers whose picture is not there are left out."""
    layers = []
    for layer in area.band.backdrop.layers:
        wanted = layer.assets()
        if not wanted:
            layers.append(layer)
            continue
        asset = found[wanted[0]].asset
        if asset is not None:
            layers.append(layer.with_asset(wanted[0], asset.id, asset.title).model_copy(update={"name": asset.title}))
    backdrop = Backdrop(base=area.band.backdrop.base, layers=tuple(layers))
    return area.band.model_copy(update={"backdrop": backdrop})


def fonts_named(faces: Sequence[Face], there: Mapping[str, object]) -> list[tuple[str, str]]:
    """The fonts that came with stylesheets: what each is called there ("" where none names it), and its path. Of
    several forms of one font the first that is there."""
    found: dict[str, str] = {}
    for face in faces:
        paths = (match(file, there).name for file in face.files)
        path = next((path for path in paths if path is not None), None)
        if path is not None:
            found.setdefault(path, face.family)
    spoken = {name.rpartition("/")[2].rpartition(".")[0] for name in found}
    others = (path for path in there if path.rpartition("/")[2].rpartition(".")[0] not in spoken)
    return [(family, path) for path, family in found.items()] + [("", path) for path in others]


def called(font: TakenFont, family: str) -> TakenFont:
    """A font under the name that its stylesheet gives it, where a family can have that."""
    try:
        named = font.facts.entry("font", "font", font.hash, len(font.data)).model_copy(update={"family": family})
        FontFile.model_validate(named.model_dump())
    except ValueError:
        return font
    return replace(font, facts=replace(font.facts, family=family))


def site_of(like: Site, bands: Sequence[Band], assets: Sequence[Asset], fonts: FontBook) -> Site:
    """A site of one page that is made of these bands, with another site's screens: to be drawn and read."""
    renamed = [band.model_copy(update={"id": f"area-{n + 1}"}) for n, band in enumerate(bands)]
    pages = (Page(id="page", slug="page", title="As it was read"),)
    plain = like.model_copy(update={"pages": pages, "assets": (), "fits": (), "slots": (), "placed": (), "shares": ()})
    text = plain.model_dump(mode="json")
    text["assets"] = [a.model_dump(mode="json") for a in {a.id: a for a in assets}.values()]
    text["pages"][0]["bands"] = [_own_ids(band, n).model_dump(mode="json") for n, band in enumerate(renamed)]
    return read_site(text, fonts.names())


def _own_ids(band: Band, number: int) -> Band:
    """Ids that no other band of the page has."""

    def own(name: str) -> str:
        return f"{name}-{number + 1}"

    columns = tuple(
        column.model_copy(
            update={
                "id": own(column.id),
                "blocks": tuple(b.model_copy(update={"id": own(b.id)}) for b in column.blocks),
            }
        )
        for column in band.columns
    )
    layers = tuple(layer.with_ids(own) for layer in band.backdrop.layers)
    backdrop = band.backdrop.model_copy(update={"layers": layers})
    return band.model_copy(update={"columns": columns, "backdrop": backdrop})
