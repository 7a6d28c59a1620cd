"""A picture behind a whole band, light words on it, and shades behind these: from the side, or rising from the foot
with the words' own column, so that they grow where letters are larger."""

from ...colour.notation import parse_colour
from ...document import Align, Backdrop, Band, Block, Column, Gradient, Ids, ImageLayer, Padding, Page, Stop
from ...document.model import Content, Height
from ...remedy.cost import Costs
from ...remedy.distress import AreaTrial, Distress
from ...remedy.draft import Draft
from ...remedy.ideas._fade import ACROSS_FADE, ALONG_FADE, EASE
from ...remedy.tone import shade_tone
from ..brief import Brief
from ..frame import framed
from ..sketch import LeftOut
from ..words import as_wide, coloured

STRONG, CHANGED = 0.6, 0.2
"""A shade that is as strong as the first and changes the picture, in mean OKLab, by more than the second is a fog."""
HIGH = Height(min="clamp(340px, 52vh, 620px)")
"""The least height of a band whose words share it with the picture, where it has none of its own."""
HIGHER = Height(min="clamp(440px, 72vh, 760px)")
"""The same where words stand at its foot, and the picture above them."""
EDGE = "6vw"
INNER = Padding(block="40px", inline=EDGE)
GAP = 16
ROOM = ALONG_FADE - 40 - GAP
"""What room is kept above words for a shade to rise in, px, besides the inner space and the gap of their column."""
BESIDE = 16
"""How far beyond words a shade from the side is full, px."""


def tone_of(brief: Brief) -> str:
    """The picture's own dark."""
    return shade_tone(brief.colours, brief.site.palette, True)


def high(band: Band) -> Height:
    """The band's height, or one that a picture needs."""
    own = band.height
    return HIGH if own.proportion is None and own.min in ("0", "0px") else own


def on_picture(brief: Brief, column: Column, picture: ImageLayer, place: tuple[Align, Align], width: str) -> Band:
    """A band with the picture behind all of it and light words in one place; their `column` is as wide as the band,
    with room above them."""
    tone = tone_of(brief)
    room = Block(id=Ids(brief.whole).free("room"), kind="space", height=f"{ROOM:.0f}px")
    column = column.model_copy(update={"padding": INNER, "gap": f"{GAP}px", "blocks": (room, *column.blocks)})
    content = Content(width="100%", align=place[0], stand=place[1])
    band = framed(brief, (column,), Padding(block="0px", inline="0px"), content, tone)
    band = band.model_copy(update={"height": HIGHER, "backdrop": Backdrop(base=tone, layers=(picture,))})
    return as_wide(coloured(band, brief.palette.paper, tone), width)


def rising(tone: str) -> Gradient:
    """From nothing at the top of a column to all of it where the words begin."""
    plain = parse_colour(tone[:7])
    way = [Stop(colour=plain.faded(left).hex, at=f"{(1 - way) * ALONG_FADE:.0f}px") for way, left in reversed(EASE)]
    return Gradient(angle=180, stops=(*way, Stop(colour=plain.hex, at="100%")))


def from_the_side(tone: str, left: bool, width: int) -> Gradient:
    """From all of it as far as words of this width come, px, to nothing."""
    plain = parse_colour(tone[:7])
    way = [
        Stop(
            colour=plain.faded(share).hex, at=f"clamp(0px, {EDGE} + {width + BESIDE + way * ACROSS_FADE:.0f}px, 9999px)"
        )
        for way, share in EASE
    ]
    return Gradient(angle=90 if left else 270, stops=(Stop(colour=plain.hex, at="0%"), *way))


def distress_of(brief: Brief, page: Page) -> Distress:
    """The words of the band on such a page, as remedies see them."""
    area = page.area(brief.band.id) or brief.band
    return Distress(AreaTrial(brief.reader, brief.site, page), area, lambda _: brief.colours)


def no_fog(distress: Distress, page: Page, strength: float) -> None:
    """Raises LeftOut where a shade would lie over the picture like a fog."""
    if strength < STRONG:
        return
    if Costs(distress).of(Draft("shade", page, "")).change > CHANGED:
        raise LeftOut("The picture is so bright there that a shade would be a grey fog over it.")
