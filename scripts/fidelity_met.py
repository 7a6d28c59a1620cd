"""Measure readings in situations, remedies and the run over widths, and write docs/fidelity-situations.md.

Usage: python scripts/fidelity_met.py [TRIPLES] [REMEDIED] [WIDTHS] [FINE]: how many (page, screen, situation) are
compared with headless Chromium, for how many failing pages remedies are measured there, for how many pages every width
is read, how many pages are compared on a screen of two px per CSS px. A part with 0 is left as it was. Takes about two
seconds a triple, twenty a remedied page and a minute a page of widths (two at a time), ten a page on fine screens.
"""

import json
import sys
import time
from collections import deque
from collections.abc import Callable, Iterator
from concurrent.futures import ProcessPoolExecutor
from dataclasses import asdict, replace
from datetime import UTC, datetime
from functools import partial
from itertools import count, pairwise
from multiprocessing import get_context
from pathlib import Path
from typing import Any

from playwright.sync_api import Browser

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.reading import KINDS, Reader  # noqa: E402
from garnetfern.core.reading.widths import FIRST, LAST, WidthRun  # noqa: E402
from garnetfern.core.remedy.mend import mend  # noqa: E402
from garnetfern.demo import demo_site_file  # noqa: E402
from garnetfern.fonts import shipped_fonts  # noqa: E402
from garnetfern.service.files.memory import MemoryPictures  # noqa: E402
from tests.referee.banners import Sample, generate  # noqa: E402
from tests.referee.browser import chromium  # noqa: E402
from tests.referee.met import fine_screens, generate_met, met  # noqa: E402
from tests.referee.own_fonts import own_book  # noqa: E402
from tests.referee.photographs import photographed, taking_turns  # noqa: E402
from tests.referee.remedied import colours_of, reader_of, search_of, tried  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-situations.md"
KEPT = HOUSE / ".stamps" / "fidelity-situations.json"
"""The figures of the last runs, so that one part can be measured alone."""
Rows = list[dict[str, Any]]
AT_ONCE = 2


def _said(text: str) -> None:
    print(f"\r{time.strftime('%H:%M:%S')} {text:60}", end="", flush=True)


def _samples() -> Iterator[Sample]:
    """The sample site, then generated pages."""
    demo = demo_site_file()
    yield Sample(demo.site, demo.pictures)
    yield from map(generate_met, count())


def triples(browser: Browser, wanted: int) -> Rows:
    """Readings of two blocks each in so many (page, screen, situation), the core's and the browser's."""
    rows: Rows = []
    done: set[str] = set()
    for sample in _samples():
        few = lambda s: s.kind != "scroll" or int(s.id.rsplit("-", 1)[1]) % 3 == 1  # noqa: E731
        for found in met(browser, sample, few, blocks=2):
            done.add(found.name.rsplit(", ", 1)[0])
            row = {"name": found.name, "kind": found.kind, "core": found.core, "seen": found.seen}
            rows.append(row | {"off": found.off, "other": found.other_verdict})
            _said(f"{len(done)} of {wanted} triples")
        if len(done) >= wanted:
            return rows
    return rows


def _page(seed: int) -> tuple[Sample, int]:
    """A banner over drawn pictures, over a photograph that the application has never seen, or over such a one at turns
    with others, each a third; and which of its kind it is."""
    n, kind = divmod(seed, 3)
    return (lambda: generate(20_000 + seed), lambda: photographed(200 + seed), lambda: taking_turns(seed))[kind](), n


def remedied_page(seed: int) -> Rows:
    """A page whose words fall short: every remedy, measured where its reading is worst; on every fifth of a kind also
    what they keep of the picture; every tenth of a kind is mended as a whole and looked at in every situation. Nothing
    for a page on which no words that can be measured fall short."""
    sample, nth = _page(seed)
    reader = reader_of(sample, own_book())
    search = search_of(reader, sample)
    if search is None:
        return []
    with chromium() as browser:
        rows: Rows = [
            {"kind": "none", "page": seed} if one is None else {**asdict(one), "page": seed}
            for one in tried(browser, reader, sample.site, search, nth % 5 == 0)
        ]
        if nth % 10 == 0:
            rows.append({"page": seed, **_mended(browser, reader, sample)})
    return rows or [{"kind": "none", "page": seed}]


def remedied(wanted: int, keep: Callable[[Rows], None]) -> None:
    """So many pages, two at a time; kept after each, so that what was measured is there whenever it is stopped."""
    rows: Rows = []
    pages = 0
    with ProcessPoolExecutor(AT_ONCE, get_context("spawn")) as pool:
        seeds = count()
        under_way = deque(pool.submit(remedied_page, next(seeds)) for _ in range(2 * AT_ONCE))
        while pages < wanted:
            found = under_way.popleft().result()
            rows += found
            pages += bool(found)
            keep(rows)
            _said(f"{pages} of {wanted} pages, {len(rows)} remedies")
            under_way.append(pool.submit(remedied_page, next(seeds)))
        pool.shutdown(cancel_futures=True)


