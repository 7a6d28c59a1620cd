"""What cannot be read of a stylesheet: where it stands, why, and what is nearest that can be."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Unread:
    """Something of a stylesheet that was not read, or read as something near to it (`nearest`): line and column
    from 1."""

    sheet: str
    line: int
    column: int
    what: str
    why: str
    nearest: str = ""


class UnreadError(Exception):
    """A value that cannot be read. Caught where the declaration is known that it stands in."""

    def __init__(self, why: str, nearest: str = "") -> None:
        super().__init__(why)
        self.why, self.nearest = why, nearest


class Notes(list[tuple[str, str]]):
    """What was read as something near to it: why, and as what."""

    def near(self, why: str, nearest: str) -> None:
        """Note that something was read as what is nearest to it."""
        if (why, nearest) not in self:
            self.append((why, nearest))
