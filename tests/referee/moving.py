"""Generated banners on which pictures and gradients take turns, for the browser to judge."""

import random
from typing import Any

from garnetfern.service.files.site_file import SiteFile
from tests.sites import HEADING, colour_layer, document, image_layer, with_picture

from .placings import picture

COLOURS = ("#101820", "#f0f0e0", "#7a1f2b", "#3f6f46", "#1d3a5c", "#fbf7ee")


def _member(rng: random.Random, number: int) -> dict[str, Any]:
    stay: dict[str, Any] = {"stay": rng.choice([None, 1.0, 2.5])}
    if rng.random() < 0.5:
        size = rng.choice(["cover", "cover", "contain", "natural"])
        focal = [round(rng.random(), 2), round(rng.random(), 2)]
        return {"layer": image_layer(id=f"member-{number}", size=size, focal=focal), **stay}
    clear = rng.choice(["", "", "80"])
    stops = [{"colour": rng.choice(COLOURS) + clear} for _ in range(rng.choice([2, 3]))]
    gradient = {"stops": stops, "angle": rng.choice([0, 90, 137])}
    return {"layer": {"kind": "gradient", "id": f"member-{number}", "name": "M", "gradient": gradient}, **stay}


def generate(seed: int, data: bytes | None = None) -> SiteFile:
    """A banner with a sequence: opaque or not, blended or not, under an overlay, its words in a plate or not. `data`:
    its picture, where it is not the small one that the sample's is drawn into."""
    rng = random.Random(seed)
    turns = {
        "kind": "sequence",
        "id": "turns",
        "name": "Turns",
        "members": [_member(rng, n) for n in range(rng.choice([2, 3, 4]))],
        "stay": rng.choice([1.0, 2.0]),
        "change": rng.choice([0, 0.5, 1.5, 1.5]),
        "opacity": rng.choice([1, 1, 0.7]),
        "blend": rng.choice(["normal", "normal", "multiply", "screen"]),
        "begins": rng.choice(["first", "first", "another"]),
    }
    below: list[dict[str, Any]] = [colour_layer("#889922", id="below")] if rng.random() < 0.4 else []
    above: list[dict[str, Any]] = [colour_layer("#0b1a14", 0.35, id="above")] if rng.random() < 0.6 else []
    heading = {**HEADING, "plate": {"backdrop": {"base": "#0b1a1480"}}} if rng.random() < 0.3 else HEADING
    plain: dict[str, Any] = document(*below, turns, *above, blocks=[heading])
    plain["name"] = f"Moving {seed}"
    return with_picture(plain, data or picture("photo"))
