"""What is shown where and when: a table by hand, properties over any rules, and what is handed out for it."""

import json
from datetime import UTC, date, datetime, timedelta
from pathlib import Path

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.css import emit_page
from garnetfern.core.css.choice import CHOOSE, CHOOSE_HASH
from garnetfern.core.css.urls import Urls
from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError
from garnetfern.core.placement import (
    Occasion,
    compositions,
    conflicts,
    day_of,
    never_shown,
    shown,
    standing,
    static_page,
)
from tests.sites import HEADING, document

TABLE = json.loads((Path(__file__).parent.parent / "tables" / "placing.json").read_text())
PAGES = [("home", "home"), ("list", "ferns"), ("list", "fair"), ("page", "visit")]


def site_of(placed, zone="Europe/London"):
    """Four pages with header, banner and footer, and bands that rules show."""
    plain = document()
    banner = plain["pages"][0]["bands"][0]
    ends = []
    for role in ("header", "footer"):
        column = {"id": f"{role}-column", "blocks": [{**HEADING, "id": f"{role}-words", "level": 2}]}
        band = {"id": role, "name": role, "role": role, "backdrop": {"base": "#20302a"}, "columns": [column]}
        ends.append(band)
    bands = [ends[0], banner, ends[1]]
    plain["pages"] = [{"id": n, "slug": n, "title": n.title(), "kind": kind, "bands": bands} for kind, n in PAGES]
    for one in placed:
        # its heading has the id that every page's has: it gets another there
        band = {"id": "band", "name": "Band", "backdrop": {"base": "#302010"}, "columns": [{"id": "column", "blocks": [
            {**HEADING, "wording": one["page"], "level": 2}]}]}  # fmt: skip
        plain["pages"].append(
            {"id": one["page"], "slug": one["page"], "title": one["page"].title(), "loose": True, "bands": [band]}
        )
    return read_site({**plain, "zone": zone, "placed": placed})


def said(site, page, day, visit=0):
    """What stands on a page, by place."""
    found = standing(site, site.page(page), Occasion(date.fromisoformat(day), visit))
    return {place: placed.page for place, placed in found.items()}


@pytest.mark.parametrize("case", TABLE, ids=lambda case: case["name"])
def test_table(case):
    site = site_of(case["placed"])
    for row in case["rows"]:
        wanted = row["stands"] if isinstance(row["stands"], dict) else {"after-header": row["stands"]}
        wanted = {place: name for place, name in wanted.items() if name}
        assert said(site, row["page"], row["day"], row.get("visit", 0)) == wanted, row


@pytest.mark.parametrize(
    ("moment", "zone", "day"),
    [
        # the clocks go forward at 1:00 UTC on 29 March 2026, and back at 1:00 UTC on 25 October
        ("2026-03-29T00:30", "Europe/London", "2026-03-29"),
        ("2026-03-28T23:59", "Europe/London", "2026-03-28"),
        ("2026-03-29T22:59", "Europe/London", "2026-03-29"),
        ("2026-03-29T23:00", "Europe/London", "2026-03-30"),
        ("2026-10-25T23:30", "Europe/London", "2026-10-25"),
        ("2026-10-24T23:30", "Europe/London", "2026-10-25"),
        ("2026-07-01T23:30", "Europe/London", "2026-07-02"),
        ("2026-12-31T23:59", "UTC", "2026-12-31"),
        ("2026-12-31T11:00", "Pacific/Auckland", "2027-01-01"),
        ("2026-06-30T03:00", "America/New_York", "2026-06-29"),
    ],
)
def test_days_are_those_of_the_site_s_zone(moment, zone, day):
    when = datetime.fromisoformat(moment).replace(tzinfo=UTC)
    assert day_of(site_of([], zone), when) == date.fromisoformat(day)


