"""Putting a site live: what is told before, what is refused, and that drafts never touch what is live."""

import pytest

from garnetfern.core.document import read_site
from garnetfern.core.errors import StaleError
from garnetfern.fonts import shipped_fonts
from garnetfern.service.views.changes import changes
from garnetfern.service.views.whole_check import compared, summed_up
from garnetfern.service.workspace.house import first_site
from garnetfern.service.workspace.publishing import FallsShortError
from tests.conftest import jpeg
from tests.near_room import NearRoom
from tests.sites import HEADING, colour_layer, document, image_layer, with_picture

BAND = "/pages/0/bands/0"
LAYERS = f"{BAND}/backdrop/layers"


def plain_site():
    text = {**HEADING, "id": "text", "kind": "text", "level": None, "wording": "Open on Sundays"}
    plain = document(image_layer(), colour_layer("#000000", 0.4), blocks=[HEADING, text])
    plain["pages"].append({"id": "fair", "slug": "fair", "title": "Fair", "bands": []})
    return plain


@pytest.fixture
def studio(tmp_path):
    made = first_site(tmp_path / "data", NearRoom())
    made.start(with_picture(plain_site(), jpeg(400, 300, (20, 40, 30)), "fern.jpg"), "A new site")
    yield made
    made.close()


def change(studio, path, value, op="replace"):
    state = studio.state()
    return studio.change(state.revision, [{"op": op, "path": path, "value": value}], "Change").revision


def publish(studio, anyway=False):
    return studio.publishing.publish(studio.state().revision, studio.reader, anyway)


def look(studio):
    return studio.publishing.look(studio.state().revision, studio.reader)


def test_what_is_live_is_what_was_published(studio):
    release = publish(studio)
    assert release.number == 1
    change(studio, "/pages/0/bands/0/columns/0/blocks/0/wording", "Something else")
    live = studio.publishing.live()
    assert live == release
    page = studio.folder.releases.data(live.files["index.html"]).decode()
    assert "Ferns under glass" in page
    assert "Something else" not in page
    assert studio.publishing.site_of(1).pages[0].bands[0].columns[0].blocks[0].wording == "Ferns under glass"


def test_every_name_but_a_page_s_changes_with_its_content(studio):
    first = publish(studio)
    change(studio, f"{LAYERS}/1/opacity", 0.6)
    second = publish(studio)
    same = {path for path in first.files if second.files.get(path) == first.files[path]}
    assert set(first.files) - same == {"index.html", next(p for p in first.files if p.startswith("css/home"))}
    assert not (set(second.files) - set(first.files)) & same
    assert all("-" in path for path in first.files if not path.endswith(".html"))


def test_what_has_changed_since_is_refused(studio):
    old = studio.state().revision
    change(studio, f"{LAYERS}/1/opacity", 0.6)
    with pytest.raises(StaleError):
        studio.publishing.publish(old, studio.reader)
    assert studio.publishing.live() is None


def test_what_falls_short_needs_one_more_word_and_the_fact_is_kept(studio):
    change(studio, f"{BAND}/backdrop/layers/1", {**colour_layer("#ffffff", 0.95)})
    with pytest.raises(FallsShortError, match="2 blocks of words fall short, in "):
        publish(studio)
    assert studio.publishing.live() is None
    publish(studio, anyway=True)
    row = studio.publishing.view(studio.site())["releases"][0]
    assert row["short"] > 0
    assert row["sentence"].startswith("2 blocks of words fall short")


def test_going_back_leaves_the_draft(studio):
    publish(studio)
    change(studio, f"{LAYERS}/1/opacity", 0.7)
    publish(studio)
    revision = change(studio, f"{LAYERS}/1/opacity", 0.8)
    third = studio.publishing.back(1)
    assert (third.number, third.back) == (3, 1)
    assert studio.state().revision == revision
    assert studio.publishing.view(studio.site())["changes"]["pages"][0]["areas"][0]["said"] == [
        "Over: strength 40 % to 80 %"
    ]


def test_a_release_can_be_worked_on_again(studio):
    publish(studio)
    revision = change(studio, f"{LAYERS}/1/opacity", 0.8)
    state = studio.work_on(revision, 1)
    assert studio.publishing.view(studio.site())["same"]
    assert state.undo == "Back to release 1"
    studio.undo(state.revision)
    assert not studio.publishing.view(studio.site())["same"]


