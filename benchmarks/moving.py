"""The time line of a banner of six pictures in turn, cold and after one of them changed; the time line of a film."""

import statistics
import time
from typing import Any

from garnetfern.core.document import Page, Site, read_site, with_backdrop
from garnetfern.core.reading import Reader
from garnetfern.core.reading.times import TimeRun
from garnetfern.demo import demo_site_file
from garnetfern.fonts import shipped_fonts
from garnetfern.sandbox import shared_room
from garnetfern.service.files.memory import MemoryPictures

SIX = ("glasshouse-dawn", "misted-panes", "lantern-night", "fern-close", "reading-room", "glasshouse-dawn")
RUNS = 5


def six_in_turn(site: Site) -> Site:
    """The sample site, its home banner with six pictures in turn instead of one."""
    plain: dict[str, Any] = site.model_dump(mode="json")
    layers = plain["pages"][0]["bands"][1]["backdrop"]["layers"]
    members = [
        {"layer": {"kind": "image", "id": f"turn-{n}", "name": f"Turn {n}", "asset": asset, "focal": [0.1 * n, 0.5]}}
        for n, asset in enumerate(SIX)
    ]
    layers[0] = {"kind": "sequence", "id": "dawn", "name": "Turns", "members": members}
    return read_site(plain)


def _moved(site: Site, n: int) -> Site:
    plain: dict[str, Any] = site.model_dump(mode="json")
    member = plain["pages"][0]["bands"][1]["backdrop"]["layers"][0]["members"][2]
    member["layer"]["focal"] = [0.3 + 0.01 * n, 0.4]
    return read_site(plain)


def _run(reader: Reader, site: Site) -> float:
    page: Page = site.pages[0]
    begin = time.perf_counter()
    points = TimeRun(reader, site, page, "banner", page.bands[1].backdrop.layers[0]).run()
    assert points
    return time.perf_counter() - begin


def _film(pictures: MemoryPictures, site: Site) -> tuple[float, float]:
    """The time line of the sample's film, s: its frames not yet decoded, and all at hand after an overlay changed."""
    page = next(p for p in site.pages if p.id == "fair-morning")
    band = page.bands[1]
    reader = Reader(shipped_fonts(), pictures)
    times = []
    for opacity in (0.42, 0.5):
        layers = (band.backdrop.layers[0], band.backdrop.layers[1].model_copy(update={"opacity": opacity}))
        shown = with_backdrop(page, band.id, band.backdrop.model_copy(update={"layers": layers}))
        begin = time.perf_counter()
        assert TimeRun(reader, site, shown, band.id, layers[0]).run()
        times.append(time.perf_counter() - begin)
    return times[0], times[1]


def measure() -> list[str]:
    """The lines of the report."""
    file = demo_site_file()
    shared_room().pool.warm()
    films = [_film(MemoryPictures(file.pictures), file.site) for _ in range(RUNS)]
    site, pictures = six_in_turn(file.site), MemoryPictures(file.pictures)
    cold, changed = [], []
    for _ in range(RUNS):
        reader = Reader(shipped_fonts(), pictures)
        cold.append(_run(reader, site))
        changed += [_run(reader, _moved(site, n)) for n in range(4)]
    return [
        "The time line of a banner of six pictures in turn, two blocks of words, three screens:",
        "",
        "| | median | worst | wanted |",
        "|---|---|---|---|",
        f"| cold | {statistics.median(cold):.2f} s | {max(cold):.2f} s | 1.0 s |",
        f"| after one of them changed | {statistics.median(changed):.2f} s | {max(changed):.2f} s | 0.2 s |",
        "",
        "The time line of a film of six seconds, 1280 x 720, 24 pictures a second; two blocks of words, three screens:",
        "",
        "| | median | worst |",
        "|---|---|---|",
        *(
            f"| {what} | {statistics.median(found):.2f} s | {max(found):.2f} s |"
            for what, found in zip(
                ("no frame decoded yet", "after the overlay changed"), zip(*films, strict=True), strict=True
            )
        ),
    ]


if __name__ == "__main__":
    print("\n".join(measure()))
