"""Where the jobs are entered."""

from collections.abc import Callable

from .hand import Hand

JOBS: dict[str, Callable[[Hand], None]] = {}
"""Every job by its name in docs/tasks.md."""


def job(name: str) -> Callable[[Callable[[Hand], None]], Callable[[Hand], None]]:
    """Enters a job under its name in docs/tasks.md."""

    def entered(done: Callable[[Hand], None]) -> Callable[[Hand], None]:
        JOBS[name] = done
        return done

    return entered
