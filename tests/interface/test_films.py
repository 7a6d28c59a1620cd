"""A film behind words, in the real interface: its line, its part, its still, its files; brought from disk; in place."""

import re

from playwright.sync_api import Page, expect

from tests.films import film

from .test_the_job import frame

AT = "(v) => [v.currentTime, v.style.visibility]"


def open_film(page: Page) -> None:
    page.get_by_label("Page", exact=True).select_option("fair-morning")
    page.get_by_role("button", name="Mist and sun", exact=True).first.click()
    expect(page.get_by_role("status").filter(has_text=re.compile("short: film|Readable at"))).to_be_visible()


def video(page: Page, screen: str = "phone"):
    return frame(page, screen).locator(".gf-mist-film > video")


def test_the_line_takes_every_screen_to_a_picture_of_the_film_and_space_lets_it_run(bench: Page):
    open_film(bench)
    assert video(bench).evaluate(AT)[1] == "hidden"
    line = bench.get_by_role("slider", name="Time of Mist and sun")
    line.focus()
    line.press("Shift+ArrowRight")
    for screen in ("desktop", "tablet", "phone"):
        expect(video(bench, screen)).not_to_have_css("visibility", "hidden")
        # the middle of the 24th picture's time
        assert abs(video(bench, screen).evaluate(AT)[0] - (24 + 0.5) / 24) < 0.002
    expect(line).to_have_attribute("aria-valuetext", re.compile("the worst reading is"))
    line.press("Space")
    expect(bench.get_by_role("button", name="Stop", exact=True)).to_be_visible()
    assert video(bench).evaluate("(v) => v.paused") is False
    bench.get_by_role("slider", name="Strength of Shade").press("ArrowRight")
    expect(bench.get_by_role("button", name="Run", exact=True)).to_be_visible()
    assert video(bench).evaluate("(v) => v.paused") is True


def test_its_part_and_its_still_are_pulled_set_and_undone(bench: Page):
    open_film(bench)
    end = bench.get_by_role("slider", name="Where the part ends")
    box, strip = end.bounding_box(), bench.get_by_role("slider", name="The part that is shown").bounding_box()
    bench.mouse.move(box["x"] + 12, box["y"] + 10)
    bench.mouse.down()
    bench.mouse.move(box["x"] + 12 - strip["width"] / 3, box["y"] + 10, steps=4)
    bench.mouse.up()
    expect(end).to_have_attribute("aria-valuetext", "4 s")
    expect(bench.get_by_role("textbox", name="The part ends at")).to_have_value("4 s")
    bench.keyboard.press("Control+z")
    expect(end).to_have_attribute("aria-valuetext", "6 s")
    still = bench.get_by_role("slider", name="The still")
    still.press("Shift+ArrowRight")
    expect(still).to_have_attribute("aria-valuetext", "1 s")
    shown = frame(bench, "phone").locator(".gf-mist-film")
    expect(shown).to_have_css("background-image", re.compile(r"-t1\.webp"))
    bench.get_by_role("textbox", name="The part begins at").fill("5.9")
    bench.keyboard.press("Tab")
    expect(bench.get_by_role("alert").filter(has_text="goes from 0 to 5.8 s")).to_be_visible()


def test_a_film_from_disk_becomes_a_layer_and_its_files_are_made(bench: Page):
    bench.get_by_role("button", name="Shelf", exact=True).click()
    given = {"name": "Drip.mp4", "mimeType": "video/mp4", "buffer": film(count=24, size=(160, 90))}
    bench.locator("input[type=file]").first.set_input_files(given)
    entry = bench.get_by_role("button", name=re.compile("^Drip"))
    expect(entry).to_contain_text("moves, 2 s")
    entry.click()
    bench.get_by_role("button", name=re.compile("^Show it behind|^Show behind|behind Banner")).first.click()
    expect(bench.get_by_label("Name of the layer")).to_have_value("Drip")
    bench.get_by_role("tab", name="Files").click()
    expect(bench.get_by_role("list", name="Files of the film").get_by_role("listitem")).to_have_count(4)
    expect(frame(bench, "phone").locator("video")).to_have_count(1)


def test_what_is_no_film_is_told_and_nothing_is_changed(bench: Page):
    bench.get_by_role("button", name="Shelf", exact=True).click()
    bad = {"name": "Drip.mp4", "mimeType": "video/mp4", "buffer": b"\0\0\0\x20ftypisom" + b"\0" * 2000}
    bench.locator("input[type=file]").first.set_input_files(bad)
    expect(bench.get_by_text(re.compile("Drip.mp4 begins like a film"))).to_be_visible()


def test_in_place_it_plays_and_the_page_s_own_control_stops_it(bench: Page):
    open_film(bench)
    bench.get_by_role("button", name="In place").click()
    inside = bench.frame_locator('iframe[title$="in place"]')
    playing = inside.locator(".gf-mist-film > video")
    expect(playing).to_have_count(1)
    inside.get_by_role("checkbox", name="Stop what moves").check()
    assert playing.evaluate("(v) => v.paused") is True
    inside.get_by_role("checkbox", name="Stop what moves").uncheck()
    assert playing.evaluate("(v) => v.paused") is False
