"""Long work outside of requests: one thread takes it from the list, says how far it is, and stops when asked to."""

import logging
import threading
import time
from collections.abc import Callable

from ...core.errors import GarnetfernError
from ...store import Jobs, JobState, refusal_of

log = logging.getLogger("garnetfern")
Report = Callable[[int, int, str], bool]
"""Done, total and a message; gives whether to go on."""
Task = Callable[[Report], str]
"""Work: gives the message it ends with."""


BETWEEN = 300.0
"""How often what is done between pieces of work is looked at, s."""


class UnwantedError(Exception):
    """What is being made is not needed any more."""


class StoppedError(Exception):
    """The work was asked to stop."""


class Worker:
    """Carries out work; `task` gives how a piece of it is done."""

    def __init__(
        self,
        jobs: Jobs,
        task: Callable[[JobState], Task],
        finish: Callable[[], object] = lambda: None,
        between: Callable[[], object] = lambda: None,
    ) -> None:
        self._jobs, self._task, self._finish, self._between = jobs, task, finish, between
        self._wake = threading.Event()
        self._ending = False
        self._revived = False
        self._looked = -BETWEEN
        self._thread: threading.Thread | None = None

    def start(self) -> None:
        """Take up what was left at the last end, and wait for more."""
        self._revived = False
        self._thread = threading.Thread(target=self._run, daemon=True, name="garnetfern-worker")
        self._thread.start()

    @property
    def going(self) -> bool:
        """Whether it was started and has not ended."""
        return self._thread is not None and self._thread.is_alive()

    def stop(self) -> None:
        """End after the present step; the rest is taken up at the next start."""
        self._ending = True
        self._wake.set()
        if self._thread is not None:
            self._thread.join(timeout=20)

    def wake(self) -> None:
        """There is new work."""
        self._wake.set()

    def _run(self) -> None:
        while not self._ending:
            try:
                busy = self._one()
            except Exception as error:
                busy = False
                refusal = refusal_of(error)
                log.warning("work waits: %s", refusal.message if refusal else type(error).__name__)
            if not busy and not self._ending:
                self._wake.wait(timeout=5)
                self._wake.clear()
        self._finish()

    def _one(self) -> bool:
        """Do what is to be done between work, then the next piece of work; gives whether there was one."""
        if not self._revived:
            self._jobs.revive()
            self._revived = True
        if time.monotonic() - self._looked >= BETWEEN:
            self._looked = time.monotonic()
            self._between()
        job = self._jobs.begin()
        if job is not None:
            self.carry_out(job)
        return job is not None

    def carry_out(self, job: JobState) -> None:
        """Do one piece of work to its end."""

        def report(done: int, total: int, message: str) -> bool:
            going = self._jobs.report(job.id, done, total, message)
            if self._ending:
                raise StoppedError("ending")
            if not going:
                raise StoppedError("asked")
            return True

        try:
            message = self._task(job)(report)
            self._jobs.end(job.id, "done", message)
        except StoppedError as stopped:
            if str(stopped) == "asked":
                self._jobs.end(job.id, "stopped", "Stopped; what was made so far is kept.")
            else:
                self._jobs.end(job.id, "waiting", "Goes on at the next start.")
        except GarnetfernError as error:
            self._jobs.end(job.id, "failed", error.message)
        except Exception as error:
            refusal = refusal_of(error)
            log.exception("work %s failed", job.kind)
            inside = "Something went wrong inside. What was made so far is kept; try again."
            self._jobs.end(job.id, "failed", refusal.message if refusal else inside)
