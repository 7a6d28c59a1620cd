"""The same journey through every view in four windows: nothing covers anything, leaves the window, is cut or jumps."""

import re
from collections.abc import Callable, Iterator

import pytest
from playwright.sync_api import Browser, Locator, Page, expect

from garnetfern.api.local import Running
from tests.sampled import sampled

from .looking import LOOK, SHIFTS
from .test_access import AXE, FLAT, RUN

WINDOWS = {"wide": (1280, 800), "medium": (1024, 768), "narrow": (720, 900), "hand": (390, 844), "zoomed": (640, 400)}
"""`zoomed` is a window of 1280 x 800 at 200 % (WCAG 2.2, 1.4.4 and 1.4.10)."""
FINE = {*range(200, 400), 409}
JUMP = 0.1
"""The layout shift that is called good (Web Vitals' own measure)."""


WIDE = [("wide", "light"), ("wide", "dark")]
OTHERS = [(name, "light") for name in WINDOWS if name != "wide"]


@pytest.fixture(params=[*sampled(WIDE, 1), *sampled(OTHERS, 1)], ids="-".join)
def window(request, running: Running, browser: Browser) -> Iterator[Page]:
    name, theme = request.param
    width, height = WINDOWS[name]
    context = browser.new_context(
        viewport={"width": width, "height": height}, has_touch=name == "hand", color_scheme=theme
    )
    context.grant_permissions(["clipboard-read", "clipboard-write"])
    context.set_default_timeout(60_000)
    page = context.new_page()
    troubles: list[str] = []
    page.on("pageerror", lambda error: troubles.append(str(error)))
    # a preview that is overtaken by a step is answered with 409, and asked for anew
    page.on("console", lambda m: troubles.append(m.text) if m.type == "error" and "409" not in m.text else None)
    page.on("response", lambda r: troubles.append(f"{r.status} {r.url}") if r.status not in FINE else None)
    page.add_init_script(f"({SHIFTS})()")
    page.goto(running.address)
    page.get_by_role("heading", name="Garnetfern").wait_for()
    page.get_by_text("falls short on the phone").wait_for()
    yield page
    context.close()
    assert troubles == []


def opened(page: Page, name: str) -> None:
    """Go to a view, by its word or by the menu that the words are folded into."""
    word = page.get_by_role("navigation", name="Views").get_by_role("button", name=name)
    if word.is_visible():
        word.click()
        return
    page.get_by_role("button", name=re.compile("^View: ")).click()
    page.get_by_role("menuitem", name=name).click()


def _drawer(page: Page, name: str) -> None:
    """Where build-up and settings are in a drawer: open it."""
    handle = page.get_by_role("group", name="Drawer").get_by_role("button", name=name)
    if handle.count() and handle.get_attribute("aria-expanded") == "false":
        handle.click()


def _settings(card: str) -> Callable[[Page], None]:
    def look(page: Page) -> None:
        opened(page, "Bench")
        _drawer(page, "Build-up")
        page.get_by_role("button", name=card, exact=True).click()
        _drawer(page, "Settings")
        page.get_by_role("region", name=re.compile("^Settings of")).wait_for()

    return look


def _ways(page: Page) -> None:
    page.get_by_role("button", name="Ways out").click()
    page.get_by_role("article").first.wait_for()
    expect(page.get_by_role("button", name="Stop")).to_have_count(0)


