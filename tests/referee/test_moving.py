"""The browser as referee over what moves: paused at a moment, and as visitors meet it."""

import random
import re
import time

import numpy as np
import pytest

from garnetfern.core.css import bundle_files
from garnetfern.core.reading import Reader, situations
from garnetfern.core.resolve.control import SIDE, control_of
from garnetfern.core.resolve.page import Windows
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures
from tests.interface.test_access import AXE, RUN
from tests.sampled import sampled
from tests.sites import document, image_layer, one_banner, with_picture

from .browser import HIDDEN, Opened
from .met import seen_ratio
from .moments import beside, frozen, sought
from .moving import generate
from .placings import picture


@pytest.mark.parametrize("seed", sampled(list(range(40)), 2))
def test_every_moment_agrees(browser, seed):
    file = generate(seed)
    layer = next(x for x in file.site.pages[0].bands[0].backdrop.layers if x.period())
    times = [t for p in layer.phases() for t in {p.start, p.middle, p.end - 0.1 * (p.end - p.start)}]
    rng = random.Random(seed)
    for width in rng.sample([1440, 820, 390], 2):
        for found in beside(browser, file, rng.sample(times, min(4, len(times))), (width, 400)):
            assert found.mean <= 1.5, found


@pytest.mark.parametrize("seed", sampled(list(range(40, 60)), 1))
def test_readings_of_members_and_changes_are_the_browser_s(browser, seed):
    file = generate(seed)
    site, page = file.site, file.site.pages[0]
    pictures = MemoryPictures(file.pictures)
    reader = Reader(shipped_fonts(), pictures)
    wanted = [s for s in situations(site, page, {"members", "changing"}) if s.screen == "phone"]
    opened = Opened(browser, bundle_files(site, reader.fonts, pictures.file))
    frozen(opened.at(390, 844))
    met = reader.met(site, page)
    try:
        for situation in wanted[:4]:
            at = situation.on_the_way(0.5)
            reading = reader.meet(met, "headline", at, site.requirement)
            sought(opened, dict(at.moment.phases)["turns"])
            seen = seen_ratio(opened, "headline")
            assert reading.ratio == pytest.approx(seen, rel=0.02), situation.name
    finally:
        opened.close()


TURNS = {
    "kind": "sequence",
    "id": "turns",
    "name": "Turns",
    "stay": 2,
    "change": 1,
    "members": [{"layer": image_layer(id=f"member-{n}", crop=c)} for n, c in enumerate((
        None, {"x": 0, "y": 0, "width": 0.5, "height": 1}, {"x": 0.5, "y": 0, "width": 0.5, "height": 1},
    ))],
}  # fmt: skip


def opened_as(browser, file, **how):
    """The page as a visitor with settings of their own meets it, and the pictures it asks for, in order."""
    pictures = MemoryPictures(file.pictures)
    fonts = shipped_fonts()
    opened = Opened(browser, bundle_files(file.site, fonts, pictures.file))
    context = browser.new_context(**how)
    opened.page.close()
    opened.page = context.new_page()
    asked = []
    opened.page.on("request", lambda r: asked.append(r.url.rsplit("/", 1)[1]) if "/pictures/" in r.url else None)
    return opened, asked


def opacities(opened):
    return opened.page.evaluate(
        "[...document.querySelectorAll('.gf-turns > *')].map((e) => Number(getComputedStyle(e).opacity))"
    )


def asked_at(opened, asked, count):
    """How far the movement has come when so many pictures are seen to have been asked for, s by the page's clock."""
    for _ in range(400):
        clock = "document.getAnimations().map((a) => a.currentTime)[0] ?? 0"
        if len(set(asked)) >= count:
            return opened.page.evaluate(clock) / 1000
        opened.page.wait_for_timeout(50)
    raise AssertionError(f"{count} pictures were not asked for: {asked}")


