"""Pages: added, copied, moved, named, given addresses, removed; links follow, and verdicts are those of the bench."""

import io

import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.document import read_site
from garnetfern.core.document.addresses import file_of, links_to, with_links
from garnetfern.core.errors import DocumentError, GarnetfernError, NotFoundError
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits.pages import AddPage, add_page
from garnetfern.service.kinds.starts import STARTS
from garnetfern.service.views.check import check_page, verdict
from garnetfern.service.views.pages import together
from tests.sites import HEADING, document


def links(site):
    return [link for page in site.pages for block in page.blocks() for link in block.addresses()]


def led_to(site):
    """The pages that links lead to, by id, in order; None: to no page of the site."""
    files = {file_of(site, p.id): p.id for p in site.pages}
    return [files.get(link.split("#")[0].split("?")[0]) for link in links(site)]


def three():
    """Three pages that lead to one another."""
    plain = document()
    home = plain["pages"][0]
    pages = []
    for name, targets in (
        ("home", ("b.html", "c.html#tea")),
        ("b", ("index.html", "c.html")),
        ("c", ("index.html?x=1",)),
    ):
        blocks = [{**HEADING, "id": f"w{n}", "link": link} for n, link in enumerate(targets)]
        band = {**home["bands"][0], "columns": [{"id": "column", "blocks": blocks}]}
        pages.append({**home, "id": name, "slug": name, "title": name.upper(), "bands": [band]})
    return read_site({**plain, "pages": pages}, shipped_fonts().names())


@pytest.fixture
def site():
    return three()


@pytest.mark.parametrize("start", STARTS)
def test_every_start_becomes_a_page_with_the_site_s_header_and_footer(edit, demo, start):
    site, chosen = edit({"kind": "add-page", "start": start, "after": "home"})
    page = site.page(chosen)
    assert [p.id for p in site.pages][:2] == ["home", chosen]
    assert (page.title, page.slug) == ("New page", "new-page")
    assert [b.level for b in page.blocks() if b.kind == "heading"][:1] in ([], [1])
    roles = [b.role for b in page.bands]
    assert (roles[0], roles[-1]) == ("header", "footer")
    assert page.bands[0].columns[0].blocks[0].wording == demo.site.pages[0].bands[0].columns[0].blocks[0].wording
    assert (
        "#20302a" not in {b.lettering.colour for b in page.bands[1].blocks()}
        or page.bands[1].backdrop.base != "#20302a"
    )


@pytest.mark.parametrize(("start", "kind"), [("list", "list"), ("article", "article"), ("banner", "page")])
def test_a_page_is_of_the_kind_that_it_begins_as_where_the_site_has_that_kind(demo, start, kind):
    asked = AddPage(start=start)
    done = add_page(demo.site, asked)
    assert done.site.page(done.chosen).kind == kind
    plain = demo.site.model_copy(update={"kinds": ("home", "page")})
    done = add_page(plain, asked)
    assert done.site.page(done.chosen).kind == "page"


def test_two_new_pages_have_names_and_addresses_of_their_own(edit):
    site, _ = edit(*[{"kind": "add-page", "start": "empty"}] * 3)
    assert [p.title for p in site.pages[-3:]] == ["New page", "New page 2", "New page 3"]
    assert [p.slug for p in site.pages[-3:]] == ["new-page", "new-page-2", "new-page-3"]


def test_a_copy_is_the_same_page_and_nothing_of_it_is_shared(edit, demo):
    for page in demo.site.pages:
        site, chosen = edit({"kind": "copy-page", "page": page.id})
        copy = site.page(chosen)
        assert copy.title == f"{page.title} copy"
        assert [b.wording for b in copy.blocks()] == [b.wording for b in page.blocks()]
        assert len(copy.joins) == len(page.joins)
        assert [len(a.backdrop.layers) for a in copy.areas()] == [len(a.backdrop.layers) for a in page.areas()]


def test_what_is_not_there_and_the_last_page_are_refused(edit, site):
    for wrong in (
        {"kind": "add-page", "start": "skyscraper"},
        {"kind": "copy-page", "page": "nowhere"},
        {"kind": "move-page", "page": "nowhere", "to": 0},
    ):
        with pytest.raises(NotFoundError):
            edit(wrong, site=site)
    alone, _ = edit({"kind": "remove-page", "page": "b"}, {"kind": "remove-page", "page": "c"}, site=site)
    with pytest.raises(GarnetfernError, match="the only page"):
        edit({"kind": "remove-page", "page": "home"}, site=alone)


def test_links_follow_a_page_to_the_front_and_to_another_address(edit, site):
    before = led_to(site)
    moved, _ = edit({"kind": "move-page", "page": "c", "to": 0}, site=site)
    assert [p.id for p in moved.pages] == ["c", "home", "b"]
    # the first page is index.html, and what was that has its own address now
    assert [file_of(moved, p.id) for p in moved.pages] == ["index.html", "home.html", "b.html"]
    assert sorted(filter(None, led_to(moved))) == sorted(before)
    called, _ = edit({"kind": "address-page", "page": "b", "slug": "Tea Room.html"}, site=moved)
    assert file_of(called, "b") == "tea-room.html"
    assert led_to(called) == led_to(moved)
    assert "index.html#tea" in links(called)


