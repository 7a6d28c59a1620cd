"""A moment at which a visitor meets a page: everything that what they see depends on, beside the page itself."""

from collections.abc import Collection
from dataclasses import dataclass, fields, replace
from typing import Any

from ..document import Backdrop, Block, Page, each_backdrop, each_block, pointed_at
from ..document.length import scaled
from .lengths import Viewport


@dataclass(frozen=True)
class Moment:
    """One moment; every member but the viewport has a neutral value.

    `pointed`: how far the change under the pointer has come, 0..1. `scroll`: the share of its way that the page is
    scrolled, 0..1. `enlarged`: letters are that many times as large. `less_motion`: the visitor asks that nothing move.
    `missing`: the pictures are not there. `plain`: the files of fonts are not, and others stand in for them. `spaced`:
    lines, letters and words are set wider (WCAG 2.2, 1.4.12). `printed`: on paper, where nothing lies behind the words.
    `opened`: menus that are folded are open. `time`: seconds since the page was shown; None: at rest, what moves by
    itself at its beginning. `phases`: the own time of a moving layer, s by the layer's id, where it is another than the
    page's.
    """

    viewport: Viewport
    pointed: float = 0.0
    scroll: float = 0.0
    enlarged: float = 1.0
    less_motion: bool = False
    missing: bool = False
    plain: bool = False
    spaced: bool = False
    printed: bool = False
    opened: bool = False
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
        if self.opened:
            page = each_block(page, Block.opened)
        if self.spaced:
            page = each_block(page, _spaced)
        return _printed(page) if self.printed else page


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


SPACED_LINE, SPACED_LETTERS, SPACED_WORDS = 1.5, "0.12em", "0.16em"
"""So wide somebody may set lines (as a multiple of the size), letters and words: WCAG 2.2, 1.4.12."""


def _lettered(block: Block, **changes: Any) -> Block:
    return block.model_copy(update={"lettering": block.lettering.model_copy(update=changes)})


def _spaced(block: Block) -> Block:
    line = max(block.lettering.line, SPACED_LINE)
    return _lettered(block, line=line, spacing=SPACED_LETTERS, word_spacing=SPACED_WORDS)


INK = "#000000"
"""The colour of words on paper."""


def _framed(block: Block) -> Block:
    """Of its plate only the line is left."""
    if block.plate is None:
        return block
    line = block.plate.line and block.plate.line.model_copy(update={"colour": INK})
    return block.model_copy(update={"plate": block.plate.model_copy(update={"line": line, "shadow": None})})


def _inked(block: Block) -> Block:
    return _lettered(block, colour=INK, outline=None, hollow=False, shadow=None, over=None)


def _uncoloured(block: Block) -> Block:
    """Its phrases are of the colour of the words around them. What was of a colour alone is no phrase any more."""
    plain = (p.model_copy(update={"colour": None}) for p in block.phrases)
    return block.model_copy(update={"phrases": tuple(plain)}) if block.phrases else block


def _printed(page: Page) -> Page:
    """Black on white, in bands as high as what is in them: `css.media` says the same."""
    bare = each_block(each_backdrop(page, lambda *_: Backdrop()), _framed)
    black = each_block(bare, lambda b: _inked(_uncoloured(b)))
    return black.model_copy(update={"bands": tuple(band.without_height() for band in black.bands)})
