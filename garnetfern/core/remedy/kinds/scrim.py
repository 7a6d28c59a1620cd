"""A shade that lies only behind the words and fades out: a plate without inner space whose shadow is of its colour.

It goes with the words on every screen, and does not move them.
"""

from collections.abc import Iterator
from itertools import product

from ...colour.notation import parse_colour
from ...document import Backdrop, Padding, Page, Plate, Shadow
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import APPROXIMATE, least
from .overlay import tones

ORDER = 4
TITLE = "A shade behind the words"
HELP = "shade"
SOFT = (0.6, 0.25)
"""How far it fades, em: less where other words stand near."""


def scrim(colour: str, alpha: float, soft: float) -> Plate:
    """A shade of a colour, as strong as `alpha` behind the words."""
    shade = parse_colour(colour[:7]).faded(alpha).hex
    length = f"{soft:g}em"
    return Plate(
        backdrop=Backdrop(base=shade),
        radius=length,
        shadow=Shadow(across="0px", down="0px", blur=length, spread=length, colour=shade),
        padding=Padding(block="0px", inline="0px"),
    )


def found(plight: Plight) -> Iterator[Proposal]:
    """The least strength of the first colour and softness that suffice, where the words have no plate."""
    if plight.block.plate is not None:
        return
    for (colour, said), soft in product(tones(plight).items(), SOFT):

        def make(alpha: float, colour: str = colour, soft: float = soft) -> Page:
            return plight.with_block(plight.start, plate=scrim(colour, alpha, soft))

        alpha = least(plight, make, step=1 / 255, spare=APPROXIMATE)
        shown = 1.0 if alpha is None else alpha
        page = make(shown)
        sentence = f"A soft shade behind the words alone, in {said}, {colour}, at {percent(shown)}.{plight.note}"
        suits = alpha is not None and plight.spares(plight.trial(page))
        yield Proposal("scrim", page, sentence, suits)
        if suits:
            return
