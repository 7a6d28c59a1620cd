"""The use cases of the bench: state, change, undo, redo, preview, pictures, taking away."""

import pickle
from pathlib import Path
from typing import Any

from ..core.css import EmittedPage, EmittedRule, Urls, bundle_files, emit_page, emit_rule
from ..core.document import Area, Asset, Page, Site, crop_of, read_site
from ..core.errors import NotFoundError, StaleError
from ..core.picture import examine
from ..core.picture.decode import examined
from ..core.reading import Reader
from ..core.reading.visits import read_visits
from ..core.resolve.image import renditions
from ..core.resolve.records import Rendition
from ..fonts import font_bytes, shipped_fonts
from ..store import FittedFiles, History, Jobs, JobState, PictureFiles, State, open_database
from ..store.tables import bind
from .archive import zip_of
from .assets import new_asset
from .cuts import cut_file
from .edits import apply_edit
from .fitting import Fitting
from .looks import Looks, known_of, to_json
from .other_looks import with_looks_of
from .patch import Patch, patched
from .polite import Manners, PoliteReader
from .site_file import SiteFile, pack_site_file, unpack_site_file
from .stock import fetch_stock
from .work import Report, Worker

LIVE = Urls("/pictures/", "/fonts/")


class Studio:
    """One site in one data folder, with everything that is needed to work on it."""

    def __init__(self, data: Path) -> None:
        db = open_database(data / "garnetfern.sqlite")
        bind(db)
        self.db = db
        self.history = History(db)
        self.pictures = PictureFiles(db, data / "pictures")
        self.fonts = shipped_fonts()
        self.reader = Reader(self.fonts, self.pictures)
        self.manners = Manners()
        self.looks = Looks(self.pictures)
        self.fitted = FittedFiles(db, data / "fitted")
        self.fitting = Fitting(self.fitted, self.pictures.original, self._picture_bytes)
        self.jobs = Jobs(db)
        self.worker = Worker(self.jobs, {"fit": self._fit}, db.close)
        self._present: tuple[int, bytes, Site] | None = None

    def site(self, patch: Patch | None = None, based_on: int | None = None) -> Site:
        """The present site, with a patch applied that is not kept. Raises StaleError where `based_on` is another."""
        revision, packed, present = self._at_hand()
        if based_on is not None and based_on != revision:
            raise StaleError(based_on, revision)
        if patch:
            return read_site(patched(pickle.loads(packed), patch), self.fonts.names())
        return present

    def _at_hand(self) -> tuple[int, bytes, Site]:
        """The present revision, its document (packed, as copies are asked for all the time) and its site."""
        if self._present is None or self._present[0] != self.history.revision():
            state = self.history.state()
            site = read_site(state.document, self.fonts.names())
            self._present = (state.revision, pickle.dumps(state.document), site)
        return self._present

    def site_before(self) -> Site:
        """The site one step back; at the first step, as it is."""
        document = self.history.before()
        return self.site() if document is None else read_site(document, self.fonts.names())

    def state(self) -> State:
        """Where the site stands."""
        return self.history.state()

    def change(self, based_on: int, patch: Patch, label: str) -> State:
        """Keep a change as one step. Raises DocumentError (nothing kept) or StaleError."""
        site = self.site(patch, based_on)
        self._know_pictures(site)
        return self.history.change(based_on, site.model_dump(mode="json"), label)

    def _know_pictures(self, site: Site) -> None:
        for asset in site.assets:
            if self.pictures.find(asset.hash) is None:
                raise NotFoundError(f"The picture {asset.name!r} is not in the store; hand it in first.")

    def undo(self, based_on: int) -> State:
        """One step back."""
        return self.history.undo(based_on)

    def redo(self, based_on: int) -> State:
        """One step forward."""
        return self.history.redo(based_on)

    def warm(self) -> None:
        """Read the first page once, so that pictures and letters are at hand before anybody asks."""
        site = self.site()
        self.reader.read_page(site, site.pages[0])

    def polite(self, kind: str) -> PoliteReader:
        """A reader for long computations, which gives way to edits and to a newer question of its kind."""
        return PoliteReader(self.reader, self.manners, kind)

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
        return emit_page(site, page, self.fonts, LIVE)

    def rule(self, site: Site, page: Page, area: Area, selector: str) -> EmittedRule:
        """An area's backdrop as one CSS rule."""
        return emit_rule(site, page, area, selector, self.fonts, Urls())

    def edit(self, based_on: int, edit: Any) -> tuple[State, str | None]:
        """Carry out an edit as one step; gives also what to choose then. Raises GarnetfernError or StaleError."""
        site = self.site(None, based_on)
        done = apply_edit(site, edit, self.looks, self.fonts)
        checked = read_site(done.site.model_dump(mode="json"), self.fonts.names())
        self._know_pictures(checked)
        return self.history.change(based_on, checked.model_dump(mode="json"), done.label[:200]), done.chosen

    def add_picture(self, data: bytes, name: str, credit: str = "") -> Asset:
        """Check and keep a picture; gives the asset to put into the document. Raises PictureError."""
        facts, image = examined(data, name)
        hash_ = self.pictures.keep(data, facts, to_json(known_of(image)))
        return new_asset(self.site(), name, hash_, len(data), facts, credit)

    def add_stock(self, name: str) -> Asset:
        """Take a picture from the stock stand-in; its credit line stays with it."""
        data, picture = fetch_stock(name)
        return self.add_picture(data, f"{picture.title}.jpg", picture.credit)

    def _fit(self, report: Report) -> str:
        """Make every fitted file that is missing."""
        site = self.site()
        missing = self.fitting.missing(site, self.fonts)
        for n, (one, kind) in enumerate(missing):
            report(n, len(missing), f"{one.asset.name}, {one.rendition.width} px, {kind}")
            self.fitting.make(one, kind)
        report(len(missing), len(missing), "")
        return f"{len(missing)} files were made." if missing else "Every file was there already."

    def ask_work(self, kind: str) -> JobState:
        """Put work on the list."""
        job = self.jobs.add(kind)
        self.worker.wake()
        return job

    def _asset(self, prefix: str) -> Asset:
        row = self.pictures.find(prefix)
        if row is None:
            raise NotFoundError("There is no such picture.")
        fields = {name: getattr(row, name) for name in ("hash", "type", "width", "height", "bytes")}
        return Asset.model_validate({"id": "picture", "name": row.hash, **fields})

    def rendition_file(self, prefix: str, width: int, part: tuple[int, int, int, int] | None = None) -> Path:
        """The file of a picture's (or its part's) rendition of this width. Raises NotFoundError."""
        asset = self._asset(prefix)
        crop = crop_of(part, asset.width, asset.height) if part else None
        found = next((r for r in renditions(asset, crop) if r.width == width and r.crop == part), None)
        if found is None:
            raise NotFoundError("There is no such size of this picture.")
        return self.pictures.file(found)

    def thumb_file(self, prefix: str, least: int = 360) -> Path:
        """The file of a picture's rendition at least so wide, for choosing and framing. Raises NotFoundError."""
        options = renditions(self._asset(prefix))
        return self.pictures.file(next((r for r in options if r.width >= least), options[-1]))

    def _picture_bytes(self, rendition: Rendition) -> bytes:
        return self.pictures.file(rendition).read_bytes()

    def bundle_files(self) -> dict[str, bytes]:
        """Pages, stylesheets, pictures and fonts of the whole site, by their path; fitted pictures where there are."""
        site = self.site()
        urls, picture = self.fitting.sources(site, self.fonts)
        files = bundle_files(site, self.fonts, picture, font_bytes, urls)
        for fit in site.fits:
            data, name = cut_file(self.pictures.original, site, fit.slot, fit.asset, "jpeg")
            files[f"slots/{name}"] = data
        return files

    def bundle(self) -> bytes:
        """The whole site as a zip that opens from disk."""
        return zip_of(self.bundle_files())

    def site_file(self) -> bytes:
        """The site and its pictures in one open file."""
        site = self.site()
        return pack_site_file(SiteFile(site, {a.hash: self.pictures.original(a.hash) for a in site.assets}))

    def take_in(self, file: SiteFile) -> None:
        """Keep the pictures of an opened site file."""
        for asset in file.site.assets:
            data = file.pictures[asset.hash]
            self.pictures.keep(data, examine(data, asset.name))

    def open_site_file(self, data: bytes, based_on: int, name: str) -> State:
        """Put the site of a file in place of the present one, as one step that can be undone."""
        file = unpack_site_file(data, self.fonts.names())
        self.take_in(file)
        return self.history.change(based_on, file.site.model_dump(mode="json"), f"Open {name}")

    def take_looks(self, data: bytes, based_on: int, name: str) -> State:
        """Add the looks and gradients of another site's file, as one step. Raises SiteFileError; then nothing is."""
        present = self.site(None, based_on)
        file = unpack_site_file(data, self.fonts.names())
        site = read_site(with_looks_of(present, file).model_dump(mode="json"), self.fonts.names())
        known = {a.hash for a in present.assets}
        for asset in site.assets:
            if asset.hash not in known:
                original = file.pictures[asset.hash]
                self.pictures.keep(original, examine(original, asset.name))
        return self.history.change(based_on, site.model_dump(mode="json"), f"Looks out of {name}")

    def take_visits(self, data: bytes, based_on: int) -> State:
        """Put the owner's table of visits in place of the one that ships. Raises VisitsError: nothing was changed."""
        present = self.site(None, based_on)
        table = read_visits(data.decode("utf-8", errors="replace"))
        site = present.model_copy(update={"visits": table})
        return self.history.change(based_on, site.model_dump(mode="json"), f"Visits on {len(table)} widths")

    def start(self, file: SiteFile, label: str) -> None:
        """Begin with a site where there is none yet."""
        self.take_in(file)
        self.history.start(file.site.model_dump(mode="json"), label)
