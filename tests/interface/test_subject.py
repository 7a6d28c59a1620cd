"""What matters in a picture: asked for where it is not certain, and words put beside it."""

import numpy as np
from PIL import Image
from playwright.sync_api import Page, expect

from .dropping import drop
from .test_the_job import frame

DOUBT = "What matters in this picture is not certain. Tap what must stay in sight."


def noise(folder):
    """A picture in which nothing matters more than anything else, too large for a tile."""
    file = folder / "Grains.png"
    Image.fromarray(np.random.default_rng(4).integers(0, 256, (600, 900, 3), dtype=np.uint8)).save(file)
    return file


def test_what_is_not_certain_is_asked_and_a_tap_answers(bench: Page, tmp_path):
    drop(bench, noise(tmp_path))
    question = bench.get_by_text(DOUBT)
    expect(question).to_be_visible()
    bench.get_by_role("slider", name="Focal point").click(position={"x": 20, "y": 20})
    expect(question).to_have_count(0)
    bench.keyboard.press("Control+z")
    expect(question).to_be_visible()
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Framing").click()
    expect(bench.get_by_text("What matters in this picture is not certain. Tap")).to_be_visible()
    bench.get_by_label("what matters").check()


def test_words_go_beside_what_matters_and_back(bench: Page):
    words = frame(bench, "desktop").locator(".gf-headline")
    words.click()
    bench.get_by_role("tab", name="Place").click()
    beside = bench.get_by_role("button", name="Beside what matters")
    beside.click()
    expect(bench.get_by_text("stand where they cover least of what matters already")).to_be_visible()
    bench.get_by_role("button", name="Close").click()
    before = words.bounding_box()
    bench.get_by_role("button", name="top right", exact=True).click()
    expect(frame(bench, "desktop").locator(".gf-headline")).to_have_css("text-align", "end")
    beside.click()
    expect(frame(bench, "desktop").locator(".gf-headline")).to_have_css("text-align", "start")
    assert words.bounding_box()["y"] == before["y"]
    bench.keyboard.press("Control+z")
    expect(frame(bench, "desktop").locator(".gf-headline")).to_have_css("text-align", "end")
