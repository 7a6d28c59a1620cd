"""Generated sites with one banner each, for the browser to judge."""

import random
from dataclasses import dataclass
from typing import Any

from garnetfern.core.document import Site, read_site
from garnetfern.demo.pictures import draw_picture
from garnetfern.demo.site import asset
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.kinds.empty import SCREENS

WORDINGS = (
    "A hundred ferns under old glass",
    "The well-kept reading room / open until the light goes (10-4)",
    "Is it warm in there? Yes: 21 degrees, even in winter; bring nothing.",
    "Volunteers’ supper – bring a dish, a chair and a lamp…",
    "Crème brûlée, Žofie’s plum cake & coffee at £3.50 a slice",
    "Fern fair 2027: pots, spores, books, cut-price baskets and what-have-you",
    "Antidisestablishmentarianistically yours, the committee of the glasshouse",
    "“Maidenhair”\nDavallia, Nephrolepis, Platycerium",
    "Wi-Fi in the tea-room; e-mail us, or ring 01-555-0142 before ten",
)
COLOURS = ("#ffffff", "#fbf7ee", "#10201a", "#7a1f2b", "#f2d9a0", "#ffffffd0", "#000000")
SIZES = ("16px", "1.25rem", "clamp(28px, 5vw, 72px)", "clamp(18px, 1rem + 1.3vw, 31.7px)", "43.3px", "6vw", "14.5px")
PICTURES = ("glasshouse-dawn", "misted-panes", "fern-close", "reading-room")


@dataclass(frozen=True)
class Sample:
    """A site and the originals of its pictures."""

    site: Site
    originals: dict[str, bytes]


def _block(rng: random.Random, block_id: str, kind: str) -> dict[str, Any]:
    family = rng.choice([f.name for f in shipped_fonts().families])
    lettering = {
        "weight": rng.choice([300, 400, 500, 700, 900]),
        "line": rng.choice([1, 1.08, 1.2, 1.5, 1.65]),
        "align": rng.choice(["start", "center", "end", None]),
    }
    more: dict[str, Any] = {"level": 1} if kind == "heading" else {}
    if rng.random() < 0.4:
        more["width"] = rng.choice(["30rem", "620px", "70%", "18em"])
    wording, size, colour = rng.choice(WORDINGS), rng.choice(SIZES), rng.choice(COLOURS)
    return words(block_id, kind, wording, family, size, colour, lettering=lettering, **more)


def _layers(rng: random.Random, picture: str) -> list[dict[str, Any]]:
    image = {
        "kind": "image",
        "id": "photo",
        "name": "Photo",
        "asset": picture,
        "size": rng.choice(["cover", "cover", "contain", "natural"]),
        "focal": [round(rng.random(), 3), round(rng.random(), 3)],
        "opacity": rng.choice([1, 1, 0.73]),
    }
    overlay = {
        "kind": "colour",
        "id": "over",
        "name": "Over",
        "colour": rng.choice(["#0b1a14", "#ffffff", "#7a1f2b", "#20302a80"]),
        "opacity": round(rng.random(), 2),
    }
    return [image, overlay][: rng.choice([1, 2, 2])]


def generate(seed: int) -> Sample:
    """The sample of a seed, the same every time."""
    rng = random.Random(seed)
    picture = rng.choice(PICTURES)
    data = draw_picture(picture)
    entry = asset(picture, data)
    columns = [{"id": f"c{n}", "blocks": []} for n in range(rng.choice([1, 1, 2]))]
    for n in range(rng.choice([2, 3])):
        column: Any = rng.choice(columns)
        column["blocks"].append(_block(rng, f"w{n}", "heading" if n == 0 else "text"))
    band = {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": rng.choice(["62vh", "420px", "0px", "48vw"])},
        "padding": {"block": rng.choice(["clamp(32px, 6vw, 96px)", "3rem", "7.3vw"]), "inline": "6vw"},
        "content": {
            "width": rng.choice(["1120px", "80%", "46rem"]),
            "align": rng.choice(["start", "center", "end"]),
            "stand": rng.choice(["start", "center", "end"]),
        },
        "backdrop": {"base": rng.choice(["#20302a", "#f4efe4"]), "layers": _layers(rng, picture)},
        "columns": columns,
    }
    top = {"id": "top", "name": "Top", "role": "header", "padding": {"block": f"{rng.uniform(4, 30):.2f}px"}}
    page = {"id": "home", "slug": "home", "title": "Home", "bands": [{**top, "backdrop": {"base": "#f4efe4"}}, band]}
    document = {
        "format": "garnetfern-site",
        "version": 2,
        "name": f"Sample {seed}",
        "screens": SCREENS,
        "assets": [entry],
        "pages": [page],
    }
    return Sample(read_site(document, shipped_fonts().names()), {entry["hash"]: data})
