"""Pictures in the real interface: tiled, cut for a slot, joined, framed for one screen, replaced everywhere."""

import io
import re

from PIL import Image
from playwright.sync_api import Page, expect

from .test_the_job import frame


def bring(page: Page, label: str, *files: tuple[str, bytes]) -> None:
    page.get_by_label(label).set_input_files(
        [{"name": name, "mimeType": "image/png", "buffer": data} for name, data in files]
    )


def png(size=(60, 40), colour=(90, 120, 60), rows: int = 0) -> bytes:
    image = Image.new("RGB", size, colour)
    for y in range(rows):
        image.putpixel((0, y), (y, 0, 0))
    out = io.BytesIO()
    image.save(out, "PNG")
    return out.getvalue()


def test_a_tile_in_the_place_of_a_photograph_lies_as_suits_it(bench: Page):
    bench.get_by_role("button", name="Glasshouse at dawn", exact=True).click()
    bench.get_by_role("tab", name="Look, other pictures").click()
    bench.get_by_role("button", name="Fern tile.png").click()
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_css("background-repeat", "repeat")
    expect(bench.get_by_text(re.compile(r"15\.0 × 5\.8 tiles"))).to_be_visible()
    bench.get_by_role("tab", name="Size and place").click()
    bench.get_by_label("Tiles downwards").select_option("no-repeat")
    expect(frame(bench, "tablet").locator(".gf-dawn")).to_have_css("background-repeat", "repeat-x")


def test_a_picture_is_cut_for_a_slot_of_exact_size(bench: Page):
    bench.get_by_role("button", name="Shelf").click()
    bench.get_by_role("tab", name="Exact slots").click()
    bench.get_by_label("Name of a new slot").fill("Letter head")
    bench.get_by_label("Width in px").fill("600")
    bench.get_by_label("Height in px").fill("200")
    bench.get_by_role("button", name="Add", exact=True).click()
    bench.get_by_role("button", name=re.compile("Letter head")).first.click()
    bench.get_by_role("button", name=re.compile("Reading room")).click()
    crop = bench.get_by_role("slider", name="Crop of Reading room.jpg")
    expect(bench.get_by_role("status").filter(has_text="50 % of the picture is cut off")).to_be_visible()
    crop.press("Shift+ArrowDown")
    crop.press("-")
    expect(bench.get_by_text("cut for this slot")).to_be_visible()
    with bench.expect_download() as coming:
        bench.get_by_role("link", name="Download 600 × 200 JPEG").click()
    with Image.open(coming.value.path()) as image:
        assert (image.size, image.format) == ((600, 200), "JPEG")


def test_header_and_banner_are_joined_and_parted_by_undo(bench: Page):
    bench.get_by_role("button", name="Change areas").click()
    bench.get_by_role("menuitem", name="Join with Header").click()
    join = bench.get_by_role("button", name="Header + Banner")
    expect(join).to_have_attribute("aria-pressed", "true")
    boxes = [
        frame(bench, "phone").locator(s).first.evaluate("e => [e.getBoundingClientRect().top, e.offsetHeight]")
        for s in (".gf-join", ".gf-top", ".gf-banner")
    ]
    assert boxes[0][0] == boxes[1][0] == 0
    assert abs(boxes[0][1] - boxes[1][1] - boxes[2][1]) <= 1
    expect(bench.get_by_text(re.compile("fall short"))).to_be_visible(timeout=120_000)
    bench.keyboard.press("Control+z")
    expect(join).to_have_count(0)
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_count(1)


def test_the_phone_gets_a_focal_point_of_its_own_and_gives_it_back(bench: Page):
    bench.get_by_role("button", name="Glasshouse at dawn", exact=True).click()
    bench.keyboard.press("f")
    handle = bench.get_by_title(re.compile("to give Phone a focal point of its own"))
    box = handle.bounding_box()
    assert box is not None
    bench.mouse.move(box["x"] + 10, box["y"] + 10)
    bench.mouse.down()
    bench.mouse.move(box["x"] - 130, box["y"] + 10, steps=6)
    bench.mouse.up()
    back = bench.get_by_role("button", name="own focal point: as everywhere")
    expect(back).to_be_visible()
    bench.keyboard.press("Escape")
    phone, desktop = (frame(bench, s).locator(".gf-dawn") for s in ("phone", "desktop"))
    expect(desktop).to_have_css("background-position", "72% 44%")
    expect(phone).not_to_have_css("background-position", "72% 44%")
    mark = bench.get_by_role("button", name=re.compile("Phone.*the same everywhere"))
    mark.click()
    expect(phone).to_have_css("background-position", "72% 44%")
    expect(mark).to_have_count(0)


