"""Whole banners: each can be read in every situation and fits, no two are alike, and what is left out says why."""

import functools
import io
import itertools

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image

from garnetfern.core.banners import IDEAS, Banner, BannerError, Banners, Without, apart, brief_of
from garnetfern.core.banners import banners as making
from garnetfern.core.banners.frame import ASIDE, moved_aside
from garnetfern.core.banners.palette import INK, WHITE, bearing, palette_of
from garnetfern.core.banners.sketch import LeftOut, Sketch
from garnetfern.core.banners.words import ALIKE, LEAST, bounded, in_colour, sized, widest
from garnetfern.core.colour.contrast import Requirement, ratio
from garnetfern.core.colour.mix import distance, lch
from garnetfern.core.document import Band, Crop, Part, page_on
from garnetfern.core.picture.decode import load
from garnetfern.core.picture.look import look_of
from garnetfern.core.reading import situations
from garnetfern.core.reading.fit import fit_of
from garnetfern.core.resolve.lengths import Scale, Viewport
from tests.conftest import jpeg
from tests.core.test_readings import split_picture
from tests.sites import colour_layer, document, image_layer, reader_of, with_picture

PALETTE = ["#fbf7ee", "#20302a", "#7a1f2b", "#3f6f46"]


def drawn(pixels):
    out = io.BytesIO()
    Image.fromarray(np.clip(pixels, 0, 255).astype(np.uint8)).save(out, "PNG")
    return out.getvalue()


