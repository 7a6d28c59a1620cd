"""The registry of layer kinds: each is complete, and each does what all layers do."""

import re
from pathlib import Path

import numpy as np
import pytest
from pydantic import ValidationError

from garnetfern.core.art import SILHOUETTES, TILES
from garnetfern.core.css import Urls, emit_page, emit_rule
from garnetfern.core.css.layers import EMITTERS
from garnetfern.core.document import LAYER_KINDS, PatternLayer, ShapeLayer, read_site
from garnetfern.core.draw.figure import coverage
from garnetfern.core.draw.paint import paint_backdrops
from garnetfern.core.draw.probe import colour_at
from garnetfern.core.draw.sheets import PAINTERS, span_of
from garnetfern.core.errors import DocumentError
from garnetfern.core.reading import situations
from garnetfern.core.resolve.box import Box
from garnetfern.core.resolve.layers import RESOLVERS
from garnetfern.core.resolve.lengths import Viewport
from garnetfern.core.resolve.pattern import tile_size, tile_svg
from garnetfern.core.resolve.sheets import Sheet
from garnetfern.core.resolve.silhouette import silhouette_place, silhouette_svg
from garnetfern.fonts import shipped_fonts
from tests.referee.kinds import SAMPLES, page_with
from tests.sampled import sampled
from tests.sites import colour_layer, document, image_layer, one_banner, reader_of

HOUSE = Path(__file__).parents[2]
FONTS = shipped_fonts()
ALL = [(kind, name, layer) for kind, samples in SAMPLES.items() for name, layer in samples]
IDS = [f"{kind}: {name}" for kind, name, _ in ALL]
PAINTED = [pytest.param(*each, id=f"{each[0]}: {each[1]}") for each in sampled(ALL, 40)]


def resolved(file):
    reader = reader_of(file)
    page = file.site.pages[0]
    return reader, reader.resolve(file.site, page, situations(file.site, page)[0])


def sample(kind, layer, **more):
    return page_with([{"base": "#3f6f46", "layers": [{"kind": kind, **layer, **more}]}])


def test_every_kind_is_there_from_the_model_to_the_interface():
    kinds = set(LAYER_KINDS)
    assert kinds == set(RESOLVERS) == set(EMITTERS) == set(SAMPLES)
    folders = HOUSE / "web" / "src" / "layers" / "kinds"
    assert {f.name for f in folders.iterdir()} == kinds
    assert all((folders / kind / "Settings.svelte").exists() for kind in kinds)


def test_every_sheet_has_a_painter():
    assert set(Sheet.__subclasses__()) == set(PAINTERS)


@pytest.mark.parametrize(
    ("kind", "layer"), [(kind, samples[0][1]) for kind, samples in SAMPLES.items()], ids=list(SAMPLES)
)
def test_every_kind_can_be_hidden_on_one_screen_or_shown_there_alone(kind, layer):
    for everywhere in (True, False):
        file = sample(kind, layer, visible=everywhere, screens={"phone": {"visible": not everywhere}})
        page = file.site.pages[0]
        reader = reader_of(file)
        seen = {}
        for situation in situations(file.site, page):
            if situation.at_rest:
                seen[situation.screen] = len(reader.resolve(file.site, page, situation).areas[1].sheets) > 1
        assert seen == {"desktop": everywhere, "tablet": everywhere, "phone": not everywhere}
        css = emit_page(file.site, page, FONTS, Urls()).css
        shown = [re.search("display: (.*);", said)[1] for said in re.findall(r"\.gf-l0-0 {([^}]*display:[^}]*)}", css)]
        assert shown == (["block", "none"] if everywhere else ["none", "block"])
        ruled = emit_rule(file.site, page, page.bands[0], ".here", FONTS, Urls())
        assert any("differs on single screens" in said for said in ruled.left_out)
        assert ("background-image" in ruled.css) == everywhere


@pytest.mark.parametrize(("kind", "name", "layer"), PAINTED)
def test_resolving_is_pure_and_a_layer_paints_only_where_it_says(kind, name, layer):
    file = sample(kind, layer)
    reader, record = resolved(file)
    assert resolved(file)[1] == record
    area = record.areas[1]
    sheet = area.sheets[1]
    assert (sheet.opacity, sheet.blend) == (layer.get("opacity", 1), layer.get("blend", "normal"))
    region = (0, 0, 1440, 220)
    canvas = paint_backdrops(record, region, reader.pictures)
    below = paint_backdrops(record, region, reader.pictures, lambda a: a.sheets[:1])
    changed = np.argwhere((canvas != below).any(axis=2))
    assert changed.size, f"{name} shows nothing"
    span = span_of(sheet)
    assert changed[:, 1].min() >= span.x
    assert changed[:, 1].max() < span.right
    assert changed[:, 0].max() < span.bottom


