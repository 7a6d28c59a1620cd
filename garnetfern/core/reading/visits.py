"""How wide visitors' screens are: a table of widths and visits."""

import csv
import io
from collections.abc import Iterable

from ..document import Visits
from ..errors import GarnetfernError

LEAST, MOST = 200, 10_000
LINES = 400


class VisitsError(GarnetfernError):
    """The table cannot be read; `path` names the line."""

    kind = "visits"


def read_visits(text: str) -> tuple[Visits, ...]:
    """Read a CSV of width in px and visits; a line of headings may stand first. Widths that come again are added up.

    Raises VisitsError with the line.
    """
    counted: dict[int, int] = {}
    for number, row in enumerate(csv.reader(io.StringIO(text.lstrip("\ufeff"))), 1):
        cells = [cell.strip() for cell in row]
        if not any(cells) or (number == 1 and not cells[0].isdigit()):
            continue
        if number > LINES:
            raise VisitsError(f"The table has more than {LINES} lines. Nothing was changed.", f"line {number}")
        if len(cells) < 2 or not cells[0].isdigit() or not cells[1].isdigit():
            received = ",".join(row)[:60]
            raise VisitsError(
                f"Line {number} is no width in px and a number of visits, like 390,142. Received: {received!r}.",
                f"line {number}",
            )
        width, visits = int(cells[0]), int(cells[1])
        if not LEAST <= width <= MOST or visits > 10**12:
            raise VisitsError(f"Line {number}: a width lies between {LEAST} and {MOST} px.", f"line {number}")
        counted[width] = counted.get(width, 0) + visits
    if sum(counted.values()) == 0:
        raise VisitsError("The table has no visits. Nothing was changed.")
    return tuple(Visits(width=w, visits=v) for w, v in sorted(counted.items()))


def share_of(table: Iterable[Visits], least: float, most: float) -> float:
    """The share of visits, 0..1, on widths from `least` to `most`."""
    table = tuple(table)
    whole = sum(row.visits for row in table)
    return sum(row.visits for row in table if least <= row.width <= most) / whole if whole else 0.0
