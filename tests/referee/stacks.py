"""Generated banners with several layers of every kind over one another, some of them blending."""

import random
from dataclasses import replace
from typing import Any, get_args

from garnetfern.core.document import BlendMode, read_site
from garnetfern.fonts import shipped_fonts

from .banners import Sample, generate
from .kinds import SAMPLES

KINDS = ("gradient", "gradient", "edge", "pattern", "shape", "colour")


def _layer(rng: random.Random, n: int) -> dict[str, Any]:
    kind = rng.choice(KINDS)
    _, options = rng.choice(SAMPLES[kind])
    layer = {"kind": kind, "id": f"layer{n}", "name": f"Layer {n}", **options}
    layer["opacity"] = round(rng.uniform(0.15, 0.9), 2)
    if rng.random() < 0.4:
        layer["blend"] = rng.choice(get_args(BlendMode))
    return layer


def generate_stack(seed: int) -> Sample:
    """The banner of a seed with three more layers on top."""
    rng = random.Random(5000 + seed)
    sample = generate(seed)
    plain = sample.site.model_dump(mode="json")
    for band in plain["pages"][0]["bands"]:
        if band["role"] == "banner":
            band["backdrop"]["layers"] += [_layer(rng, n) for n in range(3)]
    return replace(sample, site=read_site(plain, shipped_fonts().names()))
