"""What cannot be vouched for: words that are part of a picture, and readings with doubts."""

from collections.abc import Callable

from typing_extensions import TypedDict

from ...core.document import Footage, Page, Site, ever_visible
from ...core.reading.flashes import Flash
from ...core.reading.kinds._moving import COMBINED, together, too_many
from ...core.resolve.book import FontBook
from ...core.resolve.control import control_of
from ...core.resolve.page import Windows
from ..files.films import flash_sentence

Flashes = Callable[[str, Footage], Flash | None]


class Note(TypedDict):
    """Something that is not measured: of which picture or band; `wanted`: the owner is to write something down."""

    about: str
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


def lettering_notes(site: Site, page: Page) -> list[Note]:
    """A note for each picture of a page that bears lettering: it is not measured, and it wants a text alternative."""
    notes: list[Note] = []
    for name in pictures_shown(page):
        asset = site.asset(name)
        if asset.lettering is None:
            continue
        said = f"'{asset.lettering}'" if asset.lettering else "what nobody has written down yet"
        sentence = f"The picture {asset.title} bears lettering ({said}). Whether that can be read is not measured."
        if not asset.lettering:
            sentence += " Write down what it says, for those who cannot see it."
        notes.append({"about": asset.id, "sentence": sentence, "wanted": not asset.lettering})
    return notes


def movement_notes(site: Site, page: Page, fonts: FontBook) -> list[Note]:
    """What moves in more combinations than are looked at, and words that the control which stops it lies over."""
    notes: list[Note] = []
    for group in together(page):
        if too_many(group):
            names = ", ".join(layer.name for layer in group)
            sentence = f"{names} move behind the same words in more than {COMBINED} ways; each is read by itself."
            notes.append({"about": group[0].id, "sentence": sentence, "wanted": False})
    control = control_of(site, page, Windows(site, page, fonts))
    if control is not None and control.over:
        screens = " and the ".join(s.name.lower() for s in site.screens if s.id in control.over)
        sentence = f"The control that stops what moves lies over words on the {screens}; give the band more space."
        notes.append({"about": control.band, "sentence": sentence, "wanted": False})
    return notes


def film_notes(site: Site, page: Page, flashes: Flashes) -> list[Note]:
    """Films of a page that do not play, and why."""
    notes: list[Note] = []
    layers = (layer for area in page.areas() for layer in area.backdrop.layers if ever_visible(layer))
    for film in (film for layer in layers for film in layer.films()):
        sentence = flash_sentence(film.name, flashes(site.asset(film.asset).hash, film.footage))
        if sentence is not None:
            notes.append({"about": film.id, "sentence": sentence, "wanted": False})
    return notes


def font_notes(site: Site, page: Page) -> list[Note]:
    """Own fonts of a page whose makers do not allow them to be embedded without their leave."""
    used = {block.lettering.font for block in page.blocks() if block.lettered}
    held = (file for file in site.fonts if file.family in used and file.embedding == "none")
    return [
        {
            "about": file.id,
            "sentence": f"The maker of {file.family} ({file.name}) does not allow it to be embedded without leave; "
            "ask for a licence for the web before you put this live.",
            "wanted": False,
        }
        for file in held
    ]


def notes_on(site: Site, page: Page, fonts: FontBook, flashes: Flashes) -> list[Note]:
    """All that cannot be vouched for beside readings with doubts. `flashes` tells of a film's part (by the film's hash)
    the first moment at which it flashes too often."""
    found = [*lettering_notes(site, page), *font_notes(site, page)]
    return [*found, *movement_notes(site, page, fonts), *film_notes(site, page, flashes)]
