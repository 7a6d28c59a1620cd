"""Pages that move, paused in the browser at one true moment: every animation of a page at the same own time."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np
from playwright.sync_api import Browser

from garnetfern.core.css import bundle_files
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.reading import Reader
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.met import Met
from garnetfern.core.resolve.moment import Moment
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from garnetfern.service.files.site_file import SiteFile

from .browser import HIDDEN, Opened

FREEZE = "*, *::before, *::after { animation-play-state: paused !important; }"
SEEK = """async (seconds) => {
  const moving = document.getAnimations().filter((a) => a.timeline === document.timeline);
  for (const one of moving) {
    const { delay, duration } = one.effect.getTiming();
    // below 0 is the time before an animation begins, even where its delay is negative
    one.currentTime = seconds * 1000 + delay + (delay < 0 ? duration : 0);
  }
  for (const film of document.querySelectorAll('.gf-layer > video')) {
    if (film.readyState < 2) await new Promise((done) => (film.oncanplay = film.onerror = done));
    film.pause();
    film.loop = false;  // held on its last picture it would begin anew by itself
    // a picture that is sought is presented some time after it was found: wait for the one of this time
    if (film.presented === undefined) {
      film.presented = -1;
      const watch = (_, { mediaTime }) => {
        film.presented = mediaTime;
        film.fresh = true;
        film.requestVideoFrameCallback(watch);
      };
      film.requestVideoFrameCallback(watch);
    }
    const wanted = seconds % film.duration;
    film.fresh = false;
    film.currentTime = wanted;
    await new Promise((done) => (film.onseeked = film.onerror = done));
    // where it is the one that is there already, none is presented; a busy machine takes its time
    for (let n = 0; n < 400; n++) {
      const near = film.presented <= wanted + 1e-3 && wanted - film.presented < 0.09;
      if (near && (film.fresh || n > 40)) break;
      await new Promise((done) => setTimeout(done, 50));
    }
  }
  const shown = [...document.querySelectorAll('.gf-layer')].map((e) => getComputedStyle(e).backgroundImage);
  const files = new Set(shown.flatMap((text) => [...text.matchAll(/url\\("([^"]+)"\\)/g)].map((found) => found[1])));
  const decoded = (file) => Object.assign(new Image(), { src: file }).decode().catch(() => {});
  await Promise.all([...files].map(decoded));
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  return moving.length;
}"""


def frozen(opened: Opened) -> Opened:
    """A page on which nothing goes on by itself."""
    opened.page.add_style_tag(content=FREEZE)
    return opened


def sought(opened: Opened, seconds: float) -> int:
    """Brings all that moves to one time; gives how many animations there are."""
    return int(opened.page.evaluate(SEEK, seconds))


@dataclass(frozen=True)
class Beside:
    """The area at a moment in both: mean and greatest difference of 255."""

    name: str
    mean: float
    worst: float


def beside(
    browser: Browser,
    file: SiteFile,
    times: list[float],
    viewport: tuple[int, int],
    density: int = 1,
    files: dict[str, bytes] | None = None,
) -> Iterator[Beside]:
    """The whole page at each time, core and browser; `files`: its bundle, where that is no plain one."""
    pictures = MemoryPictures(file.pictures)
    reader = Reader(shipped_fonts(), pictures)
    opened = Opened(browser, files or bundle_files(file.site, reader.fonts, pictures.file), density)
    frozen(opened.at(*viewport))
    met = Met(file.site, file.site.pages[0], reader.fonts)
    try:
        for time in times:
            sought(opened, time)
            seen = opened.styled(HIDDEN)
            record = met.at(Moment(Viewport(*viewport), time=time))
            region = (0, 0, viewport[0], min(seen.shape[0], int(record.height)))
            drawn = paint_backdrops(record, region, reader.pictures).astype(np.float32)
            off = np.abs(drawn - seen[: region[3]])
            yield Beside(f"{file.site.name} at {time:g} s", float(off.mean()), float(off.max()))
    finally:
        opened.close()
