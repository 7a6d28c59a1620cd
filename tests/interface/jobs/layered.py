"""Jobs in which one lays things over each other, and words on them."""

import re

from playwright.sync_api import expect

from .hand import Hand
from .job import job


@job("strip repeated sideways fading to white; white logo on it")
def _strip(hand: Hand) -> None:
    hand.press("Header")
    hand.press(hand.settings.get_by_role("button", name="Fade strip.png"))
    top = hand.screen("tablet").locator(".gf-top")
    expect(top.locator(".gf-layer")).to_have_css("background-repeat", "repeat-x")
    hand.press("Words")
    hand.type("Colour, hexadecimal", "#ffffff")
    expect(top.locator(".gf-site-name")).to_have_css("color", "rgb(255, 255, 255)")
    # the strip is green where the words stand, and the house can be read on it
    readings = hand.page.get_by_role("list", name="Readings on Tablet")
    expect(readings.get_by_role("button", name=re.compile("^can be read Marrowby Fern House"))).to_be_visible()


@job("textures, blended colour, stripe at an edge, nested areas")
def _textures(hand: Hand) -> None:
    hand.press("This week")
    hand.lay("the base", "Pattern: Pinstripes")
    hand.lay("Pinstripes", "Colour #3f6f46")
    hand.mixed("multiply")
    hand.lay("Overlay", "Edge shade: stripe at the foot")
    hand.press(hand.page.get_by_role("button", name=re.compile("^This week, column 2")))
    hand.type("Base, hexadecimal", "#fbf7ee")
    band = hand.screen("desktop").locator(".gf-week-band")
    expect(band.locator(".gf-layer")).to_have_count(3)
    expect(band.locator(".gf-layer").nth(1)).to_have_css("mix-blend-mode", "multiply")
    expect(band.locator(".gf-week-right")).to_have_css("background-color", "rgb(251, 247, 238)")


@job("moving gradient that goes from one range of colours to others; hollow heading")
def _moving(hand: Hand) -> None:
    hand.press("This week")
    hand.lay("the base", "Colours that move: Paper label and Rainwater")
    hand.press("Words")
    hand.press(hand.settings.get_by_role("tab", name="Letters"))
    hand.check("hollow")
    heading = hand.screen("desktop").locator(".gf-week")
    # hollow letters have a line at once, in the colour that they had
    expect(heading).to_have_css("-webkit-text-stroke-width", "2px")
    expect(heading).to_have_css("-webkit-text-stroke-color", "rgb(35, 51, 43)")
    assert hand.screen("desktop").locator(".gf-week-band").evaluate("e => e.getAnimations({ subtree: true }).length")


@job("heading in a translucent plate, key line, shadow, arriving")
def _plate(hand: Hand) -> None:
    hand.press("Words")
    hand.press(hand.settings.get_by_role("tab", name="Plate"))
    hand.press("Put a plate behind these words")
    # a plate is translucent and has a key line until others are set
    hand.check("shadow")
    hand.press(hand.settings.get_by_role("tab", name="Arrival"))
    hand.option("rise")
    heading = hand.screen("phone").locator(".gf-headline")
    plate = heading.locator(".gf-behind")
    expect(plate).to_have_css("border-top-style", "solid")
    expect(plate).to_have_css("background-color", re.compile(r"rgba\(11, 26, 20, 0\.7"))
    expect(plate).not_to_have_css("box-shadow", "none")
    expect(heading).to_have_css("animation-name", re.compile("gf-"))


@job("colour, gradient, picture, scrolling, blend, video, pattern, shape; glow band with mesh")
def _everything(hand: Hand) -> None:
    hand.press("This week")
    hand.type("Base, hexadecimal", "#dfe8dd")
    hand.lay("the base", "Gradient: Mist")
    hand.lay("Mist", "The picture Misted panes.jpg")
    hand.select("When the page scrolls", "moves slower")
    hand.mixed("multiply")
    hand.lay("Misted panes", "The film Mist and sun.mp4")
    hand.lay("Mist and sun", "Pattern: Fronds")
    hand.lay("Fronds", "Silhouette: Fern tips")
    band = hand.screen("desktop").locator(".gf-week-band")
    expect(band.locator("video")).to_have_count(1)
    expect(band.locator(".gf-layer")).to_have_count(5)
    hand.menu("Change areas", "with 1 column")
    hand.sees(hand.page.get_by_role("region", name="Settings of Band 1"))
    hand.lay("the base", "Gradient: Glow in the middle")
    hand.lay("Glow in the middle", "Pattern: Fine mesh")
    glow = hand.screen("desktop").locator(".gf-band").nth(3)
    expect(glow.locator(".gf-layer")).to_have_count(2)


@job("banner 40 vh: picture, h1 and a line, overlay, darker on pointing, on list pages only")
def _banner(hand: Hand) -> None:
    hand.menu("Change areas", "with 1 column")
    hand.press(hand.settings.get_by_role("tab", name="Size and space"))
    hand.type("Least height", "40vh")
    hand.press(hand.settings.get_by_role("tab", name="Base and picture"))
    hand.press(hand.settings.get_by_role("button", name="Fern, close.jpg"))
    hand.lay("Fern, close", "Colour #0b1a14")
    hand.option("pointer over")
    hand.type("Strength in %", "70")
    hand.press("Words")
    hand.write("Ferns by the pot")
    hand.select("Level", "1")
    hand.press(hand.page.get_by_role("list", name="Readings on Desktop").get_by_role("button").nth(1))
    hand.write("Young plants, on the small bench by the door.")
    band = hand.screen("desktop").locator(".gf-band").nth(2)
    expect(band.locator("h1")).to_have_text("Ferns by the pot")
    expect(band.locator("p")).to_have_text("Young plants, on the small bench by the door.")
    expect(band).to_have_css("min-height", "360px")
    hand.menu("Change areas", "Show it by rules")
    pages = hand.page.get_by_role("combobox", name=re.compile("other pages$"))
    pages.select_option(label="list pages")
    hand.count += 1
    hand.sees(hand.page.get_by_role("combobox", name="On list pages: other pages"))


@job("a page's title over a picture: place, style, link, picture, readability, size")
def _title(hand: Hand) -> None:
    hand.drop("Long bench.png", hand.own_picture())
    hand.sees(hand.page.get_by_role("button", name="Long bench", exact=True))
    hand.press("Whole banners")
    # where the words stand, how, and that they can be read: one press
    hand.press(hand.page.get_by_role("button", name=re.compile("^Take it: ")).first)
    hand.sees(hand.page.get_by_role("heading", name="Build-up"))
    hand.press("Words")
    hand.type("Size", "clamp(30px, 4vw, 56px)")
    hand.type("Link", "fern-book.html")
    heading = hand.screen("phone").locator(".gf-headline")
    expect(heading.locator("a")).to_have_attribute("href", re.compile("fern-book"))
    hand.sees(hand.page.get_by_text(re.compile("^Every word can be read on every screen")))
