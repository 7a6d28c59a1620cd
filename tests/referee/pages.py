"""Generated pages with everything that lays out: joins, nested columns, menus, pictures, exceptions, a page's width."""

import random
from typing import Any

from garnetfern.core.document import read_site
from garnetfern.demo.site import demo_site_file
from garnetfern.demo.words import words
from garnetfern.fonts import shipped_fonts
from garnetfern.service.kinds.empty import SCREENS

from .banners import COLOURS, WORDINGS, Sample

ITEMS = ("Visit", "Fern fair", "Plants on loan", "Volunteers", "Tea", "How to find us")
TILE: dict[str, Any] = {"asset": "fern-tile", "size": "natural", "repeat": ["repeat", "repeat"]}
PHOTO: dict[str, Any] = {"asset": "fern-close", "size": "cover"}


class _Maker:
    def __init__(self, seed: int) -> None:
        self.rng = random.Random(seed)
        self.count = 0

    def name(self, stem: str) -> str:
        self.count += 1
        return f"{stem}{self.count}"

    def layer(self) -> dict[str, Any]:
        way = self.rng.choice([TILE, PHOTO, PHOTO])
        layer: dict[str, Any] = {"kind": "image", "id": self.name("l"), "name": "Layer", **way, "focal": [0.3, 0.7]}
        if way is PHOTO and self.rng.random() < 0.5:
            layer["screens"] = {
                "phone": {"focal": [0.9, 0.2], "crop": {"x": 0.1, "y": 0.2, "width": 0.6, "height": 0.7}}
            }
        return layer

    def backdrop(self, base: bool = True) -> dict[str, Any]:
        layers = [self.layer()] if self.rng.random() < 0.6 else []
        if self.rng.random() < 0.5:
            layers.append({"kind": "colour", "id": self.name("c"), "name": "C", "colour": "#20302a", "opacity": 0.37})
        return {"base": self.rng.choice(["#f4efe4", "#dfe8dd"]) if base else None, "layers": layers}

    def block(self) -> dict[str, Any]:
        rng = self.rng
        kind = rng.choice(["text", "text", "heading", "menu", "picture", "space", "logo"])
        name = self.name("w")
        if kind == "space":
            return {"id": name, "kind": "space", "height": rng.choice(["20px", "3vw"])}
        if kind == "picture":
            return {"id": name, "kind": "picture", "asset": "reading-room", "slot": rng.choice(["card", None])}
        family = rng.choice([f.name for f in shipped_fonts().families])
        found = words(
            name, kind, rng.choice(WORDINGS), family, rng.choice(["16px", "1.3rem", "2.4vw"]), rng.choice(COLOURS)
        )
        if kind == "heading":
            found["level"] = 2
        if kind == "menu":
            found["items"] = [{"wording": w, "link": "#"} for w in ITEMS[: rng.randint(1, 6)]]
            found["wording"] = ""
        found["lettering"]["align"] = rng.choice([None, "center", "end"])
        if rng.random() < 0.3:
            found["screens"] = {"tablet": {"size": "23px"}, "phone": {"visible": rng.random() < 0.5}}
        return found

    def column(self) -> dict[str, Any]:
        rng = self.rng
        column: dict[str, Any] = {"id": self.name("k"), "share": rng.choice([1, 1, 2])}
        # chosen apart, so that all else of a page stays as it is
        apart = random.Random(self.count)
        if apart.random() < 0.4:
            column |= {
                "height": apart.choice(["260px", "34vh", "30vw"]),
                "stand": apart.choice(["end", "center", None]),
            }
        column["blocks"] = [self.block() for _ in range(rng.randint(1, 3))]
        if rng.random() < 0.5:
            column |= {"padding": {"block": "14px", "inline": "2vw"}, "backdrop": self.backdrop()}
        return column

    def band(self, bare: bool) -> dict[str, Any]:
        rng = self.rng
        height = {"min": rng.choice(["0px", "31vh", "200px"]), "proportion": rng.choice([None, None, 3.1])}
        band: dict[str, Any] = {"id": self.name("b"), "name": "Band", "height": height}
        band["padding"] = {"block": rng.choice(["20px", "3.3vw"]), "inline": rng.choice(["24px", "5%"])}
        band["space"] = rng.choice(["0px", "0px", "11px"])
        band["layout"] = rng.choice(["auto", "row", "stack"])
        band["content"] = {k: rng.choice(["start", "center", "end"]) for k in ("align", "stand", "level")}
        band["content"] |= {"gap": "18px", "width": "70rem"}
        band["columns"] = [self.column() for _ in range(rng.randint(1, 4))]
        if not bare:
            band["backdrop"] = self.backdrop(rng.random() < 0.8)
        if rng.random() < 0.4:
            band["screens"] = {"phone": {"layout": "stack", "padding": {"block": "9px", "inline": "12px"}}}
        # every other band stands in another order on one screen, the last column first
        if len(band["columns"]) > 1 and self.count % 2:
            screen = ("desktop", "tablet", "phone")[self.count % 3]
            band.setdefault("screens", {}).setdefault(screen, {})["order"] = [len(band["columns"]) - 1]
        return band


def generate_page(seed: int) -> Sample:
    """The page of a seed, the same every time."""
    maker = _Maker(seed)
    joined = maker.rng.random() < 0.7
    bands = [maker.band(joined), maker.band(joined), maker.band(False)]
    page: dict[str, Any] = {"id": "home", "slug": "home", "title": "Home", "bands": bands}
    page["backdrop"] = {"base": "#e6ebdb", "layers": [{"kind": "image", "id": "pl", "name": "P", **TILE}]}
    page["width"] = maker.rng.choice([None, "1180px", "82%"])
    if joined:
        join = {"id": "j", "first": bands[0]["id"], "last": bands[1]["id"], "backdrop": maker.backdrop()}
        page["joins"] = [join]
    demo = demo_site_file()
    document = {
        "format": "garnetfern-site",
        "version": 2,
        "name": f"Page {seed}",
        "screens": SCREENS,
        "assets": [a.model_dump(mode="json") for a in demo.site.assets],
        "slots": [s.model_dump(mode="json") for s in demo.site.slots],
        "pages": [page],
    }
    return Sample(read_site(document, shipped_fonts().names()), demo.pictures)
