"""Putting a site live in the real interface: measured first, compared with what is live, and gone back from."""

import re

import pytest
from playwright.sync_api import Page, expect


@pytest.fixture
def small(bench: Page) -> Page:
    """The release view of a new site: a banner alone."""
    bench.get_by_role("button", name=re.compile("^Sites, .* is open$")).click()
    bench.get_by_role("button", name=re.compile("^Banner a banner alone")).click()
    expect(bench.get_by_role("button", name="Sites, My site is open")).to_be_visible()
    bench.get_by_role("button", name="Release", exact=True).click()
    return bench


def put(page: Page, number: int) -> None:
    page.get_by_role("button", name=f"Put release {number} live", exact=True).click()
    expect(page.get_by_text(re.compile(rf"^\s*Release {number} is live since today"))).to_be_visible()


def recolour(page: Page, colour: str) -> None:
    """Another base colour for the banner, and back to the release."""
    kept = page.evaluate(
        """async (value) => {
        const at = '/of/my-site/api/';
        const { revision, document } = await (await fetch(at + 'state')).json();
        const banner = document.pages[0].bands.findIndex((band) => band.role === 'banner');
        const patch = [{ op: 'replace', path: `/pages/0/bands/${banner}/backdrop/base`, value }];
        const body = JSON.stringify({ revision, patch, label: 'Another colour' });
        const headers = { 'content-type': 'application/json' };
        return (await fetch(at + 'change', { method: 'POST', headers, body })).status; }""",
        colour,
    )
    assert kept == 200


def test_a_site_is_put_live_changed_and_taken_back(small: Page):
    expect(small.get_by_text("Nothing is live yet.")).to_be_visible()
    put(small, 1)
    expect(small.get_by_text("There is nothing new since.")).to_be_visible()
    with small.expect_popup() as opened:
        small.get_by_role("link", name="Open as a visitor").click()
    visitor = opened.value
    ground = "getComputedStyle(document.querySelector('h1').closest('.gf-band')).backgroundColor"
    expect(visitor.locator("h1")).to_be_visible()
    first = visitor.evaluate(ground)
    recolour(small, "#102030")
    expect(small.get_by_role("img", name="Phone, as it is live")).to_be_visible()
    expect(small.get_by_role("img", name="Phone, as it would be")).to_be_visible()
    expect(small.get_by_text(re.compile("base colour #[0-9a-f]{6} to #102030"))).to_be_visible()
    visitor.reload()
    assert visitor.evaluate(ground) == first
    put(small, 2)
    expect(small.get_by_text("Release 2 is live.", exact=True)).to_be_visible()
    visitor.reload()
    assert visitor.evaluate(ground) != first
    small.get_by_role("button", name="Put release 1 live again").click()
    expect(small.get_by_text(re.compile(r"^\s*Release 3 is live since"))).to_be_visible()
    visitor.reload()
    assert visitor.evaluate(ground) == first
    # what is worked on is not what is live, and can be made so again, and taken back
    expect(small.get_by_role("button", name="Put release 4 live")).to_be_visible()
    small.get_by_role("button", name="Work on release 1 again").click()
    expect(small.get_by_text("There is nothing new since.")).to_be_visible()
    small.get_by_role("button", name="Undo", exact=True).click()
    expect(small.get_by_role("button", name="Put release 4 live")).to_be_visible()


def test_what_falls_short_needs_one_more_press(small: Page):
    recolour(small, "#fbfbfb")
    expect(small.get_by_text(re.compile("blocks? of words falls? short, in"))).to_be_visible()
    button = small.get_by_role("button", name="Put release 1 live", exact=True)
    button.click()
    expect(small.get_by_text("Visitors will meet them so")).to_be_visible()
    small.get_by_role("button", name="Not yet").click()
    expect(button).to_be_visible()
    # what was asked for one state does not hold for another
    button.click()
    recolour(small, "#f8f8f8")
    expect(button).to_be_enabled()
    button.click()
    small.get_by_role("button", name="Put it live all the same").click()
    expect(small.get_by_text(re.compile("Release 1 is live since .*, although words fall short"))).to_be_visible()
    expect(small.get_by_role("listitem").filter(has_text="live").get_by_text("fall")).to_be_visible()


def test_measuring_is_stopped_and_taken_up_again(bench: Page):
    bench.get_by_role("button", name="Release", exact=True).click()
    bench.get_by_role("button", name="Stop", exact=True).click()
    expect(bench.get_by_text("It was not measured to the end.")).to_be_visible()
    expect(bench.get_by_role("button", name="Put release 1 live")).to_be_disabled()
    bench.get_by_role("button", name="Measure it").click()
    expect(bench.get_by_role("progressbar", name="Measuring what the release would be")).to_be_visible()
    bench.get_by_role("button", name="Stop", exact=True).click()
