"""Jobs in which one puts pictures and colours where they belong, on one page or all, and takes them along."""

import re

from playwright.sync_api import expect

from garnetfern.demo.tiles import draw_small

from .hand import Hand
from .job import job


@job("page colour; one band's picture with a colour over it")
def _page_colour(hand: Hand) -> None:
    hand.press("Page")
    hand.type("Base, hexadecimal", "#e4ecdf")
    hand.press("This week")
    hand.press(hand.settings.get_by_role("button", name="Misted panes.jpg"))
    hand.lay("Misted panes", "Colour #fbf7ee")
    band = hand.screen("desktop").locator(".gf-week-band")
    expect(band.locator(".gf-layer")).to_have_count(2)
    expect(hand.screen("phone").locator("body")).to_have_css("background-color", "rgb(228, 236, 223)")


@job("many-stop gradient, other kind, other direction")
def _gradient(hand: Hand) -> None:
    hand.press("This week")
    hand.lay("the base", "Gradient: Bunting")
    hand.type("Runs to", "160°")
    layer = hand.screen("desktop").locator(".gf-week-band .gf-layer").first
    expect(layer).to_have_css("background-image", re.compile(r"linear-gradient\(160deg"))
    hand.option("round")
    expect(layer).to_have_css("background-image", re.compile(r"radial-gradient.*(rgb[^)]*\)[^)]*){5}"))


@job("one picture behind header and banner, changed once; taken away as a package")
def _joined(hand: Hand) -> None:
    hand.menu("Change areas", "Join with Header")
    hand.press("Glasshouse at dawn")
    hand.press(hand.settings.get_by_role("tab", name="Look, other pictures"))
    hand.press(hand.settings.get_by_role("button", name="Lantern night.jpg"))
    join = hand.screen("tablet").locator(".gf-join_, [class*='gf-join']").first
    expect(join.locator(".gf-layer").first).to_have_css("background-image", re.compile("lantern-night"))
    hand.press("Take away")
    with hand.page.expect_download() as found:
        hand.press("Download the bundle")
    assert found.value.suggested_filename.endswith(".zip")


@job("outer page colour by hex; header picture at exact px")
def _exact(hand: Hand) -> None:
    hand.press("Page")
    hand.type("Base, hexadecimal", "#dfe8dd")
    hand.press("Header")
    hand.press(hand.settings.get_by_role("button", name="Fern tile.png"))
    # it lies tiled by itself, in its own px until others are typed
    layer = hand.screen("desktop").locator(".gf-top .gf-layer").first
    expect(layer).to_have_css("background-repeat", "repeat")
    hand.type("Own width", "180px")
    expect(layer).to_have_css("background-size", re.compile("^180px"))


@job("what shows while loading; a gradient; yesterday's cache")
def _loading(hand: Hand) -> None:
    hand.press("Base")
    hand.type("Base, hexadecimal", "#33463c")
    hand.lay("Dusk", "Gradient: Dark foot")
    expect(hand.screen("phone").locator(".gf-banner")).to_have_css("background-color", "rgb(51, 70, 60)")
    # a picture's file is named by what is in it: no cache holds yesterday's under its name
    shown = hand.screen("phone").locator(".gf-dawn").evaluate("e => getComputedStyle(e).backgroundImage")
    assert re.search(r"glasshouse-at-dawn-\d+-[0-9a-f]{10}", shown)


@job("darken until light words can be read, page and whole site")
def _darken(hand: Hand) -> None:
    # the overlay is chosen when the page opens; looking for the least strength is no action
    hand.press(hand.settings.get_by_role("button", name=re.compile("^Make it \\d+ %")))
    expect(hand.settings.get_by_text("This is the least with which every word here can be read")).to_be_visible()
    hand.press(hand.settings.get_by_role("button", name="For the whole site"))
    hand.press(hand.settings.get_by_role("button", name=re.compile("^Change \\d+ pages")))
    expect(hand.page.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("pages"))


@job("tile, then a large photograph: place, size, scrolling")
def _tile(hand: Hand) -> None:
    hand.press("This week")
    hand.press(hand.settings.get_by_role("button", name="Fern tile.png"))
    layer = hand.screen("desktop").locator(".gf-week-band .gf-layer").first
    expect(layer).to_have_css("background-repeat", "repeat")
    hand.press(hand.settings.get_by_role("tab", name="Look, other pictures"))
    hand.press(hand.settings.get_by_role("button", name="Fern, close.jpg"))
    # a photograph in a tile's place fills
    expect(layer).to_have_css("background-size", "cover")
    hand.press(hand.settings.get_by_role("tab", name="Size and place"))
    hand.select("When the page scrolls", "stays put")
    expect(layer).to_have_css("background-attachment", re.compile("fixed|scroll"))