@pytest.mark.parametrize(("kind", "name", "layer"), PAINTED)
def test_a_part_of_a_layer_is_the_same_as_the_whole_cut(kind, name, layer):
    reader, record = resolved(sample(kind, layer))
    whole = paint_backdrops(record, (0, 0, 1440, 213), reader.pictures)
    part = paint_backdrops(record, (311, 97, 160, 61), reader.pictures)
    off = np.abs(whole[97:158, 311:471].astype(int) - part.astype(int))
    assert off.max() <= (1 if "blur" in str(layer) else 0), name


@pytest.mark.parametrize("kind", SAMPLES)
def test_at_no_opacity_nothing_of_a_layer_is_left(kind):
    _, layer = SAMPLES[kind][0]
    reader, record = resolved(sample(kind, layer, opacity=0))
    assert paint_backdrops(record, (9, 9, 40, 40), reader.pictures).reshape(-1, 3).std(axis=0).max() == 0


@pytest.mark.parametrize("blend", ["normal", "multiply", "difference"])
@pytest.mark.parametrize("kind", SAMPLES)
def test_opacity_goes_the_same_share_of_the_way_whatever_the_blend(kind, blend):
    """Compositing and Blending 1, section 5: over an opaque backdrop the source's alpha mixes with what is below."""
    _, layer = SAMPLES[kind][0]
    painted = []
    for opacity in (0, 1, 0.4):
        reader, record = resolved(sample(kind, layer, opacity=opacity, blend=blend))
        painted.append(paint_backdrops(record, (200, 20, 300, 120), reader.pictures).astype(float))
    below, whole, part = painted
    assert np.abs(below + 0.4 * (whole - below) - part).max() <= 2


@pytest.mark.parametrize(("kind", "name", "layer"), ALL, ids=IDS)
def test_every_layer_is_emitted_and_said_in_one_rule_or_named(kind, name, layer):
    file = sample(kind, layer)
    page = file.site.pages[0]
    css = emit_page(file.site, page, FONTS, Urls()).css
    assert ".gf-l0-0 {" in css
    own = css[css.index(".gf-l0-0 {") :].split("}")[0]
    assert ("opacity: " in own) == (layer.get("opacity", 1) < 1)
    rule = emit_rule(file.site, page, page.bands[0], ".banner", FONTS, Urls())
    assert "background-image" in rule.css or any("Layer:" in line for line in rule.left_out), name


def test_the_rule_says_how_layers_mix():
    layer = colour_layer("#ff0000", 0.4, blend="multiply")
    file = one_banner(layer, colour_layer("#00ff00", id="top"))
    css = emit_rule(file.site, file.site.pages[0], file.site.pages[0].bands[0], ".b", FONTS, Urls()).css
    assert "background-blend-mode: normal, multiply" in css


def test_what_the_rule_cannot_say_names_the_layer():
    over = {"fade": 300, "layers": {"over": {"opacity": 0.9}}}
    plain = document(colour_layer("#000000", 0.4, name="Dusk"))
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = over
    site = read_site(plain)
    found = emit_rule(site, site.pages[0], site.pages[0].bands[0], ".b", FONTS, Urls())
    assert any("Dusk" in line and "Pointer over" in line for line in found.left_out)


@pytest.mark.parametrize("tile", TILES.values(), ids=TILES)
def test_tiles_meet_themselves(tile):
    # what leaves a tile on one side comes in on the other
    layer = PatternLayer(id="p", name="P", tile=tile.id, size=100)
    width, height = tile_size(layer)
    one = coverage(tile_svg(layer), width, height)
    assert 0.02 < one.mean() < 0.75
    seam = np.abs(one[:, 0] - one[:, -1]).mean(), np.abs(one[0] - one[-1]).mean()
    inner = np.abs(np.diff(one, axis=1)).mean(axis=0).max(), np.abs(np.diff(one, axis=0)).mean(axis=1).max()
    assert seam[0] <= inner[0] + 0.02, "the sides do not meet"
    assert seam[1] <= inner[1] + 0.02, "top and foot do not meet"


def test_swapping_figure_and_ground_leaves_nothing_uncovered():
    layer = PatternLayer(id="p", name="P", tile="leaves", size=80)
    swapped = layer.model_copy(update={"swapped": True})
    both = coverage(tile_svg(layer), 80, 80) + coverage(tile_svg(swapped), 80, 80)
    assert both == pytest.approx(np.ones((80, 80)), abs=0.02)


@pytest.mark.parametrize("silhouette", SILHOUETTES)
def test_a_silhouette_stands_on_its_edge(silhouette):
    cover = {}
    for side in ("bottom", "top", "left", "right"):
        layer = ShapeLayer(id="s", name="S", silhouette=silhouette, side=side)
        cover[side] = coverage(silhouette_svg(layer, "#fff", (120, 120)), 120, 120)
    assert np.abs(cover["bottom"] - cover["top"][::-1, ::-1]).mean() < 0.02
    assert np.abs(cover["bottom"].mean() - cover["left"].mean()) < 0.02
    assert np.abs(cover["left"] - cover["right"][::-1, ::-1]).mean() < 0.02
    assert cover["bottom"][100:].mean() >= cover["bottom"][:20].mean()