def test_readings_better_and_worse(studio):
    publish(studio)
    change(studio, f"{LAYERS}/1/opacity", 0.9)
    found = look(studio)
    assert {row["better"] for row in found["compared"]} == {True}
    assert len(found["compared"]) == 2
    assert found["compared"][0]["sentence"].startswith("‘Ferns under glass’: ")
    change(studio, f"{LAYERS}/1/colour", "#ffffff")
    found = look(studio)
    assert [row["better"] for row in found["compared"]] == [False, False]
    assert all("and falls short." in row["sentence"] for row in found["compared"])


def test_weights_and_what_is_fetched_again(studio):
    first = look(studio)
    assert first["cache"] is None
    assert all(row["before"] is None and row["again"] is None and row["bytes"] > 0 for row in first["weights"])
    publish(studio)
    nothing = look(studio)
    assert all(row["again"] == 0 for row in nothing["weights"])
    assert (nothing["cache"]["fresh"], nothing["cache"]["changed_pages"]) == (0, 0)
    change(studio, f"{LAYERS}/1/opacity", 0.6)
    found = look(studio)
    live = studio.publishing.live()
    again = {row["page"]: row["again"] for row in found["weights"]}
    sheet = next(f.bytes for p, f in live.files.items() if p.startswith("css/home"))
    page = live.files["index.html"].bytes
    assert abs(again["home"] - sheet - page) < 10
    assert again["fair"] == 0
    assert (found["cache"]["fresh"], found["cache"]["changed_pages"], found["cache"]["pages"]) == (1, 1, 2)


def test_looks_of_what_changed_alone(studio):
    publish(studio)
    # as it is live, where nothing has changed
    same = studio.publishing.view(studio.site())["looks"]
    assert [(one["page"], {s["before"] for s in one["screens"]}) for one in same] == [
        ("home", {None}),
        ("fair", {None}),
    ]
    change(studio, f"{LAYERS}/1/opacity", 0.6)
    looks = studio.publishing.view(studio.site())["looks"]
    assert [one["page"] for one in looks] == ["home"]
    assert len(looks[0]["screens"]) == len(studio.site().screens)
    for screen in looks[0]["screens"]:
        assert screen["before"] != screen["after"]
    before = studio.page_picture(studio.publishing.site_of(1), studio.publishing.site_of(1).pages[0], "phone")
    assert before != studio.page_picture(studio.site(), studio.site().pages[0], "phone")


def test_nothing_is_read_twice(studio):
    look(studio)
    misses = {fact.kind: fact.misses for fact in studio.cache.facts()}["worst"]
    look(studio)
    change(studio, "/pages/1/title", "The fair")
    look(studio)
    # the page that was renamed, and no other
    assert {fact.kind: fact.misses for fact in studio.cache.facts()}["worst"] == misses + 1


WORDS = f"{BAND}/columns/0/blocks"
TABLE = [
    ([("replace", f"{LAYERS}/1/opacity", 0.55)], "Banner", ["Over: strength 40 % to 55 %"]),
    ([("replace", f"{LAYERS}/1/blend", "multiply")], "Banner", ["Over: how it mixes normal to multiply"]),
    ([("replace", f"{LAYERS}/1/visible", False)], "Banner", ["Over: whether it is seen yes to no"]),
    ([("remove", f"{LAYERS}/1", None)], "Banner", ["Over is gone"]),
    ([("add", f"{LAYERS}/-", {**colour_layer("#111111"), "id": "more", "name": "More"})], "Banner", ["More is new"]),
    ([("move", f"{LAYERS}/0", f"{LAYERS}/1")], "Banner", ["layers lie in another order"]),
    ([("replace", f"{BAND}/backdrop/base", "#101010")], "Banner", ["base colour #20302a to #101010"]),
    ([("add", f"{BAND}/backdrop/over", {"fade": 200})], "Banner", ["what changes when pointed at"]),
    ([("replace", f"{BAND}/height/min", "400px")], "Banner", ["height"]),
    ([("replace", f"{BAND}/name", "Top")], "Top", ["name Banner to Top"]),
    ([("replace", f"{WORDS}/1/wording", "Open daily")], "Banner", ["‘Open on Sundays’ says ‘Open daily’"]),
    ([("replace", f"{WORDS}/1/lettering/weight", 700)], "Banner", ["‘Open on Sundays’: weight 400 to 700"]),
    ([("remove", f"{WORDS}/1", None)], "Banner", ["‘Open on Sundays’ is gone"]),
    ([("move", f"{WORDS}/0", f"{WORDS}/1")], "Banner", ["words stand in another order"]),
    ([("add", f"{WORDS}/1/plate", {"backdrop": {"base": "#000000"}})], "Banner", ["‘Open on Sundays’: a plate"]),
    ([("replace", "/pages/0/backdrop/base", "#eeeeee")], "Base", ["base colour #ffffff to #eeeeee"]),
    ([("add", "/pages/0/width", "1200px")], "Base", ["width"]),
    ([("remove", f"{BAND}", None)], "Banner", ["is gone"]),
]  # fmt: skip