def test_the_first_picture_comes_first_and_the_others_when_their_turn_is_near(browser):
    opened, asked = opened_as(browser, with_picture(document(TURNS), picture("photo")))
    opened.at(390, 600)
    times = [asked_at(opened, asked, count) for count in (1, 2, 3)]
    opened.close()
    # the second a second after the first has come, the third a second after the second, which comes at 3 s
    assert times[1] >= 1
    assert times[2] >= 4
    assert "-c" not in asked[0]


def test_under_less_motion_the_first_is_there_and_no_other_is_fetched(browser):
    opened, asked = opened_as(browser, with_picture(document(TURNS), picture("photo")), reduced_motion="reduce")
    opened.at(390, 600)
    opened.page.wait_for_timeout(2600)
    assert len(set(asked)) == 1
    assert opacities(opened) == [1, 0, 0]
    assert not opened.page.locator(".gf-stop").is_visible()
    opened.close()


def test_with_another_at_each_visit_less_motion_shows_the_first(browser):
    turns = {**TURNS, "begins": "another"}
    opened, asked = opened_as(browser, with_picture(document(turns), picture("photo")), reduced_motion="reduce")
    opened.at(390, 600)
    opened.page.wait_for_timeout(300)
    assert len(set(asked)) == 1
    assert opacities(opened) == [1, 0, 0]
    opened.close()


def test_another_begins_at_some_visit(browser):
    opened, _ = opened_as(browser, with_picture(document({**TURNS, "begins": "another"}), picture("photo")))
    seen = set()
    for _ in range(24):
        opened.at(390, 600)
        found = opacities(opened)
        assert sum(found) == pytest.approx(1, abs=1e-3)
        seen.add(found.index(max(found)))
    assert len(seen) > 1
    opened.close()


def test_the_control_stops_and_starts_all_by_keyboard_without_script(browser):
    file = one_banner(turns_of_gradients())
    opened, _ = opened_as(browser, file)
    page = opened.at(390, 600).page
    box = page.get_by_role("checkbox", name="Stop what moves")
    size = page.locator(".gf-stop").bounding_box()
    assert (size["width"], size["height"]) == (SIDE, SIDE)
    states = "document.getAnimations().map((a) => a.playState)"
    page.keyboard.press("Tab")
    assert box.evaluate("(e) => e === document.activeElement")
    page.keyboard.press("Space")
    assert set(page.evaluate(states)) == {"paused"}
    held = opacities(opened)
    page.wait_for_timeout(400)
    assert opacities(opened) == held
    page.keyboard.press("Space")
    assert set(page.evaluate(states)) == {"running"}
    opened.close()


def turns_of_gradients(**more):
    members = [
        {"layer": {"kind": "gradient", "id": f"member-{n}", "name": "M", "gradient": {"stops": stops}}}
        for n, stops in enumerate(
            ([{"colour": "#101820"}, {"colour": "#203040"}], [{"colour": "#f0f0e0"}, {"colour": "#ffffff"}])
        )
    ]
    return {"kind": "sequence", "id": "turns", "name": "Turns", "stay": 1, "change": 1, "members": members, **more}


@pytest.mark.parametrize("place", ["start", "center", "end"])
def test_the_control_stands_where_no_words_are(browser, place):
    content = {"stand": place, "align": place, "width": "100%"}
    file = one_banner(turns_of_gradients(), content=content, padding={"block": "6px", "inline": "6px"})
    site, page = file.site, file.site.pages[0]
    fonts = shipped_fonts()
    control = control_of(site, page, Windows(site, page, fonts))
    assert control.over == ()
    opened, _ = opened_as(browser, file)
    for screen in site.screens:
        opened.at(screen.width, screen.height)
        stop = opened.page.locator(".gf-stop").bounding_box()
        words = opened.page.locator(".gf-headline").evaluate(
            "(e) => { const r = document.createRange(); r.selectNodeContents(e); const b = r.getBoundingClientRect();"
            " return [b.left, b.top, b.right, b.bottom]; }"
        )
        apart = (
            stop["x"] > words[2]
            or stop["x"] + stop["width"] < words[0]
            or stop["y"] > words[3]
            or stop["y"] + stop["height"] < words[1]
        )
        assert apart, (screen.name, stop, words)
    opened.close()


