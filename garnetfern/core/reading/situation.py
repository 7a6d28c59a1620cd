"""One way in which a visitor can meet a page."""

from dataclasses import dataclass, replace

from ..document import Block, Page, each_block, pointed_at
from ..document.length import scaled
from ..resolve.lengths import Viewport
from ..resolve.records import AreaRecord, ImageSheet, Sheet


@dataclass(frozen=True)
class Situation:
    """One situation. `name` is for people, `kind` the module in `kinds` that named it.

    `missing`: the pictures are not there. `pointed`: how far the change under the pointer has come, 0..1. `scroll`: the
    share of its way that the page is scrolled, 0..1. `enlarged`: letters are that many times as large.
    `still`: nothing moves.
    """

    id: str
    name: str
    screen: str
    viewport: Viewport
    kind: str = "rest"
    missing: bool = False
    pointed: float = 0.0
    scroll: float = 0.0
    enlarged: float = 1.0
    still: bool = False

    @property
    def key(self) -> str:
        """Situations of one key are laid out and resolved alike."""
        return f"{self.screen} {self.pointed:g} {self.scroll:g} {self.enlarged:g} {self.still}"

    def page(self, page: Page) -> Page:
        """The page as it is in this situation."""
        if self.pointed:
            page = pointed_at(page, self.pointed)
        if self.enlarged != 1:
            page = each_block(page, lambda block: _enlarged(block, self.enlarged))
        return page

    def sheets(self, area: AreaRecord) -> tuple[Sheet, ...]:
        """What of an area's backdrop is there in this situation."""
        if not self.missing:
            return area.sheets
        return tuple(s for s in area.sheets if not isinstance(s, ImageSheet))

    def at(self, viewport: Viewport) -> "Situation":
        """The same at another viewport."""
        return replace(self, viewport=viewport)


def _enlarged(block: Block, factor: float) -> Block:
    lettering = block.lettering
    screens = {
        name: own if own.size is None else own.model_copy(update={"size": scaled(own.size, factor)})
        for name, own in block.screens.items()
    }
    larger = lettering.model_copy(update={"size": scaled(lettering.size, factor)})
    return block.model_copy(update={"lettering": larger, "screens": screens})
