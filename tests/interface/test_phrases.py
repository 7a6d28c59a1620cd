"""Phrases in the real interface: words pressed, drawn over, taken by the keyboard; set, shown, kept and undone."""

import re

from playwright.sync_api import Page, expect

from .test_the_job import frame


def opened(bench: Page):
    """The phrases of the text about the week."""
    bench.get_by_role("button", name="This week", exact=True).click()
    bench.get_by_role("button", name="Words", exact=True).click()
    picker = bench.get_by_role("combobox", name="Block of words")
    picker.select_option(value="week-text")
    bench.get_by_role("tab", name="Phrases").click()
    return bench.get_by_role("toolbar", name="Words to choose from")


def test_words_become_a_strong_link_and_go_back(bench: Page):
    words = opened(bench)
    seen = frame(bench, "desktop").locator(".gf-week-text")
    words.get_by_role("button", name="royal", exact=True).click()
    words.get_by_role("button", name="ferns", exact=True).click(modifiers=["Shift"])
    bench.get_by_role("checkbox", name="strong").check()
    expect(seen.locator("strong")).to_have_text("royal ferns")
    link = bench.get_by_role("textbox", name="Link of the chosen words")
    link.fill("javascript:alert(1)")
    link.press("Enter")
    expect(bench.get_by_role("alert").first).to_contain_text("A link is a page of this site")
    link.fill("fern-fair.html")
    link.press("Enter")
    expect(seen.locator("a strong")).to_have_text("royal ferns")
    expect(bench.get_by_role("checkbox", name="underlined")).to_be_checked()
    bench.get_by_role("button", name="Undo").click()
    expect(seen.locator("a")).to_have_count(0)
    expect(seen.locator("strong")).to_have_text("royal ferns")


def test_a_line_ends_on_the_phone_alone_and_stays_on_its_words(bench: Page):
    words = opened(bench)
    words.get_by_role("button", name="The", exact=True).focus()
    # to `opened` by the keyboard, and the next word with it
    for _ in range(4):
        bench.keyboard.press("ArrowRight")
    bench.keyboard.press("Enter")
    expect(words.get_by_role("button", name="opened", exact=True)).to_have_attribute("aria-pressed", "true")
    bench.get_by_role("combobox", name="The line ends there for").select_option(label="Phone")
    bench.get_by_role("checkbox", name=re.compile("the line ends behind")).check()
    phone, desktop = (frame(bench, name).locator(".gf-week-text br") for name in ("phone", "desktop"))
    expect(phone).to_be_attached()
    assert phone.evaluate("e => getComputedStyle(e).display") == "inline"
    assert desktop.evaluate("e => getComputedStyle(e).display") == "none"
    bench.get_by_role("tab", name="Words", exact=True).click()
    field = bench.get_by_label("Words", exact=True).last
    field.fill("All of the royal ferns have opened on the south bench.")
    field.blur()
    expect(frame(bench, "phone").locator(".gf-week-text")).to_contain_text("All of the royal ferns have opened")
    expect(phone).to_be_attached()
    html = frame(bench, "phone").locator(".gf-week-text").inner_html()
    assert re.search(r"opened\s*<br", html)
