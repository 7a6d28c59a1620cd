"""Ways out, in the real interface: found, tried by resting on one, done in one press, taken back; a page mended."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def ways(bench: Page):
    bench.keyboard.press("r")
    strip = bench.get_by_role("region", name="Ways out")
    expect(strip.get_by_role("article").first).to_be_visible()
    expect(strip.get_by_role("button", name="Stop")).to_have_count(0)
    return strip


def test_a_way_out_is_tried_by_resting_on_it_and_done_in_one_press(bench: Page):
    strip = ways(bench)
    expect(strip.get_by_text(re.compile(r"falls short: 1\.5 of 3"))).to_be_visible()
    kept = [float(t.split()[1]) for t in strip.get_by_text(re.compile(r"^keeps [\d.]+ %$")).all_inner_texts()]
    assert kept == sorted(kept, reverse=True)
    assert len(kept) >= 4
    card = strip.get_by_role("article", name="More of an overlay")
    overlay = frame(bench, "phone").locator(".gf-dusk")
    expect(overlay).to_have_css("opacity", "0.2")
    card.hover()
    expect(overlay).to_have_css("opacity", re.compile(r"^0\.4"))
    expect(bench.get_by_text("Every word can be read on every screen.")).to_be_visible()
    bench.mouse.move(5, 300)
    expect(overlay).to_have_css("opacity", "0.2")
    card.get_by_role("button", name="Do this").click()
    expect(strip.get_by_text(re.compile("^Every letter can be read"))).to_be_visible()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("More of an overlay"))
    bench.keyboard.press("Control+z")
    expect(strip.get_by_text(re.compile(r"falls short: 1\.5 of 3"))).to_be_visible()
    bench.keyboard.press("r")
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()


def test_what_is_left_alone_is_kept_with_the_words(bench: Page):
    strip = ways(bench)
    strip.get_by_role("checkbox", name="picture").check()
    expect(strip.get_by_role("button", name="Stop")).to_have_count(0)
    expect(strip.get_by_role("article", name="A shade behind the words")).to_be_visible()
    expect(strip.get_by_role("article", name="More of an overlay")).to_have_count(0)
    bench.keyboard.press("Control+z")
    expect(strip.get_by_role("checkbox", name="picture")).not_to_be_checked()
    expect(strip.get_by_role("article", name="More of an overlay")).to_be_visible()


def test_the_page_is_mended_by_one_idea_left_and_mended(bench: Page):
    strip = ways(bench)
    strip.get_by_role("button", name="Mend the page").click()
    expect(strip.get_by_text(re.compile("^Whole pages, each by one idea"))).to_be_visible()
    cards = strip.get_by_role("article")
    expect(cards).to_have_count(3)
    shaded = strip.get_by_role("article", name="A shade")
    expect(shaded.get_by_role("list", name="What is done")).to_contain_text("from the side on the desktop")
    wide, shade = (frame(bench, screen).locator(".gf-shade") for screen in ("desktop", "phone"))
    expect(shade).to_have_count(0)
    shaded.hover()
    # from the side where there is room beside the words, from the foot where there is none
    expect(wide).to_have_css("background-image", re.compile(r"^linear-gradient\(90deg"))
    expect(shade).to_have_css("background-image", re.compile(r"^linear-gradient\((180deg, )?rgb"))
    expect(bench.get_by_text(re.compile("^Every word can be read on every screen"))).to_be_visible()
    bench.mouse.move(5, 300)
    expect(shade).to_have_count(0)
    strip.get_by_role("button", name="Leave it as it is").click()
    expect(strip.get_by_role("article", name="More of an overlay")).to_be_visible()
    strip.get_by_role("button", name="Mend the page").click()
    shaded.get_by_role("button", name="Do this").click()
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Mend the page: A shade"))
    expect(strip.get_by_text(re.compile("^Every letter can be read"))).to_be_visible()
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    expect(bench.get_by_text("Every word can be read in every situation.")).to_be_visible()


def test_block_by_block_stands_beside_the_ideas(bench: Page):
    strip = ways(bench)
    strip.get_by_role("button", name="Mend the page").click()
    strip.get_by_role("button", name="Least change, block by block").click()
    least = strip.get_by_role("article", name="Least change, block by block")
    expect(least).to_be_visible()
    expect(strip.get_by_role("article")).to_have_count(4)
    least.get_by_role("button", name="Do this").click()
    expect(strip.get_by_text(re.compile("^Every letter can be read"))).to_be_visible()
    bench.keyboard.press("Control+z")
    expect(strip.get_by_text(re.compile(r"falls short: 1\.5 of 3"))).to_be_visible()


def test_a_layer_is_hidden_on_one_screen(bench: Page):
    phone, desktop = (frame(bench, name).locator(".gf-dusk") for name in ("phone", "desktop"))
    bench.get_by_role("button", name="screens: all").click()
    shown = bench.get_by_role("group", name="Shown on")
    shown.get_by_role("checkbox", name="Phone").uncheck()
    expect(phone).to_be_hidden()
    expect(desktop).to_be_visible()
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("button", name="screens: 2 of 3")).to_be_visible()
    bench.keyboard.press("Control+z")
    expect(phone).to_be_visible()
    expect(bench.get_by_role("button", name="screens: all")).to_be_visible()


def test_pointing_at_a_marked_letter_tells_its_ground(bench: Page):
    page = frame(bench, "phone")
    expect(page.locator("#gf-marks path")).not_to_have_count(0)
    # looked for where it is measured: a mark that has been exchanged meanwhile would be at 0, 0
    spot = page.locator("body").evaluate(
        "e => { const b = e.ownerDocument.querySelector('#gf-marks path').getBBox(); return [b.x, b.y]; }"
    )
    box = bench.locator("iframe[title$='on phone']").bounding_box()
    scale = box["width"] / 390
    x, y = box["x"] + (spot[0] + 5) * scale, box["y"] + (spot[1] - 8) * scale
    bench.mouse.move(x, y)
    tip = bench.get_by_text(re.compile(r"on #[0-9a-f]{6}: 2\.\d of 3"))
    expect(tip).to_be_visible()
    bench.get_by_role("checkbox", name="marks").uncheck()
    expect(page.locator("#gf-marks path")).to_have_count(0)
    bench.mouse.move(x + 1, y)
    expect(tip).to_have_count(0)


def test_in_place_at_any_width_and_slowly_loading(bench: Page):
    bench.keyboard.press("v")
    alone = bench.frame_locator("iframe[title$='in place']")
    expect(alone.locator(".gf-dawn")).to_be_visible()
    bench.get_by_role("textbox", name="Width of the page, px").fill("600")
    bench.get_by_role("textbox", name="Width of the page, px").press("Enter")
    expect(bench.locator("iframe[title$='in place']")).to_have_css("width", "600px")
    bench.get_by_role("button", name="Load slowly").click()
    expect(alone.locator(".gf-dawn")).to_have_count(0)
    expect(alone.locator("h1")).to_be_visible()
    expect(alone.locator(".gf-dawn")).to_be_visible()
    bench.get_by_role("button", name="Back to the bench (V)").click()
    expect(bench.locator("iframe[title$='in place']")).to_have_count(0)


def test_lettering_in_a_picture_is_asked_for_and_named(bench: Page):
    bench.get_by_role("button", name="Glasshouse at dawn", exact=True).first.click()
    bench.get_by_role("checkbox", name="bears lettering").check()
    bench.get_by_role("textbox", name="It says").fill("Fern fair in May")
    bench.get_by_role("textbox", name="It says").press("Enter")
    expect(frame(bench, "desktop").locator("p.gf-heard")).to_have_text("Fern fair in May")
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Situations").click()
    expect(bench.get_by_text(re.compile("bears lettering \\('Fern fair in May'\\)"))).to_be_visible()
