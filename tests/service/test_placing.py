"""Bands shown by rules, as the owner makes them: edits, the calendar, and what is checked and handed out."""

from datetime import date, timedelta

import pytest
from typer.testing import CliRunner

from garnetfern.cli import app
from garnetfern.core.document import read_site
from garnetfern.core.document.placing import Between, InTurn, NotOnPages, OnPages, OnWeekdays
from garnetfern.core.errors import NotFoundError
from garnetfern.core.placement import Occasion, shown
from garnetfern.core.reading import Reader
from garnetfern.service.edits import apply_edit
from garnetfern.service.edits.pages import CopyPage, LastPageError, MovePage, RemovePage
from garnetfern.service.edits.placing import (
    AddRule,
    ChangeRule,
    MovePlaced,
    NewPlaced,
    PlaceBand,
    PlacingError,
    PutPlaced,
    RemovePlaced,
    RemoveRule,
    SetZone,
)
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile, pack_site_file
from garnetfern.service.kinds.rules import rule_sentence
from garnetfern.service.views.calendar import DAYS, calendar_view
from garnetfern.service.views.pages import composed_verdict
from garnetfern.service.views.report import check_site
from tests.core.test_placement import site_of

FIRST = date(2026, 5, 4)


@pytest.fixture
def edited(fonts):
    def apply(site, *edits):
        for edit in edits:
            site = read_site(apply_edit(site, edit, None, fonts).site.model_dump(mode="json"))
        return site

    return apply


@pytest.fixture
def site():
    return site_of([])


def test_a_band_of_a_page_is_shown_by_rules_and_stands_where_it_was(site, edited):
    before = site.page("home")
    banner = before.bands[1]
    after = edited(site, PlaceBand(page="home", band=banner.id))
    assert [b.id for b in after.page("home").bands] == [b.id for b in before.bands if b.id != banner.id]
    (placed,) = after.placed
    assert placed.rules == (OnPages(pages=("home",)),)
    seen = shown(after, after.page("home"), Occasion(FIRST))
    assert [[b.wording for b in band.blocks()] for band in seen.bands] == [
        [b.wording for b in band.blocks()] for band in before.bands
    ]
    assert len(shown(after, after.page("fair"), Occasion(FIRST)).bands) == 3


def test_what_cannot_be_shown_by_rules_is_refused(site, edited):
    header = site.page("home").bands[0].id
    with pytest.raises(PlacingError, match="share in another way"):
        edited(site, PlaceBand(page="home", band=header))
    placed = edited(site, NewPlaced())
    loose = placed.placed[0].page
    with pytest.raises(PlacingError, match="already"):
        edited(placed, PlaceBand(page=loose, band=placed.page(loose).bands[0].id))
    for edit in (MovePage(page=loose, to=0), RemovePage(page=loose), CopyPage(page=loose)):
        with pytest.raises(NotFoundError, match="no page that visitors come to"):
            edited(placed, edit)
    with pytest.raises(PlacingError, match="Mars"):
        edited(site, SetZone(zone="Mars"))


def test_rules_are_added_changed_and_taken_away_one_by_one(site, edited):
    site = edited(site, NewPlaced(), NewPlaced(), SetZone(zone="Europe/London"))
    one, other = (placed.page for placed in site.placed)
    times = Between(first=FIRST, last=FIRST + timedelta(6))
    site = edited(
        site,
        AddRule(page=one, rule=OnPages(kinds=("list",))),
        AddRule(page=one, rule=times),
        AddRule(page=one, rule=OnWeekdays(days=(6,))),
    )
    assert [r.kind for r in site.placed[0].rules] == ["on", "between", "weekdays"]
    site = edited(site, ChangeRule(page=one, number=1, rule=Between(first=FIRST)), RemoveRule(page=one, number=2))
    assert site.placed[0].rules == (OnPages(kinds=("list",)), Between(first=FIRST))
    for edit in (RemoveRule(page=one, number=9), ChangeRule(page=one, number=9, rule=times)):
        with pytest.raises(NotFoundError, match="no rule 10; there are 2"):
            edited(site, edit)
    site = edited(site, PutPlaced(page=other, place="end"), MovePlaced(page=other, to=0))
    assert [p.page for p in site.placed] == [other, one]
    assert site.placed[0].place == "end"
    turning = edited(site, AddRule(page=one, rule=InTurn(others=(other,))))
    left = edited(turning, RemovePlaced(page=other))
    assert left.placed[0].rules == site.placed[1].rules
    assert left.page(other) is None


def test_what_was_meant_for_a_page_that_is_gone_is_not_shown_everywhere(site, edited):
    site = edited(site, PlaceBand(page="fair", band=site.page("fair").bands[1].id), RemovePage(page="fair"))
    assert all(len(shown(site, page, Occasion(FIRST)).bands) == 3 for page in site.visited)
    for page in ("home", "ferns"):
        site = edited(site, RemovePage(page=page))
    with pytest.raises(LastPageError):
        edited(site, RemovePage(page="visit"))


