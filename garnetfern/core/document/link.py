"""Addresses to go to."""

import re
from typing import Annotated

from pydantic import AfterValidator, Field

MOST_LETTERS = 600
_SCHEME = re.compile(r"[a-z][a-z0-9+.-]*:", re.IGNORECASE)
_SAFE = re.compile(r"(https?://|mailto:|tel:)\S+$", re.IGNORECASE)


def _link(text: str) -> str:
    """An address to go to. Scripts and data are no addresses."""
    text = text.strip()
    if re.search(r"[\s\x00-\x1f]", text) or (_SCHEME.match(text) and not _SAFE.match(text)):
        raise ValueError(
            "A link is a page of this site, a path, or an address with https:, http:, mailto: or tel:. "
            f"Received: {text[:60]!r}."
        )
    return text


def as_link(text: str | None) -> str | None:
    """An address as one to go to; None where it is none."""
    try:
        return None if text is None or len(text) > MOST_LETTERS else _link(text)
    except ValueError:
        return None


Link = Annotated[str, Field(max_length=MOST_LETTERS), AfterValidator(_link)]
