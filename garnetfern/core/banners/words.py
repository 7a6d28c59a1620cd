"""Words of a banner in another colour, of another width or size, with nothing of their own behind them."""

from collections.abc import Callable, Collection
from dataclasses import dataclass

from ..colour.mix import distance
from ..colour.notation import parse_colour
from ..document import Band, Block, Column, without
from ..document.block import BlockException
from ..remedy.fills import filled
from ..resolve.blocks import natural_width
from ..resolve.book import FontBook
from ..resolve.lengths import Scale, Viewport
from ..resolve.lettering import setting_of

ALIKE = 0.12
"""A button's ground that is nearer to what lies behind it, in OKLab, is not seen as a button."""
LEAST, WISHED, MOST, GROWS = 20.0, 32.0, 54.0, 3.6
"""The size of large words in a column: px at the least, at the least where their widest word lets them, and at the
most; vw in between."""
LARGER = 2.0 * 1.03
"""Letters at 200 % must not tear the widest word; and a little to spare."""
MEASURED = 100
"""The size that words are measured in, px."""
PHONE, ROW, CONTENT, INNER = 360.0, 600.0, 1120.0, 0.86
"""A narrow phone, the narrowest viewport that has columns in a row, and the usual width of content, px; and what is
left of them between their inner spaces."""
DESKTOP = Viewport(1280, 800)


def _button(block: Block, letters: str, ground: str) -> Block:
    """A button that can be seen on a ground: the other way round than the words beside it, where it was not to be told
    from that or let it through."""
    plate = block.plate
    if plate is None:
        return filled(block, letters)
    base = plate.backdrop.base
    if base is not None and parse_colour(base).alpha >= 1 and distance(base, ground) >= ALIKE:
        return block
    turned = plate.model_copy(update={"backdrop": type(plate.backdrop)(base=letters)})
    return filled(block.model_copy(update={"plate": turned}), ground)


def in_colour(block: Block, letters: str, ground: str) -> Block:
    """A block whose words are of a colour, without plate and shadow, as they stand on a ground of about that colour;
    as it is where its colour is to be left alone."""
    if not block.lettered or "colour" in block.keep:
        return block
    if block.edged:
        return _button(block, letters, ground)
    lettering = block.lettering.model_copy(update={"shadow": None})
    if not lettering.hollow:
        lettering = lettering.model_copy(update={"outline": None})
    return filled(block.model_copy(update={"plate": None, "lettering": lettering}), letters)


def each_of(band: Band, change: Callable[[Block], Block]) -> Band:
    """A band with every block put through `change`."""
    columns = tuple(c.model_copy(update={"blocks": tuple(map(change, c.blocks))}) for c in band.columns)
    return band.model_copy(update={"columns": columns})


def coloured(band: Band, letters: str, ground: str) -> Band:
    """A band whose words are of a colour."""
    return each_of(band, lambda block: in_colour(block, letters, ground))


def _size(block: Block, width: float = DESKTOP.width) -> float:
    return Scale(Viewport(width, DESKTOP.height)).px(block.lettering.size)


def sized(block: Block, size: str) -> Block:
    """A block of another size on every screen."""
    lettering = block.lettering.model_copy(update={"size": size})
    return block.model_copy(update={"lettering": lettering, "screens": without(block.screens, "size")})


def widest(block: Block, fonts: FontBook) -> float:
    """How wide the widest of its words is, em, with its spacing left out: that does not grow with it."""
    heaviest = max((p.weight_among(block.lettering.weight) for p in block.phrases), default=block.lettering.weight)
    lettering = block.lettering.model_copy(
        update={"size": f"{MEASURED}px", "spacing": "0px", "weight": heaviest},
    )
    plain = block.model_copy(
        update={"lettering": lettering, "plate": None, "width": None, "items": (), "phrases": ()},
    )
    words = (plain.model_copy(update={"wording": word}) for word in block.wording.split())
    widths = (natural_width(word, setting_of(word, fonts, DESKTOP, False)) for word in words)
    return max(widths, default=float(MEASURED)) / MEASURED