@pytest.mark.parametrize(
    ("rule", "said"),
    [
        (OnPages(kinds=("list",)), "On list pages"),
        (OnPages(kinds=("page",), pages=("home",)), "On pages of the kind page and Home"),
        (NotOnPages(pages=("fair", "visit", "home")), "Not on Fair, Visit and Home"),
        (Between(first=date(2026, 5, 1), last=date(2026, 5, 31)), "From 1 May 2026 to 31 May 2026"),
        (Between(first=date(2026, 5, 1), last=date(2026, 5, 1)), "On 1 May 2026"),
        (Between(first=date(2026, 5, 1)), "From 1 May 2026"),
        (Between(last=date(2026, 5, 1)), "Until 1 May 2026"),
        (Between(), "Always"),
        (OnWeekdays(days=(7, 6)), "Saturdays and Sundays"),
        (InTurn(others=("fair",)), "In turn with Fair, another each day"),
        (InTurn(others=("fair",), by="visit"), "In turn with Fair, another at each visit"),
    ],
)
def test_rules_read_as_sentences(site, rule, said):
    assert rule_sentence(site, rule) == said


MAY = {"kind": "between", "first": "2026-05-06", "last": "2026-05-12"}


def test_the_calendar_says_what_stands_with_its_gaps_and_overlaps():
    placed = [
        {"page": "may", "rules": [{"kind": "not-on", "pages": ["fair"]}, MAY]},
        {"page": "week", "rules": [{"kind": "between", "first": "2026-05-11", "last": "2026-05-31"}]},
        {"page": "never", "rules": [{"kind": "on", "kinds": ["article"]}]},
    ]
    view = calendar_view(site_of(placed), FIRST, date(2026, 5, 7))
    assert (len(view["days"]), view["days"][0], view["today"]) == (DAYS, "2026-05-04", "2026-05-07")
    lanes = {row["page"]: row["lanes"][0]["runs"] for row in view["pages"]}
    runs = {page: [(run["first"], run["last"], run["title"]) for run in lane] for page, lane in lanes.items()}
    assert runs["home"] == [(0, 1, ""), (2, 8, "May"), (9, 27, "Week"), (28, 55, "")]
    assert runs["fair"] == [(0, 6, ""), (7, 27, "Week"), (28, 55, "")]
    may = view["bands"][0]
    assert may["spans"] == [{"rule": 1, "first": 2, "last": 8, "begins": True, "ends": True}]
    assert (may["pages"], may["never"]) == (3, "")
    assert view["bands"][2]["never"] == "no page is meant by its rules"
    overlap = "May stands before Week after the header from 11 May 2026 to 12 May 2026"
    assert f"{overlap}: Home, Ferns and Visit." in view["said"]
    assert "Nothing stands after the header from 1 June 2026: all pages." in view["said"]
    # what begins before what is shown, or ends behind it, has no end there
    later = calendar_view(site_of(placed), date(2026, 5, 8), date(2026, 5, 8))
    assert later["bands"][0]["spans"] == [{"rule": 1, "first": 0, "last": 4, "begins": False, "ends": True}]


def test_the_check_covers_every_page_that_rules_compose_and_names_its_day(fonts, tmp_path):
    placed = [{"page": "pale", "rules": [MAY, {"kind": "on", "pages": ["home"]}]}]
    plain = site_of(placed).model_dump(mode="json")
    plain["pages"][-1]["bands"][0]["backdrop"]["base"] = "#f0f0f0"
    site = read_site(plain)
    reader = Reader(fonts, MemoryPictures({}))
    rows = check_site(reader, site, lambda *_: None)
    short = {row["page"] for row in rows if row["verdict"] == "short"}
    assert short == {"home on 2026-05-06 Wednesday"}
    assert "ferns" in {row["page"] for row in rows}
    said, falls = composed_verdict(reader, site, site.page("home"))
    assert falls
    assert said["sentence"].endswith("on 6 May 2026.")
    file = tmp_path / "site.zip"
    file.write_bytes(pack_site_file(SiteFile(site, {})))
    run = CliRunner().invoke
    assert run(app, ["check", str(file)]).exit_code == 1
    assert run(app, ["check", str(file), "--on", "2026-05-05"]).exit_code == 0
    found = run(app, ["check", str(file), "--on", "2026-05-12"])
    assert (found.exit_code, "pale" in found.output) == (1, True)
    assert run(app, ["check", str(file), "--on", "5 May"]).exit_code == 2
    assert run(app, ["emit", str(file), "--out", str(tmp_path / "out"), "--on", "2026-05-06"]).exit_code == 0
    page = (tmp_path / "out" / "index.html").read_text()
    assert "pale" in page
    assert "<template" not in page
