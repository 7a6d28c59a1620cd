"""Twenty browsers' worth of clients, with and without somebody who hands in hostile files. Aims at loopback alone.

Each client does what a person at the bench does: asks for the state, previews a change, asks for readings, fetches
pages and pictures, waits a little. It stops by itself.
"""

import http.client
import json
import random
import statistics
import tempfile
import threading
import time
from dataclasses import dataclass, field
from pathlib import Path

from garnetfern.api.local import run_locally
from garnetfern.cli import start_site
from tests.hostile import DRAWINGS, PICTURES

CLIENTS = 20
PAUSE = 0.5
"""Seconds that a person looks before going on, on the mean."""
HOSTILE = {**DRAWINGS, **PICTURES}


@dataclass
class Tally:
    """Times by kind of request, ms, and what was answered otherwise than it should be."""

    times: dict[str, list[float]] = field(default_factory=dict)
    errors: list[str] = field(default_factory=list)

    def all(self) -> list[float]:
        """Every time."""
        return [t for times in self.times.values() for t in times]


class Client:
    """One connection that speaks as the application's own pages do."""

    def __init__(self, port: int) -> None:
        self.own = f"http://127.0.0.1:{port}"
        self.wire = http.client.HTTPConnection("127.0.0.1", port, timeout=60)

    def ask(
        self, method: str, path: str, body: bytes | None = None, kind: str = "application/json"
    ) -> tuple[int, bytes]:
        """Status and content of an answer."""
        self.wire.request(method, path, body, {"origin": self.own, "content-type": kind})
        answer = self.wire.getresponse()
        return answer.status, answer.read()


def _person(port: int, seed: int, until: float, tally: Tally, lock: threading.Lock) -> None:
    rng, client = random.Random(seed), Client(port)
    _, text = client.ask("GET", "/api/state")
    revision = json.loads(text)["revision"]
    while time.monotonic() < until:
        value = rng.randrange(20, 90) / 100
        patch = [{"op": "add", "path": "/pages/0/bands/1/backdrop/layers/1/opacity", "value": value}]
        asked = json.dumps({"revision": revision, "patch": patch, "page": "home"}).encode()
        for kind, method, path, body in (
            ("state", "GET", "/api/state", None),
            ("preview", "POST", "/api/live", asked),
            ("page", "GET", "/live/home", None),
            ("shelf", "GET", "/api/shelf", None),
        ):
            started = time.monotonic()
            status, answer = client.ask(method, path, body)
            with lock:
                tally.times.setdefault(kind, []).append((time.monotonic() - started) * 1000)
                if status != 200:
                    tally.errors.append(f"{path}: {status} {answer[:100]!r}")
            time.sleep(rng.expovariate(1 / PAUSE))


def _enemy(port: int, until: float, tally: Tally) -> None:
    client, files = Client(port), list(HOSTILE.items())
    for n in range(10_000):
        if time.monotonic() >= until:
            return
        _, data = files[n % len(files)]
        status, answer = client.ask("POST", "/api/pictures?name=x.svg", data, "application/octet-stream")
        tally.times.setdefault("hostile", []).append(0.0)
        if status not in (200, 422):
            tally.errors.append(f"hostile: {status} {answer[:100]!r}")


def _run(port: int, seconds: float, hostile: bool) -> Tally:
    tally, lock, until = Tally(), threading.Lock(), time.monotonic() + seconds
    threads = [threading.Thread(target=_person, args=(port, n, until, tally, lock)) for n in range(CLIENTS)]
    if hostile:
        threads.append(threading.Thread(target=_enemy, args=(port, until, tally)))
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    return tally


def _share(values: list[float], share: float) -> float:
    ordered = sorted(values)
    return ordered[min(len(ordered) - 1, int(len(ordered) * share))]


def measure(seconds: float = 120) -> list[str]:
    """The lines of the report."""
    with tempfile.TemporaryDirectory() as folder:
        data = Path(folder) / "data"
        start_site(data, demo=True)
        running = run_locally(data)
        port = int(running.address.rsplit(":", 1)[1].strip("/"))
        try:
            Client(port).ask("GET", "/api/shelf")
            _run(port, 10, False)
            alone, beside = _run(port, seconds, False), _run(port, seconds, True)
        finally:
            running.stop()
    handed_in = len(beside.times.pop("hostile", []))
    rows = [
        f"| {kind} | {statistics.median(alone.times[kind]):.0f} | {_share(alone.times[kind], 0.95):.0f} "
        f"| {statistics.median(beside.times[kind]):.0f} | {_share(beside.times[kind], 0.95):.0f} |"
        for kind in alone.times
    ]
    return [
        f"{CLIENTS} clients for {seconds:.0f} s each way, {len(alone.all()):,} and {len(beside.all()):,} requests, "
        f"{len(alone.errors)} and {len(beside.errors)} errors; beside them {handed_in} hostile files were handed in.",
        "",
        "| ms | alone: median | 95th percentile | beside hostile files: median | 95th percentile |",
        "|---|---|---|---|---|",
        *rows,
        f"| all | {statistics.median(alone.all()):.0f} | {_share(alone.all(), 0.95):.0f} "
        f"| {statistics.median(beside.all()):.0f} | {_share(beside.all(), 0.95):.0f} |",
        *(f"- error: {e}" for e in beside.errors[:5]),
    ]


if __name__ == "__main__":
    print("\n".join(measure()))
