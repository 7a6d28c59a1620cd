"""Long work: it shows progress, stops when asked, and goes on after a restart."""

import threading

import pytest

from garnetfern.core.errors import GarnetfernError, NotFoundError
from garnetfern.core.picture.budget import Encoded
from garnetfern.core.resolve.sheets import Rendition
from garnetfern.service.runtime.work import Worker
from garnetfern.store import FittedFiles, Jobs, fitted_key
from garnetfern.store.database import open_database
from garnetfern.store.tables import Tables


@pytest.fixture
def db(tmp_path):
    made = open_database(tmp_path / "g.sqlite")
    yield made
    made.close()


@pytest.fixture
def jobs(db):
    return Jobs(Tables(db))


def run(jobs, task):
    """Carry out one piece of work in this thread."""
    worker = Worker(jobs, lambda _: task)
    job = jobs.begin()
    assert job is not None
    worker.carry_out(job)
    return next(jobs.list())


def test_work_is_done_with_its_message(jobs):
    jobs.add("fit")
    found = run(jobs, lambda report: f"{report(1, 2, 'half')}")
    assert (found.state, found.done, found.total, found.message) == ("done", 1, 2, "True")


def test_the_same_work_waits_once(jobs):
    assert jobs.add("fit").id == jobs.add("fit").id


def test_work_that_is_asked_to_stop_stops_at_its_next_step(jobs):
    job = jobs.add("fit")
    steps = []

    def task(report):
        for n in range(5):
            report(n, 5, "")
            steps.append(n)
            jobs.stop(job.id)
        return "never"

    found = run(jobs, task)
    assert found.state == "stopped"
    assert steps == [0]


def test_waiting_work_is_stopped_at_once_and_unknown_work_is_said(jobs):
    assert jobs.stop(jobs.add("fit").id).state == "stopped"
    assert jobs.begin() is None
    with pytest.raises(NotFoundError):
        jobs.stop(99)


@pytest.mark.parametrize(
    ("error", "says"), [(GarnetfernError("no room"), "no room"), (ValueError("secret"), "Something went wrong inside")]
)
def test_failed_work_says_so_without_anything_internal(jobs, error, says, caplog):
    def task(_):
        raise error

    jobs.add("fit")
    found = run(jobs, task)
    assert found.state == "failed"
    assert says in found.message
    assert "secret" not in found.message


def test_what_was_running_at_a_crash_waits_again(jobs):
    jobs.add("fit")
    running = jobs.begin()
    jobs.revive()
    again = jobs.begin()
    assert running is not None
    assert again is not None
    assert again.id == running.id


def test_the_worker_takes_up_work_and_ends_between_steps(jobs, db):
    begun, over = threading.Event(), threading.Event()

    def task(report):
        for n in range(1000):
            report(n, 1000, "")
            begun.set()
            over.wait(0.01)
        return "all"

    worker = Worker(jobs, lambda _: task, db.close)
    jobs.add("fit")
    worker.start()
    assert begun.wait(120)
    worker.stop()
    assert next(jobs.list()).state == "waiting"


def test_a_fitted_file_is_found_by_what_it_was_made_from(db, tmp_path):
    files = FittedFiles(Tables(db), tmp_path / "fitted")
    one = Rendition("a" * 64, 800, 600)
    part = Rendition("a" * 64, 800, 600, False, (0, 0, 900, 600))
    kept = files.keep(fitted_key(one, "avif", 180_000), Encoded(b"abc", "avif", 60, 0.97, True))
    assert files.find(fitted_key(one, "avif", 180_000)) == kept
    assert files.data(kept) == b"abc"
    for other in (fitted_key(one, "avif", 90_000), fitted_key(one, "webp", 180_000), fitted_key(part, "avif", 180_000)):
        assert files.find(other) is None
