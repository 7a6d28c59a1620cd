"""The whole job in the real interface, with the mouse and the keyboard."""

import io
import re
import zipfile

import numpy as np
from PIL import Image
from playwright.sync_api import Page, expect

from garnetfern.api.local import Running, run_locally
from garnetfern.demo.pictures import draw_picture
from tests.referee.browser import Opened, pixels

from .dropping import drop

VERDICT = "Every word can be read on every screen."


def frame(page: Page, screen: str):
    return page.frame_locator(f"iframe[title$='on {screen}']")


def own_picture(tmp_path):
    """A light picture that the application has not seen."""
    image = Image.open(io.BytesIO(draw_picture("misted-panes"))).transpose(Image.Transpose.FLIP_LEFT_RIGHT)
    file = tmp_path / "My own <b>picture.png"
    image.resize((840, 560)).save(file)
    return file


def test_from_an_unknown_picture_to_a_bundle(bench: Page, running: Running, tmp_path, browser):
    # a picture of one's own, dropped, on all three screens
    drop(bench, own_picture(tmp_path))
    expect(bench.get_by_label("Name of the layer")).to_have_value(re.compile("^My own"))
    for screen in ("desktop", "tablet", "phone"):
        layer = frame(bench, screen).locator(".gf-dawn")
        expect(layer).to_have_css("background-image", re.compile(r"my-own-b-picture"))

    # the focal point dragged, the size chosen
    pad = bench.get_by_role("slider", name="Focal point")
    box = pad.bounding_box()
    bench.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
    bench.mouse.down()
    bench.mouse.move(box["x"] + box["width"] * 0.25, box["y"] + box["height"] * 0.75, steps=5)
    bench.mouse.up()
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_css(
        "background-position", re.compile(r"^2[45].*% 7[45].*%$")
    )
    bench.get_by_text("Whole", exact=True).click()
    expect(frame(bench, "tablet").locator(".gf-dawn")).to_have_css("background-size", "contain")
    bench.get_by_text("Fill", exact=True).click()
    expect(frame(bench, "tablet").locator(".gf-dawn")).to_have_css("background-size", "cover")

    # words typed and set
    bench.get_by_role("button", name="Words", exact=True).click()
    bench.get_by_role("textbox", name="Words").fill("Ferns & friends")
    expect(frame(bench, "phone").locator("h1")).to_have_text("Ferns & friends")
    bench.get_by_label("Font").select_option("Bitter")
    bench.get_by_label("Weight").select_option("700")
    size = bench.get_by_role("textbox", name="Size")
    size.fill("3rem")
    size.press("Enter")
    expect(frame(bench, "desktop").locator("h1")).to_have_css("font-size", "48px")
    bench.get_by_text("centred", exact=True).click()
    expect(frame(bench, "desktop").locator("h1")).to_have_css("text-align", "center")

    # the overlay pulled, and the least that suffices
    bench.get_by_role("button", name="Dusk", exact=True).click()
    strength = bench.get_by_role("slider", name="Strength", exact=True)
    strength.press("ArrowRight")
    expect(bench.get_by_role("textbox", name="Strength in %")).to_have_value("21 %")
    bench.get_by_text(re.compile(r"blocks of words fall short")).wait_for()
    bench.get_by_role("button", name=re.compile("Make it")).click()
    expect(bench.get_by_text(VERDICT)).to_be_visible(timeout=120_000)
    expect(bench.get_by_text("This is the least with which")).to_be_visible(timeout=120_000)

    # undone and redone, also after a reload
    bench.keyboard.press("Control+z")
    expect(bench.get_by_text(re.compile("fall short"))).to_be_visible(timeout=120_000)
    bench.reload()
    bench.get_by_role("button", name="Redo").click()
    expect(bench.get_by_text(VERDICT)).to_be_visible(timeout=120_000)

    # taken away: the rule, and the bundle, which looks like the bench's own screen
    seen = shot_of_screen(bench, running)
    bench.get_by_role("button", name="Take away").click()
    expect(bench.get_by_label("The rule", exact=True)).to_contain_text("my-own-b-picture")
    bench.get_by_role("button", name="Copy the rule").click()
    assert bench.evaluate("navigator.clipboard.readText()").startswith(".banner {")
    with bench.expect_download() as coming:
        bench.get_by_role("button", name="Download the bundle").click()
    with zipfile.ZipFile(coming.value.path()) as archive:
        files = {name: archive.read(name) for name in archive.namelist()}
    opened = Opened(browser, files).at(1440, 900)
    assert np.abs(opened.styled("/* as it is */") - seen).max() <= 1
    opened.close()


