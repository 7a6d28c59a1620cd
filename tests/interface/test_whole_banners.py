"""Whole banners, in the real interface: made, tried by resting on one, varied, taken in one press, taken back."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def made(bench: Page, card: str = "Dusk"):
    bench.get_by_role("button", name="Banner", exact=True).click()
    bench.get_by_role("button", name=card, exact=True).click()
    bench.get_by_role("button", name="Whole banners").click()
    strip = bench.get_by_role("region", name="Whole banners")
    expect(strip.get_by_role("article").first).to_be_visible(timeout=60_000)
    expect(strip.get_by_role("button", name="Stop")).to_have_count(0, timeout=60_000)
    return strip


def test_six_are_seen_on_three_screens_tried_taken_and_taken_back(bench: Page):
    # the picture itself is chosen: in a banner that is tried it lies in a column of its own
    strip = made(bench, "Glasshouse at dawn")
    cards = strip.get_by_role("article")
    expect(cards).to_have_count(6)
    place = strip.bounding_box()
    for number in range(6):
        expect(cards.nth(number).get_by_role("img")).to_have_count(3)
    split = strip.get_by_role("article", name="Beside the picture")
    column = frame(bench, "phone").locator(".gf-picture-column")
    expect(column).to_have_count(0)
    split.get_by_role("heading").hover()
    expect(column).to_have_count(1)
    expect(strip.get_by_role("status")).to_contain_text("the words beside it on")
    expect(bench.get_by_text("Every word can be read on every screen.")).to_be_visible()
    assert strip.bounding_box() == place, "nothing jumps while one is tried"
    bench.mouse.move(5, 300)
    expect(column).to_have_count(0)
    split.get_by_role("button", name="Take it").click()
    expect(column).to_have_count(1)
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()
    undo = bench.get_by_role("button", name="Undo")
    expect(undo).to_have_attribute("title", re.compile("Whole banner: Beside the picture"))
    # what was made are layers and columns like any other
    expect(bench.get_by_role("button", name=re.compile("^Banner, column 1"))).to_be_visible()
    bench.keyboard.press("Control+z")
    expect(column).to_have_count(0)


def test_more_like_one_are_others_by_its_idea(bench: Page):
    strip = made(bench)
    strip.get_by_role("button", name="More like this: In one dark colour").click()
    more = bench.get_by_role("region", name="More like “In one dark colour”")
    expect(more.get_by_role("button", name="Stop")).to_have_count(0, timeout=60_000)
    cards = more.get_by_role("article")
    expect(cards.first).to_have_accessible_name("In one dark colour, 1")
    assert cards.count() >= 2
    seen = {cards.nth(n).get_by_role("img").first.get_attribute("src") for n in range(cards.count())}
    assert len(seen) == cards.count()
    more.get_by_role("button", name="All ideas again").click()
    expect(bench.get_by_role("region", name="Whole banners").get_by_role("article")).to_have_count(6, timeout=60_000)
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()


def test_what_none_can_be_made_of_says_why_and_keys_open_and_close(bench: Page):
    bench.get_by_role("button", name="This week", exact=True).click()
    bench.keyboard.press("w")
    strip = bench.get_by_role("region", name="Whole banners")
    expect(strip.get_by_role("status")).to_contain_text("has no picture behind it. Lay one in first")
    bench.keyboard.press("w")
    expect(strip).to_have_count(0)
    bench.get_by_role("button", name="Header", exact=True).click()
    expect(bench.get_by_role("button", name="Whole banners")).to_have_count(0)
    bench.keyboard.press("w")
    expect(strip).to_have_count(0)
