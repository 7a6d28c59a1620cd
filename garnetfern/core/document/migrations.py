"""Documents of earlier versions, brought to the present one. Each step takes plain JSON and gives a new one."""

import copy
from collections.abc import Callable
from typing import Any

from ..plain import text_problem, tidied
from .bounds import RESERVED_SLUGS

Plain = dict[str, Any]


def _free(wanted: str, taken: set[str]) -> str:
    name, number = wanted, 2
    while name in taken:
        name, number = f"{wanted[:36]}-{number}", number + 1
    taken.add(name)
    return name


def _mended_texts(value: Any) -> Any:
    if isinstance(value, str):
        if text_problem(value) is None:
            return value
        return "\n".join(tidied(line, len(line), "") for line in value.split("\n"))
    if isinstance(value, list):
        return [_mended_texts(item) for item in value]
    if isinstance(value, dict):
        return {name: _mended_texts(item) for name, item in value.items()}
    return value


def _unique_pages(document: Plain) -> Plain:
    """From 1 to 2: ids of pages are unique, reserved addresses are changed, texts hold characters alone."""
    found: Plain = _mended_texts(copy.deepcopy(document))
    ids: set[str] = set()
    slugs: set[str] = set(RESERVED_SLUGS)
    for page in found.get("pages") or []:
        if isinstance(page, dict):
            if isinstance(page.get("id"), str):
                page["id"] = _free(page["id"], ids)
            if isinstance(page.get("slug"), str):
                page["slug"] = _free(page["slug"], slugs)
    return {**found, "version": 2}


def _before_movement(document: Plain) -> Plain:
    """From 2 to 3: nothing moved by itself; all that was there is as it was."""
    return {**document, "version": 3}


def _before_sharing(document: Plain) -> Plain:
    """From 3 to 4: nothing was the same on several pages, and pages had no kinds."""
    return {**document, "version": 4}


MIGRATIONS: dict[int, Callable[[Plain], Plain]] = {1: _unique_pages, 2: _before_movement, 3: _before_sharing}
"""From version N to N + 1."""
