"""The bench obeys the hand: edits land where they were meant to, refusals are said, focus and place are kept."""

import re

from playwright.sync_api import Page, Request, expect

from .test_the_job import frame

SETTLED = "document.activeElement === document.body"


def strength(page: Page):
    return page.get_by_role("slider", name="Strength", exact=True)


def test_a_value_under_way_stays_with_its_layer_when_another_is_chosen(bench: Page):
    strength(bench).press("ArrowRight")
    strength(bench).press("ArrowRight")
    bench.keyboard.press("[")
    expect(frame(bench, "phone").locator(".gf-dusk")).to_have_css("opacity", "0.22")
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_css("opacity", "1")
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Dusk at 22 %"))


def test_undo_takes_back_what_is_under_way(bench: Page):
    strength(bench).press("Shift+ArrowRight")
    bench.keyboard.press("Control+z")
    expect(bench.get_by_role("textbox", name="Strength in %")).to_have_value("20 %")
    expect(bench.get_by_role("button", name="Redo")).to_have_attribute("title", re.compile("Dusk at 30 %"))


def test_escape_leaves_a_value_that_is_typed(bench: Page):
    field = bench.get_by_role("textbox", name="Strength in %")
    field.fill("70")
    expect(frame(bench, "phone").locator(".gf-dusk")).to_have_css("opacity", "0.7")
    field.press("Escape")
    expect(field).to_have_value("20 %")
    expect(frame(bench, "phone").locator(".gf-dusk")).to_have_css("opacity", "0.2")
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()


TYPED = {"": "20 %", "2*18": "36 %", "12,5": "13 %", "40%": "40 %"}
REFUSED = {"300": "Strength in % goes from 0 to 100 %; 300 is beyond that.", "strong": '"strong" is none'}


def test_numbers_are_taken_as_people_type_them(bench: Page):
    field = bench.get_by_role("textbox", name="Strength in %")
    for typed, becomes in TYPED.items():
        field.fill(typed)
        field.press("Enter")
        expect(field).to_have_value(becomes)


def test_a_refusal_is_said_beside_the_control(bench: Page):
    field = bench.get_by_role("textbox", name="Strength in %")
    for typed, said in REFUSED.items():
        field.fill(typed)
        field.press("Enter")
        alert = bench.get_by_role("alert")
        expect(alert).to_contain_text(said)
        expect(alert).to_contain_text("What was there stays: 20 %.")
        near, box = alert.bounding_box(), field.bounding_box()
        assert abs(near["y"] - (box["y"] + box["height"])) < 40 or abs(box["y"] - (near["y"] + near["height"])) < 40
    expect(field).to_have_attribute("aria-invalid", "true")


def test_the_window_never_scrolls_away(bench: Page):
    bench.get_by_role("button", name="Glasshouse at dawn", exact=True).click()
    for _ in range(70):
        bench.keyboard.press("Tab")
        assert bench.evaluate("scrollY + document.body.scrollTop + document.querySelector('.frame').scrollTop") == 0
    expect(bench.get_by_role("button", name="Sites, Marrowby Fern House is open")).to_be_in_viewport()


def test_escape_closes_the_innermost_and_gives_the_focus_back(bench: Page):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Schemes").click()
    well = bench.get_by_role("button", name="Around: choose")
    well.click()
    expect(bench.get_by_role("dialog", name="Around: the whole control")).to_be_visible()
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("dialog")).to_have_count(0)
    expect(well).to_be_focused()
    expect(bench.get_by_role("heading", name="Schemes")).to_be_visible()
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()


def test_the_focus_is_never_lost(bench: Page):
    remove = bench.get_by_role("button", name="Remove", exact=True)
    remove.focus()
    bench.keyboard.press("Enter")
    expect(bench.get_by_role("button", name="Dusk", exact=True)).to_have_count(0)
    bench.wait_for_timeout(200)
    assert not bench.evaluate(SETTLED)
    bench.get_by_role("button", name="Words", exact=True).focus()
    bench.keyboard.press("Enter")
    bench.get_by_role("textbox", name="Words").focus()
    bench.keyboard.press("Escape")
    bench.get_by_role("tab", name="Letters").focus()
    bench.keyboard.press("[")
    bench.wait_for_timeout(200)
    assert not bench.evaluate(SETTLED)


def test_the_place_has_an_address_that_can_be_opened(bench: Page):
    bench.get_by_role("navigation", name="Area").get_by_role("button", name="This week").click()
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("tab", name="Letters").click()
    bench.keyboard.press("3")
    address = bench.url
    bench.reload()
    expect(bench.get_by_role("tab", name="Letters")).to_have_attribute("aria-selected", "true")
    expect(bench.locator("iframe[title*=' on ']")).to_have_count(1)
    bench.get_by_role("button", name="All screens").click()
    bench.get_by_role("button", name="Shelf").click()
    bench.get_by_role("tab", name="Picture loan").click()
    expect(bench.get_by_role("button", name="Take Pond at dusk")).to_be_visible()
    bench.go_back()
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()
    bench.go_back()
    expect(bench.locator("iframe[title$='on phone']")).to_be_visible()
    expect(bench.locator("iframe[title*=' on ']")).to_have_count(1)
    bench.go_forward()
    bench.go_forward()
    expect(bench.get_by_role("tab", name="Picture loan")).to_be_visible()
    sent = bench.context.new_page()
    sent.goto(address)
    expect(sent.get_by_role("tab", name="Letters")).to_have_attribute("aria-selected", "true")
    sent.close()


