"""Blocks of words for the sample site."""

from typing import Any


def words(block_id: str, kind: str, wording: str, font: str, size: str, colour: str, **more: Any) -> dict[str, Any]:
    """A block of words."""
    lettering = {"font": font, "size": size, "colour": colour, **more.pop("lettering", {})}
    return {"id": block_id, "kind": kind, "wording": wording, "lettering": lettering, **more}
