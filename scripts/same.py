"""Whether the core still gives what it gave: sixty documents emitted, drawn in six situations and read.

Usage: python scripts/same.py [--write]. Compares with `scripts/same.json`, hash by hash, and names what differs; with
--write the file is made anew. A difference that is a bug mended is said in docs/decisions/.
"""

import hashlib
import json
import sys
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from garnetfern.core.css import bundle_files  # noqa: E402
from garnetfern.core.document import Page, Site  # noqa: E402
from garnetfern.core.draw.words import draw_page  # noqa: E402
from garnetfern.core.reading import Reader, Situation, situations  # noqa: E402
from garnetfern.demo import demo_site_file  # noqa: E402
from garnetfern.fonts import shipped_fonts  # noqa: E402
from garnetfern.service.files.memory import MemoryPictures  # noqa: E402
from tests.referee.banners import generate  # noqa: E402
from tests.referee.kinds import SAMPLES, STACKS, blends_page, samples_page  # noqa: E402
from tests.referee.lettering import generate_lettering  # noqa: E402
from tests.referee.met import generate_met  # noqa: E402
from tests.referee.pages import generate_page  # noqa: E402
from tests.referee.stacks import generate_stack  # noqa: E402

HELD = Path(__file__).with_suffix(".json")
SITUATIONS = 6
GENERATED = {
    "banner": (generate, 14),
    "page": (generate_page, 12),
    "lettering": (generate_lettering, 9),
    "stack": (generate_stack, 9),
    "met": (generate_met, 9),
}
SOME_MODES = ["normal", "multiply", "overlay", "luminosity", "color-dodge"]


def documents() -> list[str]:
    """The names of the sixty documents."""
    names = ["sample"] + [f"{kind} {seed}" for kind, (_, count) in GENERATED.items() for seed in range(count)]
    names += [f"kind {kind}" for kind in SAMPLES] + [f"blends {stack}" for stack in STACKS]
    return names


def made(name: str) -> tuple[Site, dict[str, bytes]]:
    """A document by its name, and its originals."""
    word, _, rest = name.partition(" ")
    if word in GENERATED:
        sample = GENERATED[word][0](int(rest))
        return sample.site, sample.originals
    if word == "sample":
        file = demo_site_file()
    else:
        file = samples_page(rest)[0] if word == "kind" else blends_page(SOME_MODES, rest)[0]
    return file.site, file.pictures


def _some(site: Site, page: Page) -> list[Situation]:
    """Six situations of a page, of as many kinds as there are."""
    found = situations(site, page, None)
    firsts = {s.kind: s for s in reversed(found)}
    rest = [s for s in found if s not in firsts.values()]
    return [*firsts.values(), *rest][:SITUATIONS]


def _drawn(reader: Reader, site: Site, page: Page, situation: Situation) -> bytes:
    record = reader.resolve(site, page, situation)
    region = (0, 0, round(record.width), min(2400, round(record.height)))
    return draw_page(record, region, reader.pictures, reader.glyphs).tobytes()


def _hash(*parts: bytes) -> str:
    return hashlib.sha256(b"\0".join(parts)).hexdigest()[:20]


def _facts(name: str) -> Iterator[tuple[str, str]]:
    site, originals = made(name)
    pictures, fonts = MemoryPictures(originals), shipped_fonts()
    files = bundle_files(site, fonts, pictures.file)
    yield f"{name}: emitted", _hash(*(f"{path}\n".encode() + data for path, data in sorted(files.items())))
    for page in site.pages[:2]:
        reader = Reader(fonts, pictures)
        for situation in _some(site, page):
            yield f"{name}: {page.id} drawn {situation.id}", _hash(_drawn(reader, site, page, situation))
        readings = [repr(r) for _, found in reader.read_page(site, page) for r in found]
        yield f"{name}: {page.id} read", _hash(*(r.encode() for r in readings))


def facts(name: str) -> dict[str, str]:
    """What a document comes to, as hashes by what was done with it."""
    return dict(_facts(name))


def main() -> int:
    """Compare, or write. Gives how many differ."""
    found: dict[str, str] = {}
    with ProcessPoolExecutor(2) as pool:
        for one in pool.map(facts, documents()):
            found |= one
    if "--write" in sys.argv:
        HELD.write_text(json.dumps(found, indent=1) + "\n")
        print(f"{len(documents())} documents, {len(found)} hashes written")
        return 0
    held = json.loads(HELD.read_text())
    wrong = [name for name in sorted({*held, *found}) if held.get(name) != found.get(name)]
    print("\n".join(wrong[:40]))
    print(f"{len(documents())} documents: {len(found) - len(wrong)} of {len(held)} hashes are the same")
    return len(wrong)


if __name__ == "__main__":
    sys.exit(min(1, main()))
