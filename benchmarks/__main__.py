"""Run all benchmarks and write docs/speed.md; those that are named (`python -m benchmarks edits`) are printed alone."""

import sys
from datetime import UTC, datetime
from pathlib import Path

from . import checks, edits, many, moving, pictures, remedies, wire, world
from .yardstick import yardstick

TARGET = Path(__file__).resolve().parent.parent / "docs" / "speed.md"
PARTS = {
    "edits": edits.measure,
    "wire": wire.measure,
    "checks": checks.measure,
    "moving": moving.measure,
    "remedies": remedies.measure,
    "pictures": pictures.measure,
    "world": world.measure,
    "many": many.measure,
}
HEAD = {
    "edits": [
        "Edits of the sample home page, in headless Chromium:",
        "",
        "| | median | 95th percentile | wanted |",
        "|---|---|---|---|",
    ]
}


def main(names: list[str]) -> None:
    """Measure, print each part when it is there, write where all were measured."""
    unknown = [name for name in names if name not in PARTS]
    if unknown:
        sys.exit(f"There is no benchmark called {unknown[0]!r}. There are: {', '.join(PARTS)}.")
    lines = [
        "# Speed",
        "",
        f"Written by `make bench` on {datetime.now(UTC):%Y-%m-%d}; all in one run on one machine, software raster.",
        "The yardstick is work that is always the same: where it took longer, everything did.",
        "",
    ]
    for name in names or PARTS:
        before = yardstick()
        found = [*HEAD.get(name, []), *PARTS[name](), ""]
        found += [f"(Yardstick before and after: {before:.0f} and {yardstick():.0f} ms.)", ""]
        print("\n".join(found), flush=True)
        lines += found
    if not names:
        TARGET.write_text("\n".join(lines))


if __name__ == "__main__":
    main(sys.argv[1:])
