"""Bad input in the interface: a message at the place where it happened, and what was there stays."""

import re

from playwright.sync_api import Page, Route, expect

from tests.conftest import encoded, jpeg
from tests.interface.test_the_job import frame

FILES = {
    "a text": ("notes.jpg", b"Dear committee", "not a picture"),
    "a short JPEG": ("fern.jpg", jpeg(300, 200)[:700], "damaged"),
    "an empty file": ("empty.png", b"", "0 bytes"),
}


def bring(page: Page, name: str, data: bytes) -> None:
    page.get_by_role("button", name="Glasshouse at dawn", exact=True).first.click()
    page.get_by_role("tab", name="Look, other pictures").click()
    chooser = page.get_by_label("Bring a picture: JPEG, PNG, WebP, AVIF, GIF or SVG")
    chooser.set_input_files({"name": name, "mimeType": "image/jpeg", "buffer": data})


def test_a_bad_file_is_said_where_pictures_are_chosen(bench: Page):
    shown = frame(bench, "phone").locator(".gf-dawn")
    for name, data, said in FILES.values():
        bring(bench, name, data)
        alert = bench.get_by_role("region", name="Settings of").get_by_role("alert")
        expect(alert).to_contain_text(said)
        expect(alert).to_contain_text(name)
        expect(shown).to_have_css("background-image", re.compile("glasshouse-at-dawn"))
        expect(bench.get_by_role("button", name="Undo")).to_be_disabled()
        alert.get_by_role("button", name="Close").click()
        expect(alert).to_have_count(0)


def test_a_wrong_ending_is_taken_and_said(bench: Page):
    bring(bench, "really-a-png.jpg", encoded(300, 200, (40, 60, 50), "PNG"))
    expect(bench.get_by_text("it is a PNG picture and was taken as one")).to_be_visible()
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_css("background-image", re.compile("really-a-png"))


WRONG = (
    ("Dusk", "Colour, hexadecimal", "#12", "hexadecimal"),
    ("Base", "Least height", "very tall", "A length is a number"),
    ("Words", "Size", "12", "needs a unit"),
    ("Words", "Line", "0.1", "Line goes from 0.6 to 4 ×; 0.1 is beyond that"),
)


def test_a_wrong_value_is_said_at_its_field(bench: Page):
    for card, field, wrong, said in WRONG:
        bench.get_by_role("button", name=card, exact=True).click()
        if card == "Base":
            bench.get_by_role("tab", name="Size and space").click()
        box = bench.get_by_role("textbox", name=field)
        before = box.input_value()
        box.fill(wrong)
        box.press("Enter")
        alert = bench.get_by_role("alert")
        expect(alert).to_contain_text(said)
        expect(alert).to_contain_text(before)
        expect(box).to_have_attribute("aria-invalid", "true")
        box.press("Escape")
        expect(box).to_have_value(before)
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()


def test_a_wording_that_is_too_long_is_said_and_the_old_one_stays(bench: Page):
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("textbox", name="Words").fill("fern " * 1000)
    bench.get_by_role("textbox", name="Words").blur()
    expect(bench.get_by_role("alert")).to_contain_text("2,000 characters at the most; it has")
    expect(frame(bench, "phone").locator("h1")).to_have_text("A hundred ferns under old glass")


def test_markup_in_the_wording_is_shown_as_it_was_typed(bench: Page):
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("textbox", name="Words").fill("<script>alert(1)</script>")
    expect(frame(bench, "desktop").locator("h1")).to_have_text("<script>alert(1)</script>")


def test_two_windows_show_the_same_and_the_later_hand_is_told_what_it_was(bench: Page):
    other = bench.context.new_page()
    other.goto(bench.url)
    strength = other.get_by_role("slider", name="Strength", exact=True)
    strength.press("ArrowRight")
    # it arrives by itself
    expect(bench.get_by_role("textbox", name="Strength in %")).to_have_value("21 %")
    # both at the same: the first window has begun, the other one keeps, then the first does
    field = bench.get_by_role("textbox", name="Strength in %")
    field.fill("60")
    strength.press("Shift+ArrowRight")
    expect(other.get_by_role("textbox", name="Strength in %")).to_have_value("31 %")
    expect(other.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("31 %"))
    field.press("Enter")
    expect(bench.get_by_role("status").filter(has_text="another window had made it 0.31 meanwhile")).to_be_visible()
    expect(other.get_by_role("textbox", name="Strength in %")).to_have_value("60 %")
    bench.keyboard.press("Control+z")
    expect(other.get_by_role("textbox", name="Strength in %")).to_have_value("31 %")
    other.close()


def test_a_broken_site_file_is_said_and_nothing_changes(bench: Page):
    bench.get_by_role("button", name="Take away").click()
    chooser = bench.get_by_label("Open a site file")
    chooser.set_input_files({"name": "old.zip", "mimeType": "application/zip", "buffer": b"not a zip"})
    expect(bench.get_by_role("alert")).to_contain_text("old.zip: This is not a site file")
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()


def test_an_application_that_does_not_answer_is_said(bench: Page, running):
    running.stop()
    bench.get_by_role("slider", name="Strength", exact=True).press("ArrowRight")
    expect(bench.get_by_role("alert")).to_contain_text("does not answer", timeout=120_000)


def test_what_was_asked_of_the_page_before_is_not_said_of_this_one(bench: Page):
    held: list[Route] = []

    def asked(count: int) -> Route:
        for _ in range(600):
            if len(held) >= count:
                return held[count - 1]
            bench.wait_for_timeout(50)
        raise AssertionError(f"{len(held)} questions")

    verdict = bench.locator(".verdict")
    bench.route("**/api/readings", lambda route: held.append(route) if len(held) < 2 else route.continue_())
    bench.get_by_role("button", name="Dusk", exact=True).first.click()
    strength = bench.get_by_role("textbox", name="Strength")
    strength.fill("35")
    strength.press("Enter")
    first = asked(1)
    expect(verdict).to_have_text(re.compile("falls short"))
    bench.get_by_label("Page", exact=True).select_option("fern-book")
    expect(verdict).to_have_text("")
    with bench.expect_response("**/api/readings"):
        first.continue_()
    second = asked(2)
    expect(verdict).to_have_text("")
    second.continue_()
    expect(verdict).to_have_text(re.compile("can be read"))
