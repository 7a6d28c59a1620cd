"""Work that tells how far it is: its lines come while it goes on, and it stops when nobody listens any more."""

from collections.abc import Callable, Iterator, Mapping
from queue import SimpleQueue
from threading import Event, Thread
from typing import Any, Literal, TypeVar

from typing_extensions import TypedDict

from ...core.telling import Told, silent


class DoingLine(TypedDict):
    """What is being done, and which share of the whole is done, 0..1."""

    kind: Literal["doing"]
    words: str
    share: float


L = TypeVar("L", bound=Mapping[str, Any])


class GoneError(Exception):
    """Whoever asked has gone."""


def told_lines(work: Callable[[Told], L]) -> Iterator[DoingLine | L]:
    """Lines `doing` (words, share) while the work goes on, then the line that it ends with.

    What the work raises is raised here. Closing the iterator stops the work at its next telling.
    """
    lines: SimpleQueue[DoingLine | L | Exception] = SimpleQueue()
    gone = Event()

    def told(words: str, share: float) -> None:
        if gone.is_set():
            raise GoneError
        lines.put({"kind": "doing", "words": words, "share": round(share, 3)})

    def carry_out() -> None:
        try:
            lines.put(work(told))
        except Exception as error:
            lines.put(error)

    Thread(target=carry_out, daemon=True, name="garnetfern-told").start()
    try:
        while True:
            line = lines.get()
            if isinstance(line, Exception):
                raise line
            yield line
            if line["kind"] != "doing":
                return
    finally:
        gone.set()


__all__ = ["DoingLine", "GoneError", "Told", "silent", "told_lines"]
