"""Banners over photographs that come with a package the tests need, in fonts that an owner would bring. None of them is
in this repository, and nothing in the application was tuned with them."""

import importlib.util
import io
import random
from dataclasses import replace
from functools import lru_cache
from pathlib import Path
from typing import Any

from PIL import Image

from garnetfern.core.document import Site, read_site
from garnetfern.demo.site import asset
from garnetfern.fonts import shipped_fonts

from . import moving
from .banners import Sample
from .own_fonts import brought, own_sample
from .stacks import generate_stack

PACKAGE = "skimage"
FILES = (
    "astronaut.png",
    "brick.png",
    "camera.png",
    "chelsea.png",
    "coffee.png",
    "coins.png",
    "grass.png",
    "gravel.png",
    "hubble_deep_field.jpg",
    "ihc.png",
    "moon.png",
    "motorcycle_left.png",
    "retina.jpg",
    "rocket.jpg",
)
WIDE = 1440
"""As wide as an owner's photograph for a banner, px; those of the package are mostly narrower."""
SIZES = ("9px", "11px", "13.3px", "17px", "clamp(22px, 3.1vw, 47px)", "64px", "7.7vw", "120px")
WEIGHTS = (100, 200, 300, 400, 700, 900)
SPACINGS = ("0px", "0px", "-0.02em", "-0.05em", "-1.3px", "0.06em")
LINES = ("1px", "0.03em", "0.06em", "2px", "3px")
COLOURS = ("#ffffff", "#ffffffb0", "#fbf7ee", "#10201a", "#10201acc", "#f2d9a0", "#7a1f2b")


@lru_cache(maxsize=len(FILES))
def photograph(name: str) -> bytes:
    """One of them as a JPEG of that width."""
    spec = importlib.util.find_spec(PACKAGE)
    if spec is None or spec.origin is None:
        raise LookupError(f"{PACKAGE} is not installed: make setup")
    with Image.open(Path(spec.origin).parent / "data" / name) as image:
        wide = image.convert("RGB").resize((WIDE, round(WIDE * image.height / image.width)), Image.Resampling.LANCZOS)
    out = io.BytesIO()
    wide.save(out, "JPEG", quality=90)
    return out.getvalue()


def _hard(rng: random.Random, lettering: dict[str, Any]) -> None:
    """Letters as thin, heavy, small, large, close and translucent as people set them."""
    lettering["size"] = rng.choice(SIZES)
    lettering["weight"] = rng.choice(WEIGHTS)
    lettering["spacing"] = rng.choice(SPACINGS)
    lettering["colour"] = rng.choice(COLOURS)


def _hollow(rng: random.Random, lettering: dict[str, Any]) -> None:
    """A fifth of them hollow, half of these with a shadow, which falls on their line."""
    if rng.random() < 0.2:
        lettering |= {"outline": {"width": rng.choice(LINES), "colour": lettering["colour"]}, "hollow": True}
        cast = {"across": "1px", "down": "2px", "blur": rng.choice(["0px", "8px"]), "colour": "#00000090"}
        lettering["shadow"] = cast if rng.random() < 0.5 else None


def _lettered(plain: dict[str, Any], rng: random.Random) -> Site:
    """A site whose words are all set like that."""
    lines = random.Random(plain["name"])
    for band in plain["pages"][0]["bands"]:
        for block in (block for column in band["columns"] for block in column["blocks"]):
            _hard(rng, block["lettering"])
            _hollow(lines, block["lettering"])
    return read_site(plain, shipped_fonts().names())


def photographed(seed: int) -> Sample:
    """The sample of a seed, the same every time: every third has more layers over its photograph."""
    rng = random.Random(77_000 + seed)
    sample = generate_stack(seed) if seed % 3 == 2 else own_sample(seed)
    plain = sample.site.model_dump(mode="json")
    name = FILES[seed % len(FILES)]
    data = photograph(name)
    plain["name"] = f"{name} {seed}"
    plain["fonts"] = [entry.model_dump(mode="json") for entry in brought()[0]]
    plain["assets"] = [asset("fern-close", data) | {"id": a["id"], "name": name} for a in plain["assets"]]
    return replace(sample, site=_lettered(plain, rng), originals={plain["assets"][0]["hash"]: data})


def taking_turns(seed: int) -> Sample:
    """The sample of a seed on which that photograph and other pictures and gradients take turns."""
    file = moving.generate(88_000 + seed, photograph(FILES[seed % len(FILES)]))
    return Sample(_lettered(file.site.model_dump(mode="json"), random.Random(seed)), file.pictures)
