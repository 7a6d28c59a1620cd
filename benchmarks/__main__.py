"""Run all benchmarks and write docs/speed.md."""

from datetime import UTC, datetime
from pathlib import Path

from . import checks, edits, moving, pictures, remedies, wire, world

TARGET = Path(__file__).resolve().parent.parent / "docs" / "speed.md"


def main() -> None:
    """Measure, print, write."""
    lines = [
        "# Speed",
        "",
        f"Written by `make bench` on {datetime.now(UTC):%Y-%m-%d}; all in one run on one machine, software raster.",
        "",
        "Edits of the sample home page, in headless Chromium:",
        "",
        "| | median | 95th percentile | wanted |",
        "|---|---|---|---|",
        *edits.measure(),
        "",
        *wire.measure(),
        "",
        *checks.measure(),
        "",
        *moving.measure(),
        "",
        *remedies.measure(),
        "",
        *pictures.measure(),
        "",
        *world.measure(),
        "",
    ]
    text = "\n".join(lines)
    print(text)
    TARGET.write_text(text)


if __name__ == "__main__":
    main()