def _mended(browser: Browser, reader: Reader, sample: Sample) -> dict[str, Any]:
    """A page mended as a whole: how many readings were looked at in the browser, how many fall short there."""
    done = mend(reader, sample.site, sample.site.pages[0], colours_of(sample))
    pages = (done.page, *sample.site.pages[1:])
    mended = replace(sample, site=sample.site.model_copy(update={"pages": pages}))
    # what a browser does with letters that are set wider or printed is a matter of fit, not of contrast
    read = lambda s: getattr(KINDS[s.kind], "READ", True)  # noqa: E731
    seen = list(met(browser, mended, read, book=own_book()))
    left = {block.id for block in done.left}
    short = [m for m in seen if m.seen < m.required and m.name.rsplit(", ", 1)[1] not in left]
    least = min((m.seen / m.required for m in short), default=1.0)
    return {"kind": "mended", "readings": len(seen), "short": len(short), "least": least, "left": len(left)}


def fine(browser: Browser, wanted: int) -> Rows:
    """For so many pages: every reading at rest beside the one that a browser gives on a screen of two px per CSS px."""
    rows: Rows = []
    for seed in range(wanted):
        sample = photographed(300 + seed) if seed % 2 else generate(40_000 + seed)
        for found in fine_screens(browser, sample, own_book()):
            rows.append({"page": seed, "core": found.core, "seen": found.seen, "required": found.required})
        _said(f"{seed + 1} of {wanted} pages on fine screens")
    return rows


def widths_of(seed: int) -> dict[str, Any]:
    """A page read at every width, beside what the run says of it from the widths that it looked at."""
    sample = generate(30_000 + seed)
    reader = Reader(shipped_fonts(), MemoryPictures(sample.originals))
    run = WidthRun(reader, sample.site, sample.site.pages[0])
    points = run.run()
    looked = len(points)
    other, off = 0, 0.0
    for one, two in pairwise(points):
        for width in range(one.width + 1, two.width):
            true = run.at(width)
            other += true.short != one.short
            if true.worst and one.worst and two.worst:
                part = (width - one.width) / (two.width - one.width)
                first, last = one.worst[1] / one.worst[2], two.worst[1] / two.worst[2]
                said = first + (last - first) * part
                off = max(off, abs(said / (true.worst[1] / true.worst[2]) - 1))
    return {"page": seed, "looked": looked, "other": other, "off": off, "widths": LAST - FIRST + 1}


def widths(wanted: int, keep: Callable[[Rows], None]) -> None:
    """So many pages, two at a time; kept after each."""
    rows: Rows = []
    with ProcessPoolExecutor(AT_ONCE, get_context("spawn")) as pool:
        for row in pool.map(widths_of, range(wanted)):
            rows.append(row)
            keep(rows)
            _said(f"{len(rows)} of {wanted} pages at every width")


def _share(part: float, whole: float) -> str:
    return f"{100 * part / whole:.2f} %" if whole else "-"