def shot_of_screen(bench: Page, running: Running):
    """What the bench's desktop screen shows, at full size."""
    page = bench.context.new_page()
    page.set_viewport_size({"width": 1440, "height": 900})
    page.goto(running.address + "live/home")
    page.evaluate("document.fonts.ready")
    found = pixels(page.screenshot(full_page=True))
    page.close()
    return found


def test_undo_survives_a_restart(bench: Page, running: Running):
    bench.get_by_role("slider", name="Strength", exact=True).press("Shift+ArrowRight")
    expect(bench.get_by_role("button", name="Undo")).to_be_enabled()
    running.stop()
    again = run_locally(running.data)
    bench.goto(again.address)
    bench.get_by_role("button", name="Undo").click()
    expect(bench.get_by_role("textbox", name="Strength in %")).to_have_value("20 %")
    again.stop()


def test_the_state_before_is_shown_while_a_key_is_held(bench: Page):
    bench.get_by_role("slider", name="Strength", exact=True).press("Shift+ArrowRight")
    overlay = frame(bench, "phone").locator(".gf-dusk")
    expect(overlay).to_have_css("opacity", "0.3")
    expect(bench.get_by_role("button", name="Undo")).to_be_enabled()
    bench.keyboard.down("b")
    expect(overlay).to_have_css("opacity", "0.2")
    bench.keyboard.up("b")
    expect(overlay).to_have_css("opacity", "0.3")


def test_letters_that_fall_short_are_marked_in_place_and_never_emitted(bench: Page):
    marks = frame(bench, "phone").locator("#gf-marks path")
    expect(marks).not_to_have_count(0)
    expect(frame(bench, "desktop").locator("#gf-marks path")).to_have_count(0)
    bench.keyboard.press("m")
    expect(marks).to_have_count(0)
    handed_out = bench.request.get(bench.url.split("?")[0] + "live/home").text()
    assert "gf-banner" in handed_out
    assert "gf-marks" not in handed_out


def test_clicking_on_a_screen_chooses_words_and_then_their_band(bench: Page):
    words = frame(bench, "desktop").locator(".gf-opening")
    words.click()
    expect(bench.get_by_role("textbox", name="Words")).to_have_value(re.compile("^Open from ten"))
    words.click()
    expect(bench.get_by_role("textbox", name="Strength in %")).to_be_visible()
    frame(bench, "desktop").locator(".gf-foot").click(position={"x": 5, "y": 5})
    expect(bench.get_by_role("navigation", name="Area").get_by_role("button", name="Footer")).to_have_attribute(
        "aria-pressed", "true"
    )


def test_layers_are_laid_in_moved_hidden_and_removed(bench: Page):
    bench.get_by_role("button", name="Lay something in on Dusk").click()
    bench.get_by_role("button", name="Colour #0b1a14", exact=True).click()
    card = bench.get_by_role("button", name="Overlay", exact=True)
    expect(card).to_have_attribute("aria-pressed", "true")
    card.press("Alt+ArrowLeft")
    names = bench.locator("ol button[aria-pressed]")
    expect(names.nth(2)).to_have_attribute("aria-label", "Overlay")
    bench.get_by_role("button", name="Hide Overlay").click()
    expect(frame(bench, "phone").locator(".gf-colour")).to_have_count(0)
    bench.get_by_role("button", name="Remove").click()
    expect(bench.get_by_role("button", name=re.compile("^Overlay"))).to_have_count(0)
    for _ in range(4):
        bench.keyboard.press("Control+z")
    expect(bench.get_by_role("button", name="Undo")).to_be_disabled()


def test_words_that_fall_short_lead_to_ways_out(bench: Page):
    bench.get_by_role("button", name="Ways out").click()
    bench.get_by_role("article").first.get_by_role("button", name="Do this").click()
    expect(bench.get_by_text(VERDICT)).to_be_visible()
    bench.get_by_role("button", name="Close").click()
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()


def test_in_place_and_back_with_one_key(bench: Page):
    frame(bench, "desktop").locator(".gf-foot").click()  # keys work when a screen has the focus, too
    bench.keyboard.press("v")
    alone = bench.frame_locator("iframe[title$='in place']")
    expect(alone.locator("h1")).to_be_visible()
    bench.keyboard.press("v")
    expect(bench.locator("iframe[title$='in place']")).to_have_count(0)


def test_a_screen_comes_forward_and_goes_back(bench: Page):
    bench.keyboard.press("3")
    expect(bench.locator("iframe[title*=' on ']")).to_have_count(1)
    bench.keyboard.press("0")
    expect(bench.locator("iframe[title*=' on ']")).to_have_count(3)
