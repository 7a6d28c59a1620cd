"""The use cases of the bench: state, change, undo, redo, preview, pictures, taking away."""

from collections.abc import Callable
from contextlib import suppress
from dataclasses import replace
from datetime import date
from hashlib import blake2b
from typing import Any, TypeVar

from ...core.css import EmittedPage, Urls, emit_page
from ...core.css.letters import font_css
from ...core.document import Area, Asset, Page, Site, read_site
from ...core.document.addresses import file_of, links_to
from ...core.document.shares import alike
from ...core.errors import NotFoundError
from ...core.picture import Facts
from ...core.placement import Occasion, shown
from ...core.plain import tidied
from ...core.reading.visits import read_visits
from ...sandbox import RoomError
from ...store import Copy, JobState, State
from ..edits import apply_edit
from ..edits.begin import put_together
from ..files.assets import check_facts
from ..files.fitting import Fitting
from ..files.other_looks import with_looks_of
from ..files.own_fonts import check_fonts
from ..files.packing import Packing
from ..files.site_file import SiteFile, pack_site_file, unpack_site_file
from ..runtime.polite import PoliteReader
from ..views.pages import PageRow, PagesView, content_of, page_picture, page_row, pages_view
from .bringing import Bringing
from .long import LongWork
from .news import News
from .own_fonts import OwnFonts
from .patch import Patch
from .present import Present
from .publishing import Publishing
from .shared import Shared
from .shelved import Shelved
from .steps import Steps, Taken
from .taking import Taking

LIVE = Urls("/pictures/", "/fonts/", "/films/")

T = TypeVar("T")


