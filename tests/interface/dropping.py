"""Files that are dropped on the window."""

from pathlib import Path

from playwright.sync_api import Page, expect


def drop(page: Page, file: Path) -> None:
    """Drop a file on the window as from the desktop."""
    handle = page.evaluate_handle(
        """([name, bytes]) => { const t = new DataTransfer();
        t.items.add(new File([new Uint8Array(bytes)], name, { type: 'image/png' })); return t; }""",
        [file.name, list(file.read_bytes())],
    )
    page.dispatch_event("body", "dragenter", {"dataTransfer": handle})
    expect(page.get_by_text("Let go to put it behind Banner")).to_be_visible()
    page.dispatch_event("body", "drop", {"dataTransfer": handle})
