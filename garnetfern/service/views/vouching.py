"""What cannot be vouched for: words that are part of a picture, and readings with doubts."""

from typing_extensions import TypedDict

from ...core.document import Page, Site, ever_visible


class LetteringNote(TypedDict):
    """A picture that bears lettering; `wanted`: what it says is still to be written down."""

    asset: str
    sentence: str
    wanted: bool


def pictures_shown(page: Page) -> list[str]:
    """The ids of the pictures that a page shows, each once."""
    found: dict[str, None] = {}
    for area in page.areas():
        for layer in area.backdrop.layers:
            if ever_visible(layer):
                found |= dict.fromkeys(layer.assets())
    for block in page.blocks():
        if block.visible:
            found |= dict.fromkeys(block.assets())
    return list(found)


def lettering_notes(site: Site, page: Page) -> list[LetteringNote]:
    """A note for each picture of a page that bears lettering: it is not measured, and it wants a text alternative."""
    notes: list[LetteringNote] = []
    for name in pictures_shown(page):
        asset = site.asset(name)
        if asset.lettering is None:
            continue
        said = f"'{asset.lettering}'" if asset.lettering else "what nobody has written down yet"
        sentence = f"The picture {asset.title} bears lettering ({said}). Whether that can be read is not measured."
        if not asset.lettering:
            sentence += " Write down what it says, for those who cannot see it."
        notes.append({"asset": asset.id, "sentence": sentence, "wanted": not asset.lettering})
    return notes
