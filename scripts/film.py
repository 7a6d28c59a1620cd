"""Draw docs/film.webp from the running application: a picture dropped, words typed, falling short, mended."""

import io
import re
import sys
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from pathlib import Path

from fontTools.ttLib import TTFont
from PIL import Image, ImageDraw, ImageFont, ImageOps
from playwright.sync_api import Locator, Page, expect, sync_playwright

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.api.local import run_locally  # noqa: E402
from garnetfern.cli import start_site  # noqa: E402
from garnetfern.demo import FERN_HOUSE  # noqa: E402
from garnetfern.demo.pictures import draw_picture  # noqa: E402
from garnetfern.sandbox.room import shared_room  # noqa: E402
from tests.referee.browser import CHROMIUM  # noqa: E402

TARGET = HOUSE / "docs" / "film.webp"
FONT = HOUSE / "garnetfern" / "fonts" / "hanken-grotesk-latin-wght-normal.woff2"
SIZE = (1280, 800)
"""The window, px."""
SHOWN = (960, 600)
"""The same in the film, px."""
FOOT = 44
"""The line of words below it, px."""
STEP = 80
"""How long a frame lasts while the pointer moves, ms."""
PAPER, INK = "#20302a", "#fbf7ee"
ARROW = ((0, 0), (0, 17), (4, 13), (7, 19), (10, 18), (7, 12), (12, 12))

WORDS = "Ferns for every windowsill"
DROPPED = "Long bench.png"


def _picture() -> bytes:
    """The picture that is dropped: the sample's reading room, seen the other way round."""
    out = io.BytesIO()
    ImageOps.mirror(Image.open(io.BytesIO(draw_picture("reading-room")))).resize((1500, 1000)).save(out, "PNG")
    return out.getvalue()


def _font() -> ImageFont.FreeTypeFont:
    """What the line below is set in."""
    out = io.BytesIO()
    font = TTFont(FONT)
    font.flavor = None
    font.save(out)
    return ImageFont.truetype(io.BytesIO(out.getvalue()), 19)


@dataclass
class Film:
    """Frames with their times, and where the pointer is, px of the window."""

    page: Page
    font: ImageFont.FreeTypeFont
    at: tuple[float, float] = (640, 500)
    said: str = ""
    frames: list[Image.Image] = field(default_factory=list)
    times: list[int] = field(default_factory=list)
    still: Image.Image = field(default_factory=lambda: Image.new("RGB", SHOWN))
    carried: Image.Image | None = None

    def look(self, time: int = 0) -> None:
        """Take what the window shows now."""
        shot = Image.open(io.BytesIO(self.page.screenshot())).convert("RGB")
        self.still = shot.resize(SHOWN, Image.Resampling.LANCZOS)
        if time:
            self.hold(time)

    def hold(self, time: int) -> None:
        """Stay for some ms."""
        self.frames.append(self._frame())
        self.times.append(time)

    def _frame(self) -> Image.Image:
        frame = Image.new("RGB", (SHOWN[0], SHOWN[1] + FOOT), PAPER)
        frame.paste(self.still, (0, 0))
        pen = ImageDraw.Draw(frame)
        x, y = (v * SHOWN[0] / SIZE[0] for v in self.at)
        if self.carried:
            frame.paste(self.carried, (round(x + 10), round(y + 8)))
        pen.polygon([(x + a, y + b) for a, b in ARROW], "#101814", "#ffffff")
        pen.text((SHOWN[0] / 2, SHOWN[1] + FOOT / 2), self.said, INK, self.font, "mm")
        return frame

    def go(self, to: tuple[float, float], steps: int = 8) -> None:
        """Move the pointer there, slower at both ends."""
        start = self.at
        for n in range(1, steps + 1):
            t = n / steps
            t = t * t * (3 - 2 * t)
            self.at = (start[0] + (to[0] - start[0]) * t, start[1] + (to[1] - start[1]) * t)
            self.hold(STEP)

    def to(self, what: Locator, steps: int = 8) -> None:
        """Move the pointer to the middle of something."""
        box = what.bounding_box()
        assert box, "it is in sight"
        self.go((box["x"] + box["width"] / 2, box["y"] + box["height"] / 2), steps)

    def press(self, what: Locator) -> None:
        """Move there and press; looks at what comes of it are taken later."""
        self.to(what)
        what.click()

    def save(self) -> None:
        """As an animated WebP that goes on and on."""
        first, *others = self.frames
        first.save(
            TARGET, save_all=True, append_images=others, duration=self.times, loop=0, quality=58, method=6, kmax=60
        )


