"""The six recipes of docs/guide.md, by the actions described there, and what else layers do in the real interface."""

import re
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from .test_the_job import frame

GUIDE = (Path(__file__).parents[2] / "docs" / "guide.md").read_text()


def lay(page: Page, behind: str, what: str) -> None:
    """Lay something in behind a card of the build-up."""
    page.get_by_role("button", name=f"Lay something in on {behind}", exact=True).click()
    page.get_by_role("button", name=what, exact=True).click()


def card(page: Page, name: str):
    return page.get_by_label("Build-up").get_by_role("button", name=name, exact=True)


def strength(page: Page, value: int) -> None:
    """Type how strong the chosen layer is."""
    field = page.get_by_label("Strength in %")
    field.fill(f"{value} %")
    field.press("Enter")


def click_words(page: Page, name: str = "headline") -> None:
    frame(page, "desktop").locator(f".gf-{name}").click()
    page.get_by_role("tab", name="Letters").wait_for()


def test_a_vignette(bench: Page):
    lay(bench, "Dusk", "Edge shade: all round")
    layer = frame(bench, "phone").locator(".gf-banner > .gf-behind > .gf-layer").last
    expect(layer).to_have_css("mask-image", re.compile("radial-gradient"))
    depth = bench.get_by_label("Depth")
    depth.fill("95%")
    depth.press("Enter")
    bench.get_by_role("button", name=re.compile(r"Make it \d+ %")).click()
    bench.get_by_text("Every word can be read on every screen.").wait_for()


def test_a_glow_with_a_fine_mesh_in_eight_actions(bench: Page):
    presses = 0

    def press(locator) -> None:
        nonlocal presses
        locator.click()
        presses += 1

    press(bench.get_by_role("button", name="Change areas"))
    press(bench.get_by_role("menuitem", name="with 1 column"))
    # what is laid in goes to the area that is shown, and until the new one has come that is the old one
    expect(bench.get_by_role("button", name="Band 1", exact=True)).to_have_attribute("aria-pressed", "true")
    press(bench.get_by_role("button", name="Lay something in on the base", exact=True))
    press(bench.get_by_role("button", name="Gradient: Glow in the middle", exact=True))
    press(bench.get_by_role("button", name="Lay something in on Glow in the middle", exact=True))
    press(bench.get_by_role("button", name="Pattern: Fine mesh", exact=True))
    assert presses == 6, "the guide says six"
    band = frame(bench, "desktop").locator(".gf-band").nth(2)
    expect(band.locator(".gf-layer")).to_have_count(2)
    expect(band.locator(".gf-layer").first).to_have_css("background-image", re.compile("linear-gradient"))
    expect(band.locator(".gf-layer").last).to_have_css("mask-image", re.compile("data:image/svg"))
    assert band.bounding_box()["height"] > 0


def test_a_hollow_heading(bench: Page):
    click_words(bench)
    bench.get_by_role("tab", name="Letters").click()
    bench.get_by_label("hollow").check()
    width = bench.get_by_label("Width of the outline")
    width.fill("3px")
    width.press("Enter")
    heading = frame(bench, "tablet").locator(".gf-headline")
    expect(heading).to_have_css("-webkit-text-fill-color", "rgba(0, 0, 0, 0)")
    expect(heading).to_have_css("-webkit-text-stroke-width", "3px")


def test_a_plate_with_a_key_line(bench: Page):
    click_words(bench)
    bench.get_by_role("tab", name="Plate").click()
    bench.get_by_role("button", name="Put a plate behind these words").click()
    bench.get_by_role("tab", name="Plate").click()
    behind = frame(bench, "phone").locator(".gf-headline > .gf-behind")
    expect(behind).to_have_css("border-top-width", "1px")
    width = bench.get_by_label("Width of the key line")
    width.fill("3px")
    width.press("Enter")
    expect(behind).to_have_css("border-top-width", "3px")
    bench.get_by_text("Every word can be read on every screen.").wait_for()
    bench.get_by_role("button", name="Its layers …").click()
    expect(card(bench, "Glasshouse at dawn, of an area below")).to_be_visible()
    bench.get_by_role("button", name="Undo").click()
    expect(behind).to_have_css("border-top-width", "1px")


def test_a_wave_at_the_foot(bench: Page):
    lay(bench, "Dusk", "Silhouette: Wave")
    layer = frame(bench, "desktop").locator(".gf-banner > .gf-behind > .gf-layer").last
    expect(layer).to_have_css("background-color", "rgb(244, 239, 228)")
    bench.get_by_text("top", exact=True).click()
    expect(layer).to_have_css("mask-position", "50% 0%")