@pytest.mark.parametrize(
    ("side", "place"),
    [
        ("bottom", Box(10, 150, 400, 50)),
        ("top", Box(10, 0, 400, 50)),
        ("left", Box(10, 0, 100, 200)),
        ("right", Box(310, 0, 100, 200)),
        ("whole", Box(10, 0, 400, 200)),
    ],
)
def test_a_silhouette_takes_its_part_of_the_area(side, place):
    layer = ShapeLayer(id="s", name="S", silhouette="wave", side=side, depth="25%")
    assert silhouette_place(layer, Box(10, 0, 400, 200), Viewport(1000, 800)) == place


@pytest.mark.parametrize(
    ("layer", "field"),
    [
        ({"kind": "pattern", "tile": "herringbone"}, "tile"),
        ({"kind": "shape", "silhouette": "cloud"}, "silhouette"),
        ({"kind": "edge", "edges": []}, "edges"),
        ({"kind": "edge", "around": True, "depth": "clamp(1px, 2vw, 9px)"}, ""),
        ({"kind": "gradient", "gradient": {"stops": [{"colour": "#000"}]}}, "stops"),
        ({"kind": "colour", "colour": "#000", "blend": "plus-darker"}, "blend"),
        ({"kind": "sparkle"}, ""),
        ({"kind": "image", "asset": "picture", "attachment": "fixed", "filter": {"blur": 4}}, ""),
        ({"kind": "image", "asset": "picture", "attachment": "slower", "filter": {"blur": 4}}, ""),
    ],
)
def test_what_is_no_layer_is_refused_with_its_place(layer, field):
    with pytest.raises(DocumentError) as caught:
        read_site(document({"id": "x", "name": "X", **layer}))
    assert any(p.path.startswith("$.pages[0].bands[0].backdrop.layers[0]") for p in caught.value.problems)
    assert field in str([p.path for p in caught.value.problems])


@pytest.mark.parametrize(
    ("over", "words"),
    [
        ({"layers": {"nobody": {"opacity": 1}}}, "no layer 'nobody'"),
        ({"layers": {"photo": {"colour": "#000000"}}}, "no colour of its own"),
    ],
)
def test_a_state_for_the_pointer_names_what_is_there(over, words):
    plain = document(colour_layer("#000"), {**image_layer(), "asset": "nothing"})
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = over
    with pytest.raises(DocumentError) as caught:
        read_site(plain)
    assert any(words in p.message for p in caught.value.problems)


def test_the_state_for_the_pointer_changes_only_what_it_names():
    plain = document(colour_layer("#102030", 0.2), colour_layer("#ffffff", 0.1, id="veil"))
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = {"base": "#000000", "layers": {"over": {"colour": "#445566"}}}
    backdrop = read_site(plain).pages[0].bands[0].backdrop
    then = backdrop.pointed_at()
    assert (then.base, then.layers[0].opacity, then.layers[1]) == ("#000000", 0.2, backdrop.layers[1])
    assert then.layers[0].model_dump()["colour"] == "#445566"


def test_the_emitted_page_has_the_state_for_pointer_and_keyboard_without_script():
    plain = document(colour_layer("#102030", 0.2))
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = {"fade": 180, "layers": {"over": {"opacity": 1}}}
    site = read_site(plain)
    emitted = emit_page(site, site.pages[0], FONTS, Urls())
    assert ".gf-banner:is(:hover, :focus-within) > .gf-behind > .gf-over {\n  opacity: 1;" in emitted.css
    assert "transition: opacity 180ms" in emitted.css
    assert "<script" not in emitted.html("")


def test_the_situations_hold_the_pointer_where_something_answers_to_it():
    quiet = one_banner(colour_layer("#000", 0.3)).site
    assert not any(s.moment.pointed for s in situations(quiet, quiet.pages[0]))
    plain = document(colour_layer("#ffffff", 0))
    plain["pages"][0]["bands"][0]["backdrop"]["over"] = {"layers": {"over": {"opacity": 0.9}}}
    site = read_site(plain)
    found = [s for s in situations(site, site.pages[0]) if s.moment.pointed]
    assert [s.name for s in found] == ["Desktop, pointer over", "Tablet, pointer over", "Phone, pointer over"]


def test_the_colour_at_a_spot_names_the_layers_it_is_made_of():
    file = one_banner(colour_layer("#ffffff", 0.5), colour_layer("#000000", 0, id="none"), base="#000000")
    reader, record = resolved(file)
    colour, parts = colour_at(record, 30, 30, reader.pictures)
    assert (colour, parts) == ("#808080", [("banner", "over"), ("banner", "base")])


def test_a_model_without_its_own_kind_is_refused():
    with pytest.raises(ValidationError):
        LAYER_KINDS["colour"].model_validate({"id": "a", "name": "A", "colour": "#000", "kind": "edge"})
