"""Generated sites whose words are set and backed in every way: plates, buttons, spacing, outlines, shadows, italics."""

import random
from collections.abc import Callable
from typing import Any

from garnetfern.core.document import read_site
from garnetfern.demo.pictures import draw_picture
from garnetfern.demo.site import asset
from garnetfern.fonts import shipped_fonts
from garnetfern.service.kinds.empty import SCREENS

from .banners import SIZES, WORDINGS, Sample

COLOURS = ("#ffffff", "#fbf7ee", "#10201a", "#f2d9a0")


def _lettering(rng: random.Random) -> dict[str, Any]:
    found: dict[str, Any] = {
        "font": rng.choice([f.name for f in shipped_fonts().families]),
        "weight": rng.choice([300, 400, 700]),
        "size": rng.choice(SIZES),
        "line": rng.choice([1.1, 1.4]),
        "colour": rng.choice(COLOURS),
        "spacing": rng.choice(["0px", "0.08em", "3px", "-0.3px"]),
        "capitals": rng.random() < 0.3,
        "italic": rng.random() < 0.3,
    }
    if rng.random() < 0.5:
        found["shadow"] = {"across": "2px", "down": "3px", "blur": rng.choice(["0px", "6px", "14px"])}
    if rng.random() < 0.4:
        found["outline"] = {"width": rng.choice(["1px", "0.04em", "2px"]), "colour": rng.choice(COLOURS)}
        found["hollow"] = rng.random() < 0.5
    return found


def _plate(rng: random.Random) -> dict[str, Any]:
    found: dict[str, Any] = {
        "backdrop": {"base": rng.choice(["#0b1a14", "#0b1a14b0", "#fbf7eecc", None]), "layers": []},
        "radius": rng.choice(["0px", "6px", "1.5rem", "400px"]),
        "padding": {"block": rng.choice(["8px", "0.7em", "3vw"]), "inline": rng.choice(["14px", "1.1em", "5%"])},
        "space": {"block": rng.choice(["0px", "10px"]), "inline": rng.choice(["0px", "2vw"])},
        "fit": rng.random() < 0.6,
    }
    if rng.random() < 0.6:
        found["line"] = {"width": rng.choice(["1px", "3px", "0.2em"]), "colour": rng.choice([*COLOURS, "#7a1f2b80"])}
    if rng.random() < 0.5:
        found["shadow"] = {"down": "6px", "blur": rng.choice(["0px", "18px"]), "spread": rng.choice(["0px", "3px"])}
    return found


def _block(rng: random.Random, n: int) -> dict[str, Any]:
    kind = rng.choice(["heading", "text", "button", "text"])
    found: dict[str, Any] = {"id": f"w{n}", "kind": kind, "wording": rng.choice(WORDINGS)}
    found["lettering"] = _lettering(rng)
    if kind == "heading":
        found["level"] = rng.choice([1, 2, 3])
    if kind == "button" or rng.random() < 0.6:
        plate = found["plate"] = _plate(rng)
        if rng.random() < 0.5:
            stops = [{"colour": "#7a1f2b"}, {"colour": "#20302a00"}]
            layer = {"kind": "gradient", "id": f"g{n}", "name": "Glow", "gradient": {"angle": 60, "stops": stops}}
            plate["backdrop"]["layers"].append({**layer, "blend": rng.choice(["normal", "multiply"])})
    if rng.random() < 0.3:
        found["width"] = rng.choice(["340px", "70%", "18em"])
    return found


def over_photograph(name: str, rng: random.Random, high: str, make: Callable[[random.Random, int], Any]) -> Sample:
    """A banner with a photograph behind three blocks of words."""
    data = draw_picture("fern-close")
    entry = asset("fern-close", data)
    photo = {"kind": "image", "id": "photo", "name": "Photo", "asset": "fern-close"}
    band = {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": high},
        "content": {"align": rng.choice(["start", "center", "end"]), "stand": rng.choice(["start", "center"])},
        "backdrop": {"base": "#20302a", "layers": [photo]},
        "columns": [{"id": "c0", "blocks": [make(rng, n) for n in range(3)]}],
    }
    document = {
        "format": "garnetfern-site",
        "version": 2,
        "name": name,
        "screens": SCREENS,
        "assets": [entry],
        "pages": [{"id": "home", "slug": "home", "title": "Home", "bands": [band]}],
    }
    return Sample(read_site(document, shipped_fonts().names()), {entry["hash"]: data})


def generate_lettering(seed: int) -> Sample:
    """The sample of a seed, the same every time."""
    return over_photograph(f"Lettering {seed}", random.Random(9000 + seed), "62vh", _block)
