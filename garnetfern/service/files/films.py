"""Films' files for visitors: which are needed, making them one by one, and finding those that are there."""

import hashlib
import json
from collections.abc import Callable
from dataclasses import asdict, dataclass
from functools import partial
from pathlib import Path

from ...core.css.pictures import Emission
from ...core.css.urls import Urls
from ...core.document import Asset, Footage, Page, Site, VideoLayer
from ...core.film.coding import CODECS, Codec
from ...core.placement import handed_out
from ...core.reading.flashes import Flash
from ...core.resolve.book import FontBook
from ...core.resolve.film import Cut
from ...sandbox import Room
from ...store import FittedFile, FittedFiles

Told = Callable[[float], object]
Coded = dict[Cut, tuple[tuple[str, str], ...]]


CODEC_NAMES: dict[Codec, str] = {"av1": "AV1", "h264": "H.264"}


@dataclass(frozen=True)
class Piece:
    """One piece of work on a film: a file of one codec, or (without one) looking for flashes."""

    asset: Asset
    cut: Cut
    codec: Codec | None

    @property
    def said(self) -> str:
        """What is being done, for people."""
        if self.codec is None:
            return f"{self.asset.name}: looking for flashes"
        return f"{self.asset.name}, {self.cut.width} px, {CODEC_NAMES[self.codec]}"


def _part(hash_: str, footage: Footage) -> str:
    return f"{hash_}/film/{footage.start:g}+{footage.count}@{footage.rate}"


def coded_key(cut: Cut, codec: str) -> str:
    """What a film's file was made from; it begins with the film's hash, as all such keys do."""
    return f"{_part(cut.hash, cut.footage)}/{cut.width}x{cut.height}/{codec}/{cut.budget}"


def flash_key(hash_: str, footage: Footage) -> str:
    """Where what was found about a part's flashes is kept."""
    return f"{_part(hash_, footage)}/flashes"


def flash_sentence(name: str, flash: Flash | None) -> str | None:
    """Why a film that flashes does not play; None where it does not flash."""
    if flash is None:
        return None
    what = "flashes in red" if flash.kind == "red" else "flashes"
    return (
        f"{name} {what} more than three times in the second before {flash.time:.1f} s, which can bring on seizures "
        "(WCAG 2.2, 2.3.1): it does not play, and its still is handed out. Show another part of it."
    )


def cuts_of(site: Site, fonts: FontBook) -> dict[Cut, Asset]:
    """Every file that the site's films are needed as, whatever its codec, once."""
    found: dict[Cut, Asset] = {}
    for page, _ in handed_out(site):
        if any(layer.films() for area in page.areas() for layer in area.backdrop.layers):
            found |= {cut: asset for asset, cut in Emission(site, page, fonts, Urls()).films()}
    return found


def coded_at_once(
    room: Room, path: Callable[[str], Path], site: Site, fonts: FontBook, told: Callable[[str, float], object]
) -> tuple[Coded, Callable[[Cut, str], bytes]]:
    """All files of a site's films, made now and kept nowhere, and the bytes at each address; none of what flashes.

    `told` hears what is being done, and the share of that.
    """
    coded: Coded = {}
    held: dict[str, bytes] = {}
    calm: dict[tuple[str, Footage], bool] = {}
    for cut, asset in cuts_of(site, fonts).items():
        film, part = path(cut.hash), (cut.hash, cut.footage)
        if part not in calm:
            said = Piece(asset, cut, None).said
            calm[part] = room.films.flash(film, cut.footage, partial(told, said)) is None
        named: list[tuple[str, str]] = []
        for codec in CODECS if calm[part] else ():
            data = room.films.code(film, cut, codec, partial(told, Piece(asset, cut, codec).said)).data
            named.append((codec, hashlib.sha256(data).hexdigest()))
            held[named[-1][1][:10]] = data
        if named:
            coded[cut] = tuple(named)
    return coded, lambda _, address: held[address.rsplit("-", 1)[1][:10]]


class Films:
    """Makes and finds films' files. `path` gives a film's whole file by its hash (NotFoundError, DamagedError)."""

    def __init__(self, room: Room, files: FittedFiles, path: Callable[[str], Path], fonts: FontBook) -> None:
        self._room, self._files, self._path, self._fonts = room, files, path, fonts

    def _flash(self, hash_: str, footage: Footage) -> tuple[bool, Flash | None]:
        """Whether flashes were looked for, and the first that is too much."""
        file = self._files.find(flash_key(hash_, footage))
        if file is None:
            return False, None
        told = json.loads(self._files.data(file))
        return True, None if told is None else Flash(**told)

    def flash(self, hash_: str, footage: Footage) -> Flash | None:
        """The first moment at which a part flashes too often, as far as that was looked for."""
        return self._flash(hash_, footage)[1]

    def missing(self, site: Site) -> list[Piece]:
        """What has still to be done: flashes first; a part that flashes is not made into files."""
        looks: dict[tuple[str, Footage], Piece] = {}
        codes: list[Piece] = []
        for cut, asset in cuts_of(site, self._fonts).items():
            looked, flash = self._flash(cut.hash, cut.footage)
            if not looked:
                looks[cut.hash, cut.footage] = Piece(asset, cut, None)
            if flash is None:
                codes += [Piece(asset, cut, c) for c in CODECS if self._files.find(coded_key(cut, c)) is None]
        return [*looks.values(), *sorted(codes, key=lambda p: p.codec != "h264")]

    def make(self, piece: Piece, told: Told) -> None:
        """Do one piece of work and keep what it gives. What `told` raises ends it."""
        path, cut = self._path(piece.cut.hash), piece.cut
        if piece.codec is None:
            flash = self._room.films.flash(path, cut.footage, told)
            data = json.dumps(None if flash is None else asdict(flash)).encode()
            self._files.keep_data(flash_key(cut.hash, cut.footage), data, fits=True)
        else:
            found = self._room.films.code(path, cut, piece.codec, told)
            self._files.keep_data(coded_key(cut, piece.codec), found.data, found.fits)

    def cuts(self, site: Site, page: Page, layer: VideoLayer) -> list[Cut]:
        """The files that a layer's film is needed as: for wider screens first, then for phones."""
        return [cut for _, cut in Emission(site, page, self._fonts, Urls()).cuts(layer)]

    def files(self, cut: Cut) -> list[tuple[Codec, FittedFile]]:
        """The files of a cut that were made, the lightest codec first."""
        found = ((codec, self._files.find(coded_key(cut, codec))) for codec in CODECS)
        return [(codec, file) for codec, file in found if file is not None]

    def coded(self, site: Site) -> Coded:
        """What can be played: cuts of which H.264, which every browser plays, is there, and that do not flash."""
        found: Coded = {}
        for cut in cuts_of(site, self._fonts):
            files = self.files(cut)
            looked, flash = self._flash(cut.hash, cut.footage)
            if looked and flash is None and any(codec == "h264" for codec, _ in files):
                found[cut] = tuple((codec, file.hash) for codec, file in files)
        return found

    def data(self, cut: Cut, address: str) -> bytes:
        """The bytes of a cut's file at its address. Raises DamagedError."""
        file = next(f for _, f in self.files(cut) if f"-{f.hash[:10]}." in address)
        return self._files.data(file)
