"""Another base colour: all that is needed where the words fall short only while the picture is missing."""

from collections.abc import Iterator

from ..base import mended_base
from ..plight import Plight
from ..remedy import Proposal

ORDER = 0
TITLE = "Base colour"


def found(plight: Plight) -> Iterator[Proposal]:
    """The base alone."""
    if plight.pictures:
        if plight.start is not plight.page:
            yield Proposal("base", plight.start, plight.note.strip(), plight.trial(plight.start).suffices())
        return
    mended = mended_base(plight, plight.page, plight.fill)
    if mended is not None:
        yield Proposal("base", mended[0], f"The colour behind the words becomes {mended[1]}.")
