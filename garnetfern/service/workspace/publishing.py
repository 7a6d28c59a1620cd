"""Putting a site live: what the next release would be, making it, and going back to an earlier one."""

import time
from collections.abc import Callable
from dataclasses import dataclass
from datetime import UTC, date, datetime
from typing import TYPE_CHECKING

from ...core.document import Site, read_site
from ...core.errors import GarnetfernError
from ...core.placement import day_of
from ...core.reading import Reader
from ...core.telling import Told, silent
from ...store import JobState, Release, ReleasedFile, hash_of
from ..views.changes import ChangesView, changes
from ..views.releases import (
    Files,
    LookView,
    ReleasesView,
    Visits,
    cache_facts,
    facts_of,
    looks,
    release_row,
    rows_of,
    visits_of,
    weights,
)
from ..views.whole_check import CheckView, check_all, compared, falls_short

if TYPE_CHECKING:
    from .studio import Studio

FITTED, PACKED = 0.35, 0.55
"""How far the work is when fitted files are made and the site is packed; the rest is reading it."""
WORKING = ("running", "stopping")
WAIT = 0.2
"""How often work that goes on already is looked at, s."""


class FallsShortError(GarnetfernError):
    """A site that is to be put live although words on it fall short, and nobody has said that this is meant."""

    kind = "falls-short"


@dataclass(frozen=True)
class Prepared:
    """What the next release would be: its files, what each visit fetches of them, and its readings."""

    site: Site
    day: date
    files: Files
    visits: Visits
    check: CheckView


def today(site: Site) -> date:
    """The present day where the site is."""
    return day_of(site, datetime.now(UTC))


def by_hash(data: bytes) -> ReleasedFile:
    """What is kept of a file's content where the file itself is not."""
    return ReleasedFile(hash_of(data), len(data))


class Publishing:
    """The releases of one site."""

    def __init__(self, studio: "Studio") -> None:
        self._studio = studio
        self._kept = studio.folder.releases

    def _released(self, release: Release) -> Site:
        """The site as it was released."""

        def read() -> Site:
            document = self._kept.document(self._studio.id, release.number)
            return read_site(document, self._studio.fonts.names())

        return self._studio.cache.get("released", (self._studio.id, release.number, release.made), read)

    def live(self) -> Release | None:
        """What is live; None where nothing is."""
        return self._kept.live(self._studio.id)

    def site_of(self, number: int) -> Site:
        """The site as it was in a release. Raises NotFoundError."""
        return self._released(self._kept.get(self._studio.id, number))

    def view(self, site: Site) -> ReleasesView:
        """All releases, and what has changed since the last."""
        every = self._kept.list(self._studio.id)
        old = self._released(every[0]) if every else None
        said: ChangesView = changes(old, site) if old is not None else {"site": [], "pages": []}
        same = old == site
        return {
            "releases": [release_row(r) for r in every],
            "visit": f"/visit/{self._studio.id}/",
            "same": same,
            "changes": said,
            "looks": looks(None if same else old, site),
        }

    def _make_missing(self, told: Told) -> None:
        """Make every fitted file that is missing. What the worker is making already is waited for."""

        def report(done: int, total: int, message: str) -> bool:
            told(message, done / max(1, total))
            return True

        while self._studio.house.attended and (job := self._at_work()) is not None:
            report(job.done, job.total, job.message)
            time.sleep(WAIT)
        self._studio.long.tasks["fit"](report)

    def _at_work(self) -> JobState | None:
        return next((job for job in self._studio.jobs.list(self._studio.id) if job.state in WORKING), None)

    def prepare(
        self, site: Site, reader: Reader, told: Told = silent, keep: Callable[[bytes], ReleasedFile] = by_hash
    ) -> Prepared:
        """What a release of a site would be; `keep` keeps the content of its files. Raises DamagedError."""
        day = today(site)
        self._make_missing(lambda words, share: told(words, FITTED * share))
        data, urls = self._studio.packing.visited(
            site, lambda words, share: told(words, FITTED + (PACKED - FITTED) * share), day
        )
        files = {path: keep(content) for path, content in data.items()}
        visits = visits_of(site, files, urls, self._studio.fonts, day)
        check = check_all(reader, self._studio.cache, site, lambda w, share: told(w, PACKED + (1 - PACKED) * share))
        return Prepared(site, day, files, visits, check)

    def look(self, revision: int, reader: Reader, told: Told = silent) -> LookView:
        """What the next release would be, beside the last. Raises StaleError."""
        site = self._studio.site(None, revision)
        ready, last = self.prepare(site, reader, told), self.live()
        return {
            "check": ready.check,
            "compared": compared(rows_of(last), ready.check["rows"]),
            "weights": weights(site, ready.files, ready.visits, last),
            "cache": cache_facts(ready.files, last),
            "files": len(ready.files),
            "bytes": sum(file.bytes for file in ready.files.values()),
        }

    def publish(self, revision: int, reader: Reader, anyway: bool = False, told: Told = silent) -> Release:
        """Put the site live as the next release. Raises StaleError where it has changed since, and FallsShortError
        where words fall short and this is not said to be meant; then nothing was put live."""
        site = self._studio.site(None, revision)
        ready = self.prepare(site, reader, told, self._kept.keep)
        self.refuse_short(ready.check, anyway)
        release = self._kept.publish(
            self._studio.id,
            revision,
            site.model_dump(mode="json"),
            ready.files,
            facts_of(ready.check, ready.visits),
        )
        self._tell(release)
        return release

    def publish_same(self, ready: Prepared) -> Release | None:
        """What is live, where a release would be the same; its files are kept whole."""
        last = self.live()
        if last is None or last.files != ready.files or self._released(last) != ready.site:
            return None
        return last

    @staticmethod
    def refuse_short(check: CheckView, anyway: bool) -> None:
        """Raise FallsShortError where words fall short or are lost, and nobody has said that this is meant."""
        if falls_short(check) and not anyway:
            raise FallsShortError(f"{check['sentence']} Nothing was put live.")

    def back(self, number: int) -> Release:
        """Put live again what an earlier release was, as a new one. What is worked on stays as it is."""
        release = self._kept.back(self._studio.id, number)
        self._tell(release)
        return release

    def _tell(self, release: Release) -> None:
        self._studio.folder.journal.note("released", site=self._studio.id, number=release.number)
        self._studio.news.tell("released", {"number": release.number})
