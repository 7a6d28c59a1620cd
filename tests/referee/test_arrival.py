"""Words that arrive, in the browser: where the core says, once, and never missing."""

import pytest

from garnetfern.core.document import read_site
from garnetfern.core.resolve.entrance import entrance_at
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from tests.sites import HEADING, document, one_banner

from .moments import FREEZE
from .test_moving import opened_as

ARRIVING = {**HEADING, "entrance": {"way": "rise", "duration": 0.8, "delay": 0.2}}
HELD = f"""document.addEventListener('DOMContentLoaded', () => {{ const style = document.createElement('style');
  style.textContent = '{FREEZE}'; document.head.append(style); }});"""
WHERE = """() => { const s = getComputedStyle(document.querySelector('.gf-headline'));
  const [x, y] = s.translate === 'none' ? [0, 0] : s.translate.split(' ').map(parseFloat);
  return [Number(s.opacity), x, y ?? 0]; }"""


@pytest.mark.parametrize("way", ["fade", "rise", "settle", "side"])
def test_words_on_their_way_are_where_the_core_says(browser, way):
    heading = {**ARRIVING, "entrance": {**ARRIVING["entrance"], "way": way}}
    file = one_banner(blocks=[heading])
    entrance = next(file.site.pages[0].blocks()).entrance
    opened, _ = opened_as(browser, file)
    # held from the beginning, so that a slow machine does not come when all is over
    opened.page.add_init_script(HELD)
    page = opened.at(600, 500).page
    page.wait_for_function("document.getAnimations().length > 0")
    for at in (0.0, 0.2, 0.3, 0.5, 0.9):
        page.evaluate("(t) => document.getAnimations().forEach((a) => { a.pause(); a.currentTime = t * 1000; })", at)
        there = entrance_at(entrance, at)
        assert page.evaluate(WHERE) == pytest.approx([there.opacity, there.across, there.down], abs=0.06), at
    opened.close()


@pytest.mark.parametrize(
    "how", [{"reduced_motion": "reduce"}, {"java_script_enabled": False}, {}], ids=["less motion", "no script", "plain"]
)
def test_words_never_stay_away_and_nothing_shifts(browser, how):
    file = one_banner(blocks=[ARRIVING])
    opened, _ = opened_as(browser, file, **how)
    page = opened.page
    page.set_viewport_size({"width": 600, "height": 500})
    page.goto(opened._address)
    page.wait_for_timeout(1500)
    if how.get("java_script_enabled", True):
        assert page.evaluate(WHERE) == [1, 0, 0]
        shifts = (
            "new Promise((done) => { let all = 0; new PerformanceObserver((list) => list.getEntries().forEach((e) => "
            "(all += e.value))).observe({ type: 'layout-shift', buffered: true }); setTimeout(() => done(all), 200); })"
        )
        # a font that comes late moves the words by 6 px (0.0011); arriving words come from 28 px below
        assert page.evaluate(shifts) < 0.002
    else:
        assert page.locator(".gf-headline").screenshot() != b""
        assert page.locator(".gf-headline").is_visible()
    opened.close()


def test_words_arrive_once_when_they_come_into_sight(browser):
    plain = document(blocks=[ARRIVING])
    tall = {**plain["pages"][0]["bands"][0], "id": "tall", "columns": [], "height": {"min": "1600px"}, "role": "band"}
    plain["pages"][0]["bands"].insert(0, tall)
    opened, _ = opened_as(browser, file_of(plain))
    page = opened.at(600, 500).page
    page.wait_for_timeout(1300)
    assert page.evaluate(WHERE)[0] == pytest.approx(0.4)
    page.evaluate("scrollTo(0, 1500)")
    page.wait_for_timeout(1600)
    assert page.evaluate(WHERE) == [1, 0, 0]
    page.evaluate("scrollTo(0, 0)")
    page.wait_for_timeout(200)
    page.evaluate("scrollTo(0, 1500)")
    page.wait_for_timeout(100)
    assert page.evaluate(WHERE) == [1, 0, 0]
    opened.close()


def file_of(plain):
    return SiteFile(read_site(plain, shipped_fonts().names()), {})