class Studio(Shelved):
    """One site of a data folder, with everything that is needed to work on it. What it shares with others is
    the folder's (`House`)."""

    def __init__(self, house: Shared, site: str) -> None:
        self.house, self.id = house, site
        self.room, self.folder, self.cache = house.room, house.folder, house.cache
        self.fonts, self.reader, self.manners = house.fonts, house.reader, house.manners
        self.pictures, self.fitted, self.jobs = self.folder.pictures, self.folder.fitted, self.folder.jobs
        self.looks, self.films = house.looks, house.films
        self.history = self.folder.sites.history(site)
        self.news, self._steps = News(), Steps()
        self.fitting = Fitting(self.room, self.fitted, self.source, self.pictures.data)
        self.packing = Packing(self.room, self.whole, self.fitting, self.films, self.fonts)
        self.long = LongWork(self.site, self.fitting, self.films, self.fonts)
        self._present = Present(self.history, self.fonts)
        self.publishing, self.bringing, self.taking = Publishing(self), Bringing(self), Taking(self)
        self.own_fonts = OwnFonts(self)

    def look_after_films(self) -> None:
        """Begin to make what the site's films need."""
        if not self.history.empty() and self.long.films_wanted():
            self.ask_work("film")

    def begin(self) -> None:
        """Begin the work of the whole folder, this site's with it."""
        self.house.begin()
        self.look_after_films()

    def close(self) -> None:
        """End all work and let the whole data folder go."""
        self.house.close()

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
        self._check_kept(site, self.site())
        return self.keep(based_on, site, label)

    def _check_kept(self, site: Site, before: Site | None) -> None:
        """What a document says of pictures and fonts is what the store knows. Raises DocumentError, NotFoundError."""
        check_facts(site, before, self.pictures.find)
        check_fonts(site, before, self.folder.fonts.facts)

    def keep(self, based_on: int, site: Site, label: str) -> State:
        """Keep a site as one step, what pages share brought into line."""
        lined_up = alike(self.site() if not self.history.empty() else None, site)
        if lined_up is not site:
            site = read_site(lined_up.model_dump(mode="json"), self.fonts.names())
        return self._kept(self.history.change(based_on, site.model_dump(mode="json"), tidied(label, 200)))

    def _kept(self, state: State) -> State:
        """Write a new revision into the log, and tell every window of it."""
        self.folder.journal.note("kept", site=self.id, revision=state.revision)
        self._steps.note(state)
        self.news.tell("revision", {"revision": state.revision})
        self.look_after_films()
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
        self.reader.read_page(site, site.visited[0])

    def polite(self, kind: str, window: str = "") -> PoliteReader:
        """A reader for long computations, which gives way to edits and to a newer question of its kind and window;
        `window`: its name and, after a space, the number of the question, where it counts them."""
        name, _, number = window.partition(" ")
        counted = int(number) if number.isascii() and number.isdigit() else None
        return PoliteReader(self.reader, self.manners, f"{kind} {name}", counted)

    def remembered(self, kind: str, site: Site, of: tuple[str | None, ...], make: Callable[[], T]) -> T:
        """An answer about a site as it was given before (after undo, say), or made now. It must not be changed."""
        content = blake2b(site.model_dump_json().encode(), digest_size=20).digest()
        return self.cache.get(kind, (content, *of), make)

    def page(self, site: Site, page_id: str, day: date | None = None) -> Page:
        """A page by id or slug; of a day, as rules show it then. Raises NotFoundError."""
        page = site.page(page_id)
        if page is None:
            raise NotFoundError(f"There is no page {page_id!r} in this site.")
        return page if day is None or page.loose else shown(site, page, Occasion(day))

    def pages(self, site: Site, window: str = "") -> PagesView:
        """All pages with their verdicts; those that are as they were need nothing computed."""
        reader = self.polite("pages", window)

        def row(page: Page) -> PageRow:
            key = (content_of(site, page), file_of(site, page.id), links_to(site, page.id))
            return self.cache.figure("page-row", key, lambda: page_row(reader, site, page))

        return pages_view([row(page) for page in site.visited])

    def page_picture(self, site: Site, page: Page, screen: str | None = None) -> bytes:
        """A small true picture of a page, on the widest screen or another one. Raises NotFoundError."""
        seen = next((s for s in site.screens if s.id == screen), None)
        if screen is not None and seen is None:
            raise NotFoundError(f"There is no screen {screen!r} in this site.")
        key = (content_of(site, page), screen)
        return self.cache.get("page-picture", key, lambda: page_picture(self.reader, site, page, seen))

    def area(self, page: Page, area_id: str) -> Area:
        """An area of a page. Raises NotFoundError."""
        area = page.area(area_id)
        if area is None:
            raise NotFoundError(f"There is no area {area_id!r} on this page.")
        return area

    def emitted(self, site: Site, page: Page, plain: bool = False) -> EmittedPage:
        """A page as the screens of the bench show it; `plain`: as if its fonts had not come."""
        urls = replace(LIVE, coded=self.films.coded(site))
        page_as_it_is = emit_page(site, page, self.fonts, urls)
        if not plain:
            return page_as_it_is
        return replace(page_as_it_is, fonts=font_css(page, self.fonts.of(site), urls, plain))

    def edit(self, based_on: int, edit: Any) -> tuple[State, str | None]:
        """Carry out an edit as one step; gives also what to choose then. Raises GarnetfernError or StaleError."""
        site = self.site(None, based_on)
        done = apply_edit(site, edit, self.looks, self.fonts)
        checked = read_site(done.site.model_dump(mode="json"), self.fonts.names())
        self._check_kept(checked, site)
        return self.keep(based_on, checked, done.label), done.chosen

    def begun(self, based_on: int, page: str, asset: Asset | None, words: str) -> tuple[Site, Site]:
        """The site, and as it would be with a picture and words put together. Raises GarnetfernError or StaleError."""
        site = self.site(None, based_on)
        made = put_together(site, page, asset, words, self.looks, self.fonts)
        checked = read_site(made.model_dump(mode="json"), self.fonts.names())
        self._check_kept(checked, site)
        return site, checked

    def ask_work(self, kind: str) -> JobState:
        """Put work on the list."""
        job = self.jobs.add(kind, self.id)
        self.house.wake()
        return job

    def bundle_files(self) -> dict[str, bytes]:
        """The files of the whole site, by their path. Raises DamagedError."""
        return self.packing.files(self.site())

    def bundle(self, number: int | None = None) -> bytes:
        """The whole site as a zip that opens from disk; the one of a packing while it waits to be fetched."""
        return self.packing.waiting(number) or self.packing.pack(self.site()).data

    def site_file(self) -> bytes:
        """The site, its pictures and its fonts in one open file."""
        site = self.site()
        pictures = {a.hash: self.original(a.hash) for a in site.assets}
        return pack_site_file(SiteFile(site, pictures, self.own_fonts.held(site)))

    def take_in(self, file: SiteFile) -> None:
        """Keep the pictures and fonts of an opened site file."""
        for asset in file.site.assets:
            self._take(asset, file)
        self.own_fonts.keep(list(file.site.fonts), file.fonts)

    def _take(self, asset: Asset, file: SiteFile) -> None:
        facts = Facts(asset.type, asset.width, asset.height, asset.alpha, asset.note, asset.duration, asset.rate)
        self.pictures.keep(file.pictures[asset.hash], facts)

    def open_site_file(self, data: bytes, based_on: int, name: str) -> State:
        """Put the site of a file in place of the present one, as one step that can be undone."""
        self.site(None, based_on)
        file = unpack_site_file(data, self.fonts.names(), self.room)
        self.take_in(file)
        return self.keep(based_on, file.site, f"Open {tidied(name)}")

    def take_looks(self, data: bytes, based_on: int, name: str) -> State:
        """Add the looks and gradients of another site's file, as one step. Raises SiteFileError; then nothing is."""
        present = self.site(None, based_on)
        file = unpack_site_file(data, self.fonts.names(), self.room)
        site = read_site(with_looks_of(present, file).model_dump(mode="json"), self.fonts.names())
        known = {a.hash for a in present.assets}
        for asset in site.assets:
            if asset.hash not in known:
                self._take(asset, file)
        return self.keep(based_on, site, f"Looks out of {tidied(name)}")

    def take_visits(self, data: bytes, based_on: int) -> State:
        """Put the owner's table of visits in place of the one that ships. Raises VisitsError: nothing was changed."""
        present = self.site(None, based_on)
        table = read_visits(data.decode("utf-8-sig", errors="replace"))
        site = present.model_copy(update={"visits": table})
        return self.keep(based_on, read_site(site.model_dump(mode="json")), f"Visits on {len(table)} widths")

    def live(self) -> int | None:
        """The number of the release that is live; None where nothing is."""
        release = self.publishing.live()
        return None if release is None else release.number

    def work_on(self, based_on: int, number: int) -> State:
        """Put the site as it was released in place of the present one, as one step that can be undone."""
        self.site(None, based_on)
        site = self.publishing.site_of(number)
        self._check_kept(site, None)
        return self.keep(based_on, site, f"Back to release {number}")

    def copies(self) -> list[Copy]:
        """The daily copies that can be brought back, newest first."""
        return self.folder.copies.list(self.id)

    def bring_back(self, based_on: int, day: str) -> State:
        """Put the site of a daily copy in place of the present one, as one step that can be undone."""
        self.site(None, based_on)
        site = read_site(self.folder.copies.document(day, self.id), self.fonts.names())
        self._check_kept(site, None)
        return self.keep(based_on, site, f"Bring back the copy of {day}")

    def start(self, file: SiteFile, label: str) -> None:
        """Begin with a site where there is none yet."""
        self.take_in(file)
        self.history.start(file.site.model_dump(mode="json"), label)