def test_darker_under_the_pointer(bench: Page):
    card(bench, "Dusk").click()
    bench.get_by_text("pointer over", exact=True).click()
    strength(bench, 60)
    dusk = frame(bench, "desktop").locator(".gf-dusk")
    expect(dusk).to_have_css("opacity", "0.6")
    bench.get_by_text("at rest", exact=True).click()
    expect(dusk).to_have_css("opacity", "0.2")
    frame(bench, "desktop").locator(".gf-headline").hover()
    expect(dusk).to_have_css("opacity", "0.6")
    expect(bench.get_by_label("Readings on Desktop").get_by_text("pointer").first).to_be_visible()
    bench.get_by_role("button", name="Remove", exact=True).click()
    expect(dusk).to_have_count(0)


def test_every_recipe_of_the_guide_has_a_test():
    section = GUIDE[GUIDE.index("\n## Six recipes\n") :].split("\n# ")[0]
    recipes = re.findall(r"^### (.+)$", section, re.MULTILINE)
    names = {name.removeprefix("test_").replace("_", " ") for name in globals() if name.startswith("test_")}
    assert len(recipes) == 6
    for recipe in recipes:
        assert any(name.startswith(recipe.lower()) for name in names), recipe


def test_stops_are_added_dragged_typed_and_taken_away_on_the_bar(bench: Page):
    lay(bench, "Dusk", "Gradient: Dark foot")
    layer = frame(bench, "desktop").locator(".gf-banner > .gf-behind > .gf-layer").last
    stops = bench.get_by_role("button", name=re.compile(r"^Stop \d: #"))
    expect(stops).to_have_count(2)
    bar = bench.get_by_title("Press between the stops to add one")
    box = bar.bounding_box()
    bar.click(position={"x": box["width"] * 0.3, "y": 4})
    expect(stops).to_have_count(3)
    expect(stops.nth(1)).to_have_attribute("aria-label", re.compile("at (29|30|31) %"))
    handle = stops.nth(1).bounding_box()
    bench.mouse.move(handle["x"] + 8, handle["y"] + 20)
    bench.mouse.down()
    bench.mouse.move(handle["x"] + 8 + box["width"] * 0.2, handle["y"] + 20, steps=4)
    bench.mouse.up()
    expect(stops.nth(1)).to_have_attribute("aria-label", re.compile("at (49|50|51) %"))
    place = bench.get_by_label("Place of stop 2")
    place.fill("25%")
    place.press("Enter")
    expect(stops.nth(1)).to_have_attribute("aria-label", re.compile("at 25 %"))
    stops.nth(1).press("ArrowRight")
    expect(stops.nth(1)).to_have_attribute("aria-label", re.compile("at 26 %"))
    bench.wait_for_timeout(700)
    stops.nth(1).press("Delete")
    expect(stops).to_have_count(2)
    bench.get_by_role("button", name="Reverse").click()
    expect(layer).to_have_css("background-image", re.compile(r"rgba\(11, 26, 20, 0\) 38%, rgb\(11, 26, 20\) 100%"))
    bench.get_by_role("button", name="Mirror").click()
    expect(stops).to_have_count(3)
    bench.get_by_role("button", name="To the page's colour").click()
    expect(layer).to_have_css("background-image", re.compile(r"rgb\(244, 239, 228\)"))


def test_a_gradient_is_turned_by_keys_and_on_a_screen(bench: Page):
    lay(bench, "Dusk", "Gradient: Dark side")
    layer = frame(bench, "desktop").locator(".gf-banner > .gf-behind > .gf-layer").last
    expect(layer).to_have_css("background-image", re.compile("90deg"))
    bench.get_by_role("slider", name="Angle").press("Shift+ArrowRight")
    expect(layer).to_have_css("background-image", re.compile("100deg"))
    bench.wait_for_timeout(700)
    page = bench.locator("iframe[title$='on desktop']").bounding_box()
    bench.mouse.move(page["x"] + page["width"] * 0.5, page["y"] + 130)
    bench.mouse.down()
    bench.mouse.move(page["x"] + page["width"] * 0.5, page["y"] + 60, steps=5)
    bench.mouse.up()
    expect(layer).to_have_css("background-image", re.compile(r"\((0|1|2|358|359)deg|to top"))
    bench.get_by_role("button", name="Undo").click()
    expect(layer).to_have_css("background-image", re.compile("100deg"))


