"""Take docs/screenshots/ from the running application with the sample site, in headless Chromium: all, or some."""

import re
import sys
import tempfile
from collections.abc import Callable
from pathlib import Path

from playwright.sync_api import FilePayload, Page, sync_playwright

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from benchmarks.quiet import at_rest  # noqa: E402
from garnetfern.api.local import run_locally  # noqa: E402
from garnetfern.cli import start_site  # noqa: E402
from garnetfern.demo import FERN_HOUSE  # noqa: E402
from garnetfern.demo.pictures import draw_picture  # noqa: E402
from tests.referee.browser import CHROMIUM  # noqa: E402

TARGET = HOUSE / "docs" / "screenshots"
SIZE = {"width": 1280, "height": 800}


CARDS = """[...document.querySelectorAll('.stage')].every((card) => card.querySelector('img'))
  && [...document.images].every((image) => image.complete && image.naturalWidth > 0)"""


def _settled(page: Page) -> None:
    """Nothing changes any more, every card of a build-up has its picture, and every picture has come."""
    # the page's own policies let nothing be evaluated in it again and again, as `wait_for_function` does
    for _ in range(300):
        if page.evaluate(CARDS):
            break
        page.wait_for_timeout(200)
    page.wait_for_timeout(1200)


def _card(name: str) -> Callable[[Page], None]:
    return lambda page: page.get_by_role("button", name=name, exact=True).first.click()


def _view(name: str) -> Callable[[Page], None]:
    return lambda page: page.get_by_role("navigation", name="Views").get_by_role("button", name=name).click()


def _pages(page: Page) -> None:
    _view("Pages")(page)
    page.get_by_role("status").filter(has_text=re.compile("of 8 pages")).wait_for()
    for _ in range(100):
        if page.evaluate(
            "document.images.length > 5 && [...document.images].every((i) => i.complete && i.naturalWidth)"
        ):
            break
        page.wait_for_timeout(200)


def _framing(page: Page) -> None:
    page.keyboard.press("f")
    page.get_by_label("what matters").check()


def _shelf(page: Page) -> None:
    _view("Shelf")(page)
    page.get_by_role("button", name="Fern tile.png").click()


def _tab(name: str) -> Callable[[Page], None]:
    return lambda page: page.get_by_role("tab", name=name).click()


def _sites(page: Page) -> None:
    page.get_by_role("button", name=re.compile("^Sites, .* is open$")).click()
    page.locator("[data-site] img").nth(2).wait_for()


def _calendar(page: Page) -> None:
    _view("Calendar")(page)
    page.get_by_role("img", name=re.compile(" on ")).wait_for()


def _words(page: Page) -> None:
    _view("Bench")(page)
    _card("Words")(page)


def _begin(page: Page) -> None:
    """The empty site of the sample, with a picture and words that are about to be put together."""
    page.get_by_role("heading", name="Begin", exact=True).wait_for()
    picture: FilePayload = {
        "name": "misted-panes.jpg",
        "mimeType": "image/jpeg",
        "buffer": draw_picture("misted-panes"),
    }
    page.get_by_label("A picture", exact=True).set_input_files(picture)
    page.get_by_role("textbox", name="What your visitors shall read").fill("Ferns for every windowsill")
    page.get_by_role("button", name="choose another picture").wait_for()


def _ways_out(page: Page) -> None:
    _view("Bench")(page)
    page.get_by_label("Page", exact=True).select_option("home")
    page.get_by_text("falls short on the phone").wait_for()
    page.mouse.move(5, 300)
    page.keyboard.press("r")
    page.get_by_role("article").first.wait_for()
    page.get_by_role("button", name="Stop").wait_for(state="detached")


def _taken(page: Page) -> None:
    page.get_by_role("article").first.get_by_role("button", name="Do this").click()
    page.get_by_text("Every word can be read on every screen").wait_for()
    _card("Take away")(page)
    page.get_by_text("unpacked").wait_for()


CSS = """.hall {
  background: linear-gradient(90deg, #10201acc, #10201a00 70%), url(reading-room.jpg) center / cover;
  min-height: 420px;
}
@media (max-width: 600px) {
  .hall { background-position: 0 0, 80% 50%; }
}
.fair { background: radial-gradient(circle at 25% 30%, #f2d9a0, transparent 55%), #7a1f2b }
.fair:hover { background: #40101a }
"""


def _bring(page: Page) -> None:
    page.keyboard.press("Escape")
    _view("Bring in")(page)
    page.get_by_label("CSS or HTML").fill(CSS)
    page.get_by_role("button", name="Read it").click()
    page.get_by_role("article", name=".fair").get_by_role("img").wait_for()


