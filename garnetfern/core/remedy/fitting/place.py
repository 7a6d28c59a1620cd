"""Another place for the words in their band."""

from collections.abc import Iterator

from ..kinds.place import ACROSS
from ._trouble import Change, Trouble

ORDER, TITLE = 7, "Place of the words"
FOR = ("off_screen", "covered", "on_each_other", "on_a_button", "over_edge")


def found(trouble: Trouble) -> Iterator[Change]:
    """At the left, in the middle, at the right, where they need not stay."""
    if "place" in trouble.block.keep:
        return
    now = trouble.block.lettering.align or trouble.band.content.align
    for align, said in ACROSS.items():
        if align != now:
            yield Change(trouble.with_lettering(align=align), f"Its words stand at the {said}.")
