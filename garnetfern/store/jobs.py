"""The list of long work. It is kept, so that work goes on after a restart."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal, cast

from ..core.errors import NotFoundError
from .migrations import ONLY_SITE, now
from .tables import Job, Tables

OPEN = ("waiting", "running", "stopping")


Standing = Literal["waiting", "running", "stopping", "stopped", "done", "failed"]


@dataclass(frozen=True)
class JobState:
    """Where a piece of work stands: `done` of `total` steps, and a message for the owner."""

    id: int
    kind: str
    state: Standing
    done: int
    total: int
    message: str
    made: str
    site: str = ONLY_SITE


def _state(row: Job) -> JobState:
    return JobState(row.id, row.kind, cast(Standing, row.state), row.done, row.total, row.message, row.made, row.site)


class Jobs:
    """Reads and writes the list; each method is one transaction."""

    def __init__(self, tables: Tables) -> None:
        self._db, self._jobs = tables.db, tables.job
        self.changed: Callable[[JobState], object] = lambda _: None
        """Told of each piece of work of which something has become."""

    def _told(self, job: int) -> None:
        row: Job | None = self._jobs.get_or_none(self._jobs.id == job)
        if row is not None:
            self.changed(_state(row))

    def revive(self) -> None:
        """After a start: what was running waits again; what was being stopped is stopped."""
        with self._db.atomic("IMMEDIATE"):
            self._jobs.update(state="waiting").where(self._jobs.state == "running").execute()
            self._jobs.update(state="stopped", message="Stopped.").where(self._jobs.state == "stopping").execute()

    def add(self, kind: str, site: str = ONLY_SITE) -> JobState:
        """Put work on the list; the same kind of work of a site waits only once."""
        with self._db.atomic("IMMEDIATE"):
            same = (self._jobs.site == site) & (self._jobs.kind == kind)
            row = self._jobs.get_or_none(same & (self._jobs.state.in_(("waiting", "running"))))
            found = _state(row or self._jobs.create(site=site, kind=kind, state="waiting", made=now()))
        self.changed(found)
        return found

    def begin(self) -> JobState | None:
        """Take the next waiting work and mark it as running."""
        with self._db.atomic("IMMEDIATE"):
            row: Job | None = self._jobs.select().where(self._jobs.state == "waiting").order_by(self._jobs.id).first()
            if row is None:
                return None
            row.state = "running"
            row.save()
        self.changed(_state(row))
        return _state(row)

    def report(self, job: int, done: int, total: int, message: str = "") -> bool:
        """Say how far the work is; gives whether it should go on."""
        with self._db.atomic("IMMEDIATE"):
            self._jobs.update(done=done, total=total, message=message).where(self._jobs.id == job).execute()
            going = self._jobs.select().where((self._jobs.id == job) & (self._jobs.state == "running")).exists()
        self._told(job)
        return bool(going)

    def end(self, job: int, state: str, message: str = "") -> None:
        """Mark work as done, failed or stopped."""
        with self._db.atomic("IMMEDIATE"):
            self._jobs.update(state=state, message=message).where(self._jobs.id == job).execute()
        self._told(job)

    def stop(self, job: int) -> JobState:
        """Ask work to stop. Raises NotFoundError."""
        with self._db.atomic("IMMEDIATE"):
            row: Job | None = self._jobs.get_or_none(self._jobs.id == job)
            if row is None:
                raise NotFoundError("There is no such work.")
            if row.state == "waiting":
                row.state, row.message = "stopped", "Stopped before it began."
            elif row.state == "running":
                row.state = "stopping"
            row.save()
        self.changed(_state(row))
        return _state(row)

    def list(self, site: str = ONLY_SITE, most: int = 20) -> Iterator[JobState]:
        """The newest work of a site first."""
        for row in self._jobs.select().where(self._jobs.site == site).order_by(self._jobs.id.desc()).limit(most):
            yield _state(row)
