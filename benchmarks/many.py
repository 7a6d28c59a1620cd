"""Sites of many pages over photographs, checked from the command line: what the processors do for it, and how much
memory it takes at its most."""

import io
import os
import subprocess
import sys
import tempfile
from pathlib import Path
from typing import Any

from PIL import Image, ImageOps

from garnetfern.demo.words import words
from garnetfern.service.files.site_file import SiteFile, pack_site_file
from tests.referee.photographs import FILES, photograph
from tests.sites import colour_layer, document, image_layer, with_assets

PHOTOGRAPHS = 18
"""Those of the package, and some of them the other way round."""
TEXT = "Opens at ten on Saturdays. Bring boots, and something to write with: the reading room is cold until noon."


def _mirrored(data: bytes) -> bytes:
    out = io.BytesIO()
    with Image.open(io.BytesIO(data)) as image:
        ImageOps.mirror(image).save(out, "JPEG", quality=90)
    return out.getvalue()


def _photographs() -> list[bytes]:
    found = [photograph(name) for name in FILES]
    return [*found, *map(_mirrored, found[: PHOTOGRAPHS - len(FILES)])]


def _blocks() -> list[dict[str, Any]]:
    return [
        words("headline", "heading", "Ferns under glass", "Young Serif", "clamp(34px, 5vw, 64px)", "#ffffff", level=1),
        words("about", "text", TEXT, "Hanken Grotesk", "18px", "#ffffff"),
    ]


def site_of(pages: int, photographs: list[bytes]) -> SiteFile:
    """So many pages, each over a photograph; on every third it takes turns with two others."""
    count = len(photographs)
    plain = document(blocks=_blocks())
    made = []
    for n in range(pages):
        one: dict[str, Any] = image_layer(asset=f"a{n % count}", size="cover")
        if n % 3 == 2:
            turns = [image_layer(id=f"t{k}", asset=f"a{(n + k) % count}", size="cover") for k in range(3)]
            members = [{"layer": layer, "stay": 3.0} for layer in turns]
            one = {"kind": "sequence", "id": "turns", "name": "Turns", "members": members, "stay": 3.0, "change": 1.0}
        page = document(one, colour_layer("#0b1a14", 0.5), blocks=_blocks())["pages"][0]
        made.append({**page, "id": f"p{n}", "slug": f"p{n}", "title": f"P{n}"})
    plain["pages"] = made
    return with_assets(plain, *((f"a{n}", f"a{n}.jpg", data) for n, data in enumerate(photographs)))


def checked(file: Path) -> tuple[float, float]:
    """`garnetfern check` of a site's file: seconds of the processors, MB at its most."""
    command = [sys.executable, "-m", "garnetfern", "check", str(file)]
    process = subprocess.Popen(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    _, status, used = os.wait4(process.pid, 0)
    process.returncode = os.waitstatus_to_exitcode(status)
    if process.returncode not in (0, 1):
        raise RuntimeError(f"the check ended with {process.returncode}")
    return used.ru_utime + used.ru_stime, used.ru_maxrss / 1024


def measure() -> list[str]:
    """The lines of the report."""
    lines = ["| complete check from the command line, pictures decoded, fit included | CPU | memory | wanted |"]
    lines.append("|---|---|---|---|")
    with tempfile.TemporaryDirectory() as folder:
        photographs = _photographs()
        for pages, wanted in ((18, "8 s"), (40, "600 MB")):
            file = Path(folder) / f"{pages}.zip"
            file.write_bytes(pack_site_file(site_of(pages, photographs)))
            seconds, memory = checked(file)
            lines.append(
                f"| {pages} pages over {len(photographs)} photographs | {seconds:.1f} s | {memory:.0f} MB | {wanted} |"
            )
    return lines