def test_bands_stand_in_their_places_with_ids_of_their_own():
    places = ("top", "after-header", "before-footer", "end")
    site = site_of([{"page": f"at-{place}", "place": place} for place in places])
    page = shown(site, site.page("home"), Occasion(date(2026, 5, 1)))
    words = [b.wording for band in page.bands for b in band.blocks()]
    own = "Ferns under glass"
    assert words == ["at-top", own, "at-after-header", own, "at-before-footer", own, "at-end"]
    ids = [b.id for b in page.blocks()] + [b.id for b in page.bands]
    assert len(ids) == len(set(ids))


def test_a_page_without_rules_is_itself():
    site = site_of([{"page": "fair-band", "rules": [{"kind": "on", "pages": ["fair"]}]}])
    home = site.page("home")
    assert shown(site, home, Occasion(date(2026, 5, 1))) is home
    assert static_page(site, home) == (home, [])
    assert [c.plain for c in compositions(site, home)] == [True]


DAYS = st.dates(date(2026, 1, 1), date(2026, 12, 31))
NAMES = ["a", "b", "c"]


@st.composite
def rules(draw, name):
    """Any rules of one band."""
    found = []
    if draw(st.booleans()):
        found.append({"kind": "on", "kinds": draw(st.lists(st.sampled_from(["home", "list"]), min_size=1, max_size=2))})
    if draw(st.booleans()):
        found.append({"kind": "not-on", "pages": draw(st.lists(st.sampled_from(["home", "fair"]), min_size=1))})
    for _ in range(draw(st.integers(0, 2))):
        ends = sorted([draw(DAYS), draw(DAYS)])
        first, last = (end if draw(st.integers(0, 3)) else None for end in ends)
        found.append({"kind": "between", "first": str(first) if first else None, "last": str(last) if last else None})
    if draw(st.booleans()):
        found.append({"kind": "weekdays", "days": draw(st.lists(st.integers(1, 7), min_size=1, max_size=3))})
    if draw(st.booleans()):
        others = draw(st.lists(st.sampled_from([n for n in NAMES if n != name]), min_size=1, max_size=2, unique=True))
        found.append({"kind": "in-turn", "others": others, "by": draw(st.sampled_from(["day", "visit"]))})
    return found


@st.composite
def placings(draw):
    """Up to three bands in one place."""
    return [{"page": name, "rules": draw(rules(name))} for name in NAMES]


@given(placed=placings(), day=DAYS, visit=st.integers(0, 11), page=st.sampled_from([n for _, n in PAGES]))
@settings(max_examples=120)
def test_every_occasion_is_one_of_the_compositions(placed, day, visit, page):
    site = site_of(placed)
    of = site.page(page)
    stands = tuple((p, one.page) for p, one in standing(site, of, Occasion(day, visit)).items())
    every = compositions(site, of)
    assert stands in [c.stands for c in every]
    assert len({c.stands for c in every}) == len(every)
    # each says an occasion on which it is so
    for c in every:
        assert tuple((p, one.page) for p, one in standing(site, of, c.occasion).items()) == c.stands
    # from a day on: no more than ever, and what is there on that day is among them
    later = [c.stands for c in compositions(site, of, since=day)]
    assert set(later) <= {c.stands for c in every}
    if visit == 0:
        assert stands in later


@given(placed=placings())
@settings(max_examples=25)
def test_what_never_gets_its_turn_is_said_and_nothing_else(placed):
    site = site_of(placed)
    hidden = never_shown(site)
    seen = {
        one.page
        for page in site.visited
        for n in range(0, 800, 1)
        for one in standing(site, page, Occasion(date(2025, 12, 1) + timedelta(n), n % 6)).values()
    }
    assert not seen & set(hidden)
    assert all(reason for reason in hidden.values())


@pytest.mark.parametrize(
    ("placed", "reason"),
    [
        ([{"page": "a", "rules": [{"kind": "on", "kinds": ["article"]}]}], {"a": "no page is meant by its rules"}),
        ([{"page": "a"}, {"page": "b"}], {"b": "A stands before it wherever it could"}),
        (
            [{"page": "a", "rules": [{"kind": "between", "first": "2026-05-04", "last": "2026-05-04"},
                                     {"kind": "weekdays", "days": [7]}]}],
            {"a": "there is no such day"},
        ),
        ([{"page": "a", "rules": [{"kind": "in-turn", "others": ["b"]}]}, {"page": "b"}], {}),
    ],
)  # fmt: skip
def test_reasons(placed, reason):
    assert never_shown(site_of(placed)) == reason