@job("scheme tried and refused; own tile; fixed scenic picture")
def _scheme(hand: Hand) -> None:
    hand.press("Schemes")
    hand.press("Slate path")
    hand.press("Leave it")
    hand.press("Bench")
    hand.press("Glasshouse at dawn")
    hand.select("When the page scrolls", "stays put")
    hand.press("This week")
    hand.bring("sprigs of my own.png", draw_small("fern-tile"))
    band = hand.screen("desktop").locator(".gf-week-band")
    expect(band.locator(".gf-layer")).to_have_css("background-repeat", "repeat")
    expect(band).to_have_css("background-color", "rgb(244, 239, 228)")
    expect(hand.screen("desktop").locator(".gf-dawn")).to_have_css("background-attachment", "fixed")


@job("words on a picture that at first does not show and then repeats (both are prevented or said)")
def _nothing_to_see(hand: Hand) -> None:
    # a new band has a height and words, and a small picture that is no tile fills it
    hand.menu("Change areas", "with 1 column")
    hand.sees(hand.page.get_by_role("region", name="Settings of Band 1"))
    hand.bring("pots.png", hand.own_picture(320, 200))
    layer = hand.screen("phone").locator(".gf-band").nth(2).locator(".gf-layer")
    expect(layer).to_have_css("background-repeat", "no-repeat")
    expect(layer).to_have_css("background-size", "cover")
    assert layer.evaluate("e => e.getBoundingClientRect().height") > 40
    hand.press("Words")
    hand.write("Pots by the door")
    expect(hand.screen("phone").get_by_role("heading", name="Pots by the door")).to_be_visible()


@job("header picture of exact size; sequence in the header")
def _exact_header(hand: Hand) -> None:
    hand.press("Header")
    hand.press(hand.settings.get_by_role("button", name="Misted panes.jpg"))
    hand.option("Own")
    hand.type("Own width", "1200px")
    hand.type("Own height", "160px")
    layer = hand.screen("desktop").locator(".gf-top .gf-layer")
    expect(layer.first).to_have_css("background-size", "1200px 160px")
    hand.press(hand.settings.get_by_role("tab", name="Look, other pictures"))
    hand.press("Let it take turns with others")
    hand.press("Add Glasshouse at dawn.jpg")
    hand.press("Add Fern, close.jpg")
    expect(hand.settings.get_by_role("list", name="Who takes turns").get_by_role("listitem")).to_have_count(3)


@job("fixed, cover, whole; sequence on the home page, colour elsewhere")
def _fixed(hand: Hand) -> None:
    hand.press("Glasshouse at dawn")
    hand.select("When the page scrolls", "stays put")
    hand.option("Whole")
    dawn = hand.screen("desktop").locator(".gf-dawn")
    expect(dawn).to_have_css("background-size", "contain")
    hand.option("Fill")
    hand.press(hand.settings.get_by_role("tab", name="Look, other pictures"))
    hand.press("Let it take turns with others")
    hand.press("Add Lantern night.jpg")
    hand.sees(hand.settings.get_by_role("button", name="2: Lantern night"))
    hand.page_named("Evenings")
    # the other pages are as they were
    expect(hand.screen("desktop").locator(".gf-evening-banner")).to_have_css("background-color", "rgb(22, 38, 63)")


@job("pictures into a stylesheet of one's own, file-name traps")
def _stylesheet(hand: Hand) -> None:
    hand.press("Bring in")
    css = '.welcome { background: url("IMG/Fern%20close (1).JPG") center / cover; color: #fff; min-height: 320px }'
    hand.paste("CSS or HTML", css)
    hand.press("Read it")
    hand.sees(hand.page.get_by_text("Fern close (1).JPG is called Fern, close.jpg here"))
    hand.press("As a band of its own: .welcome")
    layer = hand.screen("desktop").locator(".gf-band .gf-layer").last
    expect(layer).to_have_css("background-image", re.compile(r"/fern-close-\d+-[0-9a-f]{10}"))


@job("picture address in a stylesheet with a wrong ending")
def _wrong_ending(hand: Hand) -> None:
    hand.press("Bring in")
    hand.paste("CSS or HTML", ".top { background: url(img/glasshouse-at-dawn.jgp) center / cover; color: white }")
    hand.press("Read it")
    hand.sees(hand.page.get_by_text("glasshouse-at-dawn.jgp is called Glasshouse at dawn.jpg here"))


@job("background with preview; header cropped; random header")
def _random(hand: Hand) -> None:
    hand.press("Page")
    hand.press(hand.settings.get_by_role("button", name="Fern tile.png"))
    # every screen is the preview
    expect(hand.screen("phone").locator(".gf-layer").first).to_have_css("background-repeat", "repeat")
    hand.press("Header")
    hand.lay("the base", "Pictures in turn: ")
    hand.sees(hand.page.get_by_text(re.compile(r"^\d+ % lost")).first)
    hand.select("Begins with", "by lot")
