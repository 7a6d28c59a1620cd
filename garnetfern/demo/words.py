"""Blocks of words for the sample site."""

from typing import Any


def words(block_id: str, kind: str, wording: str, font: str, size: str, colour: str, **more: Any) -> dict[str, Any]:
    """A block of words."""
    lettering = {"font": font, "size": size, "colour": colour, **more.pop("lettering", {})}
    return {"id": block_id, "kind": kind, "wording": wording, "lettering": lettering, **more}


def phrase(wording: str, said: str, **marks: Any) -> dict[str, Any]:
    """A phrase of a wording: the first place at which it says this."""
    start = wording.index(said)
    return {"start": start, "end": start + len(said), **marks}
