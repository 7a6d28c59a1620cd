"""A hand that does what a person does, and counts it: a press, a drag, a typed value, a key are one action each."""

import io
import re
from pathlib import Path

from PIL import Image, ImageOps
from playwright.sync_api import FrameLocator, Locator, Page, expect

from garnetfern.demo.pictures import draw_picture
from tests.interface.dropping import drop


class Hand:
    """On one bench."""

    def __init__(self, page: Page, folder: Path) -> None:
        self.page, self.folder = page, folder
        self.count = 0

    @property
    def settings(self) -> Locator:
        """What is set of what is chosen."""
        return self.page.get_by_role("region", name=re.compile("^Settings of"))

    def screen(self, name: str) -> FrameLocator:
        """What a screen shows."""
        return self.page.frame_locator(f"iframe[title$='on {name}']")

    def _named(self, what: str | Locator, role: str = "button") -> Locator:
        if not isinstance(what, str):
            return what
        found = self.page.get_by_role(role, name=what, exact=True)  # type: ignore[arg-type]
        return found.first

    def press(self, what: str | Locator, role: str = "button") -> None:
        """Press a button, or what is given."""
        self._named(what, role).click()
        self.count += 1

    def option(self, label: str) -> None:
        """Press one of a few words."""
        self.settings.get_by_text(label, exact=True).first.click()
        self.count += 1

    def select(self, name: str, label: str) -> None:
        """Choose from a list."""
        self.settings.get_by_role("combobox", name=name).select_option(label=label)
        self.count += 1

    def type(self, name: str, text: str) -> None:
        """Type a value into a field."""
        field = self.settings.get_by_role("textbox", name=name, exact=True).first
        field.fill(text)
        field.press("Enter")
        self.count += 1

    def write(self, text: str) -> None:
        """Type the words of the chosen block."""
        field = self.settings.get_by_label("Words", exact=True).last
        field.fill(text)
        field.blur()
        self.count += 1

    def check(self, name: str) -> None:
        """Tick a box."""
        self.settings.get_by_role("checkbox", name=name).check()
        self.count += 1

    def menu(self, name: str, entry: str) -> None:
        """Open a menu and choose in it: two actions."""
        self.press(name)
        self.press(self.page.get_by_role("menuitem", name=entry, exact=True))

    def lay(self, on: str, offer: str) -> None:
        """Lay an offer in on a card, two actions, and see it come: what is done next is done to that."""
        cards = self.page.get_by_role("region", name="Build-up").get_by_role("listitem")
        before = cards.count()
        self.press(f"Lay something in on {on}")
        self.press(self.page.get_by_role("button", name=re.compile(f"^{offer}")).last)
        expect(cards).to_have_count(before + 1)

    def bring(self, name: str, data: bytes) -> None:
        """Choose a file of one's own for what is chosen."""
        file = self.folder / name
        file.write_bytes(data)
        self.settings.locator("input[type=file]").first.set_input_files(file)
        self.count += 1

    def own_picture(self, width: int = 1200, height: int = 800) -> bytes:
        """A picture that the application has not seen, PNG."""
        seen = Image.open(io.BytesIO(draw_picture("reading-room")))
        out = io.BytesIO()
        ImageOps.mirror(seen).resize((width, height)).save(out, "PNG")
        return out.getvalue()

    def drop(self, name: str, data: bytes) -> None:
        """Drop a file on the window."""
        file = self.folder / name
        file.write_bytes(data)
        drop(self.page, file)
        self.count += 1

    def paste(self, label: str, text: str) -> None:
        """Paste a text of several lines."""
        self.page.get_by_label(label, exact=True).fill(text)
        self.count += 1

    def page_named(self, title: str) -> None:
        """Turn to another page."""
        self.page.get_by_label("Page", exact=True).select_option(label=title)
        self.count += 1

    def mixed(self, way: str) -> None:
        """How the chosen layer mixes: two actions."""
        self.press(self.settings.get_by_role("button", name=re.compile("^mixes")))
        self.press(way)

    def key(self, key: str) -> None:
        """Press a key."""
        self.page.keyboard.press(key)
        self.count += 1

    def sees(self, locator: Locator) -> None:
        """Wait for something; looking is no action."""
        expect(locator).to_be_visible()
