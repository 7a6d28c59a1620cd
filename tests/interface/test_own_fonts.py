"""A font of one's own, with the mouse: brought, set on words, called otherwise, removed, brought back."""

from pathlib import Path

from playwright.sync_api import Page, expect

from garnetfern.core.fontfile.sample import build
from tests.referee.own_fonts import MODULES

FRAUNCES = MODULES / "@fontsource-variable/fraunces/files/fraunces-latin-full-normal.woff2"


def shelf_of_fonts(bench: Page) -> None:
    bench.get_by_role("button", name="Shelf", exact=True).click()
    bench.get_by_role("tab", name="Our fonts").click()


def set_in(bench: Page, stack: str) -> None:
    """The heading on the first screen is set so."""
    heading = bench.frame_locator("iframe").first.get_by_role("heading").first
    expect(heading).to_have_css("font-family", stack)


def test_words_are_set_in_a_font_of_ones_own_and_everything_has_a_way_back(bench: Page):
    shelf_of_fonts(bench)
    expect(bench.get_by_text("No font of your own yet.")).to_be_visible()
    bench.get_by_label("Bring fonts to the shelf").set_input_files(FRAUNCES)
    card = bench.get_by_role("listitem").filter(has=bench.get_by_label("Name of the family"))
    expect(card).to_contain_text("222 letters and signs (Latin), 4 axes")
    card.get_by_role("button", name="Set “A hundred ferns").click()
    set_in(bench, 'Fraunces, "Fraunces stand-in", sans-serif')
    # named styles and axes are beside the words
    style = bench.get_by_label("Named style")
    style.select_option("Black")
    expect(bench.frame_locator("iframe").first.get_by_role("heading").first).to_have_css("font-weight", "900")
    bench.get_by_label("Softness").fill("60")
    bench.get_by_label("Softness").press("Enter")
    expect(style).to_have_value("-1")
    bench.get_by_role("button", name="As the font has them").click()
    # called otherwise, its words follow
    shelf_of_fonts(bench)
    name = bench.get_by_label("Name of the family")
    name.fill("House letters")
    name.press("Enter")
    expect(bench.get_by_text("1 block of words: ")).to_be_visible()
    bench.get_by_role("button", name="Bench", exact=True).click()
    set_in(bench, '"House letters", "House letters stand-in", sans-serif')
    shelf_of_fonts(bench)
    bench.get_by_role("button", name="Remove fraunces").click()
    expect(bench.get_by_text("No font of your own yet.")).to_be_visible()
    bench.get_by_role("button", name="Undo", exact=True).click()
    expect(bench.get_by_label("Name of the family")).to_have_value("House letters")


def test_what_is_no_font_is_told_and_letters_that_lack_are(bench: Page, tmp_path: Path):
    shelf_of_fonts(bench)
    files = bench.get_by_label("Bring fonts to the shelf")
    (tmp_path / "broken.ttf").write_bytes(build()[:200])
    (tmp_path / "small.ttf").write_bytes(build("Small"))
    files.set_input_files([tmp_path / "broken.ttf", tmp_path / "small.ttf"])
    expect(bench.get_by_role("alert")).to_contain_text("broken.ttf is damaged and cannot be opened")
    bench.get_by_role("button", name="Set “A hundred ferns").click()
    expect(bench.get_by_label("Wording").or_(bench.get_by_role("tab", name="Letters")).first).to_be_visible()
    shelf_of_fonts(bench)
    expect(bench.get_by_role("note").first).to_contain_text("are not in Small: 'A hundred ferns")
    expect(bench.get_by_text("Its maker allows it to be embedded for viewing and printing")).to_be_visible()
