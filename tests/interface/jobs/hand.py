"""A hand that does what a person does, and counts it: a press, a drag, a typed value, a key are one action each."""

import re
from pathlib import Path

from playwright.sync_api import FrameLocator, Locator, Page, expect


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
        """Lay an offer in on a card: two actions."""
        self.press(f"Lay something in on {on}")
        self.press(self.page.get_by_role("button", name=re.compile(f"^{offer}")).last)

    def key(self, key: str) -> None:
        """Press a key."""
        self.page.keyboard.press(key)
        self.count += 1

    def sees(self, locator: Locator) -> None:
        """Wait for something; looking is no action."""
        expect(locator).to_be_visible()
