"""Samples of every kind of layer with its options, for the browser to judge. A kind without samples fails a test."""

from typing import Any

from garnetfern.core.art import SILHOUETTES, TILES
from garnetfern.service.files.site_file import SiteFile

from ..films import film_of
from ..sites import document, with_assets
from .placings import picture

Layer = dict[str, Any]


def _gradient(*stops: tuple[str, str | None], **more: Any) -> dict[str, Any]:
    return {"stops": [{"colour": c} if at is None else {"colour": c, "at": at} for c, at in stops], **more}


DUSK = (("#0b1a14", None), ("#c9d8b0", None), ("#7a1f2b", None))
FADE = (("#0b1a14", "0%"), ("#0b1a1400", "62%"))
HARD = (("#20302a", "0px"), ("#20302a", "37px"), ("#f4efe4", "37px"), ("#f4efe4", "90px"))
GRADIENTS: dict[str, dict[str, Any]] = {
    "to the foot": _gradient(*DUSK),
    "slanting": _gradient(*DUSK, angle=37),
    "to nothing": _gradient(*FADE, angle=0),
    "to nothing, slanting back": _gradient(*FADE, angle=-121.5),
    "in oklab": _gradient(*DUSK, angle=90, space="oklab"),
    "in oklab to nothing": _gradient(("#d03020", None), ("#2030d000", None), angle=75, space="oklab"),
    "hard, repeating": _gradient(*HARD, repeating=True, angle=90),
    "hard, repeating, slanting": _gradient(*HARD, repeating=True, angle=28),
    "soft, repeating": _gradient(("#20302a", "10%"), ("#f4efe4", "22%"), repeating=True, angle=160),
    "evenly between": _gradient(("#000000", "20%"), ("#ffffff", None), ("#7a1f2b", None), ("#000000", "70%")),
    "out of order": _gradient(("#000000", "60%"), ("#ffffff", "20%"), ("#7a1f2b", "80%")),
    "oval": _gradient(*DUSK, shape="radial"),
    "glow": _gradient(("#f2d9a0", "0%"), ("#f2d9a000", "70%"), shape="radial", centre=["30%", "120px"]),
    "circle to the nearest side": _gradient(*DUSK, shape="radial", round=True, extent="closest-side"),
    "circle to the farthest side": _gradient(
        *DUSK, shape="radial", round=True, extent="farthest-side", centre=["20%", "30%"]
    ),
    "oval to the nearest corner": _gradient(*DUSK, shape="radial", extent="closest-corner", centre=["70%", "20%"]),
    "circle to the nearest corner": _gradient(
        *DUSK, shape="radial", round=True, extent="closest-corner", centre=["70%", "20%"]
    ),
    "oval to the farthest side": _gradient(*DUSK, shape="radial", extent="farthest-side", centre=["110%", "40%"]),
    "rings": _gradient(
        ("#20302a", "0px"), ("#f4efe4", "23.5px"), shape="radial", round=True, repeating=True, centre=["40%", "60%"]
    ),
    "turning": _gradient(*DUSK, shape="conic", centre=["35%", "60%"], angle=40),
    "turning, repeating": _gradient(("#20302a", "0%"), ("#f4efe4", "12.5%"), shape="conic", repeating=True),
}


def _layers(**each: Layer) -> list[tuple[str, Layer]]:
    return [(name.replace("_", " "), layer) for name, layer in each.items()]


EDGES = _layers(
    foot={"edges": ["bottom"], "depth": "60%"},
    stripe={"edges": ["top"], "depth": "14px", "softness": 0, "colour": "#7a1f2b"},
    both_sides={"edges": ["left", "right"], "depth": "18vw", "softness": 0.6, "opacity": 0.8},
    all_four={"edges": ["top", "right", "bottom", "left"], "depth": "40px", "colour": "#0b1a14cc"},
    vignette={"around": True, "depth": "70%"},
    hard_oval={"around": True, "depth": "160px", "softness": 0.1, "colour": "#f4efe4"},
)
SHAPES = [(s, {"silhouette": s}) for s in SILHOUETTES] + _layers(
    at_the_top={"silhouette": "wave", "side": "top", "depth": "25.5%"},
    at_the_left={"silhouette": "slope", "side": "left", "depth": "33vw", "flip": True},
    at_the_right={"silhouette": "torn", "side": "right", "depth": "120px", "opacity": 0.7},
    outside={"silhouette": "blob", "side": "whole", "outside": True, "colour": "#0b1a14"},
    with_a_gradient={"silhouette": "arc", "depth": "60%", "gradient": _gradient(*DUSK, angle=90)},
)
PATTERNS = [(t, {"tile": t, "size": 32, "colour": "#f4efe4"}) for t in TILES] + _layers(
    turned={"tile": "stripes", "size": 24, "turn": 30},
    turned_squares={"tile": "grid", "size": 27, "turn": -12.5, "offset": [3, 5]},
    spaced={"tile": "dots", "size": 20, "spacing": 9},
    swapped={"tile": "leaves", "size": 60, "swapped": True, "colour": "#0b1a14", "opacity": 0.5},
    flipped={"tile": "slanted", "size": 18, "flip": True},
    moved={"tile": "crosses", "size": 30, "offset": [7, 11]},
    faint={"tile": "mesh", "size": 14, "opacity": 0.12, "blend": "screen"},
)
IMAGES = _layers(
    blurred={"filter": {"blur": 6}},
    a_little_blurred={"filter": {"blur": 1.5}},
    darkened={"filter": {"brightness": 0.6, "contrast": 1.3}},
    faded={"filter": {"saturate": 0.4, "grayscale": 0.3}, "opacity": 0.8},
    loud={"filter": {"saturate": 1.8, "brightness": 1.2}},
)
COLOURS = _layers(
    half={"colour": "#0b1a14", "opacity": 0.5},
    thin={"colour": "#7a1f2b40"},
)
FOR_LONG = {"stay": 600, "change": 1}


