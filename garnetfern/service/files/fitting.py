"""Pictures fitted to the site's budget: which files visitors need, making them with progress, and naming them."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field

from ...core.css.pictures import Emission
from ...core.css.urls import File, Urls, slug_of
from ...core.document import Asset, Page, Site
from ...core.picture.budget import KINDS, MEDIA, FileKind, fit_to_budget
from ...core.placement import handed_out
from ...core.resolve.book import FontBook
from ...core.resolve.film import PHONE_BELOW
from ...core.resolve.sheets import Rendition
from ...core.telling import Told, silent
from ...sandbox import Room
from ...store import DamagedError, FittedFile, FittedFiles, fitted_key, hash_of
from .films import Coded

STILL: tuple[FileKind, ...] = ("webp",)
"""Lossless pictures (small tiles and drawings) are served as they are, in one kind."""


Named = tuple[tuple[FileKind, str], ...]
"""The kinds of file of a rendition, the lightest first, each with the hash of its content."""
Source = Callable[[str, float | None], bytes]
"""What renditions of a hash are made from; of a film, the picture at a moment, s."""


@dataclass(frozen=True)
class Wanted:
    """A rendition that visitors need, and the bytes it may have: those of the narrowest viewport that asks for it."""

    asset: Asset
    rendition: Rendition
    budget: int


def wanted_of(site: Site, page: Page, fonts: FontBook) -> Iterator[Wanted]:
    """The renditions of a page with their budgets, repeats included."""
    emission = Emission(site, page, fonts, Urls())
    ranges = [(site.asset(layer.asset), emission.served(a, layer)) for a, layer in emission.pictures()]
    ranges += [(site.asset(b.asset or ""), emission.served_block(b)) for b in page.blocks() if b.assets()]
    for asset, served in ranges:
        for one in served:
            kilobytes = site.budget.phone if one.span.least < PHONE_BELOW else site.budget.desktop
            for rendition in (one.once, one.twice):
                yield Wanted(asset, rendition, kilobytes * 1000)


def wanted(site: Site, fonts: FontBook) -> list[Wanted]:
    """Every rendition that the site's visitors need, once."""
    found: dict[Rendition, Wanted] = {}
    for page, _ in handed_out(site):
        for one in wanted_of(site, page, fonts):
            known = found.get(one.rendition)
            if known is None or one.budget < known.budget:
                found[one.rendition] = one
    return list(found.values())


def kinds_of(rendition: Rendition) -> tuple[FileKind, ...]:
    """The kinds of file a rendition is fitted in, the lightest first."""
    return STILL if rendition.lossless else KINDS


@dataclass(frozen=True)
class FittedUrls(Urls):
    """Addresses of fitted files, by rendition; each name carries the hash of its content."""

    fitted: dict[Rendition, Named] = field(default_factory=dict)

    def name(self, asset: Asset, rendition: Rendition, kind: FileKind, hash_: str) -> str:
        """The file's name."""
        ending = {"jpeg": "jpg"}.get(kind, kind)
        return f"{slug_of(asset.name)}-{rendition.width}-{hash_[:10]}.{ending}"

    def files(self, asset: Asset, rendition: Rendition) -> tuple[File, ...]:
        """The fitted files of a rendition, the lightest kind first; the plain one where it was not fitted."""
        found = self.fitted.get(rendition)
        if not found:
            return super().files(asset, rendition)
        several = len(found) > 1
        return tuple(
            File(self.pictures + self.name(asset, rendition, kind, hash_), MEDIA[kind] if several else None)
            for kind, hash_ in found
        )


