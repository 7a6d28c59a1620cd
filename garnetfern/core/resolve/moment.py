"""A moment at which a visitor meets a page: everything that what they see depends on, beside the page itself."""

from collections.abc import Collection
from dataclasses import dataclass, fields, replace

from ..document import Block, Page, each_block, pointed_at
from ..document.length import scaled
from .lengths import Viewport


@dataclass(frozen=True)
class Moment:
    """One moment; every member but the viewport has a neutral value.

    `pointed`: how far the change under the pointer has come, 0..1. `scroll`: the share of its way that the page is
    scrolled, 0..1. `enlarged`: letters are that many times as large. `less_motion`: the visitor asks that nothing move.
    `missing`: the pictures are not there. `plain`: the files of fonts are not, and others stand in for them. `time`:
    seconds since the page was shown; None: at rest, what moves by itself at its beginning. `phases`: the own time of a
    moving layer, s by the layer's id, where it is another than the page's.
    """

    viewport: Viewport
    pointed: float = 0.0
    scroll: float = 0.0
    enlarged: float = 1.0
    less_motion: bool = False
    missing: bool = False
    plain: bool = False
    time: float | None = None
    phases: tuple[tuple[str, float], ...] = ()

    def at(self, viewport: Viewport) -> "Moment":
        """The same at another viewport."""
        return replace(self, viewport=viewport)

    def of(self, members: Collection[str]) -> "Moment":
        """This moment in the members that something depends on; neutral in the others. The viewport always counts."""
        return Moment(self.viewport, **{name: getattr(self, name) for name in MEMBERS if name in members})

    def time_of(self, layer: str) -> float:
        """The own time of a moving layer, s."""
        return 0.0 if self.less_motion else dict(self.phases).get(layer, self.time or 0.0)

    def stands(self, layer: str) -> bool:
        """Whether a layer that would move has not begun to, or does not."""
        return self.less_motion or (self.time is None and layer not in dict(self.phases))

    def page(self, page: Page) -> Page:
        """The page as the document says that it is met at this moment."""
        if self.pointed:
            page = pointed_at(page, self.pointed)
        if self.enlarged != 1:
            page = each_block(page, lambda block: _enlarged(block, self.enlarged))
        return page


MEMBERS = tuple(f.name for f in fields(Moment) if f.name != "viewport")
"""What a page or a layer may depend on."""


def _enlarged(block: Block, factor: float) -> Block:
    lettering = block.lettering
    screens = {
        name: own if own.size is None else own.model_copy(update={"size": scaled(own.size, factor)})
        for name, own in block.screens.items()
    }
    larger = lettering.model_copy(update={"size": scaled(lettering.size, factor)})
    return block.model_copy(update={"lettering": larger, "screens": screens})
