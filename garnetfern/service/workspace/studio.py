"""The use cases of the bench: state, change, undo, redo, preview, pictures, taking away."""

from collections.abc import Callable
from contextlib import suppress
from dataclasses import asdict, replace
from hashlib import blake2b
from pathlib import Path
from typing import Any, TypeVar

from ...core.cache import Cache
from ...core.css import EmittedPage, EmittedRule, Urls, emit_page, emit_rule
from ...core.document import Area, Asset, Page, Site, crop_of, read_site
from ...core.errors import NotFoundError
from ...core.picture import Facts
from ...core.plain import tidied
from ...core.reading import Reader
from ...core.reading.visits import read_visits
from ...core.resolve.image import renditions
from ...fonts import shipped_fonts
from ...sandbox import Room, RoomError, shared_room
from ...store import Copy, DamagedError, Folder, Incoming, JobState, State
from ...store.pictures import hash_of
from ..edits import apply_edit
from ..files.assets import FACTS, check_facts, new_asset
from ..files.films import Films
from ..files.fitting import Fitting
from ..files.other_looks import with_looks_of
from ..files.packing import Packing
from ..files.site_file import SiteFile, pack_site_file, unpack_site_file
from ..files.stock import fetch_stock
from ..runtime.polite import Manners, PoliteReader
from ..runtime.work import Worker
from ..views.damage import told
from ..views.looks import Looks, to_json
from .long import LongWork
from .news import News
from .patch import Patch
from .present import Present
from .steps import Steps, Taken

LIVE = Urls("/pictures/", "/fonts/", "/films/")

STRIP = 7
"""A film is shown in so many small pictures."""

T = TypeVar("T")


