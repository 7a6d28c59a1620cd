"""The owner's own fonts of a site: brought in, and told of."""

from collections.abc import Sequence
from typing import TYPE_CHECKING

from ...core.document import FontFile, Site, read_site
from ...core.errors import AlreadyThereError
from ...core.fontfile import TakenFont
from ...core.plain import tidied
from ...store import State
from ..files.own_fonts import FontsAdded, with_fonts
from ..views.fonts import OwnFontsView, own_fonts_view, style_of

if TYPE_CHECKING:
    from .studio import Studio


def _told(done: FontsAdded) -> str:
    """What was done, as the step is called."""
    families = list(dict.fromkeys(file.family for file in done.added))
    if len(done.added) == 1:
        said = f"Font {families[0]} {style_of(done.added[0])}"
    else:
        said = f"{len(done.added)} fonts: {', '.join(families)}"
    return said + (", in place of what was there" if done.replaced else "")


class OwnFonts:
    """What can be done with the fonts of one site."""

    def __init__(self, studio: "Studio") -> None:
        self._studio = studio

    def view(self) -> OwnFontsView:
        """What the shelf shows of them."""
        studio = self._studio
        return own_fonts_view(studio.site(), studio.fonts, studio.folder.fonts.whole)

    def take(self, data: bytes, based_on: int, name: str) -> State:
        """Try a file out, keep its fonts, and put them on the shelf as one step; heals what is damaged. Raises
        FontError (nothing is kept then) or AlreadyThereError."""
        self._studio.site(None, based_on)
        return self.put([(name, self._studio.room.fonts(data, tidied(name)))], based_on)

    def put(self, files: Sequence[tuple[str, Sequence[TakenFont]]], based_on: int) -> State:
        """Keep the fonts of files that were tried out, and put them on the shelf as one step. Raises
        AlreadyThereError."""
        studio = self._studio
        done = with_fonts(studio.site(None, based_on), files)
        held = {font.hash: font.data for _, fonts in files for font in fonts}
        healed = [file for file in done.known if not studio.folder.fonts.whole(file.hash)]
        self.keep([*done.added, *done.known], held)
        if not done.added:
            which = ", ".join(f"{file.family} {style_of(file)}" for file in done.known)
            what = "its damaged file was healed" if healed else "it was not added twice"
            raise AlreadyThereError(f"{which} is on the shelf already; {what}.")
        checked = read_site(done.site.model_dump(mode="json"), studio.fonts.names())
        return studio.keep(based_on, checked, _told(done))

    def keep(self, files: list[FontFile], held: dict[str, bytes]) -> None:
        """Keep font files that were tried out."""
        for file in files:
            self._studio.folder.fonts.keep(held[file.hash], file)

    def held(self, site: Site) -> dict[str, bytes]:
        """The bytes of a site's fonts by their hash. Raises NotFoundError or DamagedError."""
        return {file.hash: self._studio.folder.fonts.data(file.hash) for file in site.fonts}
