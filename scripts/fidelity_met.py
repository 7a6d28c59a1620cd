"""Measure readings in situations, remedies and the run over widths, and write docs/fidelity-situations.md.

Usage: python scripts/fidelity_met.py [TRIPLES] [REMEDIED] [WIDTHS]: how many (page, screen, situation) are compared
with headless Chromium, for how many failing pages remedies are measured there, for how many pages every width is read.
A part with 0 is left as it was. Takes about two seconds a triple, ten a remedied page, a minute a page of widths.
"""

import json
import sys
import time
from collections.abc import Iterator
from datetime import UTC, datetime
from itertools import count, pairwise
from pathlib import Path
from typing import Any

from playwright.sync_api import Browser

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.document import Asset  # noqa: E402
from garnetfern.core.picture.decode import load  # noqa: E402
from garnetfern.core.picture.look import look_of  # noqa: E402
from garnetfern.core.reading import Reader  # noqa: E402
from garnetfern.core.reading.widths import FIRST, LAST, WidthRun  # noqa: E402
from garnetfern.core.remedy.remedies import Remedies  # noqa: E402
from garnetfern.demo import demo_site_file  # noqa: E402
from garnetfern.fonts import shipped_fonts  # noqa: E402
from garnetfern.service.files.memory import MemoryPictures  # noqa: E402
from tests.referee.banners import Sample, generate  # noqa: E402
from tests.referee.browser import chromium  # noqa: E402
from tests.referee.met import generate_met, met, open_met, seen_ratio  # noqa: E402

TARGET = HOUSE / "docs" / "fidelity-situations.md"
KEPT = HOUSE / ".stamps" / "fidelity-situations.json"
"""The figures of the last runs, so that one part can be measured alone."""
Rows = list[dict[str, Any]]


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


def _colours(sample: Sample) -> Any:
    known = {hash_: tuple(s.colour for s in look_of(load(data)).colours) for hash_, data in sample.originals.items()}

    def colours(asset: Asset) -> tuple[str, ...]:
        return known[asset.hash]

    return colours


def remedied(browser: Browser, wanted: int) -> Rows:
    """For so many pages whose words fall short: every remedy, measured where its reading is worst."""
    rows: Rows = []
    pages = 0
    for seed in count(20_000):
        if pages >= wanted:
            return rows
        sample = generate(seed)
        site, page = sample.site, sample.site.pages[0]
        reader = Reader(shipped_fonts(), MemoryPictures(sample.originals))
        block = next(b for b in page.blocks())
        if block.lettering.hollow:
            continue
        search = Remedies(reader, site, page, block, _colours(sample))
        if not search.plight.short:
            continue
        pages += 1
        for remedy in search:
            if not remedy.meets:
                rows.append({"page": seed, "kind": "none", "core": 0.0, "seen": 0.0, "required": 1.0, "kept": 0.0})
                continue
            opened = open_met(browser, reader, site, remedy.page, remedy.situation)
            seen = seen_ratio(opened, block.id) or 0.0
            opened.close()
            row = {"page": seed, "kind": remedy.kind, "core": remedy.worst.ratio, "seen": seen}
            rows.append(row | {"required": remedy.worst.required, "kept": remedy.kept})
            _said(f"{pages} of {wanted} pages, {len(rows)} remedies")
    return rows


def widths(wanted: int) -> Rows:
    """For so many pages: every width read, beside what the run says of it from the widths that it looked at."""
    rows: Rows = []
    for seed in range(wanted):
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
            _said(f"{seed + 1} of {wanted} pages, width {two.width}")
        rows.append({"page": seed, "looked": looked, "other": other, "off": off, "widths": LAST - FIRST + 1})
    return rows


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
        real = [r for r in rows["rows"] if r["kind"] != "none"]
        low = [1 - r["seen"] / r["required"] for r in real if r["seen"] < r["required"]]
        pages = {r["page"] for r in rows["rows"]}
        lines += ["", f"## Remedies ({rows['date']})", "", "| what | measured | wanted |", "|---|---|---|"]
        lines += [
            f"| failing pages | {len(pages)} | 200 |",
            f"| remedies offered, measured where their reading is worst | {len(real)} | |",
            f"| meet what is required in the browser | {_share(len(real) - len(low), len(real))} | 100 % |",
            f"| largest shortfall | {max(low, default=0):.2%} | 0 |",
            f"| pages for which none was found | {sum(r['kind'] == 'none' for r in rows['rows'])} | |",
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
    return [*lines, ""]


def main() -> None:
    """Measure what is asked for, keep the figures, write the page."""
    asked = [int(a) for a in sys.argv[1:]] + [300, 200, 20][len(sys.argv) - 1 :]
    found: dict[str, Any] = json.loads(KEPT.read_text()) if KEPT.exists() else {}

    def keep(part: str, rows: Rows) -> None:
        found[part] = {"date": f"{datetime.now(UTC):%Y-%m-%d}", "rows": rows}
        KEPT.parent.mkdir(exist_ok=True)
        KEPT.write_text(json.dumps(found))
        TARGET.write_text("\n".join(report(found)))

    with chromium() as browser:
        if asked[0]:
            keep("triples", triples(browser, asked[0]))
        if asked[1]:
            keep("remedied", remedied(browser, asked[1]))
    if asked[2]:
        keep("widths", widths(asked[2]))


if __name__ == "__main__":
    main()
