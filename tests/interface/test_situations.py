"""Every situation and every width in the real interface."""

import re

from playwright.sync_api import Page, expect

from .looking import LOOK
from .test_the_job import frame


def test_a_cell_opens_the_bench_in_that_very_situation(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    expect(bench.get_by_text(re.compile(r"\d of \d+ readings fall short\."))).to_be_visible()
    columns = bench.get_by_role("columnheader")
    expect(columns.nth(1)).to_contain_text(re.compile("Phone|Tablet, letters"))
    bench.get_by_role("button", name=re.compile(r"^.*1\.5 of 3")).first.click()
    expect(bench.get_by_text("Shown: Phone, letters at 200 %")).to_be_visible()
    heading = frame(bench, "phone").locator(".gf-headline")
    expect(heading).to_have_css("font-size", "68px")
    bench.get_by_role("button", name="At rest again").click()
    expect(heading).to_have_css("font-size", "34px")


def test_the_page_follows_along_the_widths(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    expect(bench.get_by_text(re.compile(r"of 100 visits can read everything"))).to_be_visible()
    slider = bench.get_by_role("slider", name="Width of the page")
    slider.press("Shift+ArrowRight")
    expect(bench.get_by_text("400 px:")).to_be_visible()
    page = bench.frame_locator("iframe[title='The page at 400 px']")
    expect(page.locator(".gf-headline")).to_be_visible()
    bench.get_by_role("button", name=re.compile("^From 1024 px on")).first.click()
    expect(slider).to_have_attribute("aria-valuenow", "1024")


def test_more_is_required_of_the_whole_site_and_visits_are_brought(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    bench.get_by_text("AAA", exact=True).click()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Require AAA"))
    table = bench.get_by_label("A table of visits")
    table.set_input_files([{"name": "visits.csv", "mimeType": "text/csv", "buffer": b"390,ten"}])
    expect(bench.get_by_role("alert").filter(has_text="Line 1 is no width")).to_be_visible()
    table.set_input_files([{"name": "visits.csv", "mimeType": "text/csv", "buffer": b"width,visits\n1440,9\n390,1"}])
    expect(bench.get_by_text("from your own table")).to_be_visible()
    expect(bench.get_by_text("90 % of visits").first).to_be_visible()


def test_the_edges_of_buttons_are_required_where_that_is_wished(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    wish = bench.get_by_role("checkbox", name="edges of buttons too")
    expect(wish).not_to_be_checked()
    wish.check()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Require edges of buttons"))
    bench.get_by_role("button", name="Undo").click()
    expect(wish).not_to_be_checked()


def test_a_whole_way_opens_where_the_words_are_worst(bench: Page):
    bench.get_by_role("button", name=re.compile("^Glasshouse at dawn")).first.click()
    bench.get_by_label("When the page scrolls").select_option("fixed")
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    expect(bench.get_by_role("columnheader", name=re.compile("Phone, wherever it is scrolled to"))).to_be_visible()
    bench.locator("button.cell[title*='Phone, wherever it is scrolled to']").first.click()
    expect(bench.get_by_text("Shown: Phone, wherever it is scrolled to")).to_be_visible()
    expect(frame(bench, "phone").locator(".gf-headline")).to_be_visible()
    bench.get_by_role("button", name="At rest again").click()


def test_words_that_do_not_fit_are_shown_where_they_are_and_mended(bench: Page):
    bench.get_by_role("button", name="Header", exact=True).click()
    bench.get_by_role("button", name="Words", exact=True).click()
    size = bench.get_by_role("textbox", name="Size", exact=True)
    size.fill("25px")
    size.press("Enter")
    bench.get_by_role("button", name="Fit: 1").click()
    rows = bench.get_by_role("region", name="Fit")
    expect(rows.get_by_role("status")).to_have_text("One block of words does not fit everywhere.")
    expect(rows.get_by_text("'Marrowby' is torn into 2 pieces.")).to_be_visible()
    rows.get_by_role("button", name="Phone, letters at 200 %").click()
    expect(bench.get_by_text("Shown: Phone, letters at 200 %")).to_be_visible()
    marks = frame(bench, "phone").locator("#gf-marks path[stroke-dasharray]")
    expect(marks).to_have_count(2)
    assert bench.evaluate(LOOK) == []
    bench.get_by_role("button", name="At rest again").click()
    expect(marks).to_have_count(0)
    bench.get_by_role("button", name="Fit: 1").click()
    rows.get_by_role("button", name="Ways out").click()
    way = rows.get_by_role("article", name="Smaller letters")
    expect(way.get_by_text("on the phone")).to_be_visible()
    way.get_by_role("button", name="Do this").click()
    expect(rows.get_by_role("status")).to_have_text(re.compile("^All words fit, in all of 14 layouts"))
    bench.get_by_role("button", name="Undo").click()
    expect(rows.get_by_text("'Marrowby' is torn into 2 pieces.")).to_be_visible()


def test_words_that_can_be_read_and_are_lost_are_not_called_good(bench: Page):
    bench.get_by_label("Page", exact=True).select_option("welcome")
    bench.get_by_text(re.compile("^Every word can be read on every screen")).wait_for()
    bench.get_by_role("button", name="Words", exact=True).click()
    words = bench.get_by_role("textbox", name="Words")
    words.fill("Come in, it is warm: Pteridologically" + "speaking" * 12)
    words.press("Control+Enter")
    said = bench.get_by_role("status").filter(has_text="some are lost, because they do not fit.")
    expect(said).to_have_text(re.compile("^Every word is clear enough on every screen"))
    expect(said).not_to_have_class(re.compile("text-success"))
