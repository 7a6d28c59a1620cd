"""A plate behind the words; where they have one, more of it."""

from collections.abc import Iterator

from ...colour.notation import parse_colour
from ...document import Backdrop, Padding, Page, Plate
from ..plight import Plight
from ..remedy import Proposal, percent
from ..search import APPROXIMATE, least
from .overlay import tones

ORDER = 5
TITLE = "A plate"
HELP = "plate"


def _fresh(colour: str) -> Plate:
    return Plate(backdrop=Backdrop(base=colour), radius="4px", padding=Padding(block="10px", inline="14px"))


def found(plight: Plight) -> Iterator[Proposal]:
    """The least strength at which the words can be read."""
    present = plight.block.plate
    if present is not None and present.backdrop.base is None:
        present = present.model_copy(update={"backdrop": present.backdrop.model_copy(update={"base": "#00000000"})})
    tone, said = next(iter(tones(plight).items()))
    if present is not None and present.backdrop.base is not None and parse_colour(present.backdrop.base).alpha > 0:
        tone = present.backdrop.base[:7]

    def make(alpha: float) -> Page:
        colour = parse_colour(tone).faded(alpha).hex
        plate = _fresh(colour)
        if present is not None:
            plate = present.model_copy(update={"backdrop": present.backdrop.model_copy(update={"base": colour})})
        return plight.with_block(plight.start, plate=plate)

    low = parse_colour(present.backdrop.base or "#00000000").alpha if present is not None else 0.0
    alpha = least(plight, make, low, step=1 / 255, spare=APPROXIMATE) if low < 1 else None
    if alpha is None and low >= 1:
        return
    shown = 1.0 if alpha is None else alpha
    sentence = f"A plate behind the words, in {said}, {tone}, at {percent(shown)}.{plight.note}"
    if present is not None:
        sentence = f"The plate behind the words becomes {tone} at {percent(shown)}.{plight.note}"
    yield Proposal("plate", make(shown), sentence, alpha is not None)