class Fitting:
    """Makes and finds fitted files."""

    def __init__(self, room: Room, files: FittedFiles, source: Source, plain: Callable[[Rendition], bytes]) -> None:
        self._room, self._files, self.source, self._plain = room, files, source, plain

    def missing(self, site: Site, fonts: FontBook) -> list[tuple[Wanted, FileKind]]:
        """What has still to be made."""
        return [
            (one, kind)
            for one in wanted(site, fonts)
            if not one.rendition.lossless
            for kind in kinds_of(one.rendition)
            if self._files.find(fitted_key(one.rendition, kind, one.budget)) is None
        ]

    def make(self, one: Wanted, kind: FileKind) -> FittedFile:
        """Encode one file and keep it."""
        original = self.source(one.rendition.hash, one.rendition.at)
        encoded = fit_to_budget(
            kind,
            one.budget,
            lambda quality: self._room.encode(original, one.rendition, kind, quality),
            lambda data: self._room.ssim(original, one.rendition, data),
        )
        return self._files.keep(fitted_key(one.rendition, kind, one.budget), encoded)

    def _found(self, ones: Sequence[Wanted]) -> dict[Rendition, list[tuple[FileKind, FittedFile]]]:
        """The fitted files that are there, by rendition; only renditions of which all kinds are there."""
        result: dict[Rendition, list[tuple[FileKind, FittedFile]]] = {}
        for one in ones:
            if one.rendition.lossless:
                continue
            files = [(k, self._files.find(fitted_key(one.rendition, k, one.budget))) for k in kinds_of(one.rendition)]
            if all(file is not None for _, file in files):
                result[one.rendition] = [(k, f) for k, f in files if f is not None]
        return result

    def _whole(self, site: Site, fonts: FontBook, rendition: Rendition, kind: FileKind, file: FittedFile) -> bytes:
        """A kept file's bytes; one that was damaged is made anew. Raises DamagedError where it comes out otherwise."""
        try:
            return self._files.data(file)
        except DamagedError:
            made = self.make(next(one for one in wanted(site, fonts) if one.rendition == rendition), kind)
            if made.hash != file.hash:
                raise
            return self._files.data(made)

    def named(self, ones: Sequence[Wanted], told: Told = silent) -> dict[Rendition, Named]:
        """The kinds of file that each rendition is handed out in, with the hash of each: fitted files of a picture
        where all that are asked for are there, plain ones otherwise."""
        found = self._found(ones)
        lacking = {one.asset.id for one in ones if one.rendition not in found}
        named: dict[Rendition, Named] = {}
        for n, one in enumerate(ones):
            if one.asset.id not in lacking:
                named[one.rendition] = tuple((kind, file.hash) for kind, file in found[one.rendition])
            elif one.rendition not in named:
                told(one.asset.name, n / len(ones))
                named[one.rendition] = (("webp", hash_of(self._plain(one.rendition))),)
        return named

    def of_page(self, site: Site, page: Page, fonts: FontBook, prefix: str) -> FittedUrls:
        """The addresses of a page's pictures as they lie behind a prefix; a bundle has files of the same names."""
        # whether a picture is handed out fitted depends on all of its files, those of other pages too
        mine = {one.asset.id for one in wanted_of(site, page, fonts)}
        named = self.named([one for one in wanted(site, fonts) if one.asset.id in mine])
        return FittedUrls(prefix, fitted=named)

    def files_in(self, text: str, site: Site, page: Page, fonts: FontBook) -> dict[str, bytes]:
        """The picture files that a text names which was made with the addresses of `of_page`, by their names."""
        urls = self.of_page(site, page, fonts, "")
        _, picture = self.sources(site, fonts, {})
        found: dict[str, bytes] = {}
        for one in wanted_of(site, page, fonts):
            for file in urls.files(one.asset, one.rendition):
                if file.address not in found and file.address in text:
                    found[file.address] = picture(one.rendition, file.address)
        return found

    def sources(
        self, site: Site, fonts: FontBook, coded: Coded, told: Told = silent
    ) -> tuple[FittedUrls, Callable[[Rendition, str], bytes]]:
        """Addresses for a bundle, and the bytes at each. Each name carries the hash of its content."""
        ones = wanted(site, fonts)
        named, found = self.named(ones, told), self._found(ones)

        def picture(rendition: Rendition, address: str) -> bytes:
            for kind, file in found.get(rendition, []):
                if f"-{file.hash[:10]}." in address:
                    return self._whole(site, fonts, rendition, kind, file)
            return self._plain(rendition)

        return FittedUrls("../pictures/", "../fonts/", "../films/", named, coded=coded), picture
