"""A check of many pages by several processes: each opens the site by itself and looks at one page after the other."""

import multiprocessing
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, field
from datetime import datetime
from pathlib import Path

from ..core.colour.contrast import Requirement
from ..core.document import Site
from ..core.processes import begun_unheard, end_at_once
from ..core.reading import Reader
from ..service.views.report import Pages, Progress, Row, check_site, composed, demanding, fit_rows, run_over_widths
from .common import on_day, opened, reader_of


@dataclass(frozen=True)
class Wanted:
    """What is checked: a site file, the level required, a day, whether every width is looked at, and whether readings
    tell how busy the ground is."""

    file: Path
    require: Requirement | None
    on: datetime | None
    width_run: bool
    busy: bool = False

    def open(self) -> tuple[Reader, Site]:
        """The site as it is checked, and a reader on its pictures."""
        found = opened(self.file)
        site = on_day(demanding(found.site, self.require), self.on)
        return reader_of(found, self.busy)[0], site


@dataclass
class Checked:
    """What a check found: readings, changes over the widths, and what does not fit."""

    rows: list[Row] = field(default_factory=list)
    widths: list[Row] = field(default_factory=list)
    fit: list[Row] = field(default_factory=list)

    def add(self, other: "Checked") -> None:
        """Take what was found elsewhere behind it."""
        self.rows += other.rows
        self.widths += other.widths
        self.fit += other.fit


def look_at(
    reader: Reader, site: Site, own: bool, width_run: bool, say: Progress, which: Pages | None = None
) -> Checked:
    """Some pages of a site (None: all of them); `own`: somebody's own page."""
    rows = check_site(reader, site, say, which)
    widths = run_over_widths(reader, site, say, which) if width_run else []
    return Checked(rows, widths, fit_rows(reader, site, own, say, which))


class _Process:
    """What a process has opened."""

    reader: Reader
    site: Site
    pages: Pages
    width_run: bool


def _begin(wanted: Wanted) -> None:
    end_at_once()
    _Process.reader, _Process.site = wanted.open()
    _Process.pages, _Process.width_run = composed(_Process.site), wanted.width_run


def _page(number: int) -> Checked:
    page = _Process.pages[number]
    return look_at(_Process.reader, _Process.site, False, _Process.width_run, lambda *_: None, [page])


def check_at_once(wanted: Wanted, pages: Pages, jobs: int, say: Progress) -> Checked:
    """All pages of a site file, by so many processes; what is found comes in the order of the pages."""
    whole = Checked()
    context = multiprocessing.get_context("spawn")
    with ProcessPoolExecutor(min(jobs, len(pages)), context, _begin, (wanted,)) as pool:
        with begun_unheard():
            waiting = pool.map(_page, range(len(pages)))
        for n, found in enumerate(waiting):
            whole.add(found)
            say(pages[n][0], (n + 1) / len(pages))
    return whole
