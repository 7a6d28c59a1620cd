"""What an idea makes of an area whose words fall short."""

from dataclasses import dataclass

from ..document import Page
from .distress import Distress


@dataclass(frozen=True)
class Draft:
    """A page on which all words of the area can be read, and how, in one sentence.

    `idea` is the module that made it; `helps` the kinds of help that it adds, each once, none where it only changes
    what was there; `recoloured` blocks have another colour then, and `rims` plates have edges that are seen.
    """

    idea: str
    page: Page
    sentence: str
    helps: frozenset[str] = frozenset()
    recoloured: int = 0
    rims: int = 0


def also(distress: Distress) -> str:
    """What ideas that begin with all words of one tone have to say of that, and of the base."""
    said = ""
    if distress.recoloured:
        what = "One block of words becomes" if distress.recoloured == 1 else f"{distress.recoloured} blocks become"
        said += f" {what} {distress.colour}, like the others."
    area = distress.start.area(distress.area.id)
    if area is not None and area.backdrop.base != distress.area.backdrop.base:
        said += f" The base, seen while the picture is missing, becomes {area.backdrop.base}."
    return said


def gone(names: list[str]) -> str:
    """What is said of layers that are taken away, as a sentence that follows another."""
    return f" {' and '.join(names)} {'goes' if len(names) == 1 else 'go'}." if names else ""


def beginnings(distress: Distress) -> list[tuple[Page, int, str]]:
    """The pages that an idea begins with which leaves words as they are where it can: the present one and, where that
    is another, the one whose words are of one tone; each with how many blocks have another colour there, and what is
    to be said of it."""
    found = [(distress.page, 0, "")]
    if distress.start is not distress.page:
        found.append((distress.start, distress.recoloured, also(distress)))
    return found
