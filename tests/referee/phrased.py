"""Generated sites whose words have phrases of every sort, and lines that end by screen."""

import random
from typing import Any

from garnetfern.fonts import shipped_fonts

from .banners import SIZES, WORDINGS, Sample
from .lettering import over_photograph

COLOURS = ("#ffffff", "#f2d9a0", "#ffffffd0", "#101418")


def _phrases(rng: random.Random, wording: str) -> list[dict[str, Any]]:
    """Stretches that begin and end anywhere, inside words and at spaces."""
    cuts = sorted(rng.sample(range(len(wording) + 1), min(len(wording) + 1, 2 * rng.randint(1, 3))))
    found = []
    for start, end in zip(cuts[::2], cuts[1::2], strict=True):
        said: dict[str, Any] = {"strong": rng.random() < 0.5, "emphasis": rng.random() < 0.4}
        if rng.random() < 0.4:
            said |= {"link": "fair.html", "underlined": rng.random() < 0.5}
        if rng.random() < 0.5 or not any(said.values()):
            said["colour"] = rng.choice(COLOURS)
        found.append({"start": start, "end": end, **said})
    return found


def _block(rng: random.Random, n: int) -> dict[str, Any]:
    wording = rng.choice(WORDINGS)
    found: dict[str, Any] = {
        "id": f"w{n}",
        "kind": rng.choice(["heading", "text", "logo"]),
        "wording": wording,
        "phrases": _phrases(rng, wording),
        "lettering": {
            "font": rng.choice([f.name for f in shipped_fonts().families]),
            "weight": rng.choice([300, 400, 700]),
            "size": rng.choice(SIZES),
            "line": rng.choice([1.1, 1.4]),
            "colour": rng.choice(COLOURS[:2]),
            "spacing": rng.choice(["0px", "0px", "0.05em"]),
            "capitals": rng.random() < 0.2,
            "italic": rng.random() < 0.2,
        },
    }
    if found["kind"] == "heading":
        found["level"] = 2
    if found["kind"] == "text" and rng.random() < 0.6:
        found["listed"] = rng.choice(["marks", "numbers"])
        found["wording"] = wording.replace(": ", ":\n").replace(" or ", " or\n")
    if rng.random() < 0.3:
        found["plate"] = {"backdrop": {"base": "#10201ae0"}, "fit": True}
    spaces = [at for at, letter in enumerate(wording) if letter in " \n"]
    if "listed" not in found and rng.random() < 0.5:
        found["screens"] = {"phone": {"breaks": sorted(rng.sample(spaces, 1))}}
    return found


def generate_phrased(seed: int) -> Sample:
    """The sample of a seed, the same every time."""
    return over_photograph(f"Phrases {seed}", random.Random(71_000 + seed), "50vh", _block)
