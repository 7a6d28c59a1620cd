"""The jobs: each is done from the sample's first page, as somebody would who knows the interface."""

import re
from collections.abc import Callable

from playwright.sync_api import expect

from .hand import Hand

JOBS: dict[str, Callable[[Hand], None]] = {}


def job(name: str) -> Callable[[Callable[[Hand], None]], Callable[[Hand], None]]:
    """Enters a job under its name in docs/tasks.md."""

    def entered(done: Callable[[Hand], None]) -> Callable[[Hand], None]:
        JOBS[name] = done
        return done

    return entered


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
