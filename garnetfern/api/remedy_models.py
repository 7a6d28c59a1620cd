"""What is sent of remedies, line by line as they are found (JSON, one object a line)."""

from typing import Any, Literal

from pydantic import BaseModel

from .look_models import SituationsView, WidthView
from .models import Asked, DoingLine, LetterView, ProblemLine


class AskedWords(Asked):
    """Something about one block of words."""

    block: str


class RemedyView(BaseModel):
    """A way out. `patch` is the exact change; `ratio` the worst reading afterwards, in `situation`.

    `before` and `after` are pictures (data addresses) of the worst spot. Where `meets` is false it is the
    nearest there is.
    """

    remedy: str
    title: str
    sentence: str
    patch: list[dict[str, Any]]
    meets: bool
    kept: float
    ratio: float
    shown: str
    required: float
    situation: str
    before: str
    after: str


class PlightLine(BaseModel):
    """The first line: whether the words fall short, and how."""

    kind: Literal["plight"]
    short: bool
    sentence: str
    worst: LetterView | None


class RemedyLine(BaseModel):
    """A way out, and how far the search is, 0..1."""

    kind: Literal["remedy"]
    share: float
    found: RemedyView


class EndLine(BaseModel):
    """The last line: how many ways out were found."""

    kind: Literal["end"]
    found: int


class RemedyLines(BaseModel):
    """One of the lines about one block of words."""

    line: PlightLine | RemedyLine | EndLine | ProblemLine


class DoneForWords(BaseModel):
    """What was done for which words."""

    words: str
    sentence: str
    kept: float


class MendedLine(BaseModel):
    """A whole page mended: one change; `left` are words that nothing was found for."""

    kind: Literal["mended"]
    patch: list[dict[str, Any]]
    done: list[DoneForWords]
    left: list[str]
    before: str
    after: str


class SituationsLine(BaseModel):
    """Every situation of a page."""

    kind: Literal["found"]
    found: SituationsView


class SituationLines(BaseModel):
    """One of the lines about every situation."""

    line: DoingLine | SituationsLine | ProblemLine


class WidthsLine(BaseModel):
    """Every width of a page."""

    kind: Literal["found"]
    found: WidthView


class WidthLines(BaseModel):
    """One of the lines about every width."""

    line: DoingLine | WidthsLine | ProblemLine


class MendLines(BaseModel):
    """One of the lines about a page."""

    line: DoingLine | MendedLine | ProblemLine