def test_a_picture_is_replaced_everywhere_and_stays_while_it_is_used(bench: Page):
    bench.get_by_role("button", name="Shelf").click()
    bench.get_by_role("button", name="Glasshouse at dawn.jpg").click()
    bench.get_by_role("button", name="Take it off the shelf").click()
    expect(bench.get_by_role("alert")).to_contain_text("is used in 4 places and stays")
    bench.get_by_label("Replace with").select_option(label="Fern, close.jpg")
    bench.get_by_role("button", name="Replace", exact=True).click()
    bench.get_by_role("button", name="Glasshouse at dawn.jpg").click()
    expect(bench.get_by_text("Nowhere yet.")).to_be_visible()
    bench.get_by_role("button", name="Take it off the shelf").click()
    expect(bench.get_by_role("button", name="Glasshouse at dawn.jpg")).to_have_count(0)
    bench.get_by_role("button", name="Bench").click()
    expect(frame(bench, "desktop").locator(".gf-dawn")).to_have_css("background-image", re.compile("fern-close"))


def test_many_pictures_come_at_once_and_bad_ones_are_said(bench: Page):
    bench.get_by_role("button", name="Shelf").click()
    files = [(f"Row {n}.png", png(rows=n + 1)) for n in range(5)]
    bring(bench, "Bring pictures to the shelf", *files, ("Broken.png", png()[:50]), ("Row 0 again.png", files[0][1]))
    for name, _ in files:
        expect(bench.get_by_role("button", name=name)).to_be_visible()
    expect(bench.get_by_role("alert")).to_contain_text("Broken.png")
    expect(bench.get_by_role("button", name="Row 0 again.png")).to_have_count(0)
    bench.get_by_label("Find by a word").fill("row 3")
    expect(bench.get_by_role("list", name="Pictures on the shelf").get_by_role("listitem")).to_have_count(1)


def test_a_picture_on_loan_keeps_its_credit_line(bench: Page):
    bench.get_by_role("button", name="Shelf").click()
    bench.get_by_role("tab", name="Picture loan").click()
    bench.get_by_label("Find by a word").fill("pond dusk")
    bench.get_by_role("button", name="Take Pond at dusk").click()
    expect(bench.get_by_text("Credit: Pond at dusk: Marrowby picture loan")).to_be_visible(timeout=120_000)


def test_a_seam_is_seen_and_mended(bench: Page):
    bench.get_by_role("button", name="Shelf").click()
    image = Image.linear_gradient("L").resize((120, 90)).convert("RGB")
    out = io.BytesIO()
    image.save(out, "PNG")
    bring(bench, "Bring pictures to the shelf", ("Slope.png", out.getvalue()))
    bench.get_by_role("button", name="Slope.png").click()
    expect(bench.get_by_text("Its seams show")).to_be_visible()
    bench.get_by_role("button", name="Mirror it").click()
    expect(bench.get_by_text("Mended: seam across")).to_be_visible()
    bench.get_by_role("button", name="Keep the mended copy").click()
    expect(bench.get_by_text("It meets itself without a seam")).to_be_visible()


def test_an_own_screen_is_added_and_shown(bench: Page):
    bench.get_by_role("button", name="Screens", exact=True).click()
    bench.get_by_label("Name of a new screen").fill("Small phone")
    bench.get_by_label("Its width").fill("320")
    bench.get_by_label("Its height").fill("568")
    bench.get_by_role("button", name="Add", exact=True).click()
    bench.keyboard.press("Escape")
    expect(bench.locator("iframe[title$='on small phone']")).to_be_visible()
    expect(bench.get_by_role("list", name="Readings on Small phone").get_by_role("listitem")).to_have_count(2)


