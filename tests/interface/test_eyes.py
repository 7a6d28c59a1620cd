"""The screens through other eyes, in the real interface: chosen in one press, measured, told as advice, left again."""

import base64
import io
import re

import numpy as np
from PIL import Image
from playwright.sync_api import Page, expect

from garnetfern.core.eyes import Veil, seen
from tests.referee.browser import pixels


def chosen(bench: Page, title: str):
    bench.get_by_role("button", name="Eyes", exact=True).click()
    panel = bench.get_by_role("dialog", name="Other eyes")
    panel.get_by_role("radio", name=title).check()
    return panel


def test_a_page_is_seen_through_other_eyes_and_through_ones_own_again(bench: Page):
    phone = bench.get_by_role("list", name="Readings on Phone")
    before = phone.inner_text()
    panel = chosen(bench, "Less sharp eyes")
    row = phone.get_by_role("listitem").first
    figure = row.get_by_title(re.compile("^Advice, not required"))
    expect(figure).to_be_visible()
    half = float(figure.locator("b").inner_text())
    panel.get_by_role("slider", name="Distance").press("End")
    expect(figure.locator("b")).not_to_have_text(f"{half:.1f}")
    assert float(figure.locator("b").inner_text()) < half
    # what is required of the page is told as before
    verdict = bench.get_by_text("One block of words falls short on the phone.")
    expect(verdict).to_be_visible()
    bench.keyboard.press("Escape")
    expect(panel).to_have_count(0)
    assert "eyes=acuity+distance%3D4" in bench.url
    bench.reload()
    expect(bench.get_by_text(re.compile("^Less sharp eyes: .* asked of the page"))).to_be_visible()
    expect(figure).to_be_visible()
    bench.get_by_role("button", name="Own eyes again").click()
    expect(figure).to_have_count(0)
    expect(phone).to_have_text(re.compile("short"))
    assert phone.inner_text() == before
    assert "eyes" not in bench.url
    # what they change is seen on the bench: from anywhere else it leads there
    bench.keyboard.press("f")
    bench.get_by_role("button", name="Eyes", exact=True).click()
    expect(bench.get_by_role("radio", name="Your own eyes")).to_be_checked()
    expect(bench.get_by_role("heading", name="Build-up")).to_be_attached()
    bench.keyboard.press("Escape")
    bench.keyboard.press("e")
    expect(bench.get_by_role("radio", name="Your own eyes")).to_be_checked()


def picture() -> np.ndarray:
    """Soft hues with hard edges on them."""
    down, across = np.mgrid[0:120, 0:160]
    found = np.stack([across * 1.5, down * 2, 255 - across], axis=-1)
    found[30:60, 40:90] = (250, 250, 245)
    found[70:100:6, 20:140] = (20, 40, 30)
    return np.clip(found, 0, 255).astype(np.uint8)


def test_what_the_screens_show_is_what_the_core_computes(bench: Page):
    plain = picture()
    held = io.BytesIO()
    Image.fromarray(plain).save(held, "PNG")
    source = f"data:image/png;base64,{base64.b64encode(held.getvalue()).decode()}"
    for title in ("Red-weak eyes", "No colours at all", "Less sharp eyes", "Clouded eyes", "A dim projector"):
        with bench.expect_response(re.compile("/api/seen$")) as answer:
            chosen(bench, title)
        bench.keyboard.press("Escape")
        veil = next(v for v in answer.value.json()["veils"] if v["screen"] == "phone")
        there = bench.locator("#veil-phone")
        first = veil["matrix"][0]
        values = re.compile(f"^{first:.6g} ")
        expect(there.locator("feColorMatrix")).to_have_attribute("values", values)
        page = bench.context.new_page()
        page.set_content(
            f"<body style='margin:0'><svg width=0 height=0 style='position:absolute'>"
            f"{there.evaluate('e => e.outerHTML')}</svg>"
            f"<img src='{source}' style='display:block;filter:url(#veil-phone)'>"
        )
        shown = pixels(page.locator("img").screenshot()).astype(int)
        page.close()
        rows = np.array(veil["matrix"], dtype=np.float32).reshape(3, 5)
        matrix = np.hstack([rows[:, :3], rows[:, 4:]])
        off = np.abs(shown - seen(plain, Veil(veil["blur"], matrix)).astype(int))
        # a browser blurs by boxes, one after the other, not by the bell that they come near to
        assert off.mean() <= (1 if veil["blur"] else 0.05), title
        assert off.max() <= (20 if veil["blur"] else 2), title
