"""Ways out for words that fall short, as they are found: what changes, how it looks, what it keeps."""

from collections.abc import Iterator
from typing import Any, Literal

from typing_extensions import TypedDict

from ...core.document import Block, Page, Site
from ...core.draw.sample import Region
from ...core.draw.words import draw_page
from ...core.errors import NotFoundError
from ...core.reading import Reader, Reading, Situation
from ...core.remedy.kinds import KINDS
from ...core.remedy.plight import Colours, Plight
from ...core.remedy.remedies import Remedies
from ...core.remedy.remedy import Remedy
from ...core.remedy.trial import Tried
from ...core.resolve.records import PageRecord
from ..runtime.difference import difference
from .build_up import data_url
from .check import LetterView, floored, letter_view, sentence


class RemedyView(TypedDict):
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


class PlightLine(TypedDict):
    """The first line: whether the words fall short, and how."""

    kind: Literal["plight"]
    short: bool
    sentence: str
    worst: LetterView | None


class RemedyLine(TypedDict):
    """A way out, and how far the search is, 0..1."""

    kind: Literal["remedy"]
    share: float
    found: RemedyView


class EndLine(TypedDict):
    """The last line: how many ways out were found."""

    kind: Literal["end"]
    found: int


SPOT = (250, 150)
"""Width and height of the picture of the worst spot, px."""


def patch_between(site: Site, before: Page, after: Page) -> list[dict[str, Any]]:
    """What makes one page of a site into another, as JSON Patch (RFC 6902)."""
    number = next(n for n, page in enumerate(site.pages) if page.id == before.id)
    made = difference(before.model_dump(mode="json"), after.model_dump(mode="json"))
    root = f"/pages/{number}"
    moved = ({**op, "from": root + op["from"]} if "from" in op else op for op in made)
    return [{**op, "path": root + op["path"]} for op in moved]


def _spot(record: PageRecord, reading: Reading) -> Region:
    """The part of a page around the worst letter of a reading."""
    words = next((b for b in record.blocks() if b.id == reading.block), None)
    width = min(int(record.width), max(SPOT[0], int(6 * words.size) if words else 0))
    height = min(int(record.height), width * SPOT[1] // SPOT[0])
    box = reading.worst.box if reading.worst else record.bands[0].box
    left = min(max(0, int(box.x + box.width / 2 - width / 2)), int(record.width) - width)
    top = min(max(0, int(box.y + box.height / 2 - height / 2)), int(record.height) - height)
    return left, top, width, height


def spot_of(trial: Tried, block: str, situation: Situation) -> str:
    """How the worst spot of words looks in a situation."""
    record = trial.record(situation)
    reading = trial.reading_of(block, situation)
    if reading is None:
        return ""
    reader = trial.reader
    canvas = draw_page(record, _spot(record, reading), reader.pictures, reader.glyphs)
    return data_url(canvas, (2 * SPOT[0], 2 * SPOT[1]))


def remedy_view(plight: Plight, remedy: Remedy) -> RemedyView:
    """A remedy: the exact change, its sentence, the worst reading afterwards, what it keeps."""
    before = plight.worst
    assert before is not None
    trial = plight.trial(remedy.page)
    return {
        "remedy": remedy.kind,
        "title": KINDS[remedy.kind].TITLE,
        "sentence": remedy.sentence,
        "patch": patch_between(plight.site, plight.page, remedy.page),
        "meets": remedy.meets,
        "kept": round(remedy.kept, 1),
        "ratio": round(remedy.worst.ratio or 0.0, 3),
        "shown": floored(remedy.worst.ratio or 0.0),
        "required": remedy.worst.required,
        "situation": remedy.situation.name,
        "before": spot_of(plight.present, plight.block.id, before[1]),
        "after": spot_of(trial, plight.block.id, before[1]),
    }


def block_named(page: Page, block_id: str) -> Block:
    """A block of words of a page. Raises NotFoundError."""
    found = next((b for b in page.blocks() if b.id == block_id and b.lettered), None)
    if found is None:
        raise NotFoundError(f"There are no words {block_id!r} on this page.")
    return found


def _plight_line(plight: Plight) -> PlightLine:
    """Where the words fall short, or that they do not."""
    if plight.worst is None:
        return {"kind": "plight", "short": False, "sentence": "These words are not to be seen anywhere.", "worst": None}
    reading, situation = plight.worst
    worst = letter_view(reading.worst) if reading.worst else None
    said = sentence(reading)
    if plight.short:
        seen = [s for s in plight.order if s in plight.situations]
        number = sum(1 for s in seen if not plight.present.meets(s))
        said += f" Worst: {situation.name}; they fall short in {number} of {len(seen)} situations."
    return {"kind": "plight", "short": plight.short, "sentence": said, "worst": worst}


def ways_out(
    reader: Reader, site: Site, page: Page, block: Block, colours: Colours
) -> Iterator[PlightLine | RemedyLine | EndLine]:
    """Lines as they are found: first the plight, then remedies, the doings in between, and the end."""
    told = [0.0]
    search = Remedies(reader, site, page, block, colours, told.append)
    yield _plight_line(search.plight)
    count = 0
    for remedy in search:
        count += remedy.meets
        yield {"kind": "remedy", "share": round(told[-1], 3), "found": remedy_view(search.plight, remedy)}
    yield {"kind": "end", "found": count}
