"""A menu that folds on the tablet as well, in the real interface: set, met open in Situations, put back."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def test_a_menu_folds_on_the_tablet_and_is_met_open(bench: Page):
    bench.get_by_role("button", name="Header", exact=True).click()
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("combobox", name="Block of words").select_option(value="menu")
    bench.get_by_role("combobox", name="So they stand on").select_option(label="Tablet")
    bench.get_by_text("folded", exact=True).click()
    tablet, desktop = (frame(bench, name).locator(".gf-menu_, .gf-menu").first for name in ("tablet", "desktop"))
    expect(tablet.locator("summary")).to_be_visible()
    expect(desktop.locator("summary")).to_be_hidden()
    word = bench.get_by_role("textbox", name="The word that they fold behind")
    word.fill("Pages")
    word.press("Enter")
    expect(tablet.locator("summary")).to_have_text("Pages")
    bench.get_by_role("button", name="Situations", exact=True).click()
    row = bench.get_by_role("columnheader", name=re.compile("Tablet, menu open"))
    expect(row).to_be_visible(timeout=120_000)
    bench.get_by_role("button", name="Bench", exact=True).click()
    for _ in range(2):
        bench.get_by_role("button", name="Undo").click()
    expect(frame(bench, "tablet").locator("summary")).to_be_hidden()
