"""The calendar in the real interface: a band is begun, given rules by choosing, pulled by its end, seen on its day."""

import re

from playwright.sync_api import Page, expect


def state(page: Page) -> dict:
    return page.evaluate("fetch('/api/state').then((r) => r.json())")["document"]


def opened(page: Page) -> None:
    page.get_by_role("navigation", name="Views").get_by_role("button", name="Calendar", exact=True).click()
    expect(page.get_by_role("slider", name="Day", exact=True)).to_be_visible()


def test_a_band_is_begun_and_given_rules_by_choosing(bench: Page):
    opened(bench)
    expect(bench.get_by_text("The same stands every day.")).to_be_visible()
    bench.get_by_role("button", name="A new band").click()
    rules = bench.get_by_role("region", name="Rules of Shown by rules")
    expect(rules.get_by_text("Without rules it stands on every page, every day.")).to_be_visible()
    maker = rules.get_by_role("group", name="One more rule")
    maker.get_by_label("What the rule is about").select_option("not-on")
    maker.get_by_label("Which pages").select_option("page fair-page")
    maker.get_by_role("button", name="Add this rule").click()
    expect(rules.get_by_label("Not on Fern fair: other pages")).to_be_visible()
    maker.get_by_label("What the rule is about").select_option("between")
    first = maker.get_by_label("First day").input_value()
    maker.get_by_role("button", name="Add this rule").click()
    end = bench.get_by_role("slider", name="Last day of Shown by rules")
    expect(end).to_be_visible()
    # its end is moved by keys, and pulled
    last = state(bench)["placed"][0]["rules"][1]["last"]
    end.press("ArrowRight")
    expect(end).not_to_have_attribute("aria-valuetext", re.compile(f" {int(last[-2:])} "))
    box = end.bounding_box()
    bench.mouse.move(box["x"] + 12, box["y"] + 12)
    bench.mouse.down()
    bench.mouse.move(box["x"] + 120, box["y"] + 12, steps=6)
    bench.mouse.up()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Shown by rules: From"))
    bench.wait_for_timeout(400)
    rule = state(bench)["placed"][0]["rules"][1]
    assert (rule["first"], rule["last"] > last) == (first, True)
    rules.get_by_role("button", name="Take away: Not on Fern fair").click()
    expect(rules.get_by_label("Not on Fern fair: other pages")).to_have_count(0)
    bench.keyboard.press("Control+z")
    expect(rules.get_by_label("Not on Fern fair: other pages")).to_be_visible()


def test_a_day_is_chosen_and_seen_on_the_three_screens(bench: Page):
    opened(bench)
    bench.get_by_role("button", name="A new band").click()
    bench.get_by_role("slider", name="Day", exact=True).press("ArrowRight")
    expect(bench.get_by_role("img", name=re.compile("^Marrowby Fern House on "))).to_be_visible()
    bench.get_by_role("button", name="On three screens").click()
    frame = bench.frame_locator("iframe").first
    expect(frame.get_by_role("heading", name="A heading")).to_be_visible()
    assert "day=" in bench.url
    bench.reload()
    expect(frame.get_by_role("heading", name="A heading")).to_be_visible(timeout=60_000)
    bench.get_by_role("button", name=re.compile("^Day .*: show the page without")).click()
    expect(frame.get_by_role("heading", name="A heading")).to_have_count(0)


def test_a_band_of_a_page_is_shown_by_rules_from_the_bench(bench: Page):
    bench.get_by_role("navigation", name="Area", exact=True).get_by_role("button", name="This week").click()
    bench.get_by_role("button", name="Change areas").click()
    bench.get_by_role("menuitem", name="Show it by rules").click()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("is shown by rules"))
    document = state(bench)
    assert [p["page"] for p in document["placed"]] == ["this-week"]
    assert document["pages"][-1]["loose"] is True
    # it leads to the calendar, where its rules are; one about pages is changed in its place
    pages = bench.get_by_label("On Marrowby Fern House: other pages")
    pages.select_option("kind list")
    expect(bench.get_by_label("On list pages: other pages")).to_have_value("kind list")
    assert state(bench)["placed"][0]["rules"] == [{"kind": "on", "kinds": ["list"], "pages": []}]


def test_what_is_laid_behind_a_band_of_its_own_lies_behind_the_band(bench: Page):
    """The background of a loose page is seen by nobody: it is not offered, and nothing is laid there unasked."""
    opened(bench)
    bench.get_by_role("button", name="A new band").click()
    bench.get_by_role("button", name="Open on the bench").click()
    area = bench.get_by_role("navigation", name="Area", exact=True)
    expect(area.get_by_role("button", name="Shown by rules")).to_have_attribute("aria-pressed", "true")
    expect(area.get_by_role("button", name="Page", exact=True)).to_have_count(0)
