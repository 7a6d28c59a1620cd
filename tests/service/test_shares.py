"""What is the same on several pages: alike after every change, with a way out and back, and nothing else touched."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.document import ids_of, read_site
from garnetfern.core.document.shares import PARTS, alike, members, share_of
from garnetfern.core.errors import DocumentError, NotFoundError
from garnetfern.core.reading import Reader
from garnetfern.service.edits import apply_edit
from garnetfern.service.edits.bands import AddBand, RemoveBand
from garnetfern.service.edits.blocks import AddBlock
from garnetfern.service.edits.joins import JoinBands
from garnetfern.service.edits.pages import AddPage, CopyPage, RemovePage
from garnetfern.service.edits.shares import KindPage, PartAlone, ShareError, SharePart, StepIn, StepOut
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.views.overlay_everywhere import overlay_everywhere
from garnetfern.service.views.shares import shares_view
from tests.sites import colour_layer, document


@pytest.fixture(scope="module")
def site(demo):
    return demo.site


def edited(site, edit, fonts):
    """The site after an edit, as it is kept."""
    done = apply_edit(site, edit, None, fonts).site
    return read_site(alike(site, done).model_dump(mode="json"))


def joined(site, fonts):
    """The site with one backdrop behind header and banner of its first page."""
    bands = site.pages[0].bands
    return edited(site, JoinBands(page="home", first=bands[0].id, last=bands[1].id), fonts)


def looks(site, part):
    """A part of every page that shares it, up to ids."""
    from garnetfern.core.document.shares import _look

    share = next(s for s in site.shares if s.part == part)
    return [_look(PARTS[part], page) for page in members(site, share)]


def recoloured(site, number, colour, role="header"):
    """The site with the base of a page's band in another colour, as a hand would change it."""
    plain = site.model_dump(mode="json")
    band = next(b for b in plain["pages"][number]["bands"] if b["role"] == role)
    band["backdrop"]["base"] = colour
    return alike(site, read_site(plain))


@pytest.mark.parametrize("part", sorted(PARTS))
def test_a_part_is_shared_changed_once_left_and_joined_again(site, fonts, part):
    page = site.pages[0]
    if part == "behind":
        site = joined(site, fonts)
    shared = edited(site, SharePart(page=page.id, part=part), fonts)
    found = looks(shared, part)
    assert len(found) >= 2
    assert all(look == found[0] for look in found)
    # what is not the part is as it was
    for before, after in zip(site.pages, shared.pages, strict=True):
        others = [p for p in PARTS if p != part and {p, part} != {"banner", "behind"}]
        for other in others:
            old, new = PARTS[other].bare(before), PARTS[other].bare(after)
            assert (old is None) == (new is None) or part == "behind"
    one = shared.pages[1]
    away = edited(shared, StepOut(page=one.id, part=part), fonts)
    assert away.pages == shared.pages
    back = edited(away, StepIn(page=one.id, part=part), fonts)
    assert back.pages == shared.pages
    with pytest.raises(ShareError):
        edited(away, StepOut(page=one.id, part=part), fonts)
    alone = edited(shared, PartAlone(page=one.id, part=part), fonts)
    assert (alone.shares, alone.pages) == ((), shared.pages)
    with pytest.raises(NotFoundError):
        edited(alone, StepOut(page=one.id, part=part), fonts)


@given(number=st.integers(0, 5), colour=st.sampled_from(["#112233", "#445566"]), out=st.integers(0, 5))
@settings(max_examples=25)
def test_a_change_on_any_page_is_on_all_of_them_but_those_that_stepped_out(site, fonts, number, colour, out):
    shared = edited(site, SharePart(page="home", part="header"), fonts)
    shared = edited(shared, StepOut(page=shared.pages[out].id, part="header"), fonts)
    changed = recoloured(shared, number, colour)
    bases = [next(b for b in p.bands if b.role == "header").backdrop.base for p in changed.pages]
    old = next(b for b in shared.pages[0].bands if b.role == "header").backdrop.base
    for n, base in enumerate(bases):
        alone = n == out or number == out
        assert base == (colour if (n == number or not alone) else old)
    # nothing is left to be done, and undoing is the document that was
    assert alike(shared, changed) is changed
    assert alike(changed, shared) is shared


def test_every_page_keeps_ids_of_its_own(site, fonts):
    """A shared header gets a block and a layer on one page; ids that another page has already are no trouble."""
    shared = edited(site, SharePart(page="home", part="header"), fonts)
    for page in shared.pages[:3]:
        header = next(b for b in page.bands if b.role == "header")
        shared = edited(shared, AddBlock(page=page.id, column=header.columns[0].id, block="text"), fonts)
        found = looks(shared, "header")
        assert all(look == found[0] for look in found)
    taken = next(b.id for b in shared.pages[1].bands if b.role == "banner")
    plain = shared.model_dump(mode="json")
    header = next(b for b in plain["pages"][0]["bands"] if b["role"] == "header")
    header["columns"][0]["blocks"][0]["id"] = taken if taken not in ids_of(shared.pages[0]) else "clash"
    moved = alike(shared, read_site(plain))
    read_site(moved.model_dump(mode="json"))
    found = looks(moved, "header")
    assert all(look == found[0] for look in found)


def test_joins_hold_on_to_a_header_that_is_put_in_the_place_of_another(site, fonts):
    site = joined(site, fonts)
    shared = edited(site, SharePart(page="welcome", part="header"), fonts)
    after = shared.pages[0]
    assert len(after.joins) == 1
    assert after.joins[0].first == after.bands[0].id


