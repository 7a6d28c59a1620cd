"""The interface for everybody: axe in both themes, the keyboard alone, everything in sight at 1280 x 800."""

from pathlib import Path

from playwright.sync_api import Page, expect

AXE = Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js"
RUN = "() => axe.run({ iframes: false }).then((r) => r.violations.map((v) => `${v.id}: ${v.nodes[0].html}`))"
FLAT = ".btn { background-image: none !important; }"
"""The buttons' decorative background image hides them from the contrast rule."""


def test_everything_is_in_sight_at_1280_by_800(bench: Page):
    bench.get_by_role("button", name="Words", exact=True).click()
    assert bench.evaluate(
        "document.documentElement.scrollHeight <= innerHeight && document.body.scrollHeight <= innerHeight"
    )
    for part in ("Screens", "Build-up", "Settings of Words"):
        box = bench.get_by_role("region", name=part).bounding_box()
        assert box["y"] + box["height"] <= 801
        assert box["x"] + box["width"] <= 1281
    settings = bench.get_by_role("region", name="Settings of Words")
    assert settings.evaluate("e => e.scrollHeight <= e.clientHeight")


def test_the_strength_is_found_and_pulled_by_keyboard_alone(bench: Page):
    bench.locator("body").focus()
    found = "document.activeElement?.type === 'range' && !!document.activeElement.closest('[aria-label^=Settings]')"
    for _ in range(90):
        bench.keyboard.press("Tab")
        if bench.evaluate(found):
            break
    bench.keyboard.press("Shift+ArrowRight")
    expect(bench.get_by_role("textbox", name="Strength in %")).to_have_value("30 %")
    expect(bench.get_by_text("Every word can be read on every screen.")).to_be_visible(timeout=120_000)


def test_the_build_up_is_walked_with_brackets(bench: Page):
    for key, title in (("]", "Words"), ("[", "Dusk"), ("[", "Glasshouse at dawn"), ("[", "Banner")):
        bench.keyboard.press(key)
        expect(bench.get_by_role("region", name=f"Settings of {title}")).to_be_visible()


def test_the_list_of_keys_opens_and_closes(bench: Page):
    bench.keyboard.press("?")
    expect(bench.get_by_role("dialog", name="Keys")).to_be_visible()
    bench.keyboard.press("Escape")
    expect(bench.get_by_role("dialog", name="Keys")).to_have_count(0)