DROP = """([name, bytes]) => {
  const carried = new DataTransfer();
  carried.items.add(new File([new Uint8Array(bytes)], name, { type: 'image/png' }));
  return carried;
}"""


def _dropped(film: Film) -> None:
    page, data = film.page, _picture()
    film.said = "Drop a picture on the window …"
    film.look(1600)
    small = Image.open(io.BytesIO(data)).convert("RGB")
    film.carried = small.resize((120, 80))
    film.at = (1276, 700)
    carried = page.evaluate_handle(DROP, [DROPPED, list(data)])
    page.dispatch_event("body", "dragenter", {"dataTransfer": carried})
    page.get_by_text("Let go to put it behind Banner").wait_for()
    film.look()
    film.go((360, 240), 14)
    page.dispatch_event("body", "drop", {"dataTransfer": carried})
    film.carried = None
    page.get_by_role("button", name="Long bench", exact=True).wait_for()
    expect(page.get_by_text(re.compile("of words fall"))).to_be_visible()
    page.wait_for_timeout(4000)
    film.look(900)


def _typed(film: Film) -> None:
    page = film.page
    film.said = "… type your words …"
    film.press(page.get_by_role("button", name="Words", exact=True).last)
    field_ = page.get_by_role("textbox", name="Words", exact=True)
    film.look()
    film.press(field_)
    field_.fill("")
    for n in range(2, len(WORDS) + 1, 3):
        field_.fill(WORDS[:n])
        page.wait_for_timeout(260)
        film.look(170)
    field_.fill(WORDS)
    field_.blur()
    page.wait_for_timeout(2000)
    film.look(500)


def _short(film: Film) -> None:
    page = film.page
    film.said = "… and see where they cannot be read, on three screens, to the letter."
    page.wait_for_timeout(800)
    film.look(900)
    for screen in ("Desktop", "Tablet", "Phone"):
        film.to(page.get_by_role("list", name=f"Readings on {screen}").get_by_role("listitem").first, 6)
        film.hold(400)


def _mended(film: Film) -> None:
    page = film.page
    film.said = "Ways out are computed, each with what it leaves of the picture."
    film.press(page.get_by_role("button", name="Ways out"))
    page.get_by_role("article").first.wait_for(timeout=60_000)
    page.get_by_role("button", name="Stop").wait_for(state="detached", timeout=60_000)
    film.look(600)
    film.press(page.get_by_role("button", name="Mend the page"))
    page.get_by_role("button", name="Do this").first.wait_for(timeout=60_000)
    page.get_by_role("button", name="Stop").wait_for(state="detached", timeout=60_000)
    film.look(1000)
    way = page.get_by_role("article").first
    film.to(way.get_by_role("heading").first)
    way.get_by_role("heading").first.hover()
    page.wait_for_timeout(1800)
    film.look(1300)
    film.press(way.get_by_role("button", name="Do this"))
    page.get_by_text("Every word can be read on every screen").wait_for()
    page.wait_for_timeout(2500)
    film.said = "Every word can be read. Take away plain CSS, HTML and pictures."
    film.at = (900, 640)
    film.look(3400)


SCENES = (_dropped, _typed, _short, _mended)


@contextmanager
def _bench() -> Iterator[Page]:
    """The bench with the sample, all of it there."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        start_site(Path(folder), demo=True)
        shared_room().pool.warm()
        running = run_locally(Path(folder))
        browser = play.chromium.launch(executable_path=CHROMIUM, args=["--no-sandbox", "--disable-gpu"])
        page = browser.new_context(viewport={"width": SIZE[0], "height": SIZE[1]}).new_page()
        page.goto(f"{running.address}?site={FERN_HOUSE}")
        page.get_by_role("button", name="Make it").wait_for(timeout=60_000)
        page.wait_for_timeout(3000)
        yield page
        browser.close()
        running.stop()


def main() -> None:
    """Play the scenes one after the other, and keep them."""
    with _bench() as page:
        film = Film(page, _font())
        for scene in SCENES:
            scene(film)
        film.save()
        print(f"{len(film.frames)} frames, {sum(film.times) / 1000:.1f} s, {TARGET.stat().st_size / 1e6:.2f} MB")


if __name__ == "__main__":
    main()