def test_blend_modes_are_seen_on_the_picture_and_chosen(bench: Page):
    card(bench, "Dusk").click()
    bench.get_by_role("button", name=re.compile("^mixes:")).click()
    looks = bench.get_by_role("button", name=re.compile("^(multiply|screen|luminosity)$"))
    expect(looks).to_have_count(3)
    expect(looks.first.locator("img")).to_have_attribute("src", re.compile("^data:image/jpeg"))
    looks.first.hover()
    dusk = frame(bench, "phone").locator(".gf-dusk")
    expect(dusk).to_have_css("mix-blend-mode", "multiply")
    bench.keyboard.press("Escape")
    expect(dusk).to_have_css("mix-blend-mode", "normal")
    bench.get_by_role("button", name=re.compile("^mixes:")).click()
    looks.first.click()
    expect(dusk).to_have_css("mix-blend-mode", "multiply")
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("mixes as multiply"))


def test_a_colour_is_chosen_out_of_the_picture_typed_and_taken_off_a_screen(bench: Page):
    click_words(bench)
    bench.get_by_role("button", name="Colour: choose").click()
    heading = frame(bench, "desktop").locator(".gf-headline")
    bench.get_by_role("button", name=re.compile("Colour: a tone of .* lightness 95 %")).first.click()
    expect(heading).not_to_have_css("color", "rgb(251, 247, 238)")
    expect(bench.get_by_text(re.compile(r"of 3, (can be read|short)"))).to_be_visible()
    field = bench.get_by_label("hsl hue")
    field.fill("0")
    field.press("Enter")
    bench.get_by_role("button", name="Take it off a screen").click()
    expect(bench.get_by_text("Press on a spot of a screen")).to_be_visible()
    bench.locator("iframe[title$='on desktop']").click(position={"x": 420, "y": 262})
    expect(bench.get_by_text(re.compile("is made of base \\(This week\\)"))).to_be_visible()
    expect(heading).to_have_css("color", "rgb(244, 239, 228)")
    bench.keyboard.press("Escape")
    hex_ = bench.get_by_label("Colour, hexadecimal")
    hex_.fill("no colour")
    hex_.press("Enter")
    expect(bench.get_by_role("alert").filter(has_text="A colour is written")).to_be_visible()
    expect(heading).to_have_css("color", "rgb(244, 239, 228)")


def test_cards_are_named_copied_made_fainter_and_saved_as_a_look(bench: Page):
    card(bench, "Dusk").click()
    name = bench.get_by_label("Name of the layer")
    name.fill("Evening")
    name.press("Enter")
    expect(card(bench, "Evening")).to_be_visible()
    slider = bench.get_by_role("slider", name="Strength of Evening")
    slider.press("ArrowRight")
    expect(frame(bench, "phone").locator(".gf-dusk")).to_have_css("opacity", "0.21")
    bench.wait_for_timeout(600)
    bench.get_by_role("button", name="Copy to").click()
    bench.get_by_role("menuitem", name="Footer").click()
    expect(frame(bench, "desktop").locator(".gf-foot > .gf-behind > .gf-layer")).to_have_count(1)
    bench.get_by_role("navigation", name="Area").get_by_role("button", name="Banner", exact=True).click()
    card(bench, "Base").click()
    bench.get_by_role("button", name="Save as a look").click()
    bench.get_by_role("navigation", name="Area").get_by_role("button", name="This week", exact=True).click()
    card(bench, "Base").click()
    bench.get_by_role("button", name="Put a look here").click()
    bench.get_by_role("menuitem", name="Banner look").click()
    expect(frame(bench, "desktop").locator(".gf-week-band > .gf-behind > .gf-layer")).to_have_count(2)
    bench.get_by_role("button", name="Shelf").click()
    bench.get_by_role("tab", name="Gradients and looks").click()
    expect(bench.get_by_label("Name of the look Banner look")).to_have_value("Banner look")


@pytest.mark.parametrize("which", ["Old pots", "A scheme from Reading room.jpg"])
def test_a_scheme_is_tried_beside_the_present_one_and_taken_on(bench: Page, which):
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Schemes").click()
    bench.get_by_role("button", name=which).click()
    before = bench.frame_locator("iframe[title^='As it is']").locator(".gf-week-band")
    tried = bench.frame_locator("iframe[title^='In ']").locator(".gf-week-band")
    expect(before).to_have_css("background-color", "rgb(244, 239, 228)")
    expect(tried).not_to_have_css("background-color", "rgb(244, 239, 228)")
    expect(bench.get_by_role("status").filter(has_text="on the phone")).to_be_visible()
    bench.get_by_role("button", name="Take it on").click()
    bench.get_by_role("heading", name="Build-up").wait_for()
    band = frame(bench, "desktop").locator(".gf-week-band")
    expect(band).not_to_have_css("background-color", "rgb(244, 239, 228)")
    bench.get_by_role("button", name="Undo").click()
    expect(band).to_have_css("background-color", "rgb(244, 239, 228)")