def test_one_picture_behind_header_and_banner_of_every_page(site, fonts):
    shared = edited(joined(site, fonts), SharePart(page="home", part="behind"), fonts)
    there = members(shared, shared.shares[0])
    assert len(there) >= 4
    assert all(page.joins[0].backdrop.layers for page in there)
    plain = shared.model_dump(mode="json")
    plain["pages"][1]["joins"][0]["backdrop"]["base"] = "#101010"
    changed = alike(shared, read_site(plain))
    behind = [j for page in members(changed, changed.shares[0]) for j in page.joins if j.first == page.bands[0].id]
    assert {join.backdrop.base for join in behind} == {"#101010"}
    found = looks(changed, "behind")
    assert all(look == found[0] for look in found)


def test_kinds_of_page_have_shares_of_their_own(site, fonts):
    some = edited(
        edited(site, KindPage(page="home", word="Front"), fonts), KindPage(page="welcome", word="front"), fonts
    )
    assert some.kinds[-1] == "front"
    both = edited(some, SharePart(page="home", part="outer", kinds=("front",)), fonts)
    both = edited(both, SharePart(page="fern-fair", part="outer"), fonts)
    assert [s.kinds for s in both.shares] == [("front",), ()]
    first, rest = (members(both, share) for share in both.shares)
    assert {p.id for p in first} == {"home", "welcome"}
    assert "home" not in {p.id for p in rest}
    # another kind, another share: and what it has is what that share has
    turned = edited(both, KindPage(page="home", word="page"), fonts)
    home = turned.page("home")
    assert share_of(turned, home, "outer").kinds == ()
    assert home.backdrop == turned.page("fern-fair").backdrop
    with pytest.raises(ShareError, match="none of those"):
        edited(some, SharePart(page="fern-fair", part="outer", kinds=("front",)), fonts)
    with pytest.raises(NotFoundError):
        edited(some, SharePart(page="home", part="outer", kinds=("nonsense",)), fonts)


def test_pages_that_come_and_go(site, fonts):
    shared = edited(site, SharePart(page="home", part="header"), fonts)
    shared = edited(shared, StepOut(page="welcome", part="header"), fonts)
    fresh = edited(shared, AddPage(start="banner"), fonts)
    copied = edited(fresh, CopyPage(page="welcome"), fonts)
    found = looks(copied, "header")
    assert len(found) == len(site.pages) + 1
    assert all(look == found[0] for look in found)
    left = edited(copied, RemovePage(page="welcome"), fonts)
    assert left.shares[0].out == ()
    bare = edited(shared, RemoveBand(page="home", band=shared.pages[0].bands[0].id), fonts)
    assert not any(b.role == "header" for p in bare.pages if p.id != "welcome" for b in p.bands)
    assert edited(bare, AddBand(page="home", after=None, columns=1), fonts)


@pytest.mark.parametrize(
    ("field", "value", "said"),
    [
        ("pages/0/kind", "ballroom", "no kind of page 'ballroom'"),
        ("shares", [{"part": "header", "kinds": ["ballroom"]}], "no kind of page 'ballroom'"),
        ("shares", [{"part": "header", "out": ["nobody"]}], "no page 'nobody'"),
    ],
)
def test_shares_name_what_is_there(site, field, value, said):
    plain = site.model_dump(mode="json")
    if field == "shares":
        plain["shares"] = value
    else:
        plain["pages"][0]["kind"] = value
    with pytest.raises(DocumentError, match=said):
        read_site(plain)


def test_what_a_change_changes_is_said_before(site, fonts):
    shared = edited(site, SharePart(page="home", part="header"), fonts)
    shared = edited(shared, StepOut(page="welcome", part="header"), fonts)
    rows = {row["page"]: {p["part"]: p for p in row["parts"]} for row in shares_view(shared)["pages"]}
    header = rows["home"]["header"]
    assert (header["state"], header["sentence"]) == ("shared", f"A change here changes {len(site.pages) - 1} pages.")
    assert shared.pages[0].bands[0].columns[0].blocks[0].id in header["areas"]
    assert rows["welcome"]["header"]["state"] == "out"
    assert rows["welcome"]["header"]["sentence"].endswith("is this page's own; 7 other pages share one.")
    assert rows["home"]["footer"]["state"] == "own"


def test_an_overlay_is_as_strong_as_the_page_that_needs_most(fonts):
    """The worst reading over all pages just meets what is required; one step less does not."""
    plain = document(colour_layer("#000000", 0.1), base="#ffffff")
    other = document(colour_layer("#000000", 0.1), base="#b0b0b0")["pages"][0]
    bare = document(base="#000000")["pages"][0]
    plain["pages"] += [{**other, "id": "two", "slug": "two"}, {**bare, "id": "three", "slug": "three"}]
    site = read_site(plain)
    reader = Reader(fonts, MemoryPictures({}))
    heard = []
    page = site.pages[1]
    line = overlay_everywhere(reader, site, page, page.bands[0], "over", lambda what, share: heard.append(share))
    assert line["suffices"] is True
    assert (line["without"], len(line["pages"])) == (["Home"], 2)
    assert heard == sorted(heard)

    def meets(opacity):
        pages = []
        for p in site.pages[:2]:
            layers = (p.bands[0].backdrop.layers[0].model_copy(update={"opacity": opacity}),)
            backdrop = p.bands[0].backdrop.model_copy(update={"layers": layers})
            pages.append(p.model_copy(update={"bands": (p.bands[0].model_copy(update={"backdrop": backdrop}),)}))
        return [all(r.verdict == "enough" for _, found in reader.read_page(site, p) for r in found) for p in pages]

    assert meets(line["opacity"]) == [True, True]
    assert meets(line["opacity"] - 0.02) == [False, True]
    assert "the worst reading is then 3" in line["sentence"]