def _member(number: int, **layer: Any) -> dict[str, Any]:
    kind = "gradient" if "gradient" in layer else "image"
    more = {} if kind == "gradient" else {"asset": "picture"}
    return {"layer": {"kind": kind, "id": f"member-{number}", "name": "Member", **more, **layer}}


TURNS = _layers(
    a_picture_first={"members": [_member(1), _member(2, focal=[0, 0])], **FOR_LONG},
    a_gradient_first={"members": [_member(3, gradient=_gradient(*FADE)), _member(4)], **FOR_LONG, "opacity": 0.7},
    one_alone={"members": [_member(5, size="contain")]},
    blended={"members": [_member(6), _member(7)], **FOR_LONG, "blend": "multiply"},
)
FILMS = [
    (name, {"asset": "film", "end": 2, "rate": 12, **layer})
    for name, layer in _layers(
        as_it_begins={},
        at_another_moment={"still": 1.2, "focal": [0.1, 0.9], "opacity": 0.8},
        whole={"size": "contain", "still": 0.5},
        stretched={"size": "stretch", "blend": "screen"},
    )
]
"""At rest their stills are there; tests/referee/test_films.py plays them."""
SAMPLES: dict[str, list[tuple[str, Layer]]] = {
    "colour": COLOURS,
    "edge": EDGES,
    "gradient": [(name, {"gradient": g}) for name, g in GRADIENTS.items()]
    + _layers(
        another_on_the_phone={
            "gradient": _gradient(*DUSK, angle=90),
            "screens": {"phone": {"gradient": _gradient(*FADE)}},
        },
    ),
    "image": [(name, {"asset": "picture", **layer}) for name, layer in IMAGES],
    "pattern": PATTERNS,
    "sequence": TURNS,
    "shape": SHAPES,
    "video": FILMS,
}
"""Every kind's samples: a name and what differs from its defaults."""

STACKS: dict[str, dict[str, Any]] = {
    "on a colour": {"base": "#3f6f46", "layers": []},
    "on a picture": {"base": "#204030", "layers": [{"kind": "image", "name": "Below", "asset": "picture"}]},
    "on half a colour": {"base": "#3f6f4680", "layers": []},
    "on nothing": {"layers": []},
}


def page_with(backdrops: list[dict[str, Any]], height: str = "213px") -> SiteFile:
    """A site whose page has a band for each backdrop; the page itself is a light green."""
    plain = document()
    home = plain["pages"][0]
    home["backdrop"] = {"base": "#d9e2d6"}
    banner = home["bands"][0]
    bands = []
    for n, backdrop in enumerate(backdrops):
        layers = [{"name": "Layer", **layer, "id": f"l{n}-{k}"} for k, layer in enumerate(backdrop["layers"])]
        band = {**banner, "id": f"b{n}", "columns": [], "height": {"min": height}}
        bands.append({**band, "backdrop": {**backdrop, "layers": layers}, "padding": {"block": "0px", "inline": "0px"}})
    home["bands"] = bands
    return with_assets(
        plain, ("picture", "picture.jpg", picture("photo")), ("film", "film.mp4", film_of("H.264, BT.709"))
    )


def samples_page(kind: str, stack: str = "on a colour") -> tuple[SiteFile, list[str]]:
    """A page of all samples of a kind, each over a stack, and their names."""
    below = STACKS[stack]
    found = [{**below, "layers": [*below["layers"], {"kind": kind, **layer}]} for _, layer in SAMPLES[kind]]
    return page_with(found), [f"{kind}: {name} {stack}" for name, _ in SAMPLES[kind]]


MIXED = {
    "kind": "gradient",
    "gradient": _gradient(("#7a1f2b", None), ("#f2d9a0aa", None), ("#2e6fd033", None), angle=70),
}


def blends_page(modes: list[str], stack: str) -> tuple[SiteFile, list[str]]:
    """A page with a band for each blend mode: colours of many kinds and transparencies over a stack."""
    below = STACKS[stack]
    found = [{**below, "layers": [*below["layers"], {**MIXED, "blend": mode, "opacity": 0.9}]} for mode in modes]
    return page_with(found), [f"{mode} {stack}" for mode in modes]