def test_a_band_without_height_says_so_and_is_cured(bench: Page):
    bench.get_by_role("button", name="Change areas").click()
    bench.get_by_role("menuitem", name="with 1 column").click()
    expect(bench.get_by_role("button", name="Band 1", exact=True)).to_have_attribute("aria-pressed", "true")
    bench.get_by_role("button", name="Words", exact=True).click()
    words = bench.get_by_role("region", name="Settings of Words")
    for left in ("A heading", "A few words."):
        expect(words.get_by_label("Block of words")).to_contain_text(left)
        words.get_by_role("button", name="Change the block").click()
        bench.get_by_role("menuitem", name="Remove it").click()
        expect(words.get_by_label("Block of words")).not_to_contain_text(left)
    bench.get_by_role("button", name="Base", exact=True).click()
    bench.get_by_role("tab", name="Size and space").click()
    space = bench.get_by_role("textbox", name="Above, below")
    space.fill("0px")
    space.press("Enter")
    bench.get_by_role("tab", name="Base and picture").click()
    expect(bench.get_by_text("Band 1 shows nothing").first).to_be_visible()
    bench.get_by_role("button", name="Give it a height of 320px").click()
    expect(frame(bench, "phone").locator(".gf-band").nth(2)).to_have_css("min-height", "320px")


def drawn(page: Page, from_: tuple[float, float], to: tuple[float, float]) -> None:
    """Draw a box on the framing sheet, in fractions of it."""
    box = page.locator(".sheet").bounding_box()
    assert box is not None

    def at(spot: tuple[float, float]) -> tuple[float, float]:
        return box["x"] + spot[0] * box["width"], box["y"] + spot[1] * box["height"]

    page.mouse.move(*at(from_))
    page.mouse.down()
    page.mouse.move(*at(to), steps=5)
    page.mouse.up()


def test_a_marked_part_is_kept_in_sight_by_the_best_focal_point(bench: Page):
    bench.get_by_role("button", name="Framing").click()
    bench.get_by_role("button", name="Mark a part to keep").click()
    drawn(bench, (0.02, 0.6), (0.12, 0.75))
    expect(bench.get_by_text("Cut off on Tablet and Phone.")).to_be_visible()
    expect(bench.get_by_text("loses Part 1").first).to_be_visible()
    bench.get_by_role("button", name="Best focal point for all").click()
    expect(bench.get_by_text("In sight on every screen.")).to_be_visible()
    expect(bench.get_by_role("button", name="This is the best focal point")).to_be_disabled()
    bench.keyboard.press("Control+z")
    expect(bench.get_by_text("Cut off on Tablet and Phone.")).to_be_visible()


def test_a_crop_is_drawn_for_one_screen_and_undone(bench: Page):
    bench.get_by_role("button", name="Framing").click()
    bench.get_by_role("group", name="Settings for").get_by_text("Phone").click()
    bench.get_by_role("button", name="Crop").click()
    drawn(bench, (0.5, 0.1), (0.9, 0.9))
    expect(bench.get_by_role("button", name="Use the whole picture again")).to_be_visible()
    bench.keyboard.press("Escape")
    expect(frame(bench, "phone").locator(".gf-dawn")).to_have_css(
        "background-image", re.compile(r"-c1200-160-960-1280")
    )
    expect(frame(bench, "desktop").locator(".gf-dawn")).not_to_have_css("background-image", re.compile(r"-c1200"))


def test_a_picture_is_dragged_in_place(bench: Page):
    bench.get_by_role("button", name="Glasshouse at dawn", exact=True).click()
    expect(bench.get_by_text("50 %").first).to_be_visible()
    box = bench.locator("iframe[title$='on phone']").bounding_box()
    assert box is not None
    bench.mouse.move(box["x"] + 120, box["y"] + 90)
    bench.mouse.down()
    bench.mouse.move(box["x"] + 60, box["y"] + 90, steps=6)
    bench.mouse.up()
    expect(frame(bench, "desktop").locator(".gf-dawn")).to_have_css(
        "background-position", re.compile(r"^(9\d|100)(\.\d+)?% 44%$")
    )