def bounded(block: Block, fonts: FontBook, width: float, share: float = INNER, top: float = MOST) -> Block:
    """A block that is set smaller where it is larger than `top`, px, or where its widest word, at 200 %, could be torn
    in a room so wide: px, and a share of the viewport's width where it is narrower with that."""
    wide = LARGER * widest(block, fonts)
    most, grows = min(top, _size(block), width / wide), min(GROWS * top / MOST, 100 * share / wide)
    narrowest = PHONE if share >= INNER else ROW
    least = min(most, max(LEAST, min(WISHED, share * narrowest / wide)))
    if all(_size(block, at) <= max(least, min(most, grows * at / 100)) + 0.5 for at in (PHONE, ROW, DESKTOP.width)):
        return block
    return sized(block, f"clamp({least:.0f}px, {grows:.2f}vw, {most:.0f}px)")


def torn_beside(block: Block, fonts: FontBook, width: float) -> bool:
    """Whether its widest word, at 200 %, is torn in a room so wide, px, however small it is set."""
    return min(LEAST, _size(block)) * LARGER * widest(block, fonts) > width


def for_a_column(
    column: Column, fonts: FontBook, width: float, share: float = INNER, alone: Collection[str] = ()
) -> Column:
    """A column as it can be narrow: large words smaller, each as wide as the column lets it, from the left. `alone`:
    the screens, phones, on which the column is as wide as the page and words are larger."""

    def fitted(block: Block) -> Block:
        lettering = block.lettering.model_copy(update={"align": None})
        block = block.model_copy(update={"width": None, "lettering": lettering})
        if not block.lettered or block.edged:
            return block
        small = bounded(block, fonts, width, share)
        size = min(WISHED, _size(block), INNER * PHONE / (LARGER * widest(block, fonts)))
        if small is block or size <= _size(small, PHONE):
            return small
        own = {name: small.screens.get(name, BlockException()) for name in alone}
        larger = {name: e.model_copy(update={"size": f"{size:.0f}px"}) for name, e in own.items()}
        return small.model_copy(update={"screens": {**small.screens, **larger}})

    return column.model_copy(update={"blocks": tuple(map(fitted, column.blocks))})


def as_wide(band: Band, width: str) -> Band:
    """A band whose words are no wider than this, from the side that the band has them stand at."""

    def narrowed(block: Block) -> Block:
        lettering = block.lettering.model_copy(update={"align": None})
        return block.model_copy(update={"width": width, "lettering": lettering}) if block.lettered else block

    return each_of(band, narrowed)


@dataclass(frozen=True)
class Large:
    """Very large words: px at the least and at the most, vw in between."""

    least: float
    grows: float
    most: float

    def of(self, block: Block, fonts: FontBook) -> str:
        """The size of a block, less where its widest word at 200 % would be wider than a page's content."""
        wide = LARGER * widest(block, fonts)
        least, most = (min(size, room * INNER / wide) for size, room in ((self.least, PHONE), (self.most, CONTENT)))
        return f"clamp({least:.0f}px, {min(self.grows, 100 * INNER / wide):.2f}vw, {most:.0f}px)"


def enlarged(band: Band, fonts: FontBook, heading: Large, text: str, least: float) -> Band:
    """A band with its largest words of one size and as wide as the band lets them be, and all smaller than `least` px
    of another; buttons stay."""
    words = [b for c in band.columns for b in c.blocks if b.lettered and not b.edged]
    first = max(words, key=_size, default=None)

    def changed(block: Block) -> Block:
        if not block.lettered or block.edged:
            return block
        if first is not None and block.id == first.id:
            return sized(block.model_copy(update={"width": None}), heading.of(block, fonts))
        return sized(block, text) if _size(block) < least else block

    return each_of(band, changed)
