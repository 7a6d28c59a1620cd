"""Every job that is done here takes as many actions as docs/tasks.md says, and no more than its mark."""

import re
from pathlib import Path

import pytest
from playwright.sync_api import Page

from tests.sampled import sampled

from . import layered, placed
from .hand import Hand
from .job import JOBS

ROW = re.compile(r"^\| (?P<job>[^|]+?) \| (?P<mark>\d+) \| (?P<count>\d+|–) \|", re.MULTILINE)
TASKS = {
    row["job"]: (int(row["mark"]), row["count"])
    for row in ROW.finditer((Path(__file__).parents[3] / "docs" / "tasks.md").read_text())
}


def test_the_jobs_that_are_done_here_are_those_that_are_counted_there():
    assert layered.job is placed.job, "their jobs are entered where they are read"
    assert {name for name, (_, count) in TASKS.items() if count != "–"} == set(JOBS)
    assert len(TASKS) == 21
    assert all(int(count) <= mark for mark, count in TASKS.values() if count != "–")


@pytest.mark.parametrize("name", sampled(list(JOBS), 2))
def test_a_job_takes_as_many_actions_as_are_written(bench: Page, tmp_path, name):
    hand = Hand(bench, tmp_path)
    JOBS[name](hand)
    assert hand.count == int(TASKS[name][1]), name