def test_what_takes_turns_can_be_chosen_with_the_arrow_keys_and_run_on_again(browser):
    file = one_banner(turns_of_gradients(choosable=True))
    opened, _ = opened_as(browser, file)
    page = opened.at(390, 600).page
    group = page.get_by_role("radiogroup", name="Turns")
    picks = group.get_by_role("radio")
    assert [p.get_attribute("aria-label") for p in picks.all()] == ["let them run", "M", "M"]
    picks.nth(0).focus()
    page.keyboard.press("ArrowRight")
    assert opacities(opened) == [1, 0]
    page.keyboard.press("ArrowRight")
    assert opacities(opened) == [0, 1]
    page.wait_for_timeout(300)
    assert opacities(opened) == [0, 1]
    picks.nth(0).check()
    assert len(page.evaluate("document.getAnimations().map((a) => a.playState)")) == 2
    box = page.locator("div.gf-control").bounding_box()
    site, found = file.site, file.site.pages[0]
    assert box["width"] == control_of(site, found, Windows(site, found, shipped_fonts())).wide
    opened.close()


def test_the_picture_of_a_chosen_member_is_fetched_then(browser):
    # the second is fetched a second after the first is there, the third a minute later, however slow the machine is
    turns = {**TURNS, "choosable": True, "stay": 60}
    opened, asked = opened_as(browser, with_picture(document(turns), picture("photo")))
    page = opened.at(390, 600).page
    page.wait_for_timeout(300)
    third = "-c120-0-"
    assert asked
    assert not [name for name in asked if third in name]
    page.get_by_role("radio").nth(3).check()
    for _ in range(100):
        page.wait_for_timeout(100)
        if any(third in name for name in asked) and opacities(opened) == [0, 0, 1]:
            break
    assert [name for name in asked if third in name]
    assert opacities(opened) == [0, 0, 1]
    opened.close()


def test_while_one_picture_is_missing_its_turn_shows_the_base_and_the_others_are_there(browser):
    file = with_picture(document(TURNS), picture("photo"))
    opened, _ = opened_as(browser, file)
    gone = [name for name in (p.name for p in opened.root.rglob("*.webp")) if "-c120-0-" in name]
    assert gone
    missing = re.compile(r"/pictures/.*-c120-0-")
    opened.page.route(missing, lambda route: route.abort())
    frozen(opened.at(390, 400))
    base = (0x20, 0x30, 0x2A)
    sought(opened, 1)
    assert (np.abs(opened.styled(HIDDEN)[:300] - base).max(axis=2) > 20).any()
    sought(opened, 4)
    assert (np.abs(opened.styled(HIDDEN)[:300] - base).max(axis=2) > 20).any()
    sought(opened, 7)
    assert np.abs(opened.styled(HIDDEN)[:300] - base).max() == 0
    opened.close()


def test_the_first_picture_waits_for_no_other_on_a_slow_line(browser):
    file = with_picture(document(TURNS), picture("photo"))
    opened, asked = opened_as(browser, file)

    def slowly(route):
        time.sleep(0.4)
        route.continue_()

    opened.page.route("**/pictures/**", slowly)
    opened.page.set_viewport_size({"width": 390, "height": 400})
    opened.page.goto(opened._address)
    visible = opened.page.locator(".gf-headline").is_visible()
    second = asked_at(opened, asked, 2)
    opened.close()
    assert visible
    assert "-c" not in asked[0]
    assert second >= 1


def test_pages_that_move_are_found_in_order_by_axe(browser, demo):
    pictures = MemoryPictures(demo.pictures)
    opened = Opened(browser, bundle_files(demo.site, shipped_fonts(), pictures.file))
    page = opened.page
    page.set_viewport_size({"width": 1280, "height": 800})
    found = {}
    for slug in ("through-the-year", "evenings", "welcome"):
        page.goto(opened._address.replace("index.html", f"{slug}.html"))
        page.wait_for_timeout(2500)
        page.evaluate(AXE.read_text())
        found[slug] = page.evaluate(RUN)
    assert found == {"through-the-year": [], "evenings": [], "welcome": []}
    opened.close()
