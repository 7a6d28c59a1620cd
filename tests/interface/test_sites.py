"""Sites in the real interface: one of several is opened, begun, called, copied, removed and brought back."""

import re

from playwright.sync_api import Page, expect


def open_sites(page: Page) -> None:
    page.get_by_role("button", name=re.compile("^Sites, .* is open$")).click()
    expect(
        page.get_by_role("list", name="Sites").get_by_role("img").or_(page.locator("[data-site] img"))
    ).not_to_have_count(0)


def names(page: Page) -> list[str]:
    return [field.input_value() for field in page.get_by_label("Name of the site").all()]


def test_a_second_site_is_begun_and_each_keeps_its_place(bench: Page):
    open_sites(bench)
    assert names(bench) == ["Marrowby Fern House"]
    expect(bench.get_by_role("button", name="Remove Marrowby Fern House")).to_be_disabled()
    bench.get_by_role("button", name=re.compile("^Banner a banner alone")).click()
    # another site is another document of the browser's, and its address says which
    expect(bench.get_by_role("button", name="Sites, My site is open")).to_be_visible()
    assert "site=my-site" in bench.url
    expect(bench.frame_locator("iframe").first.locator("h1")).to_be_visible()
    open_sites(bench)
    assert names(bench) == ["Marrowby Fern House", "My site"]
    field = bench.locator('[data-site="my-site"]').get_by_label("Name of the site")
    field.fill("Fern fair")
    field.press("Enter")
    expect(bench.get_by_role("button", name="Sites, Fern fair is open")).to_be_visible()
    bench.get_by_role("button", name="Open Marrowby Fern House").click()
    expect(bench.get_by_role("button", name="Sites, Marrowby Fern House is open")).to_be_visible()
    bench.get_by_text("One block of words falls short on the phone.").wait_for()
    bench.go_back()
    expect(bench.get_by_role("button", name="Sites, Fern fair is open")).to_be_visible()
    # an address without a word shows all of them
    bench.goto(bench.url.split("?")[0])
    expect(bench.get_by_role("heading", name="Sites", exact=True)).to_be_visible()


def test_a_site_is_copied_moved_removed_and_brought_back(bench: Page):
    open_sites(bench)
    bench.get_by_role("button", name="Copy Marrowby Fern House", exact=True).click()
    card = bench.locator('[data-site="marrowby-fern-house-copy"]')
    expect(card).to_be_visible()
    card.get_by_role("button", name=re.compile("^Open")).press("Alt+ArrowLeft")
    expect(bench.get_by_label("Name of the site").first).to_have_value("Marrowby Fern House copy")
    expect(card.get_by_role("button", name=re.compile("^Open"))).to_be_focused()
    bench.get_by_role("button", name="Remove Marrowby Fern House copy").click()
    expect(card).to_have_count(0)
    bench.get_by_role("button", name="Bring back Marrowby Fern House copy").click()
    expect(card).to_be_visible()
    assert names(bench) == ["Marrowby Fern House copy", "Marrowby Fern House"]


def test_a_site_that_is_not_there_is_told_and_another_is_shown(bench: Page):
    bench.goto(f"{bench.url.split('?')[0]}?site=nobody")
    expect(bench.get_by_text("The site nobody is not here; this is Marrowby Fern House.")).to_be_visible()
