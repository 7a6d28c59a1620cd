"""The pictures and films that a data folder keeps: taken in, and given in the sizes that are asked for."""

from abc import ABC, abstractmethod
from dataclasses import asdict

from ...core.cache import Cache
from ...core.document import Asset, Site, crop_of
from ...core.errors import NotFoundError
from ...core.picture import Facts
from ...core.plain import tidied
from ...core.resolve.image import renditions
from ...sandbox import Room
from ...store import DamagedError, Incoming, PictureFiles
from ...store.pictures import hash_of
from ..files.assets import FACTS, new_asset
from ..files.stock import fetch_stock
from ..views.damage import told
from ..views.looks import to_json
from .patch import Patch

STRIP = 7
"""A film is shown in so many small pictures."""


class Shelved(ABC):
    """What a studio does with its pictures."""

    room: Room
    cache: Cache
    pictures: PictureFiles

    @abstractmethod
    def site(self, patch: Patch | None = None, based_on: int | None = None) -> Site:
        """The present site."""

    def _asset(self, prefix: str) -> Asset:
        row = self.pictures.find(prefix)
        if row is None:
            raise NotFoundError("There is no such picture.")
        fields = {name: getattr(row, name) for name in ("hash", *FACTS)}
        return Asset.model_validate({"id": "picture", "name": row.hash, **fields})

    def original(self, hash_: str) -> bytes:
        """The original bytes of a picture. Raises DamagedError, which says where the picture is used."""
        try:
            return self.pictures.original(hash_)
        except DamagedError as error:
            raise told(self.site(), hash_, error) from error

    def source(self, hash_: str, at: float | None) -> bytes:
        """What renditions are made from: the original, or a film's picture at a moment. Raises DamagedError."""
        try:
            return self.pictures.source(hash_, at)
        except DamagedError as error:
            raise told(self.site(), hash_, error) from error

    def whole(self, hash_: str) -> None:
        """Raises DamagedError likewise where an original is not what it was, NotFoundError where it is not there."""
        if not self.pictures.intact(hash_):
            self.original(hash_)

    def rendition_data(
        self, prefix: str, width: int, part: tuple[int, int, int, int] | None = None, at: float = 0.0
    ) -> bytes:
        """The file of a rendition of this width: of a picture, its part, or a film's moment. Raises NotFoundError."""
        asset = self._asset(prefix)
        crop = crop_of(part, asset.width, asset.height) if part else None
        found = next((r for r in renditions(asset, crop, at) if r.width == width and r.crop == part), None)
        if found is None:
            raise NotFoundError("There is no such size of this picture.")
        return self.pictures.data(found)

    def thumb_data(self, prefix: str, least: int = 360, at: float = 0.0) -> bytes:
        """The file of a picture's rendition at least so wide, for choosing and framing; of a film's moment, s. Raises
        NotFoundError."""
        options = renditions(self._asset(prefix), None, at)
        return self.pictures.data(next((r for r in options if r.width >= least), options[-1]))

    def strip(self, prefix: str) -> bytes:
        """A film from its beginning to its end, in small pictures side by side. Raises NotFoundError."""
        asset = self._asset(prefix)
        if not asset.moves:
            raise NotFoundError("There is no such film.")
        high = 54
        size = (max(16, round(high * asset.width / asset.height)), high)
        times = [asset.duration * (n + 0.5) / STRIP for n in range(STRIP)]
        path = self.pictures.film_path(asset.hash)
        return self.cache.get("strip", asset.hash, lambda: self.room.films.strip(path, times, size))

    def take_picture(self, data: bytes, name: str, credit: str = "") -> tuple[Asset, bool]:
        """Check and keep a picture; gives the asset for the document, and whether its damaged file was healed."""
        facts, known = self.room.look_at(data, tidied(name))
        hash_ = hash_of(data)
        ill = self.pictures.find(hash_) is not None and not self.pictures.intact(hash_)
        self.pictures.keep(data, facts, to_json(known))
        return new_asset(self.site(), name, hash_, len(data), facts, credit), ill

    def incoming(self) -> Incoming:
        """A film's file that comes in by parts."""
        return self.pictures.incoming()

    def take_film(self, came: Incoming, name: str) -> tuple[Asset, bool]:
        """Check and keep a film that has come whole; gives the same as `take_picture`. Raises PictureError."""
        found, known = self.room.films.look_at(came.path, tidied(name))
        ill = self.pictures.find(came.hash) is not None and not self.pictures.intact(came.hash)
        facts = Facts(**asdict(found))
        self.pictures.keep_file(came, facts, to_json(known))
        return new_asset(self.site(), name, came.hash, came.size, facts), ill

    def add_picture(self, data: bytes, name: str, credit: str = "") -> Asset:
        """The asset alone. Raises PictureError."""
        return self.take_picture(data, name, credit)[0]

    def add_stock(self, name: str) -> Asset:
        """Take a picture from the stock stand-in; its credit line stays with it."""
        data, picture = fetch_stock(name)
        return self.add_picture(data, f"{picture.title}.jpg", picture.credit)