class Studio:
    """One site in one data folder, with everything that is needed to work on it."""

    def __init__(self, data: Path, room: Room | None = None, cache: Cache | None = None) -> None:
        self.room = room or shared_room()
        self.folder = Folder(data, self.room.rendition, self.room.films)
        self.history, self.pictures = self.folder.history, self.folder.pictures
        self.fitted, self.jobs = self.folder.fitted, self.folder.jobs
        self.fonts = shipped_fonts()
        self.cache = cache or Cache()
        self.reader = Reader(self.fonts, self.pictures, self.cache)
        self.manners = Manners()
        self.news, self._steps = News(), Steps()
        self.jobs.changed = lambda job: self.news.tell("work", asdict(job))
        self.looks = Looks(self.pictures, self.room)
        self.fitting = Fitting(self.room, self.fitted, self.source, self.pictures.data)
        self.films = Films(self.room, self.fitted, self.pictures.film_path, self.fonts)
        self.packing = Packing(self.room, self.whole, self.fitting, self.films, self.fonts)
        self.long = LongWork(self.site, self.fitting, self.films, self.fonts)
        self.worker = Worker(self.jobs, self.long.tasks, self.folder.db.close, self.folder.keep_copy)
        self._present = Present(self.history, self.fonts)

    def begin(self) -> None:
        """Take up long work that was left, and what the site's films need."""
        self.worker.start()
        self._look_after_films()

    def _look_after_films(self) -> None:
        if not self.history.empty() and self.long.films_wanted():
            self.ask_work("film")

    def close(self) -> None:
        """End all work and let the data folder go."""
        self.worker.stop()
        self.folder.close()

    def note_refusal(self, status: int, method: str, path: str) -> None:
        """Write a refusal into the log."""
        self.folder.journal.note("refused", status=status, method=method, path=path)

    def site(self, patch: Patch | None = None, based_on: int | None = None) -> Site:
        """The present site, with a patch applied that is not kept. Raises StaleError where `based_on` is another."""
        return self._present.site(patch, based_on)

    def asked(self, patch: Patch | None, of: int) -> Site:
        """The site that a question is about, which may be one of a few steps ago. Raises StaleError."""
        return self._present.asked(patch, of)

    def site_before(self) -> Site:
        """The site one step back; at the first step, as it is."""
        document = self.history.before()
        return self.site() if document is None else read_site(document, self.fonts.names())

    def state(self) -> State:
        """Where the site stands."""
        return self._steps.note(self.history.state())

    def step(self, state: State, since: int) -> Taken:
        """What leads to a state from an earlier revision."""
        return self._steps.to(state, since)

    def change(self, based_on: int, patch: Patch, label: str) -> State:
        """Keep a change as one step. Raises DocumentError (nothing kept) or StaleError."""
        site = self.site(patch, based_on)
        check_facts(site, self.site(), self.pictures.find)
        return self._keep(based_on, site, label)

    def _keep(self, based_on: int, site: Site, label: str) -> State:
        return self._kept(self.history.change(based_on, site.model_dump(mode="json"), tidied(label, 200)))

    def _kept(self, state: State) -> State:
        """Write a new revision into the log, and tell every window of it."""
        self.folder.journal.note("kept", revision=state.revision)
        self._steps.note(state)
        self.news.tell("revision", {"revision": state.revision})
        self._look_after_films()
        return state

    def undo(self, based_on: int) -> State:
        """One step back."""
        return self._kept(self.history.undo(based_on))

    def redo(self, based_on: int) -> State:
        """One step forward."""
        return self._kept(self.history.redo(based_on))

    def warm(self) -> None:
        """Read the first page once, so that pictures and letters are at hand before anybody asks; a worker too."""
        with suppress(RoomError):
            self.room.pool.warm()
        site = self.site()
        self.reader.read_page(site, site.pages[0])

    def polite(self, kind: str, window: str = "") -> PoliteReader:
        """A reader for long computations, which gives way to edits and to a newer question of its kind and window."""
        return PoliteReader(self.reader, self.manners, f"{kind} {window}")

    def remembered(self, kind: str, site: Site, of: tuple[str | None, ...], make: Callable[[], T]) -> T:
        """An answer about a site as it was given before (after undo, say), or made now. It must not be changed."""
        content = blake2b(site.model_dump_json().encode(), digest_size=20).digest()
        return self.cache.get(kind, (content, *of), make)

    def page(self, site: Site, page_id: str) -> Page:
        """A page by id or slug. Raises NotFoundError."""
        page = site.page(page_id)
        if page is None:
            raise NotFoundError(f"There is no page {page_id!r} in this site.")
        return page

    def area(self, page: Page, area_id: str) -> Area:
        """An area of a page. Raises NotFoundError."""
        area = page.area(area_id)
        if area is None:
            raise NotFoundError(f"There is no area {area_id!r} on this page.")
        return area

    def emitted(self, site: Site, page: Page) -> EmittedPage:
        """A page as the screens of the bench show it."""
        return emit_page(site, page, self.fonts, replace(LIVE, coded=self.films.coded(site)))

    def rule(self, site: Site, page: Page, area: Area, selector: str) -> EmittedRule:
        """An area's backdrop as one CSS rule."""
        return emit_rule(site, page, area, selector, self.fonts, Urls())

    def edit(self, based_on: int, edit: Any) -> tuple[State, str | None]:
        """Carry out an edit as one step; gives also what to choose then. Raises GarnetfernError or StaleError."""
        site = self.site(None, based_on)
        done = apply_edit(site, edit, self.looks, self.fonts)
        checked = read_site(done.site.model_dump(mode="json"), self.fonts.names())
        check_facts(checked, site, self.pictures.find)
        return self._keep(based_on, checked, done.label), done.chosen

    def take_picture(self, data: bytes, name: str, credit: str = "") -> tuple[Asset, bool]:
        """Check and keep a picture; gives the asset for the document, and whether its damaged file was healed."""
        facts, known = self.room.look_at(data, tidied(name))
        hash_ = hash_of(data)
        ill = self.pictures.find(hash_) is not None and not self.pictures.intact(hash_)
        self.pictures.keep(data, facts, to_json(known))
        return new_asset(self.site(), name, hash_, len(data), facts, credit), ill

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

    def ask_work(self, kind: str) -> JobState:
        """Put work on the list."""
        job = self.jobs.add(kind)
        self.worker.wake()
        return job

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

    def bundle_files(self) -> dict[str, bytes]:
        """The files of the whole site, by their path. Raises DamagedError."""
        return self.packing.files(self.site())

    def bundle(self, number: int | None = None) -> bytes:
        """The whole site as a zip that opens from disk; the one of a packing while it waits to be fetched."""
        return self.packing.waiting(number) or self.packing.pack(self.site()).data

    def site_file(self) -> bytes:
        """The site and its pictures in one open file."""
        site = self.site()
        return pack_site_file(SiteFile(site, {a.hash: self.original(a.hash) for a in site.assets}))

    def take_in(self, file: SiteFile) -> None:
        """Keep the pictures of an opened site file."""
        for asset in file.site.assets:
            self._take(asset, file)

    def _take(self, asset: Asset, file: SiteFile) -> None:
        facts = Facts(asset.type, asset.width, asset.height, asset.alpha, asset.note, asset.duration, asset.rate)
        self.pictures.keep(file.pictures[asset.hash], facts)

    def open_site_file(self, data: bytes, based_on: int, name: str) -> State:
        """Put the site of a file in place of the present one, as one step that can be undone."""
        self.site(None, based_on)
        file = unpack_site_file(data, self.fonts.names(), self.room)
        self.take_in(file)
        return self._keep(based_on, file.site, f"Open {tidied(name)}")

    def take_looks(self, data: bytes, based_on: int, name: str) -> State:
        """Add the looks and gradients of another site's file, as one step. Raises SiteFileError; then nothing is."""
        present = self.site(None, based_on)
        file = unpack_site_file(data, self.fonts.names(), self.room)
        site = read_site(with_looks_of(present, file).model_dump(mode="json"), self.fonts.names())
        known = {a.hash for a in present.assets}
        for asset in site.assets:
            if asset.hash not in known:
                self._take(asset, file)
        return self._keep(based_on, site, f"Looks out of {tidied(name)}")

    def take_visits(self, data: bytes, based_on: int) -> State:
        """Put the owner's table of visits in place of the one that ships. Raises VisitsError: nothing was changed."""
        present = self.site(None, based_on)
        table = read_visits(data.decode("utf-8-sig", errors="replace"))
        site = present.model_copy(update={"visits": table})
        return self._keep(based_on, read_site(site.model_dump(mode="json")), f"Visits on {len(table)} widths")

    def copies(self) -> list[Copy]:
        """The daily copies that can be brought back, newest first."""
        return self.folder.copies.list()

    def bring_back(self, based_on: int, day: str) -> State:
        """Put the site of a daily copy in place of the present one, as one step that can be undone."""
        self.site(None, based_on)
        site = read_site(self.folder.copies.document(day), self.fonts.names())
        check_facts(site, None, self.pictures.find)
        return self._keep(based_on, site, f"Bring back the copy of {day}")

    def start(self, file: SiteFile, label: str) -> None:
        """Begin with a site where there is none yet."""
        self.take_in(file)
        self.history.start(file.site.model_dump(mode="json"), label)
