"""Columns in another order on one screen, in the real interface: turned by one press, marked, put back."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def test_a_column_stands_first_on_the_phone_alone(bench: Page):
    bench.get_by_role("button", name="This week", exact=True).click()
    bench.get_by_role("button", name="Base", exact=True).click()
    bench.get_by_role("tab", name="Size and space").click()
    settings = bench.get_by_role("region", name=re.compile("^Settings of"))
    settings.get_by_text("Phone", exact=True).click()
    order = settings.get_by_role("group", name="Order of the columns")
    before = order.text_content()
    # under each other on the phone: then the second stands above the first; on the desktop they stay side by side
    first, second = (frame(bench, "phone").locator(f".gf-{name}") for name in ("week", "fair"))
    assert first.bounding_box()["y"] < second.bounding_box()["y"]
    order.get_by_role("button").first.click()
    expect(order).not_to_have_text(before)
    expect(bench.get_by_role("button", name="Undo")).to_have_attribute("title", re.compile("on the phone"))
    for _ in range(100):
        if first.bounding_box()["y"] > second.bounding_box()["y"]:
            break
        bench.wait_for_timeout(100)
    assert first.bounding_box()["y"] > second.bounding_box()["y"]
    wide = [frame(bench, "desktop").locator(f".gf-{name}").bounding_box()["x"] for name in ("week", "fair")]
    assert wide[0] < wide[1]
    settings.get_by_role("button", name=re.compile("^Phone.*the same everywhere")).click()
    expect(order).to_have_text(before)