def report(found: dict[str, Any]) -> list[str]:
    """The page, in Markdown."""
    lines = [
        "# Situations, remedies and widths beside the browser",
        "",
        "Written by `scripts/fidelity_met.py`. A missing picture is really missing there, the page really scrolled,",
        "less motion really asked for; what lies under the pointer, and larger letters, are emitted as they are then.",
        "The readings are measured on screenshots by code of its own (`tests/referee/measure.py`).",
    ]
    if rows := found.get("triples"):
        off = sorted(r["off"] for r in rows["rows"])
        n = len(off)
        kinds = dict.fromkeys(r["kind"] for r in rows["rows"])
        names = {r["name"].rsplit(", ", 1)[0] for r in rows["rows"]}
        lines += ["", f"## Readings ({rows['date']})", "", "| what | measured | wanted |", "|---|---|---|"]
        lines += [
            f"| (page, screen, situation) compared | {len(names)} | 300 |",
            f"| readings compared | {n} | |",
            f"| worst letter's ratio within 2 % | {_share(sum(o <= 0.02 for o in off), n)} | 99 % |",
            f"| median, 95th percentile, largest difference | {off[n // 2]:.2%}, {off[int(n * 0.95)]:.2%}, "
            f"{off[-1]:.2%} | |",
            f"| another verdict, more than 3 % from what is required | {sum(r['other'] for r in rows['rows'])} | 0 |",
        ]
        lines += ["", "| kind of situation | readings | within 2 % | largest difference |", "|---|---|---|---|"]
        for kind in kinds:
            own = [r["off"] for r in rows["rows"] if r["kind"] == kind]
            lines.append(f"| {kind} | {len(own)} | {_share(sum(o <= 0.02 for o in own), len(own))} | {max(own):.2%} |")
    if rows := found.get("remedied"):
        real = [r for r in rows["rows"] if r["kind"] not in ("none", "mended")]
        whole = [r for r in rows["rows"] if r["kind"] == "mended"]
        off = sorted(abs(r["kept"] - r["seen_kept"]) for r in real if r["seen_kept"] is not None)
        shorts = sum(r["short"] for r in whole)
        low = [1 - r["seen"] / r["required"] for r in real if r["seen"] < r["required"]]
        pages = {r["page"] for r in rows["rows"]}
        lines += ["", f"## Remedies ({rows['date']})", "", "| what | measured | wanted |", "|---|---|---|"]
        lines += [
            f"| failing pages | {len(pages)} | 200 |",
            f"| remedies offered, measured where their reading is worst | {len(real)} | |",
            f"| meet what is required in the browser | {_share(len(real) - len(low), len(real))} | 100 % |",
            f"| largest shortfall | {max(low, default=0):.2%} | 0 |",
            f"| pages for which none was found | {sum(r['kind'] == 'none' for r in rows['rows'])} | |",
            f"| what is kept of the picture, in percent: compared, largest difference | {len(off)}, "
            f"{max(off, default=0):.2f} | 1 |",
            "| pages mended as a whole, their readings in every situation, of these short in the browser | "
            f"{len(whole)}, {sum(r['readings'] for r in whole)}, {shorts} | 0 |",
            f"| the least of these, of what is required | {min((r['least'] for r in whole), default=1):.2%} | |",
        ]
        lines += ["", "| kind | offered | keeps of the picture, median |", "|---|---|---|"]
        for kind in sorted({r["kind"] for r in real}):
            own = sorted(r["kept"] for r in real if r["kind"] == kind)
            lines.append(f"| {kind} | {len(own)} | {own[len(own) // 2]:.1f} % |")
    if rows := found.get("widths"):
        looked = [r["looked"] for r in rows["rows"]]
        whole = sum(r["widths"] for r in rows["rows"])
        other = sum(r["other"] for r in rows["rows"])
        largest = max(r["off"] for r in rows["rows"])
        lines += ["", f"## Every width ({rows['date']})", "", "| what | measured | wanted |", "|---|---|---|"]
        lines += [
            f"| pages read at every width from {FIRST} to {LAST} | {len(looked)} | 20 |",
            f"| widths the run looks at, of {LAST - FIRST + 1}: least, median, most | {min(looked)}, "
            f"{sorted(looked)[len(looked) // 2]}, {max(looked)} | |",
            f"| widths with another verdict than the run says | {other} of {whole} | 0 |",
            f"| worst reading between two looked at, largest difference | {largest:.2%} | |",
        ]
    if rows := found.get("fine"):
        lines += _fine_lines(rows)
    return [*lines, ""]


def _fine_lines(found: dict[str, Any]) -> list[str]:
    rows = found["rows"]
    off = sorted(abs(r["core"] / r["seen"] - 1) for r in rows)
    over = max(r["core"] / r["seen"] - 1 for r in rows)
    other = [r for r in rows if (r["core"] >= r["required"]) != (r["seen"] >= r["required"])]
    least = min((r["seen"] / r["required"] for r in other if r["core"] >= r["required"]), default=1.0)
    return [
        "",
        f"## Two px per CSS px ({found['date']})",
        "",
        "Readings are of one px per CSS px. Here the browser is really run on a screen of two, with the pictures that",
        "it chooses there, and measured by px of that screen. Half of the pages have photographs that were never seen.",
        "",
        "| what | measured |",
        "|---|---|",
        f"| pages, readings compared | {len({r['page'] for r in rows})}, {len(rows)} |",
        f"| within 2 %, within 5 % | {_share(sum(o <= 0.02 for o in off), len(off))}, "
        f"{_share(sum(o <= 0.05 for o in off), len(off))} |",
        f"| median, 95th percentile, largest difference | {off[len(off) // 2]:.2%}, {off[int(len(off) * 0.95)]:.2%}, "
        f"{off[-1]:.2%} |",
        f"| the core says more than is there, at the most | {max(0.0, over):.2%} |",
        f"| another verdict there, the least of what is required where ours is that it suffices | {len(other)}, "
        f"{least:.2%} |",
    ]


def main() -> None:
    """Measure what is asked for, keep the figures, write the page."""
    asked = [int(a) for a in sys.argv[1:]] + [300, 200, 20, 40][len(sys.argv) - 1 :]
    found: dict[str, Any] = json.loads(KEPT.read_text()) if KEPT.exists() else {}

    def keep(part: str, rows: Rows) -> None:
        found[part] = {"date": f"{datetime.now(UTC):%Y-%m-%d}", "rows": rows}
        KEPT.parent.mkdir(exist_ok=True)
        KEPT.write_text(json.dumps(found))
        TARGET.write_text("\n".join(report(found)))

    with chromium() as browser:
        if asked[0]:
            keep("triples", triples(browser, asked[0]))
        if asked[3]:
            keep("fine", fine(browser, asked[3]))
    if asked[1]:
        remedied(asked[1], partial(keep, "remedied"))
    if asked[2]:
        widths(asked[2], partial(keep, "widths"))


if __name__ == "__main__":
    main()
