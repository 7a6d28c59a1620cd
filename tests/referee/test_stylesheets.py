"""What somebody's stylesheet declares is read as Chromium means it; what is handed out, read back, draws alike."""

import io
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image
from playwright.sync_api import Browser

from garnetfern.core.css import emit_rule
from garnetfern.core.css.declarations import gradient_value
from garnetfern.core.css.urls import Urls
from garnetfern.core.document import Band, Gradient, Height, Screen, Site
from garnetfern.core.draw.words import draw_page
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.moment import Moment
from garnetfern.core.resolve.page import resolve_page
from garnetfern.core.stylesheet import Sources, read_stylesheets
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.brought import site_of
from garnetfern.service.files.site_file import SiteFile
from tests.referee.banners import generate
from tests.referee.declared import declarations
from tests.sampled import sampled
from tests.sites import document, reader_of, with_assets

WIDE, HIGH, ACROSS, DOWN = 240, 120, 6, 8
ONE = {"id": "s", "name": "S", "width": WIDE, "height": 240, "least": 0, "most": 10_000}
EVERY = declarations()
BATCHES = [EVERY[n : n + ACROSS * DOWN] for n in range(0, len(EVERY), ACROSS * DOWN)]


def picture() -> bytes:
    pixels = np.random.default_rng(1).integers(0, 255, (6, 8, 3), dtype=np.uint8)
    out = io.BytesIO()
    Image.fromarray(pixels).resize((160, 120), Image.Resampling.BICUBIC).save(out, "PNG")
    return out.getvalue()


PNG = picture()


def drawn(css: str) -> tuple[np.ndarray, list[Any]]:
    """What is read of a declaration, drawn by the core, and what was not read."""
    brought = read_stylesheets(Sources({"s.css": f".x {{ {css} }}"}), [Screen.model_validate(ONE)])
    area = next(iter(brought.areas), None)
    band = area.band.model_dump(mode="json") if area else {"id": "read", "name": "x", "padding": {"block": "0px"}}
    plain = document()
    plain["screens"] = [ONE]
    plain["pages"][0] |= {"backdrop": {"base": "#ffffff"}, "bands": [{**band, "height": {"min": f"{HIGH}px"}}]}
    file = with_assets(plain, *[(key, "p.png", PNG) for key in (area.pictures if area else {})])
    reader = reader_of(file)
    record = resolve_page(file.site, file.site.pages[0], Moment(Viewport(WIDE, HIGH)), reader.fonts)
    pixels = draw_page(record, (0, 0, WIDE, HIGH), reader.pictures, reader.glyphs)
    return pixels, [*brought.unread, *(area.unread if area else ())]


def test_there_are_enough_of_them():
    assert len(set(EVERY)) >= 400


@pytest.mark.parametrize("batch", sampled(BATCHES, 4), ids=lambda batch: str(BATCHES.index(batch)))
def test_declarations_mean_what_the_browser_means(browser: Browser, batch: list[str]):
    context = browser.new_context(viewport={"width": WIDE * ACROSS, "height": HIGH * DOWN})
    page = context.new_page()
    page.route("**/p.png", lambda route: route.fulfill(body=PNG, content_type="image/png"))
    boxes = "".join(f'<div style="{css.replace(chr(34), chr(39))}"></div>' for css in batch)
    style = (
        f"body{{margin:0;display:grid;grid:auto-flow {HIGH}px/repeat({ACROSS},{WIDE}px);background:#fff}}"
        "div{isolation:isolate}"
    )
    body = f"<!doctype html><style>{style}</style>{boxes}"
    page.route("http://x.test/", lambda route: route.fulfill(body=body, content_type="text/html"))
    page.goto("http://x.test/", wait_until="networkidle")
    shot = np.asarray(Image.open(io.BytesIO(page.screenshot())).convert("RGB")).astype(int)
    context.close()
    wrong = []
    for n, css in enumerate(batch):
        top, left = n // ACROSS * HIGH, n % ACROSS * WIDE
        mine, unread = drawn(css)
        differs = np.abs(shot[top : top + HIGH, left : left + WIDE] - mine.astype(int)).mean()
        if differs > 1.2:
            wrong.append((css, round(float(differs), 2), [u.why for u in unread]))
    assert wrong == []


