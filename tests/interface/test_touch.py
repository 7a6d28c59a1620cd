"""Everything that can be pulled, by a finger and by arrow keys."""

import re
from collections.abc import Iterator

import pytest
from playwright.sync_api import Browser, CDPSession, Page, expect

from garnetfern.api.local import Running

from .test_the_job import frame


class Finger:
    """One finger on the screen, as the browser feels it: it may scroll where nothing holds it."""

    def __init__(self, page: Page) -> None:
        self._page = page
        self._session: CDPSession = page.context.new_cdp_session(page)

    def _send(self, kind: str, x: float = 0, y: float = 0) -> None:
        points = [] if kind == "touchEnd" else [{"x": x, "y": y}]
        self._session.send("Input.dispatchTouchEvent", {"type": kind, "touchPoints": points})

    def pull(self, from_: tuple[float, float], to: tuple[float, float], rest: int = 0) -> None:
        """Put it down, perhaps rest, and pull it somewhere in twelve steps."""
        self._send("touchStart", *from_)
        self._page.wait_for_timeout(rest)
        for n in range(1, 13):
            part = n / 12
            self._send("touchMove", from_[0] + (to[0] - from_[0]) * part, from_[1] + (to[1] - from_[1]) * part)
            self._page.wait_for_timeout(16)
        self._send("touchEnd")


@pytest.fixture
def held(running: Running, browser: Browser) -> Iterator[Page]:
    """The bench on a machine with a touch screen."""
    context = browser.new_context(viewport={"width": 1280, "height": 800}, has_touch=True)
    context.set_default_timeout(120_000)
    page = context.new_page()
    page.goto(running.address)
    page.get_by_role("button", name="Make it").wait_for(timeout=120_000)
    yield page
    context.close()


def middle(page: Page, locator) -> tuple[float, float]:
    box = locator.bounding_box()
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def test_a_card_is_moved_after_a_short_hold(held: Page):
    held.get_by_role("button", name="Lay something in on Dusk").tap()
    held.get_by_role("button", name="Colour #0b1a14", exact=True).tap()
    card = held.get_by_role("button", name="Overlay", exact=True)
    expect(card).to_have_attribute("aria-pressed", "true")
    x, y = middle(held, card)
    width = card.bounding_box()["width"] + 22
    Finger(held).pull((x, y), (x - width, y), rest=400)
    names = held.locator("ol button[aria-pressed]")
    expect(names.nth(2)).to_have_attribute("aria-label", "Overlay")


def test_the_focal_point_and_the_strength_follow_a_finger(held: Page):
    thumb = middle(held, held.get_by_role("slider", name="Strength", exact=True))
    Finger(held).pull(thumb, (thumb[0] + 60, thumb[1]))
    expect(held.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("Dusk at [67]"))
    held.get_by_role("button", name="Glasshouse at dawn", exact=True).tap()
    pad = held.get_by_role("slider", name="Focal point")
    box = pad.bounding_box()
    x, y = middle(held, pad)
    Finger(held).pull((x, y), (box["x"] + box["width"] * 0.25, box["y"] + box["height"] * 0.75))
    expect(frame(held, "phone").locator(".gf-dawn")).to_have_css(
        "background-position", re.compile(r"^2[3-7].*% 7[3-7].*%$")
    )


def test_a_stop_follows_a_finger_and_the_arrow_keys(held: Page):
    held.get_by_role("button", name="Lay something in on Dusk").tap()
    held.get_by_role("button", name="Gradient: Dark foot").tap()
    stop = held.get_by_role("button", name=re.compile("^Stop 2: #"))
    expect(stop).to_be_visible()
    x, y = middle(held, stop)
    bar = held.get_by_title("Press between the stops to add one").bounding_box()
    Finger(held).pull((x, y), (bar["x"] + bar["width"] * 0.7, y))
    expect(held.get_by_role("button", name=re.compile("^Stop 2: .* at (69|70|71) %"))).to_be_visible()
    held.get_by_role("button", name=re.compile("^Stop 2: #")).press("Shift+ArrowLeft")
    expect(held.get_by_role("button", name=re.compile("^Stop 2: .* at (59|60|61) %"))).to_be_visible()


def test_a_picture_on_a_screen_follows_a_finger(held: Page):
    held.get_by_role("button", name="Glasshouse at dawn", exact=True).tap()
    expect(held.get_by_text("50 %").first).to_be_visible()
    box = held.locator("iframe[title$='on phone']").bounding_box()
    Finger(held).pull((box["x"] + 120, box["y"] + 90), (box["x"] + 60, box["y"] + 90))
    expect(frame(held, "desktop").locator(".gf-dawn")).to_have_css(
        "background-position", re.compile(r"^(9\d|100)(\.\d+)?% 44%$")
    )


def test_a_page_mended_stays_on_the_screens_while_its_card_was_tapped_last(held: Page):
    held.keyboard.press("r")
    strip = held.get_by_role("region", name="Ways out")
    strip.get_by_role("button", name="Mend the page").tap()
    shaded = strip.get_by_role("article", name="A shade")
    shade = frame(held, "phone").locator(".gf-shade")
    shaded.get_by_role("heading").tap()
    expect(shade).to_have_count(1)
    strip.get_by_role("article", name="A soft shade behind the words").get_by_role("heading").tap()
    expect(shade).to_have_count(0)
    dusk = frame(held, "phone").locator(".gf-dusk")
    expect(dusk).to_have_count(0)  # the soft shade stands instead of it
    strip.get_by_role("button", name="Leave it as it is").tap()
    expect(dusk).to_have_css("opacity", "0.2")
