"""Changes in which nothing happens but that one picture turns into another: told from others, and looked at without
painting what lies in between."""

import io

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.reading import situations
from garnetfern.core.reading.fade import MOMENTS, Fade, fades
from garnetfern.core.reading.ground import Painter, all_sheets, around
from garnetfern.core.resolve.box import Box
from tests.core.test_sequences import DARK, FAINT, LIGHT, gradient, picture, turns
from tests.sites import colour_layer, document, image_layer, reader_of, with_picture

SHADOW = {"across": "2px", "down": "3px", "blur": "4px", "colour": "#000000a0"}
PLATE = {"backdrop": {"base": "#30405080"}, "padding": {"block": "8px", "inline": "12px"}}
OVER = colour_layer("#203a2c", 0.43)


def words(**more):
    own = {"font": "Young Serif", "size": "40px", "colour": "#767676", **more.pop("lettering", {})}
    return {"kind": "heading", "id": "headline", "wording": "Ferns", "level": 1, "lettering": own, **more}


def grain():
    """A picture of noise."""
    out = io.BytesIO()
    Image.effect_noise((900, 500), 90).convert("RGB").save(out, "JPEG")
    return out.getvalue()


def change(*layers, **more):
    """A reader, its page at any moment, and the first change on a phone."""
    file = with_picture(document(*layers, blocks=[words(**more)]), grain())
    reader, page = reader_of(file), file.site.pages[0]
    found = next(s for s in situations(file.site, page, None) if s.id == "phone:turns-1-on")
    met = reader.met(file.site, page)
    return reader, met, found


def grounds(reader, met, situation, shares):
    records = [met.at(situation.on_the_way(share).moment) for share in shares]
    blocks = [next(r.blocks()) for r in records]
    plan = reader.plan(blocks[0])
    return (
        records,
        blocks,
        plan,
        [around(r, b, Box(*plan.region), all_sheets) for r, b in zip(records, blocks, strict=True)],
    )


FADES = {
    "gradients": ([turns(DARK, LIGHT)], {}),
    "translucent, the whole of it too": ([turns(FAINT, LIGHT, opacity=0.6)], {}),
    "a picture into a gradient, under a colour": ([turns(picture(3), LIGHT), OVER], {}),
    "with a shadow and on a plate": (
        [turns(picture(3), DARK), OVER],
        {"lettering": {"shadow": SHADOW}, "plate": PLATE},
    ),
}
OTHERS = {
    "blended in": ([turns(DARK, LIGHT, blend="overlay")], {}),
    "beneath what is blended in": ([turns(DARK, LIGHT), {**OVER, "blend": "difference"}], {}),
    "over a picture that stays while the page is scrolled": (
        [image_layer(attachment="fixed"), turns(FAINT, gradient(2, "#00000080", "#ffffff80"))],
        {},
    ),
}


@pytest.mark.parametrize("name", FADES)
def test_any_moment_of_a_fade_is_a_mix_of_its_ends(name):
    layers, more = FADES[name]
    reader, met, found = change(*layers, **more)
    assert fades(grounds(reader, met, found, MOMENTS)[3])
    shares = (0, 0.1, 0.37, 0.5, 0.93, 1)
    records, blocks, plan, there = grounds(reader, met, found, shares)
    painted = [
        Painter(record, block, plan, reader.pictures, reader.glyphs).ground(one)
        for record, block, one in zip(records, blocks, there, strict=True)
    ]
    fade = Fade(painted[0], painted[-1])
    assert np.abs(painted[0].behind.astype(int) - painted[-1].behind).max() > 20
    for share, real in zip(shares, painted, strict=True):
        off = np.abs(fade.at(share).behind.astype(int) - real.behind)
        assert off.max() <= 2
        assert len(fade.at(share).fronts) == len(real.fronts)


@pytest.mark.parametrize("name", OTHERS)
def test_what_is_more_than_a_fade_is_painted_at_every_moment(name, monkeypatch):
    layers, more = OTHERS[name]
    reader, met, found = change(*layers, **more)
    there = grounds(reader, met, found, MOMENTS)[3]
    assert there[0].moves or not fades(there)
    monkeypatch.setattr(Fade, "at", None)
    assert reader.worst_of(met, "headline", found).until is None


shade = st.integers(0, 255).map(lambda n: f"#{n:02x}{n:02x}{n:02x}")


@settings(max_examples=25)
@given(shade, shade, shade, shade, st.floats(0, 0.8))
def test_the_worst_of_a_fade_is_the_worst_of_all_its_moments(one, two, three, four, over):
    reader, met, found = change(turns(gradient(1, one, two), gradient(2, three, four)), colour_layer("#808890", over))
    level = met.site.requirement
    read = reader.meet(met, "headline", found, level)
    every = (reader.meet(met, "headline", found.on_the_way(n / 48), level) for n in range(49))
    assert read.ratio <= min(one.ratio for one in every) * 1.01