def _banners(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Banner", exact=True).click()
    page.get_by_role("button", name="Whole banners").click()
    page.get_by_role("article").first.wait_for()
    expect(page.get_by_role("button", name="Stop")).to_have_count(0)


def _eyes(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Eyes", exact=True).click()
    page.get_by_role("radio", name="A screen in the sun").check()
    page.get_by_role("button", name="Own eyes again").wait_for(state="attached")
    page.get_by_text(re.compile("^A screen in the sun: .* asked of the page")).wait_for(state="attached")
    # what a press asked for may move what is there
    page.evaluate("window.shifted = 0")


def _tab(view: str, tab: str) -> Callable[[Page], None]:
    def look(page: Page) -> None:
        opened(page, view)
        page.get_by_role("tab", name=tab).click()
        page.wait_for_timeout(500)

    return look


def _situations(page: Page) -> None:
    opened(page, "Situations")
    page.get_by_text("of 100 visits can read").wait_for()


def _take_away(page: Page) -> None:
    opened(page, "Take away")
    page.get_by_text("unpacked").wait_for()


def _release(page: Page) -> None:
    opened(page, "Release")
    # fitting all pictures takes longer than looking at them
    page.get_by_role("button", name="Stop", exact=True).click()
    page.get_by_role("img", name="as it would be").first.wait_for()


def _bring(page: Page) -> None:
    opened(page, "Bring in")
    area = page.get_by_label("CSS or HTML")
    area.fill(".fair { background: linear-gradient(gold, teal); padding: 1px 2px 3px }\n.b:hover { background: red }")
    page.get_by_role("button", name="Read it").click()
    page.get_by_role("article", name=".fair").get_by_role("img").wait_for()


def _panel(page: Page) -> None:
    _settings("Dusk")(page)
    page.get_by_role("button", name="Colour: choose").click()
    page.get_by_role("button", name=re.compile("a tone of")).first.wait_for()


def _turns(page: Page) -> None:
    opened(page, "Bench")
    page.get_by_label("Page", exact=True).select_option("through-the-year")
    _settings("Seasons")(page)
    page.get_by_role("status").filter(has_text=re.compile("short: second picture")).wait_for()


def _pages(page: Page) -> None:
    opened(page, "Pages")
    page.get_by_role("status").filter(has_text=re.compile("of 8 pages")).wait_for()


def _sites(page: Page) -> None:
    page.get_by_role("button", name=re.compile("^Sites, .* is open$|^View: ")).first.click()
    entry = page.get_by_role("menuitem", name="Sites")
    if entry.is_visible():
        entry.click()
    page.locator("[data-site] img").wait_for()


def _calendar(page: Page) -> None:
    opened(page, "Calendar")
    page.get_by_role("slider", name="Day", exact=True).wait_for()
    if page.get_by_text("The same stands every day.").is_visible():
        # what a press asked for may move what is there, however late its answer comes
        page.get_by_role("button", name="A new band").click()
        page.get_by_role("region", name=re.compile("^Rules of ")).wait_for()
        page.wait_for_timeout(100)
        page.evaluate("window.shifted = 0")
    page.get_by_role("region", name=re.compile("^Rules of ")).wait_for()


def _film(page: Page) -> None:
    opened(page, "Bench")
    page.get_by_label("Page", exact=True).select_option("fair-morning")
    _settings("Mist and sun")(page)
    page.get_by_role("status").filter(has_text=re.compile("short: film|Readable at")).wait_for()


PLACES: dict[str, Callable[[Page], None]] = {
    "bench": lambda page: None,
    "a colour": _settings("Dusk"),
    "a picture": _settings("Glasshouse at dawn"),
    "its look": lambda page: page.get_by_role("tab", name="Look, other pictures").click(),
    "words": _settings("Words"),
    "how words arrive": lambda page: page.get_by_role("tab", name="Arrival").click(),
    "the area": _settings("Base"),
    "its size": lambda page: page.get_by_role("tab", name="Size and space").click(),
    "the colour panel": _panel,
    "ways out": _ways,
    "whole banners": _banners,
    "other eyes": _eyes,
    "pages": _pages,
    "sites": _sites,
    "calendar": _calendar,
    "framing": lambda page: opened(page, "Framing"),
    "shelf": lambda page: opened(page, "Shelf"),
    "loan": _tab("Shelf", "Picture loan"),
    "slots": _tab("Shelf", "Exact slots"),
    "looks": _tab("Shelf", "Gradients and looks"),
    "schemes": lambda page: opened(page, "Schemes"),
    "take away": _take_away,
    "situations": _situations,
    "release": _release,
    "bring in": _bring,
    "turns": _turns,
    "who takes turns": lambda page: page.get_by_role("tab", name="Who takes turns").click(),
    "film": _film,
    "its place": lambda page: page.get_by_role("tab", name="Size and place").click(),
    "its files": lambda page: page.get_by_role("tab", name="Files").click(),
    "keys": lambda page: page.keyboard.press("?"),
}
GO_ON = {"its look", "how words arrive", "its size", "who takes turns", "its place", "its files"}
"""Places that are a step further than the one before them."""


def _walk() -> dict[str, Callable[[Page], None]]:
    """Some places in their order, others for each state of the code; each with what goes on from it."""
    begun = sampled([place for place in PLACES if place not in GO_ON], 9)
    found, taken = {}, False
    for place, go in PLACES.items():
        taken = taken if place in GO_ON else place in begun
        if taken:
            found[place] = go
    return found


def _do_the_job(page: Page) -> None:
    """Words typed, a colour made stronger and back, words made readable, a rule taken: by finger where there is one."""
    touch = page.evaluate("navigator.maxTouchPoints > 0")

    def press(found: Locator) -> None:
        if touch:
            found.tap()
        else:
            found.click()

    opened(page, "Bench")
    page.get_by_label("Page", exact=True).select_option("home")
    _settings("Words")(page)
    words = page.get_by_role("region", name="Settings of").get_by_role("textbox", name="Words")
    words.fill("Ferns from A to Z")
    words.blur()
    expect(page.frame_locator("iframe").first.locator("h1")).to_have_text("Ferns from A to Z")
    _settings("Dusk")(page)
    strength = page.get_by_role("textbox", name="Strength in %")
    strength.fill("35")
    strength.press("Enter")
    press(page.get_by_role("button", name="Undo"))
    expect(strength).to_have_value("20 %")
    press(page.get_by_role("button", name="Undo"))
    expect(page.frame_locator("iframe").first.locator("h1")).to_have_text("A hundred ferns under old glass")
    press(page.get_by_role("button", name="Ways out"))
    expect(page.get_by_role("button", name="Stop")).to_have_count(0)
    press(page.get_by_role("article").first.get_by_role("button", name="Do this"))
    expect(page.get_by_text("Every word can be read on every screen")).to_be_visible()
    opened(page, "Take away")
    press(page.get_by_role("button", name="Copy the rule"))
    expect(page.get_by_role("button", name="Copied")).to_be_visible()
    assert page.evaluate("navigator.clipboard.readText()").startswith(".banner {")


def test_every_view_in_every_window(window: Page):
    window.add_style_tag(content=FLAT)
    window.evaluate(AXE.read_text())
    found: dict[str, list[str]] = {}
    places = _walk()
    # axe takes longer than going there
    by_axe = sampled(list(places), 6)
    for place, go in places.items():
        go(window)
        window.wait_for_timeout(450)
        wrong = window.evaluate(LOOK)
        wrong += window.evaluate(RUN) if place in by_axe else []
        window.keyboard.press("Escape")
        if window.evaluate("window.shifted") > JUMP:
            wrong.append(f"it jumps: {window.evaluate('window.shifted')}")
        window.evaluate("window.shifted = 0")
        if wrong:
            found[place] = wrong
    assert found == {}
    _do_the_job(window)


ARABIC = "مئة سرخس تحت زجاج قديم"


@pytest.mark.parametrize("media", [{"forced_colors": "active"}, {"reduced_motion": "reduce"}, {}], ids=str)
def test_forced_colours_less_motion_and_words_from_right_to_left(bench: Page, media):
    bench.emulate_media(**media)
    if not media:
        bench.get_by_role("button", name="Words", exact=True).click()
        bench.get_by_role("textbox", name="Words").fill(ARABIC)
        bench.get_by_role("textbox", name="Words").blur()
        expect(bench.get_by_role("list", name="Readings on Phone").get_by_text(ARABIC)).to_be_visible()
    bench.get_by_role("button", name="Dusk", exact=True).click()
    bench.wait_for_timeout(600)
    assert bench.evaluate(LOOK) == []
    if "reduced_motion" in media:
        moving = (
            "[...document.querySelectorAll('*')].filter((e) => parseFloat(getComputedStyle(e).transitionDuration) > 0)"
        )
        assert bench.evaluate(f"{moving}.length") == 0
    if "forced_colors" in media:
        bench.get_by_role("slider", name="Strength", exact=True).press("ArrowRight")
        outline = bench.evaluate("getComputedStyle(document.activeElement).outlineStyle")
        assert outline != "none"


def test_the_job_is_done_by_keys_alone(bench: Page):
    """From words that fall short to a rule to paste, never touching the mouse."""

    def walk(done: str, most: int = 80) -> None:
        for _ in range(most):
            if bench.evaluate(done):
                return
            bench.keyboard.press("Tab")
        raise AssertionError(f"not reached by Tab: {done}")

    bench.keyboard.press("r")
    bench.get_by_role("article").first.wait_for()
    expect(bench.get_by_role("button", name="Stop")).to_have_count(0)
    walk("document.activeElement.textContent.trim() === 'Do this'")
    bench.keyboard.press("Enter")
    expect(bench.get_by_text("Every word can be read on every screen.")).to_be_visible()
    expect(bench.get_by_role("button", name="Undo")).to_be_enabled()
    bench.wait_for_timeout(500)
    assert not bench.evaluate("document.activeElement === document.body")
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("heading", name="Build-up")).to_be_visible()
    walk("document.activeElement.textContent.trim() === 'Take away'")
    bench.keyboard.press("Enter")
    walk("document.activeElement.textContent.trim() === 'Copy the rule'")
    bench.keyboard.press("Enter")
    expect(bench.get_by_role("button", name="Copied")).to_be_visible()
    assert bench.evaluate("navigator.clipboard.readText()").startswith(".banner {")
