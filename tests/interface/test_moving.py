"""What moves, in the real interface: turns out of the shelf, the time line, colours that move, words that arrive."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def opacities(page: Page, screen: str = "phone") -> list[float]:
    return (
        frame(page, screen)
        .locator(".gf-turns > .gf-layer")
        .evaluate_all("(all) => all.map((e) => Number(getComputedStyle(e).opacity))")
    )


def take_turns(page: Page) -> None:
    page.get_by_role("button", name="Shelf", exact=True).click()
    for name in ("Glasshouse at dawn.jpg", "Misted panes.jpg", "Lantern night.jpg"):
        page.get_by_label(f"Pick {name}").check()
    page.get_by_role("button", name="Let these 3 take turns behind Banner").click()
    expect(page.get_by_label("Name of the layer")).to_have_value("Pictures in turn")


def test_several_pictures_of_the_shelf_take_turns_and_the_line_takes_the_screens_along(bench: Page):
    take_turns(bench)
    line = bench.get_by_role("slider", name="Time of Pictures in turn")
    expect(line).to_have_attribute("aria-valuetext", re.compile("the worst reading is"))
    # they lie on the old picture and beneath its shade
    assert [c.get_attribute("aria-label") for c in bench.locator(".along .stage").all()][1:4] == [
        "Glasshouse at dawn",
        "Pictures in turn",
        "Dusk",
    ]
    # on every screen the second is there when its turn is pressed, and on the way to the third both are
    bench.get_by_role("button", name=re.compile("^2: Misted panes")).click()
    for screen in ("desktop", "tablet", "phone"):
        expect(frame(bench, screen).locator(".gf-turns > .gf-layer").nth(1)).to_have_css("opacity", "1")
    expect(bench.get_by_role("status").filter(has_text=re.compile("short: second picture"))).to_be_visible()
    line.focus()
    for _ in range(4):
        line.press("Shift+ArrowRight")
    expect(frame(bench, "phone").locator(".gf-turns > .gf-layer").nth(2)).not_to_have_css("opacity", "0")
    found = opacities(bench)
    assert found[0] == 0
    assert abs(sum(found) - 1) < 1e-3
    # Space lets them run, and a setting stops them
    line.press("Space")
    expect(bench.get_by_role("button", name="Stop", exact=True)).to_be_visible()
    bench.get_by_role("slider", name="Strength of Dusk").press("ArrowRight")
    expect(bench.get_by_role("button", name="Run", exact=True)).to_be_visible()


def test_borders_time_the_turns_and_members_are_moved_left_out_and_brought_back(bench: Page):
    take_turns(bench)
    border = bench.get_by_role("slider", name="How long Misted panes stays")
    border.press("Shift+ArrowRight")
    expect(border).to_have_attribute("aria-valuetext", "7 s")
    bench.keyboard.press("Control+z")
    expect(border).to_have_attribute("aria-valuetext", "6 s")
    bench.get_by_role("tab", name="Who takes turns").click()
    members = bench.get_by_role("list", name="Who takes turns").get_by_role("button")
    expect(members).to_have_count(3)
    members.nth(1).press("Alt+ArrowLeft")
    expect(members.nth(0)).to_have_attribute("aria-label", "1: Misted panes")
    members.nth(0).click()
    bench.get_by_role("button", name="Leave it out").click()
    expect(members).to_have_count(2)
    bench.keyboard.press("Control+z")
    expect(members).to_have_count(3)
    # the settings of one, and one alone again
    bench.get_by_role("button", name=re.compile("^Set Misted panes")).click()
    # what the document would refuse of a member is not offered
    expect(bench.get_by_label("When the page scrolls")).to_have_count(0)
    bench.get_by_text("Whole", exact=True).click()
    expect(frame(bench, "phone").locator(".gf-turns > .gf-layer").nth(0)).to_have_css("background-size", "contain")
    bench.get_by_role("button", name="Back to the turns").click()
    bench.get_by_role("button", name="It alone").click()
    expect(bench.get_by_label("Name of the layer")).to_have_value("Misted panes")


def test_the_colours_of_a_gradient_are_made_to_move_in_others_as_light(bench: Page):
    bench.get_by_role("button", name=re.compile("^Lay something in on Dusk")).click()
    bench.get_by_role("button", name=re.compile("^Gradient: ")).first.click()
    bench.get_by_role("tab", name="Strength, other gradients").click()
    bench.get_by_role("button", name="Let its colours move").click()
    expect(bench.get_by_role("slider", name=re.compile("^Time of"))).to_be_visible()
    expect(bench.locator(".strip .turn")).to_have_count(2)
    looks = bench.locator(".strip .turn").evaluate_all("(all) => all.map((e) => getComputedStyle(e).backgroundImage)")
    assert len(set(looks)) == 2
    bench.keyboard.press("Control+z")
    expect(bench.get_by_role("tab", name="Strength, other gradients")).to_be_visible()


def test_words_arrive_when_they_are_told_to_and_stand_there_afterwards(bench: Page):
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("tab", name="Arrival").click()
    bench.get_by_text("rise", exact=True).click()
    heading = frame(bench, "desktop").locator(".gf-headline")
    expect(heading).to_have_css("animation-name", "gf-arrive-rise")
    expect(heading).to_have_css("animation-name", "none")
    expect(heading).to_have_css("opacity", "1")
    takes = bench.get_by_role("textbox", name="How long it takes")
    takes.fill("9")
    takes.press("Enter")
    expect(bench.get_by_text("How long it takes goes from 0.1 to 4 s; 9 is beyond that.")).to_be_visible()


def test_in_place_a_page_that_moves_can_be_met_with_less_motion(bench: Page):
    take_turns(bench)
    bench.get_by_role("button", name="In place").click()
    whole = bench.frame_locator("iframe[title$='in place']")
    expect(whole.get_by_role("checkbox", name="Stop what moves")).to_be_attached()
    bench.get_by_role("button", name="Less motion").click()
    expect(whole.locator(".gf-turns > .gf-layer")).to_have_count(1)
    bench.get_by_role("button", name="Less motion").click()
    expect(whole.locator(".gf-turns > .gf-layer")).to_have_count(3)


def test_a_situation_of_a_member_is_shown_on_the_bench(bench: Page):
    take_turns(bench)
    bench.get_by_role("button", name="Situations", exact=True).click()
    cell = bench.locator("button.cell[title^='Phone, third picture']").first
    cell.click()
    expect(frame(bench, "phone").locator(".gf-turns > .gf-layer").nth(2)).to_have_css("opacity", "1")
