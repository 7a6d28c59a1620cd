"""Take docs/screenshots/ from the running application with the sample site, in headless Chromium."""

import tempfile
from collections.abc import Callable
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

from garnetfern.api.local import run_locally
from garnetfern.cli import start_site

HOUSE = Path(__file__).resolve().parent.parent
TARGET = HOUSE / "docs" / "screenshots"
SIZE = {"width": 1280, "height": 800}


def _settled(page: Page) -> None:
    page.wait_for_timeout(1200)


def _card(name: str) -> Callable[[Page], None]:
    return lambda page: page.get_by_role("button", name=name, exact=True).first.click()


def _readable(page: Page) -> None:
    page.get_by_role("button", name="Dusk", exact=True).click()
    page.get_by_role("button", name="Make it").click()
    page.get_by_text("Every word can be read on every screen.").wait_for()


SHOTS: dict[str, Callable[[Page], None]] = {
    "bench": lambda _: None,
    "bench-picture": _card("Glasshouse at dawn"),
    "bench-words": _card("Words"),
    "bench-readable": _readable,
    "take-away": _card("Take away"),
    "in-place": lambda page: page.keyboard.press("v"),
}
"""In this order, on one site: each goes on from the one before."""


def main() -> None:
    """Take all pictures, and the bench once more in the dark theme."""
    TARGET.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        start_site(Path(folder), demo=True)
        running = run_locally(Path(folder))
        browser = play.chromium.launch(executable_path="/usr/bin/chromium", args=["--no-sandbox", "--disable-gpu"])
        for scheme in ("dark", "light"):
            page = browser.new_context(viewport=SIZE, color_scheme=scheme).new_page()  # type: ignore[arg-type]
            page.goto(running.address)
            page.get_by_role("button", name="Make it").wait_for(timeout=60_000)
            for name, prepare in SHOTS.items() if scheme == "light" else [("bench-dark", SHOTS["bench"])]:
                prepare(page)
                _settled(page)
                page.screenshot(path=TARGET / f"{name}.png")
        browser.close()
        running.stop()


if __name__ == "__main__":
    main()