def _schemes(page: Page) -> None:
    page.keyboard.press("Escape")
    _view("Schemes")(page)
    page.get_by_role("button", name="Slate path").click()


def _situations(page: Page) -> None:
    page.get_by_role("button", name="Leave it").click()
    _view("Situations")(page)
    page.get_by_text("of 100 visits can read everything").wait_for(timeout=90_000)
    page.get_by_role("slider", name="Width of the page").press("ArrowRight")


def _banners(page: Page) -> None:
    page.keyboard.press("Escape")
    _view("Bench")(page)
    page.get_by_role("button", name="Close", exact=True).click()
    page.get_by_label("Page", exact=True).select_option("home")
    page.get_by_role("button", name="Banner", exact=True).click()
    page.get_by_role("button", name="Whole banners").click()
    page.get_by_role("article").nth(5).wait_for(timeout=60_000)
    page.get_by_role("button", name="Stop").wait_for(state="detached")


def _eyes(page: Page) -> None:
    page.get_by_role("button", name="Eyes", exact=True).click()
    page.get_by_role("radio", name="Green-weak eyes").check()
    page.get_by_role("button", name="Own eyes again").wait_for()
    page.locator("#veil-phone").wait_for(state="attached")


def _film(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_label("Page", exact=True).select_option("fair-morning")
    _card("Mist and sun")(page)
    page.get_by_role("status").filter(has_text=re.compile("short: film|Readable at")).wait_for()
    page.frame_locator("iframe").first.locator("video").wait_for(state="attached", timeout=180_000)
    page.get_by_role("slider", name="Time of Mist and sun").focus()
    for _ in range(3):
        page.keyboard.press("Shift+ArrowRight")


def _measured(page: Page, number: int) -> None:
    button = page.get_by_role("button", name=f"Put release {number} live", exact=True)
    button.and_(page.locator(":enabled")).wait_for(timeout=300_000)


def _release(page: Page) -> None:
    _view("Release")(page)
    _measured(page, 1)
    page.get_by_role("button", name="Put release 1 live").click()
    page.get_by_role("button", name="Put it live all the same").or_(page.get_by_text("nothing new since")).click()
    page.get_by_text("There is nothing new since.").wait_for(timeout=300_000)
    page.get_by_role("button", name="Undo", exact=True).click()
    page.get_by_role("button", name="Close", exact=True).click()
    _measured(page, 2)


SHOTS: dict[str, Callable[[Page], None]] = {
    "bench": lambda _: None,
    "bench-picture": _card("Glasshouse at dawn"),
    "pages": _pages,
    "framing": _framing,
    "bench-words": _words,
    "bring-in": _bring,
    "schemes": _schemes,
    "situations": _situations,
    "shelf": _shelf,
    "sites": _sites,
    "calendar": _calendar,
    "ways-out": _ways_out,
    "take-away": _taken,
    "in-place": lambda page: page.keyboard.press("v"),
    "whole-banners": _banners,
    "bench-film": _film,
    "release": _release,
}
"""In this order, on one site: each goes on from the one before."""


def main() -> None:
    """Take all pictures, and the bench through other eyes in the dark theme."""
    named = set(sys.argv[1:])
    if unknown := named - {*SHOTS, "other-eyes", "begin"}:
        sys.exit(f"There is no picture called {', '.join(sorted(unknown))}.")

    def wanted(name: str) -> bool:
        return not named or name in named

    TARGET.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        start_site(Path(folder), demo=True)
        running = run_locally(Path(folder))
        browser = play.chromium.launch(executable_path=CHROMIUM, args=["--no-sandbox", "--disable-gpu"])
        for scheme in ("dark", "light"):
            page = browser.new_context(viewport=SIZE, color_scheme=scheme).new_page()  # type: ignore[arg-type]
            page.goto(f"{running.address}?site={FERN_HOUSE}")
            page.get_by_role("button", name="Make it").wait_for(timeout=60_000)
            at_rest(page, running.address)
            for name, prepare in SHOTS.items() if scheme == "light" else [("other-eyes", _eyes)]:
                if not wanted(name):
                    continue
                prepare(page)
                _settled(page)
                page.screenshot(path=TARGET / f"{name}.png")
        if wanted("begin"):
            page.goto(f"{running.address}?site=my-site")
            _begin(page)
            _settled(page)
            page.screenshot(path=TARGET / "begin.png")
        browser.close()
        running.stop()


if __name__ == "__main__":
    main()