@pytest.mark.parametrize(("steps", "area", "said"), TABLE, ids=[str(n) for n in range(len(TABLE))])
def test_what_has_changed_in_words(studio, steps, area, said):
    old = studio.site()
    patch = [
        {"op": op, "from": path, "path": value} if op == "move" else {"op": op, "path": path, "value": value}
        for op, path, value in steps
    ]
    studio.change(studio.state().revision, patch, "Change")
    found = changes(old, studio.site())
    assert found["site"] == []
    assert [page["page"] for page in found["pages"]] == ["home"]
    assert [(a["name"], a["said"]) for a in found["pages"][0]["areas"]] == [(area, said)]


def test_pages_and_the_site_itself_in_words(studio):
    old = studio.site()
    plain = old.model_dump(mode="json")
    plain["pages"][1] = {"id": "visit", "slug": "visit", "title": "Visit", "bands": []}
    new = read_site({**plain, "name": "Fern House", "zone": "Europe/London"}, shipped_fonts().names())
    found = changes(old, new)
    assert found["site"] == ["name Marrowby Fern House to Fern House", "time zone UTC to Europe/London"]
    assert [(p["title"], p["how"]) for p in found["pages"]] == [("Visit", "new"), ("Fair", "gone")]
    assert changes(new, new) == {"site": [], "pages": []}


def row(**more):
    plain = {"page": "home", "block": "a", "words": "Ferns", "ratio": 5.0, "required": 4.5, "where": "", "readings": 4}
    return {**plain, "short": 0, "unsure": 0, **more}


@pytest.mark.parametrize(
    ("rows", "sentence", "good"),
    [
        ([], "There are no words to be read.", False),
        ([row()], "Every word can be read, in all of 4 readings.", True),
        ([row(ratio=None, unsure=4)], "Nothing could be measured.", False),
        ([row(unsure=1)], "Every word that could be measured can be read; 1 of 4 readings could not be.", False),
        ([row(short=1), row(block="b")], "One block of words falls short, in 1 of 8 readings.", False),
    ],
)
def test_no_more_is_said_than_was_measured(rows, sentence, good):
    found = summed_up(rows, [])
    assert (found["sentence"], found["good"]) == (sentence, good)


def test_words_that_can_be_read_and_are_lost_are_no_good_release(studio):
    """A word longer than the phone is wide runs off its screen, whatever its contrast."""
    change(studio, f"{BAND}/columns/0/blocks/0/wording", "Pteridologicallyspeakingofferns" * 3)
    with pytest.raises(FallsShortError, match="Of one block of words something is lost, because it does not fit"):
        publish(studio)
    assert studio.publishing.live() is None
    publish(studio, anyway=True)
    live = studio.publishing.live()
    (first, *_) = live.facts["lost"]
    assert (first["page"], first["words"][:5], first["layouts"] > 0) == ("home", "Pteri", True)
    row = studio.publishing.view(studio.site())["releases"][0]
    assert (row["short"], row["lost"] > 0) == (0, True)


@pytest.mark.parametrize(
    ("before", "after", "said"),
    [
        (row(), row(ratio=5.04), []),
        (row(), row(ratio=6.0), [("‘Ferns’: 5.0 before, 6.0 now, of 4.5.", True)]),
        (row(), row(ratio=4.6), [("‘Ferns’: 5.0 before, 4.6 now, of 4.5.", False)]),
        (row(), row(ratio=4.4, short=2), [("‘Ferns’: 5.0 before, 4.4 now, of 4.5 and falls short.", False)]),
        (row(ratio=4.4, short=1), row(), [("‘Ferns’: 4.4 before, 5.0 now, of 4.5 and can be read now.", True)]),
        (row(ratio=None), row(), []),
        (row(block="b"), row(), []),
    ],
)
def test_comparing(before, after, said):
    assert [(one["sentence"], one["better"]) for one in compared([before], [after])] == said
