"""A few warm workers, and what happens to those that die or overrun."""

import logging
import os
import socket
import subprocess
import sys
import threading
import time
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from ..core.errors import GarnetfernError
from ..core.processes import begun_unheard
from .wire import BrokenWireError, Message, receive, send

log = logging.getLogger("garnetfern")
START_SECONDS = 60.0
PATIENCE = 6
"""What stands back behind all others may take so many times as long."""


class RoomError(GarnetfernError):
    """The room cannot be used now: no worker could be started."""

    kind = "room"


class OverrunError(Exception):
    """A worker took too long, needed too much memory, or died. `why` is `time`, `memory` or `died`."""

    def __init__(self, why: str) -> None:
        super().__init__(why)
        self.why = why


def _environment() -> dict[str, str]:
    """As little as a worker needs."""
    kept = {name: os.environ[name] for name in ("PATH", "LANG", "LD_LIBRARY_PATH", "SYSTEMROOT") if name in os.environ}
    single = {"OPENBLAS_NUM_THREADS": "1", "OMP_NUM_THREADS": "1", "SVT_LOG": "1"}
    return {**kept, **single, "PYTHONPATH": os.pathsep.join(p for p in sys.path if p)}


@dataclass(frozen=True)
class Asked:
    """A task with its plain data and blobs, and a file that it may read; it has so many seconds of a core, which come
    late to what is in no hurry. `told` hears how far it is, 0..1; what it raises ends the task."""

    task: str
    said: dict[str, Any]
    blobs: list[bytes]
    seconds: float
    hurry: bool = True
    path: Path | None = None
    told: Callable[[float], object] = lambda _: None

    @property
    def patience(self) -> float:
        """How long it is waited for, s."""
        return self.seconds * (1 if self.hurry else PATIENCE)


class Worker:
    """One process and the wire to it."""

    def __init__(self) -> None:
        ours, theirs = socket.socketpair()
        try:
            with begun_unheard():
                self.process = subprocess.Popen(
                    [sys.executable, "-P", "-m", "garnetfern.sandbox.worker", str(theirs.fileno())],
                    pass_fds=[theirs.fileno()],
                    stdin=subprocess.DEVNULL,
                    stdout=subprocess.DEVNULL,
                    cwd="/",
                    env=_environment(),
                )
        except OSError as error:
            ours.close()
            raise RoomError(f"Pictures cannot be opened now: no worker can be started ({error.strerror}).") from error
        finally:
            theirs.close()
        self.wire = ours
        try:
            self.walls: dict[str, bool] = self.hear(START_SECONDS)[0]["walls"]
        except (OverrunError, KeyError) as error:
            self.end()
            raise RoomError("Pictures cannot be opened now: a worker did not start. Try again.") from error

    def hear(self, seconds: float) -> Message:
        """The next message. Raises OverrunError."""
        until = time.monotonic() + seconds
        self.wire.settimeout(seconds)
        try:
            return receive(self.wire)
        except TimeoutError as error:
            raise OverrunError("time") from error
        except BrokenWireError as error:
            raise OverrunError("time" if time.monotonic() >= until else self._cause()) from error

    def _cause(self) -> str:
        """Why the process has ended."""
        try:
            code = self.process.wait(timeout=2)
        except subprocess.TimeoutExpired:
            return "died"
        return {-24: "time", -6: "memory"}.get(code, "died")

    def ask(self, asked: "Asked") -> Message:
        """Have a task done. Raises OverrunError, or what `told` raises; then this worker is of no more use."""
        until = time.monotonic() + asked.patience
        self.wire.settimeout(asked.patience)
        try:
            said = {**asked.said, "task": asked.task, "seconds": asked.seconds, "hurry": asked.hurry}
            if asked.path is None:
                send(self.wire, said, asked.blobs)
            else:
                with asked.path.open("rb") as file:
                    send(self.wire, said, asked.blobs, file.fileno())
        except BrokenWireError as error:
            raise OverrunError(self._cause()) from error
        while (left := until - time.monotonic()) > 0:
            answer = self.hear(left)
            if "told" not in answer[0]:
                return answer
            asked.told(float(answer[0]["told"]))
        raise OverrunError("time")

    def end(self) -> None:
        """End the process, whatever it does."""
        self.wire.close()
        self.process.kill()
        self.process.wait()


class Pool:
    """At most `size` workers for those who ask in a hurry, as many for work in the background, `size` + 1 in all: to
    code a film never keeps somebody waiting for a picture. Who is in a hurry comes first."""

    def __init__(self, size: int) -> None:
        self.size = size
        self._free: list[Worker] = []
        self._started = 0
        self._busy = {True: 0, False: 0}
        self._hurried = 0
        self._there = threading.Condition()
        self._closed = False

    def _take(self, hurry: bool) -> Worker | None:
        """A free worker, or None where a new one may be started."""
        with self._there:
            self._hurried += hurry
            try:
                self._there.wait_for(lambda: self._has_one(hurry))
            finally:
                self._hurried -= hurry
            if self._closed:
                raise RoomError("The application is ending.")
            self._busy[hurry] += 1
            if self._free:
                return self._free.pop()
            self._started += 1
            return None

    def _has_one(self, hurry: bool) -> bool:
        """Whether there is a worker for somebody who may have it now."""
        return (
            bool(self._free or self._started <= self.size)
            and self._busy[hurry] < self.size
            and (hurry or self._hurried == 0)
        )

    def _give_back(self, worker: Worker | None, hurry: bool) -> None:
        with self._there:
            self._busy[hurry] -= 1
            if worker is None or self._closed:
                self._started -= 1
            else:
                self._free.append(worker)
            self._there.notify_all()
        if worker is not None and self._closed:
            worker.end()

    def ask(self, asked: Asked) -> Message:
        """Have a task done by the next free worker. Raises OverrunError or RoomError, or what `told` raises."""
        worker = self._take(asked.hurry)
        if not asked.hurry:
            self._spare()
        kept: Worker | None = None
        try:
            if worker is not None and worker.process.poll() is not None:
                worker.end()
                worker = None
            worker = worker or Worker()
            answer = worker.ask(asked)
            kept = worker
        except BaseException:
            if worker is not None:
                worker.end()
            raise
        finally:
            self._give_back(kept, asked.hurry)
        return answer

    def _spare(self) -> None:
        """Begin a worker for the next in a hurry, where work in the background has taken the last that was ready: one
        begun only then starts beside that work, which takes many times as long."""
        with self._there:
            if self._closed or self._free or self._started > self.size:
                return
            self._started += 1

        def begin() -> None:
            try:
                worker = Worker()
            except RoomError:
                worker = None
            with self._there:
                kept = worker is not None and not self._closed
                if worker is not None and kept:
                    self._free.append(worker)
                else:
                    self._started -= 1
                self._there.notify_all()
            if worker is not None and not kept:
                worker.end()

        threading.Thread(target=begin, daemon=True, name="garnetfern-spare").start()

    def warm(self) -> None:
        """Have one worker ready."""
        worker = self._take(False)
        try:
            worker = worker or Worker()
            log.info("a worker is ready; its walls: %s", worker.walls)
        finally:
            self._give_back(worker, False)

    def walls(self) -> dict[str, bool]:
        """Which walls a ready worker has beside its limits."""
        self.warm()
        with self._there:
            return dict(self._free[0].walls) if self._free else {}

    def close(self) -> None:
        """End all workers; those at work end after their task."""
        with self._there:
            self._closed = True
            free, self._free = self._free, []
            self._started -= len(free)
            self._there.notify_all()
        for worker in free:
            worker.end()