COLOURS = st.sampled_from(["#ff0000", "#0000ff", "#00000080", "#ffffff00", "#123456"])
PLACES = st.one_of(st.none(), st.integers(-20, 120).map(lambda n: f"{n}%"), st.integers(0, 90).map(lambda n: f"{n}px"))
LINEAR = st.builds(
    lambda angle, again, stops, oklab: Gradient.model_validate(
        {
            "angle": angle,
            "repeating": again,
            "space": "oklab" if oklab else "srgb",
            "stops": [{"colour": c, "at": at} for c, at in stops],
        }
    ),
    st.integers(0, 360),
    st.booleans(),
    st.lists(st.tuples(COLOURS, PLACES), min_size=2, max_size=5),
    st.booleans(),
)


@settings(max_examples=150)
@given(LINEAR)
def test_gradients_come_back_as_they_went(gradient: Gradient):
    css = f".x {{ background-image: {gradient_value(gradient)} }}"
    (area,) = read_stylesheets(Sources({"s.css": css}), [Screen.model_validate(ONE)]).areas
    (layer,) = area.band.backdrop.layers
    assert area.unread == ()
    if layer.kind == "gradient":
        assert layer.gradient == gradient
    else:
        assert len({stop.colour for stop in gradient.stops}) == 1


def _sayable(band: Band, left_out: tuple[str, ...]) -> bool:
    """Whether one rule says all of a backdrop on the widest screen, as colours, gradients and pictures."""
    special = any("filter" in line or "slower" in line or "opacity" in line for line in left_out)
    layers = [layer for layer in band.backdrop.layers if layer.visible]
    return bool(layers) and not special and {layer.kind for layer in layers} <= {"colour", "gradient", "image"}


def _read_back(site: Site, band: Band, css: str) -> Band:
    """A band whose backdrop is what is read of a rule, its pictures those that it had."""
    (area,) = read_stylesheets(Sources({"s.css": css}), site.screens).areas
    old = [layer for layer in band.backdrop.layers if layer.kind == "image" and layer.visible]
    layers = tuple(
        layer.with_asset(layer.asset, old.pop(0).asset, "p") if layer.kind == "image" else layer
        for layer in area.band.backdrop.layers
    )
    backdrop = band.backdrop.model_copy(update={"layers": layers, "base": area.band.backdrop.base})
    return band.model_copy(update={"backdrop": backdrop})


def _seen(site: Site, band: Band, pictures: dict[str, bytes]) -> np.ndarray:
    """What a band looks like without its words on the widest screen."""
    bare = band.model_copy(update={"columns": (), "screens": {}, "height": Height(min="400px"), "visible": True})
    alone = site_of(site, [bare], site.assets, shipped_fonts())
    reader = reader_of(SiteFile(alone, pictures))
    record = resolve_page(alone, alone.pages[0], Moment(Viewport(1280, 800)), reader.fonts)
    return draw_page(record, (0, 0, 1280, 400), reader.pictures, reader.glyphs).astype(int)


def _plain(band: Band) -> Band:
    """A band without what one rule leaves out: the pointer's state, and what differs on single screens."""
    layers = tuple(x.model_copy(update={"screens": {}}) if x.kind == "image" else x for x in band.backdrop.layers)
    backdrop = band.backdrop.model_copy(update={"over": None, "layers": layers})
    return band.model_copy(update={"backdrop": backdrop})


def _comes_back(site: Site, pictures: dict[str, bytes]) -> int:
    """Compare every band of a site that one rule can say; gives how many there were."""
    count = 0
    for page in site.pages:
        for band in map(_plain, page.bands):
            rule = emit_rule(site, page, band, ".x", shipped_fonts(), Urls())
            if _sayable(band, rule.left_out):
                before, after = (_seen(site, b, pictures) for b in (band, _read_back(site, band, rule.css)))
                assert np.abs(before - after).mean() < 0.8, rule.css
                count += 1
    return count


def test_the_sample_comes_back(demo: SiteFile):
    assert _comes_back(demo.site, demo.pictures) >= 3


@pytest.mark.parametrize("first", sampled(range(0, 60, 10), 2))
def test_sixty_banners_come_back(first: int):
    found = [generate(seed) for seed in range(first, first + 10)]
    assert sum(_comes_back(sample.site, sample.originals) for sample in found) >= 5