def noisy(low, high, seed=3, width=600, height=400):
    """Grains of colours between two levels, a few px wide."""
    rng = np.random.default_rng(seed)
    cells = rng.integers(low, high, (height // 8, width // 8, 3))
    return drawn(cells.repeat(8, axis=0).repeat(8, axis=1))


def spotted(middle, ground=(70, 110, 80)):
    """A patterned disc on plain ground, its middle so far across."""
    down, across = np.mgrid[0:400, 0:800]
    inside = (across - middle * 800) ** 2 + (down - 200) ** 2 < 120**2
    pixels = np.full((400, 800, 3), ground, dtype=float)
    pattern = ((across // 10 + down // 10) % 2)[..., None] * np.array([180.0, 20, 40]) + np.array([60.0, 40, 10])
    return drawn(np.where(inside[..., None], pattern, pixels))


PICTURES = {
    "bright and busy": noisy(120, 255),
    "dark and busy": noisy(0, 120),
    "a subject at the right": spotted(0.75),
    "half dark, half light": split_picture((10, 30, 20), (235, 230, 210)),
}


def words(name, size="40px", colour="#ffffff", kind="heading", **more):
    lettering = {"size": size, "colour": colour}
    own = {"level": 1} if kind == "heading" else {}
    return (
        {"id": name, "kind": kind, "wording": f"{name.capitalize()} under glass", "lettering": lettering} | own | more
    )


LINE = words("line", "17px", kind="text")


def site(picture, *layers, blocks=None, **band):
    plain = document(image_layer(), *layers, blocks=blocks or [words("title", "64px"), LINE], **band)
    return with_picture({**plain, "palette": PALETTE}, picture, "picture.png")


def brief(file, band="banner", page=0):
    looks = {hash_: look_of(load(data)) for hash_, data in file.pictures.items()}
    return brief_of(reader_of(file), file.site, file.site.pages[page], band, lambda asset: looks[asset.hash])


def short_on(file, page):
    found = reader_of(file).reading_of(file.site, page, situations(file.site, page, None))
    return {reading.block for _, readings in found for reading in readings if reading.falls_short}


@functools.cache
def found_of(name):
    """What is made of one of the pictures, and its site."""
    file = site(PICTURES[name])
    return file, list(Banners(brief(file)).found())


@pytest.mark.parametrize("name", PICTURES)
def test_six_are_made_that_can_be_read_everywhere_fit_and_are_unlike_one_another(name):
    file, found = found_of(name)
    made = [one for one in found if isinstance(one, Banner)]
    left = [one for one in found if isinstance(one, Without)]
    assert len(made) == making.MOST or len(made) + len(left) == len(IDEAS)
    assert len(made) >= 4
    assert len({one.idea for one in found}) == len(found)
    for banner in made:
        assert short_on(file, banner.page) == set(), banner.sentence
        grave = {m.block for _, ms in fit_of(reader_of(file), file.site, banner.page) for m in ms if m.grave}
        assert not grave
        assert banner.sentence.endswith(".")
        assert [b.id for b in banner.page.blocks() if b.lettered] == ["title", "line"]
    for one, other in itertools.combinations(made, 2):
        assert apart(one.seen, other.seen) >= making.APART
    assert all(one.reason.endswith(".") for one in left)


def test_every_idea_comes_of_some_picture():
    made = {one.idea for name in PICTURES for one in found_of(name)[1]}
    calm = Banners(brief(site(jpeg(600, 400, (30, 60, 45)))))
    made |= {"calm"} if isinstance(next(calm._of("calm")), Banner) else set()
    toned = Banners(brief(site(spotted(0.5, (60, 90, 150)))))
    made |= {"toned"} if isinstance(next(toned._of("toned")), Banner) else set()
    assert made == set(IDEAS)
    orders = [module.ORDER for module in IDEAS.values()]
    assert orders == sorted(set(orders))
    assert all(module.TITLE for module in IDEAS.values())


@pytest.mark.parametrize(
    ("idea", "picture", "said"),
    [
        ("duo", jpeg(600, 400, (12, 14, 12)), "so dark"),
        ("toned", jpeg(600, 400, (120, 120, 120)), "hardly any colour"),
        ("calm", noisy(0, 255), "calm enough"),
    ],
)
def test_an_idea_that_does_not_suit_a_picture_is_left_out_and_says_why(idea, picture, said):
    with pytest.raises(LeftOut, match=said):
        next(Banners(brief(site(picture)))._of(idea))


def test_what_cannot_be_read_or_does_not_fit_is_never_offered(monkeypatch):
    file = site(PICTURES["bright and busy"])
    made_of = brief(file)

    def pale(one):
        yield Sketch(one.with_band(one.band), "White words on nothing.")

    monkeypatch.setattr(IDEAS["split"], "made", pale)
    with pytest.raises(LeftOut, match="could not be read"):
        next(Banners(made_of)._of("split"))

    def huge(one):
        columns = tuple(
            c.model_copy(update={"blocks": tuple(sized(in_colour(b, INK, WHITE), "300px") for b in c.blocks)})
            for c in one.band.columns
        )
        ground = one.band.backdrop.model_copy(update={"base": WHITE})
        yield Sketch(one.with_band(one.band.model_copy(update={"columns": columns, "backdrop": ground})), "Huge.")

    monkeypatch.setattr(IDEAS["split"], "made", huge)
    with pytest.raises(LeftOut, match="would not fit"):
        next(Banners(made_of)._of("split"))


def test_further_ones_of_an_idea_are_others():
    banners = Banners(brief(site(PICTURES["dark and busy"])))
    first = next(banners._of("split"))
    more = list(banners.variations("split", first.number))
    assert 0 < len(more) <= making.VARIATIONS
    for one, other in itertools.combinations([first, *more], 2):
        assert apart(one.seen, other.seen) >= making.VARIED
    assert all(one.idea == "split" and one.number != first.number for one in more)


BUTTON = words("visit", "17px", kind="button", link="#", plate={"backdrop": {"base": "#ffffff80"}})


@pytest.mark.parametrize(
    ("blocks", "layers", "said"),
    [
        ([], [image_layer()], "no words"),
        ([words("title")], [colour_layer("#123456")], "no picture"),
        ([words("title", keep=["picture"])], [image_layer()], "to be left"),
        ([words("title", keep=["place"])], [image_layer()], "to be left"),
    ],
)
def test_what_banners_cannot_be_made_of_is_said(blocks, layers, said):
    file = with_picture(document(*layers, blocks=blocks), PICTURES["dark and busy"], "picture.png")
    with pytest.raises(BannerError, match=said):
        brief(file)


def test_a_band_that_shares_a_picture_stands_alone_then_and_its_neighbour_on_plain_ground():
    plain = document(blocks=[words("title", "64px"), LINE])
    page = plain["pages"][0]
    page["bands"][0]["backdrop"] = {}
    header = {"id": "header", "name": "Header", "role": "header"}
    page["bands"].insert(0, {**header, "columns": [{"id": "names", "blocks": [words("site", "18px")]}]})
    page["joins"] = [{"id": "top", "first": "header", "last": "banner", "backdrop": {"layers": [image_layer()]}}]
    file = with_picture({**plain, "palette": PALETTE}, PICTURES["bright and busy"], "picture.png")
    made_of = brief(file)
    assert made_of.said == " Header stands on plain ground then."
    banner = next(Banners(made_of)._of("split"))
    assert banner.page.joins == ()
    assert banner.sentence.endswith(made_of.said)
    assert short_on(file, banner.page) == set()


def test_a_neighbour_below_that_loses_a_shared_picture_is_looked_at_too():
    plain = document(blocks=[words("title", "64px"), LINE])
    page = plain["pages"][0]
    page["bands"][0]["backdrop"] = {}
    kept = words("news", "18px", "#c0c0c0", keep=["colour"])
    page["bands"].append({"id": "below", "name": "News", "columns": [{"id": "n", "blocks": [kept]}]})
    page["joins"] = [{"id": "top", "first": "banner", "last": "below", "backdrop": {"layers": [image_layer()]}}]
    file = with_picture({**plain, "palette": PALETTE}, PICTURES["dark and busy"], "picture.png")
    made_of = brief(file)
    assert [b.id for b in made_of.page.bands] == ["banner", "below"]
    assert made_of.touched == {"title", "line", "news"}
    assert short_on(file, next(Banners(made_of)._of("split")).page) == set()


def test_words_in_other_bands_keep_their_ground():
    """A second band lies on the page's own picture, which moves behind it as the banner grows."""
    file = site(PICTURES["half dark, half light"])
    page = file.site.pages[0]
    second = page.bands[0].model_copy(
        update={
            "id": "second",
            "backdrop": type(page.backdrop)(),
            "columns": (page.bands[0].columns[0].model_copy(update={"id": "c2", "blocks": (_as_other(page),)}),),
        }
    )
    own = page.backdrop.model_copy(update={"layers": (page.bands[0].backdrop.layers[0],)})
    whole = page.model_copy(update={"bands": (*page.bands, second), "backdrop": own})
    both = type(file)(file.site.model_copy(update={"pages": (whole,)}), file.pictures)
    banners = Banners(brief(both))
    assert banners._reaches
    before = {block for block, _ in banners._before}
    for idea in ("split", "panel"):
        assert short_on(both, next(banners._of(idea)).page) <= before


def _as_other(page):
    return next(page.blocks()).model_copy(update={"id": "far"})


@pytest.mark.parametrize("left", [True, False])
@pytest.mark.parametrize("middle", [0.3, 0.45, 0.5, 0.6, 0.75])
def test_a_subject_is_moved_away_from_the_words_and_never_out_of_sight(left, middle):
    file = site(PICTURES["a subject at the right"])
    part = Part(id="disc", name="Disc", box=Crop(x=middle - 0.1, y=0.2, width=0.2, height=0.6))
    asset = file.site.assets[0].model_copy(update={"parts": (part,)})
    marked = type(file)(file.site.model_copy(update={"assets": (asset,)}), file.pictures)
    made_of = brief(marked)
    assert made_of.subject.middle == pytest.approx(middle, abs=0.03)
    layer = moved_aside(made_of, left)
    crop = layer.crop or Crop()
    inside = (middle - crop.x) / crop.width
    seen = inside if left else 1 - inside
    assert 0.15 <= inside <= 0.9
    assert seen >= min(ASIDE, middle if left else 1 - middle) - 0.03
    phone = next(
        x for x in page_on(made_of.with_band(with_layer(made_of.band, layer)), "phone").bands[-1].backdrop.layers
    )
    assert phone.crop in (None, Crop())


def with_layer(band: Band, layer) -> Band:
    return band.model_copy(update={"backdrop": band.backdrop.model_copy(update={"layers": (layer,)})})


HEX = st.builds(lambda r, g, b: f"#{r:02x}{g:02x}{b:02x}", *[st.integers(0, 255)] * 3)


@given(HEX, st.sampled_from([WHITE, INK, "#fbf7ee"]), st.sampled_from([3.1, 4.6, 7.1]))
def test_a_ground_bears_its_letters_and_keeps_its_hue(colour, letters, least):
    found = bearing(colour, letters, least)
    assert found is not None
    assert ratio(found, letters) >= least
    _, chroma, hue = lch(colour)
    turn = abs((lch(found)[2] - hue + 180) % 360 - 180)
    # colours that sRGB does not have at that lightness are cut off, which turns them
    assert chroma < 0.03 or turn < 45


def test_letters_of_middling_lightness_have_no_ground():
    assert bearing("#808080", "#777777", 7.1) is None


@given(st.lists(HEX, max_size=6).map(tuple), st.lists(HEX, max_size=4).map(tuple))
def test_a_palette_has_paper_ink_and_accents_that_are_told_apart(own, pictured):
    palette = palette_of(own, pictured, Requirement.AA)
    assert ratio(palette.paper, palette.ink) >= 7
    assert palette.accents
    assert palette.own <= len(own)
    for one, other in itertools.combinations(palette.accents, 2):
        assert distance(one, other) >= 0.12
    assert set(palette.from_accent(1)) == set(palette.accents)


def test_words_of_another_colour_keep_what_is_to_be_left_alone_and_buttons_can_be_seen():
    file = site(PICTURES["dark and busy"], blocks=[words("title", keep=["colour"]), words("two", kind="text"), BUTTON])
    kept, other, button = file.site.pages[0].blocks()
    assert in_colour(kept, INK, WHITE) is kept
    assert in_colour(other, INK, WHITE).lettering.colour == INK
    turned = in_colour(button, INK, WHITE)
    assert (turned.plate.backdrop.base, turned.lettering.colour) == (INK, WHITE)
    opaque = button.model_copy(
        update={"plate": button.plate.model_copy(update={"backdrop": type(button.plate.backdrop)(base="#7a1f2b")})}
    )
    assert in_colour(opaque, INK, WHITE) is opaque
    assert distance("#7a1f2b", WHITE) >= ALIKE


@pytest.mark.parametrize("font", ["Young Serif", "Hanken Grotesk"])
@pytest.mark.parametrize("wording", ["Ferns", "Ferns for every windowsill", "Chrysanthemum glasshouses"])
@pytest.mark.parametrize(("width", "share"), [(480, 0.86), (360, 0.29), (2000, 0.86)])
def test_large_words_are_as_large_as_their_widest_word_at_200_percent_lets_them_be(font, wording, width, share):
    plain = words("title", "90px", wording=wording)
    plain["lettering"]["font"] = font
    file = site(PICTURES["dark and busy"], blocks=[plain])
    block = next(file.site.pages[0].blocks())
    fonts = reader_of(file).fonts
    made = bounded(block, fonts, width, share)
    em = widest(block, fonts)
    for viewport in (800, 1280, 2560):
        size = Scale(Viewport(viewport, 800)).px(made.lettering.size)
        room = min(width, share * viewport)
        assert size * 2 * em <= room or size <= LEAST + 0.5
        assert size <= 90
    small = block.model_copy(update={"lettering": block.lettering.model_copy(update={"size": "12px"})})
    assert bounded(small, fonts, width, share) is small


def test_there_is_no_banner_of_what_is_no_band():
    with pytest.raises(BannerError, match="no band"):
        brief(site(PICTURES["dark and busy"]), band="home")