@given(st.lists(st.tuples(st.sampled_from(["home", "b", "c"]), st.integers(0, 3)), max_size=6))
def test_no_moving_about_leads_a_link_elsewhere(moves):
    from garnetfern.service.edits import apply_edit
    from garnetfern.service.edits.pages import MovePage

    start = three()
    site, wanted = start, dict(zip(("home", "b", "c"), per_page(start), strict=True))
    for page, to in moves:
        site = apply_edit(site, MovePage(page=page, to=to), None, None).site
    assert dict(zip((p.id for p in site.pages), per_page(site), strict=True)) == wanted


def per_page(site):
    files = {file_of(site, p.id): p.id for p in site.pages}
    ends = ("#", "?")
    return [
        [files[min((link.split(e)[0] for e in ends), key=len)] for b in p.blocks() for link in b.addresses()]
        for p in site.pages
    ]


def test_a_removed_page_says_who_led_there_and_the_rest_still_lead(edit, site):
    assert links_to(site, "c") == 2
    from garnetfern.service.edits import apply_edit
    from garnetfern.service.edits.pages import RemovePage

    done = apply_edit(site, RemovePage(page="c"), None, None)
    assert done.label == "Remove C; 2 links lead nowhere now"
    assert done.chosen == "b"
    assert led_to(done.site) == ["b", None, "home", None]
    assert apply_edit(site, RemovePage(page="b"), None, None).label == "Remove B; 1 link leads nowhere now"


@pytest.mark.parametrize(
    ("slug", "words"),
    [("c", "has the address c already"), ("!!!", "no letter or digit"), ("index", "is the first page's")],
)
def test_an_address_that_cannot_be_is_refused(edit, site, slug, words):
    with pytest.raises(GarnetfernError, match=words):
        edit({"kind": "address-page", "page": "b", "slug": slug}, site=site)


def test_addresses_that_stay_change_nothing(site):
    assert with_links(site, site) is site


def test_names_are_kept_as_they_are_typed_and_none_is_refused(edit, site):
    named, _ = edit({"kind": "name-page", "page": "b", "title": "Tee & <Kuchen>"}, site=site)
    assert named.page("b").title == "Tee & <Kuchen>"
    with pytest.raises((GarnetfernError, DocumentError, ValueError)):
        edit({"kind": "name-page", "page": "b", "title": ""}, site=site)


def test_rows_say_what_the_bench_says_and_pictures_are_the_pages(studio, demo):
    studio.open_site_file(site_file(demo), studio.state().revision, "sample")
    found = studio.pages(studio.site())
    assert [row["file"] for row in found["pages"]][:2] == ["index.html", "fern-fair.html"]
    for row, page in zip(found["pages"], studio.site().pages, strict=True):
        said = verdict(studio.site(), page, check_page(studio.reader, studio.site(), page))
        assert (row["sentence"], row["good"]) == (said["sentence"], said["good"])
    with Image.open(io.BytesIO(studio.page_picture(studio.site(), studio.site().pages[0]))) as shot:
        assert shot.size == (480, 300)
        assert len(shot.getcolors(999_999)) > 500
    first = found["pages"][0]["picture"]
    studio.change(studio.state().revision, [{"op": "replace", "path": "/pages/1/title", "value": "Fair"}], "Fair")
    again = studio.pages(studio.site())["pages"]
    assert again[0]["picture"] == first
    assert again[1]["picture"] != found["pages"][1]["picture"]


def site_file(demo):
    from garnetfern.service.files.site_file import pack_site_file

    return pack_site_file(demo)


@pytest.mark.parametrize(
    ("rows", "said", "good"),
    [
        ("g", "row 0", True),
        ("s", "row 0", False),
        ("gg", "Every word of 2 pages can be read.", True),
        ("gp", "Every word of 2 pages can be read, as far as it was read here.", True),
        ("gsn", "1 of 3 pages has words that fall short: Page 1.", False),
        ("sss", "3 of 3 pages have words that fall short: Page 0, Page 1 and more.", False),
        ("gn", "Every word of 1 page can be read; 1 page has no words that could be measured.", False),
        ("nn", "None of 2 pages has words that could be measured.", False),
    ],
)
def test_the_sentence_over_all_pages_says_no_more_than_was_measured(rows, said, good):
    """g: can be read; p: the same of what was read of it; s: falls short; n: has no words."""
    made = [
        {"title": f"Page {n}", "sentence": f"row {n}", "good": k in "gp", "short": k == "s", "whole": k != "p"}
        for n, k in enumerate(rows)
    ]
    assert together(made) == (said, good)