def test_a_situation_has_an_address(bench: Page):
    bench.get_by_role("button", name="Situations").click()
    bench.get_by_role("button", name=re.compile(r"^.*1\.5 of 3")).first.click()
    expect(bench.get_by_text("Shown: Phone, letters at 200 %")).to_be_visible()
    bench.reload()
    expect(bench.get_by_text("Shown: Phone, letters at 200 %")).to_be_visible()


def test_the_colour_panel_asks_one_thing_at_a_time(bench: Page):
    bench.get_by_role("button", name="Colour: choose").click()
    hues = bench.get_by_role("slider", name="Colour: hue across, lightness up")
    expect(hues).to_be_visible()
    bench.get_by_role("button", name=re.compile("a tone of")).first.wait_for()
    under_way, most, asked = [0], [0], [0]

    def begun(request: Request) -> None:
        if "/api/colour?" in request.url:
            asked[0] += 1
            under_way[0] += 1
            most[0] = max(most[0], under_way[0])

    def ended(request: Request) -> None:
        under_way[0] -= "/api/colour?" in request.url

    bench.on("request", begun)
    bench.on("requestfinished", ended)
    box = hues.bounding_box()
    bench.mouse.move(box["x"] + 10, box["y"] + 20)
    bench.mouse.down()
    for step in range(120):
        bench.mouse.move(box["x"] + 10 + step * 2.5, box["y"] + 20 + step % 9)
    bench.mouse.up()
    expect(bench.get_by_role("button", name="Undo")).to_be_enabled()
    bench.wait_for_timeout(500)
    assert most[0] == 1
    assert 0 < asked[0] <= 122
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Dusk in #"))
    bench.keyboard.press("Control+z")
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()


def test_an_empty_and_a_loading_shelf_are_two_sights(bench: Page):
    bench.route("**/api/shelf", lambda route: None)
    bench.get_by_role("button", name="Shelf").click()
    expect(bench.get_by_text("Looking at the pictures …")).to_be_visible()
    expect(bench.get_by_text("The shelf is empty")).to_have_count(0)
    bench.unroute_all()
    bench.route(
        "**/api/shelf", lambda route: route.fulfill(status=500, json={"kind": "x", "message": "No.", "path": "$"})
    )
    bench.reload()
    expect(bench.get_by_role("button", name="Try again")).to_be_visible()
    bench.unroute_all()
    bench.get_by_role("button", name="Try again").click()
    expect(bench.get_by_role("button", name="Glasshouse at dawn.jpg")).to_be_visible()
    bench.get_by_label("Find by a word").fill("nothing like it")
    expect(bench.get_by_text("pictures is like that")).to_be_visible()


def test_escape_leaves_the_page_in_place_wherever_the_focus_is(bench: Page):
    bench.keyboard.press("v")
    alone = bench.frame_locator("iframe[title$='in place']")
    alone.locator("h1").click()
    bench.keyboard.press("Escape")
    expect(bench.locator("iframe[title$='in place']")).to_have_count(0)
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()
    bench.keyboard.press("v")
    width = bench.get_by_role("textbox", name="Width of the page, px")
    width.fill("600")
    width.press("Escape")
    expect(bench.locator("iframe[title$='in place']")).to_have_count(1)
    width.press("Escape")
    expect(bench.locator("iframe[title$='in place']")).to_have_count(0)


def test_a_page_that_arrives_late_does_not_take_the_focus_from_what_is_typed(bench: Page):
    waiting = []
    bench.route("**/live/home", lambda route: waiting.append(route))
    with bench.expect_request("**/live/home"):
        bench.keyboard.press("v")
    width = bench.get_by_role("textbox", name="Width of the page, px")
    width.fill("600")
    waiting.pop().continue_()
    expect(bench.frame_locator("iframe[title$='in place']").locator("h1")).to_be_visible()
    expect(width).to_be_focused()
    expect(width).to_have_value("600")


def test_nothing_that_is_reached_lies_beneath_the_work_under_way(bench: Page):
    bench.route("**/api/widths", lambda route: None)
    bench.get_by_role("button", name="Situations").click()
    expect(bench.get_by_role("progressbar", name="Reading at every width")).to_be_visible()
    bench.get_by_role("button", name="Pages", exact=True).click()
    told = bench.get_by_role("region", name="Under way")
    expect(told).to_be_visible()
    for page in ("Evenings", "Noticeboard"):
        button = bench.get_by_role("button", name=f"Remove {page}")
        button.focus()
        foot = button.evaluate("(b) => b.getBoundingClientRect().bottom")
        assert foot <= told.evaluate("(t) => t.getBoundingClientRect().top"), page
