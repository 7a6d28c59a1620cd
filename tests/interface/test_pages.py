"""Pages of the site, in the real interface: begun, copied, moved, called and addressed, removed, and undone."""

import re

from playwright.sync_api import Page, expect


def open_pages(page: Page) -> None:
    page.get_by_role("navigation", name="Views").get_by_role("button", name="Pages", exact=True).click()
    expect(page.get_by_role("status").filter(has_text=re.compile("of 8 pages"))).to_be_visible()


def titles(page: Page) -> list[str]:
    return [field.input_value() for field in page.get_by_label("Title of the page").all()]


def test_a_page_is_begun_called_moved_and_taken_away_again(bench: Page):
    open_pages(bench)
    cards = bench.get_by_role("list", name="Pages of the site")
    before = titles(bench)
    cards.get_by_role("button", name=re.compile("^Banner and columns")).click()
    fresh = cards.get_by_role("button", name="Open New page on the bench")
    expect(fresh).to_be_focused()
    expect(fresh.locator("img")).to_be_visible()
    assert titles(bench) == [before[0], "New page", *before[1:]]
    # by keys, to the end of the first three
    fresh.press("Alt+ArrowRight")
    expect(bench.get_by_label("Title of the page").nth(2)).to_have_value("New page")
    expect(fresh).to_be_focused()
    assert titles(bench)[:3] == [before[0], before[1], "New page"]
    name = bench.get_by_label("Title of the page").nth(2)
    name.fill("Tea room")
    name.press("Enter")
    address = bench.get_by_label("Address of Tea room")
    address.fill("Tea & Cake")
    address.press("Enter")
    expect(address).to_have_value("tea-cake")
    cards.get_by_role("button", name="Open Tea room on the bench").click()
    expect(bench.get_by_label("Page", exact=True)).to_have_value("new-page")
    expect(bench.frame_locator("iframe").first.locator("h1")).to_be_visible()
    open_again(bench)
    bench.get_by_role("button", name="Remove Tea room").click()
    expect(cards.get_by_role("button", name="Open Tea room on the bench")).to_have_count(0)
    bench.keyboard.press("Control+z")
    expect(cards.get_by_role("button", name="Open Tea room on the bench")).to_have_count(1)
    for _ in range(4):
        bench.get_by_role("button", name="Undo").click()
        bench.wait_for_timeout(150)
    expect(bench.get_by_label("Title of the page")).to_have_count(8)
    assert titles(bench) == before


def open_again(page: Page) -> None:
    page.get_by_role("navigation", name="Views").get_by_role("button", name="Pages", exact=True).click()
    expect(page.get_by_label("Title of the page").first).to_be_visible()


def test_a_copy_stands_behind_its_page_and_an_address_that_is_taken_is_told(bench: Page):
    open_pages(bench)
    bench.locator('[data-page="welcome"]').get_by_role("button", name="Copy", exact=True).click()
    expect(bench.get_by_role("button", name="Open Welcome copy on the bench")).to_be_focused()
    address = bench.get_by_label("Address of Welcome copy")
    address.fill("evenings")
    address.press("Enter")
    expect(bench.get_by_role("alert").filter(has_text="Evenings has the address evenings already")).to_be_visible()
    address.press("Escape")
    expect(address).to_have_value("welcome-copy")
    # what leads to the first page follows it
    expect(bench.locator('[data-page="home"]')).to_contain_text("links lead here")
    bench.get_by_role("button", name="Move Marrowby Fern House later").click()
    expect(bench.locator('[data-page="fern-fair"], [data-page="fair-page"]').first).to_contain_text("index.html")
    expect(bench.locator('[data-page="home"]')).to_contain_text("links lead here")