def test_overlaps_are_named_and_taking_turns_is_none():
    turns = [{"page": "a", "rules": [{"kind": "in-turn", "others": ["b"]}]}, {"page": "b"}, {"page": "c"}]
    site = site_of(turns)
    ((place, able),) = conflicts(site, site.page("home"), date(2026, 5, 1))
    assert (place, [p.page for p in able]) == ("after-header", ["a", "b", "c"])
    fine = site_of(turns[:2])
    assert conflicts(fine, fine.page("home"), date(2026, 5, 1)) == []


@pytest.mark.parametrize(
    ("placed", "said"),
    [
        ([{"page": "home"}], "no loose page 'home'"),
        ([{"page": "a", "rules": [{"kind": "on", "kinds": ["ballroom"]}]}], "no kind of page 'ballroom'"),
        ([{"page": "a", "rules": [{"kind": "on", "pages": ["nobody"]}]}], "no page 'nobody'"),
        ([{"page": "a", "rules": [{"kind": "on"}]}], "names a kind of page or a page"),
        ([{"page": "a", "rules": [{"kind": "in-turn", "others": ["a"]}]}], "no other band 'a'"),
        ([{"page": "a", "rules": [{"kind": "between", "first": "2026-05-02", "last": "2026-05-01"}]}], "later one"),
        ([{"page": "a", "rules": [{"kind": "between", "first": "2026-02-30"}]}], "2026-02-30|date"),
        ([{"page": "a", "rules": [{"kind": "weekdays", "days": [8]}]}], "less than or equal to 7"),
    ],
)
def test_rules_name_what_is_there(placed, said):
    # a page that visitors come to is no loose one
    plain = site_of([]).model_dump(mode="json")
    home = placed[0]["page"] == "home"
    refused = (lambda: read_site({**plain, "placed": placed})) if home else (lambda: site_of(placed))
    with pytest.raises(DocumentError, match=said):
        refused()


def test_a_zone_that_is_none_is_refused():
    with pytest.raises(DocumentError, match="no time zone 'Mars/Here'"):
        site_of([], "Mars/Here")


def test_what_is_handed_out_fetches_nothing_that_is_not_shown(fonts):
    """Candidates are in templates, the script is the same everywhere and small, what always stands needs none."""
    assert len(CHOOSE) < 1000
    assert CHOOSE_HASH.startswith("'sha256-")
    placed = [
        {"page": "may", "rules": [{"kind": "between", "first": "2026-05-01", "last": "2026-05-31"}]},
        {"page": "always", "rules": [{"kind": "not-on", "pages": ["fair"]}]},
        {"page": "foot", "place": "before-footer"},
    ]
    site = site_of(placed)
    whole, groups = static_page(site, site.page("home"))
    body = emit_page(site, whole, fonts, Urls(), groups).body
    assert body.count("<template ") == 2
    assert body.count(f">{CHOOSE}</script>") == 1
    assert '<template data-gf-band="may" data-gf-times="2026-05-01/2026-05-31">' in body
    assert body.index("<noscript") < body.index("always", body.index("<noscript")) < body.index("</noscript>")
    assert ">foot<" not in body[body.index("<template") : body.index("</noscript>")]
    fair, groups = static_page(site, site.page("fair"))
    body = emit_page(site, fair, fonts, Urls(), groups).body
    assert (body.count("<template "), "<noscript" in body) == (1, False)
    # in June only what always stands is left, and nothing has to be chosen
    june, groups = static_page(site, site.page("home"), since=date(2026, 6, 1))
    body = emit_page(site, june, fonts, Urls(), groups).body
    assert "<template" not in body
    assert "<script" not in body
