"""What pages share, in the real interface: begun, changed once, left, joined again; an overlay for the whole site."""

import re

from playwright.sync_api import Page, expect


def state(page: Page) -> dict:
    return page.evaluate("fetch('/api/state').then((r) => r.json())")["document"]


def headers(page: Page) -> list[str]:
    return [next(b for b in p["bands"] if b["role"] == "header")["backdrop"]["base"] for p in state(page)["pages"]]


def test_a_header_is_shared_changed_once_and_a_page_steps_out_and_back(bench: Page):
    bench.get_by_role("navigation", name="Area", exact=True).get_by_role("button", name="Header", exact=True).click()
    bench.get_by_role("button", name="Change areas").click()
    bench.get_by_role("menuitem", name="As here on all 8 pages").click()
    line = bench.get_by_text("A change here changes 8 pages.")
    expect(line).to_be_visible()
    field = bench.get_by_label("Base, hexadecimal")
    field.fill("#dfe8dc")
    field.press("Enter")
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Base in #dfe8dc"))
    assert headers(bench) == ["#dfe8dc"] * 8
    bench.get_by_role("button", name="Own on this page").click()
    expect(bench.get_by_text("The header is this page's own; 7 other pages share one.")).to_be_visible()
    field.fill("#f4efe4")
    field.press("Enter")
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Base in #f4efe4"))
    assert headers(bench) == ["#f4efe4", *["#dfe8dc"] * 7]
    bench.get_by_role("button", name="As on the others again").click()
    expect(line).to_be_visible()
    assert headers(bench) == ["#dfe8dc"] * 8
    # all of it is a row of steps
    for _ in range(5):
        bench.keyboard.press("Control+z")
        bench.wait_for_timeout(200)
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()
    assert "shares" not in state(bench) or state(bench)["shares"] == []


def test_kinds_and_shares_of_the_cards_of_pages(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Pages", exact=True).click()
    kind = bench.get_by_label("Kind of Welcome")
    kind.fill("Front Page")
    kind.press("Enter")
    expect(kind).to_have_value("front page")
    card = bench.locator('[data-page="welcome"]')
    sharing = card.get_by_role("button", name=re.compile("with other pages: Welcome"))
    expect(sharing).to_have_text(re.compile("Shares nothing"))
    sharing.click()
    bench.get_by_role("menuitem", name="As here on all 8 pages").last.click()
    expect(sharing).to_have_text(re.compile("Shares 1 part"))
    assert [share["part"] for share in state(bench)["shares"]] == ["footer"]


def test_an_overlay_is_made_strong_enough_for_every_page_in_one_step(bench: Page):
    bench.get_by_role("button", name="Dusk", exact=True).click()
    bench.get_by_role("button", name="For the whole site").click()
    change = bench.get_by_role("button", name=re.compile("^Change [0-9] pages$"))
    change.wait_for()
    said = bench.get_by_text(re.compile("the worst reading is then")).inner_text()
    percent = int(re.search(r"At (\d+) %", said)[1])
    change.click()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile(f"{percent} % on "))
    strong = [
        layer["opacity"]
        for page in state(bench)["pages"]
        for band in page["bands"]
        if band["role"] == "banner"
        for layer in band["backdrop"]["layers"]
        if layer["kind"] == "colour"
    ]
    assert strong.count(percent / 100) >= 3
    bench.keyboard.press("Control+z")
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()
