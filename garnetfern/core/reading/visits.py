"""How wide visitors' screens are: a table of widths and visits."""

import csv
import io
from collections.abc import Iterable, Iterator

from ..document import Visits
from ..errors import GarnetfernError

LEAST, MOST = 200, 10_000
LINES = 400
MOST_VISITS = 10**12


class VisitsError(GarnetfernError):
    """The table cannot be read; `path` names the line."""

    kind = "visits"


def _rows(text: str) -> Iterator[tuple[int, list[str]]]:
    """The rows with their numbers from 1. Raises VisitsError where the text is no CSV."""
    number = 0
    try:
        for number, row in enumerate(csv.reader(io.StringIO(text.lstrip("\ufeff"))), 1):
            yield number, row
    except csv.Error as error:
        message = f"After line {number} this is no table of values set apart by commas ({error}). Nothing was changed."
        raise VisitsError(message, f"line {number + 1}") from error


def _whole(text: str) -> bool:
    """Whether a text is a whole number that is not absurdly long."""
    return text.isascii() and text.isdigit() and len(text) <= 16


def read_visits(text: str) -> tuple[Visits, ...]:
    """Read a CSV of width in px and visits; a line of headings may stand first. Widths that come again are added up.

    Raises VisitsError with the line.
    """
    counted: dict[int, int] = {}
    for number, row in _rows(text):
        cells = [cell.strip() for cell in row]
        if not any(cells) or (number == 1 and not _whole(cells[0])):
            continue
        if number > LINES:
            raise VisitsError(f"The table has more than {LINES} lines. Nothing was changed.", f"line {number}")
        if len(cells) < 2 or not _whole(cells[0]) or not _whole(cells[1]):
            received = ",".join(row)[:60]
            raise VisitsError(
                f"Line {number} is no width in px and a number of visits, like 390,142. Received: {received!r}.",
                f"line {number}",
            )
        width, visits = int(cells[0]), int(cells[1])
        if not LEAST <= width <= MOST:
            raise VisitsError(f"Line {number}: a width lies between {LEAST} and {MOST} px.", f"line {number}")
        counted[width] = counted.get(width, 0) + visits
        if counted[width] > MOST_VISITS:
            raise VisitsError(f"Line {number}: {MOST_VISITS:,} visits are the most for a width.", f"line {number}")
    if sum(counted.values()) == 0:
        raise VisitsError("The table has no visits. Nothing was changed.")
    return tuple(Visits(width=w, visits=v) for w, v in sorted(counted.items()))


def share_of(table: Iterable[Visits], least: float, most: float) -> float:
    """The share of visits, 0..1, on widths from `least` to `most`."""
    table = tuple(table)
    whole = sum(row.visits for row in table)
    return sum(row.visits for row in table if least <= row.width <= most) / whole if whole else 0.0
