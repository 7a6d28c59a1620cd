"""The time line of a banner of six pictures in turn: cold, after one of them changed, and what pulling shows."""

import statistics
import time
from typing import Any

from garnetfern.core.document import Page, Site, read_site
from garnetfern.core.reading import Reader
from garnetfern.core.reading.times import TimeRun
from garnetfern.demo import demo_site_file
from garnetfern.fonts import shipped_fonts
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


def measure() -> list[str]:
    """The lines of the report."""
    file = demo_site_file()
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
    ]


if __name__ == "__main__":
    print("\n".join(measure()))
