"""The sites of a data folder: the list, new ones, copies, removing one and bringing it back."""

from dataclasses import asdict
from pathlib import Path
from threading import Lock
from typing import Any

from ...core.cache import Cache
from ...core.css.escape import file_part
from ...core.document import Page, read_site
from ...core.errors import GarnetfernError, NotFoundError
from ...core.plain import tidied
from ...sandbox import Room
from ...store import JobState, KeptSite
from ...store.migrations import ONLY_SITE
from ..files.site_file import SiteFile, unpack_site_file
from ..kinds.empty import empty_site
from ..kinds.starts import STARTS, Maker
from ..runtime.work import Task
from ..views.pages import start_rows
from ..views.sites import SitesView, removed_row, site_row
from .shared import Shared
from .studio import Studio


class House(Shared):
    """All sites of one data folder; each is opened when it is first asked for."""

    def __init__(self, data: Path, room: Room | None = None, cache: Cache | None = None, beside: bool = False) -> None:
        super().__init__(data, room, cache, beside)
        self._open: dict[str, Studio] = {}
        self._lock = Lock()
        self.folder.jobs.changed = self._tell_of_work

    def _tell_of_work(self, job: JobState) -> None:
        with self._lock:
            studio = self._open.get(job.site)
        if studio is not None:
            studio.news.tell("work", asdict(job))

    def task(self, job: JobState) -> Task:
        """The site's own way to do it."""
        return self._studio(job.site).long.tasks[job.kind]

    def _studio(self, site: str) -> Studio:
        with self._lock:
            if site not in self._open:
                self._open[site] = Studio(self, site)
            return self._open[site]

    def studio(self, site: str) -> Studio:
        """A site that is there. Raises NotFoundError."""
        there = self.folder.sites.there(site)
        if not there:
            why = "is not here" if there is None else "was removed; it can be brought back under Sites"
            raise NotFoundError(f"The site {site!r} {why}.")
        return self._studio(site)

    def first(self) -> Studio:
        """The first site; in an empty folder, the one that is to begin."""
        return self._studio(self.folder.sites.first() or ONLY_SITE)

    def empty(self) -> bool:
        """Whether there never was a site here."""
        return not self.there() and not self.folder.sites.list(removed=True)

    def there(self) -> list[KeptSite]:
        """Those that are there, in their order."""
        return self.folder.sites.list()

    def tell_all(self, kind: str, what: dict[str, Any]) -> None:
        """Tell every window of something, whatever site it looks at."""
        with self._lock:
            opened = tuple(self._open.values())
        for studio in opened:
            studio.news.tell(kind, what)

    def view(self, window: str = "") -> SitesView:
        """All sites with their pictures and verdicts; those that were removed by their names."""
        rows = [site_row(self._studio(kept.id), kept, window) for kept in self.there()]
        gone = [removed_row(kept) for kept in self.folder.sites.list(removed=True)]
        return {"sites": rows, "removed": gone, "starts": start_rows()}

    def _free(self, name: str) -> str:
        """An id for a site of this name that no other has, nor had."""
        stem = file_part(name, "site")[:34]
        stem = stem if stem[:1].isalpha() else f"s-{stem}"
        found, number = stem, 2
        while self.folder.sites.there(found) is not None:
            found, number = f"{stem}-{number}", number + 1
        return found

    def _free_name(self, wanted: str) -> str:
        taken = {kept.name for kept in self.there()}
        name, number = wanted, 2
        while name in taken:
            name, number = f"{wanted[:110]} {number}", number + 1
        return name

    def add(self, file: SiteFile, label: str) -> Studio:
        """Begin a site with a document and its pictures."""
        name = self._free_name(file.site.name)
        site = file.site.model_copy(update={"name": name})
        studio = self._studio(self._free(name))
        studio.start(SiteFile(site, file.pictures, file.fonts), label)
        self.folder.journal.note("site begun", site=studio.id)
        return studio

    def new(self, start: str) -> Studio:
        """A new site whose only page begins with one of our starts. Raises NotFoundError."""
        if start not in STARTS:
            raise NotFoundError(f"There is no start {start!r}; there are {', '.join(STARTS)}.")
        empty = empty_site()
        old = empty.pages[0]
        page = Page(id=old.id, slug=old.slug, title=old.title, backdrop=old.backdrop)
        header, footer = (next(b for b in old.bands if b.role == role) for role in ("header", "footer"))
        made = STARTS[start].bands(Maker(empty, old))
        page = page.model_copy(update={"bands": (header, *made, footer)})
        site = empty.model_copy(update={"pages": (page,)})
        return self.add(SiteFile(read_site(site.model_dump(mode="json")), {}), "A new site")

    def open_file(self, data: bytes, name: str) -> Studio:
        """A new site out of a site file. Raises SiteFileError."""
        return self.add(unpack_site_file(data, self.fonts.names(), self.room), f"Open {tidied(name)}")

    def copy(self, site: str) -> Studio:
        """A site as it stands now, with a history that begins with it. Raises NotFoundError."""
        old = self.studio(site).site()
        named = old.model_copy(update={"name": f"{old.name[:110]} copy"})
        studio = self._studio(self._free(named.name))
        studio.history.start(
            named.model_copy(update={"name": self._free_name(named.name)}).model_dump(mode="json"), f"Copy {old.name}"
        )
        return studio

    def remove(self, site: str) -> None:
        """Take a site off the list; it keeps all that it has. Raises LastSiteError for the only one."""
        studio = self.studio(site)
        if len(self.there()) == 1:
            name = studio.site().name
            raise LastSiteError(f"{name} is the only site; there is one at least. Nothing was removed.")
        self.folder.sites.remove(site)
        self.folder.journal.note("site removed", site=site)

    def bring_back(self, site: str) -> Studio:
        """Put a removed site back on the list. Raises NotFoundError."""
        self.folder.sites.bring_back(site)
        return self.studio(site)

    def move(self, site: str, to: int) -> None:
        """Another place on the list. Raises NotFoundError."""
        self.studio(site)
        self.folder.sites.move(site, to)


class LastSiteError(GarnetfernError):
    """A site that is to go and is the only one."""

    kind = "last-site"


def first_site(data: Path, room: Room | None = None, cache: Cache | None = None) -> Studio:
    """The first site of a data folder, for those who work on one alone. Closing it closes the folder."""
    return House(data, room, cache).first()
