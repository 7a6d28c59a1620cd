"""Pictures: from an upload to its first sight, framing, and derivatives, beside the plainest Pillow script."""

import io
import statistics
import tempfile
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

import numpy as np
from PIL import Image

from garnetfern.cli import start_site
from garnetfern.core.picture.budget import KINDS
from garnetfern.core.resolve.image import renditions
from garnetfern.service.edits.pictures import LayPicture
from garnetfern.service.files.fitting import Wanted
from garnetfern.service.views.framing import framing
from garnetfern.service.workspace.house import first_site

SIZE = (4000, 3000)
TIMES = 3


def _photograph() -> bytes:
    """A 12-megapixel JPEG with detail everywhere."""
    rng = np.random.default_rng(5)
    small = rng.integers(0, 256, (SIZE[1] // 20, SIZE[0] // 20, 3), dtype=np.uint8)
    image = Image.fromarray(small).resize(SIZE, Image.Resampling.BICUBIC)
    out = io.BytesIO()
    image.save(out, "JPEG", quality=90)
    return out.getvalue()


def _timed(work: Callable[[], Any], times: int = TIMES) -> float:
    found = []
    for _ in range(times):
        start = time.perf_counter()
        work()
        found.append(time.perf_counter() - start)
    return statistics.median(found) * 1000


def _plain_sight(data: bytes) -> None:
    """What anybody would write: open, shrink, save as WebP."""
    image = Image.open(io.BytesIO(data)).convert("RGB")
    image.thumbnail((2000, 1500))
    image.save(io.BytesIO(), "WEBP", quality=82)


def _plain_derivatives(data: bytes, widths: list[int]) -> None:
    image = Image.open(io.BytesIO(data)).convert("RGB")
    for width in widths:
        small = image.resize((width, round(image.height * width / image.width)), Image.Resampling.LANCZOS)
        for kind, quality in (("AVIF", 60), ("WEBP", 82), ("JPEG", 85)):
            small.save(io.BytesIO(), kind, quality=quality)


def measure() -> list[str]:
    """The lines of the report."""
    data = _photograph()
    with tempfile.TemporaryDirectory() as folder:
        start_site(Path(folder), demo=True)
        studio = first_site(Path(folder))
        studio.warm()
        fresh = iter(range(1000))

        def sight() -> None:
            """Take it in, show it in the banner, and make the file the widest screen asks for."""
            asset = studio.add_picture(data + bytes(str(next(fresh)), "ascii"), "twelve.jpg")
            lay = LayPicture(page="home", area="banner", asset=asset, layer="dawn")
            studio.edit(studio.state().revision, lay)
            site = studio.site()
            emission = studio.emitted(site, site.pages[0])
            assert "twelve" in emission.css
            wide = next(r for r in renditions(site.asset(asset.id)) if r.width >= 1600)
            studio.pictures.data(wide)

        seen = _timed(sight)
        site = studio.site()
        page = site.pages[0]

        def drag() -> None:
            framing(site, page, "banner", "dawn", studio.looks, studio.fonts)

        drag()
        dragged = _timed(drag, 12)
        asset = next(a for a in site.assets if a.name.startswith("twelve"))
        wanted = [r for r in renditions(asset) if r.width in (800, 1600)]

        def derive() -> None:
            for rendition in wanted:
                for kind in KINDS:
                    studio.fitting.make(Wanted(asset, rendition, 180_000), kind)

        derived = _timed(derive, 1)
        studio.close()
    plain = _timed(lambda: _plain_sight(data))
    simple = _timed(lambda: _plain_derivatives(data, [800, 1600]), 1)
    return [
        "A picture of 12 megapixels (4000 × 3000, JPEG), everything in one run:",
        "",
        "| | this | plainest Pillow script | ratio |",
        "|---|---|---|---|",
        f"| from the upload to the file the desktop shows (checked, looked at, kept, laid in) | {seen:.0f} ms "
        f"| {plain:.0f} ms | {seen / plain:.1f} |",
        f"| the framing sheet while a focal point is dragged, all screens | {dragged:.0f} ms | | |",
        f"| AVIF, WebP and JPEG of two widths, fitted to 180 kB with SSIM | {derived:.0f} ms "
        f"| {simple:.0f} ms at fixed qualities | {derived / simple:.1f} |",
    ]
