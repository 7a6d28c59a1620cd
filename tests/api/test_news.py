"""News for open windows, and answers of which only the difference is told."""

import contextlib
import gc
import json
import socket
import threading
import time

import httpx
import pytest
from hypothesis import given
from hypothesis import strategies as st
from jsonpatch import apply_patch

from garnetfern.api.local import run_locally
from garnetfern.cli import start_site
from garnetfern.service.runtime.difference import difference
from garnetfern.service.runtime.polite import Manners, SupersededError

JSON = st.recursive(
    st.none() | st.booleans() | st.integers(-5, 5) | st.text(max_size=3),
    lambda inner: st.lists(inner, max_size=4) | st.dictionaries(st.text("ab/~", max_size=3), inner, max_size=4),
    max_leaves=12,
)


@given(old=JSON, new=JSON)
def test_the_difference_leads_from_one_value_to_the_other(old, new):
    steps = difference(old, new)
    assert apply_patch(json.loads(json.dumps(old)), steps) == new
    assert json.dumps(apply_patch(json.loads(json.dumps(old)), steps)) == json.dumps(new) or isinstance(
        new, dict | list
    )
    assert difference(new, new) == []


@pytest.mark.parametrize(
    ("old", "new", "steps"),
    [
        ({"a": 1}, {"a": 2}, 1),
        ({"a": 1}, {"b": 1}, 1),
        ([1, 2, 3], [1, 3], 1),
        ([1, 2, 3], [1, 2, 9, 3], 1),
        ([{"x": 1}, {"x": 2}], [{"x": 1}, {"x": 3}], 1),
        (1, True, 1),
    ],
)
def test_little_is_told_where_little_has_changed(old, new, steps):
    assert len(difference(old, new)) == steps


def asked(page="home", **more):
    return {"revision": 1, "page": page, "patch": [], **more}


def test_an_answer_is_told_as_what_differs_from_the_one_before(client):
    whole = client.post("/api/live", json=asked())
    version = whole.headers["garnetfern-version"]
    patch = [{"op": "replace", "path": "/pages/0/bands/0/backdrop/base", "value": "#123456"}]
    less = client.post("/api/live", json=asked(patch=patch), headers={"garnetfern-have": version})
    assert less.headers["content-type"] == "application/json-patch+json"
    assert len(less.content) < len(whole.content) / 4
    fresh = client.post("/api/live", json=asked(patch=patch)).json()
    assert apply_patch(whole.json(), less.json()) == fresh


def test_a_version_that_is_not_known_gets_the_whole_answer(client):
    answer = client.post("/api/readings", json=asked(), headers={"garnetfern-have": "elsewhere-7"})
    assert answer.headers["content-type"] == "application/json"


def test_what_became_of_the_site_since_a_revision(client):
    before = client.get("/api/state").json()
    patch = [{"op": "replace", "path": "/pages/0/bands/0/backdrop/base", "value": "#123456"}]
    step = client.post("/api/change", json={"revision": 1, "patch": patch, "label": "x"}).json()
    assert (step["since"], step["revision"], step["document"]) == (1, 2, None)
    assert apply_patch(before["document"], step["patch"]) == client.get("/api/state").json()["document"]
    assert client.get("/api/since?revision=1").json()["patch"] == step["patch"]
    unknown = client.get("/api/since?revision=-9").json()
    assert unknown["patch"] is None
    assert unknown["document"] == client.get("/api/state").json()["document"]


def test_a_question_of_another_window_ends_nothing():
    manners = Manners()
    one = manners.ask("remedies one")
    manners.ask("remedies other")
    manners.give_way("remedies one", one)
    manners.ask("remedies one")
    with pytest.raises(SupersededError):
        manners.give_way("remedies one", one)


def test_every_window_hears_of_a_new_revision_and_of_work_and_none_holds_the_end_up(tmp_path):
    start_site(tmp_path, demo=False)
    running = run_locally(tmp_path)
    heard: list[str] = []

    def listen() -> None:
        with httpx.stream("GET", f"{running.address}api/news", timeout=30) as news:
            heard.extend(line for line in news.iter_lines() if line)

    windows = [threading.Thread(target=listen) for _ in range(2)]
    for window in windows:
        window.start()
    deadline = time.monotonic() + 120
    while sum(line.startswith("data") for line in heard) < 2 and time.monotonic() < deadline:
        time.sleep(0.02)
    origin = {"origin": running.address.rstrip("/")}
    patch = [{"op": "replace", "path": "/pages/0/bands/0/backdrop/base", "value": "#123456"}]
    body = {"revision": 1, "patch": patch, "label": "x"}
    assert httpx.post(f"{running.address}api/change", json=body, headers=origin).status_code == 200
    assert httpx.post(f"{running.address}api/work", json={"kind": "fit"}, headers=origin).status_code == 200
    while sum('"state": "done"' in line for line in heard) < 2 and time.monotonic() < deadline:
        time.sleep(0.02)
    begun = time.monotonic()
    running.stop()
    for window in windows:
        window.join(timeout=20)
        assert not window.is_alive()
    assert time.monotonic() - begun < 15
    assert heard.count('data: {"revision": 1}') == 2
    assert heard.count('data: {"revision": 2}') == 2
    assert any('"state": "done"' in line for line in heard)


def test_visitors_who_come_as_it_ends_are_let_go(tmp_path):
    start_site(tmp_path, demo=False)
    running = run_locally(tmp_path)
    loop = running.server.servers[0].get_loop()
    address = ("127.0.0.1", int(running.address.rstrip("/").rsplit(":", 1)[1]))
    visitors: list[socket.socket] = []

    def keep_busy() -> None:
        time.sleep(0.03)
        loop.call_soon(keep_busy)

    def come() -> None:
        with contextlib.suppress(ConnectionError):
            while True:
                visitors.append(socket.create_connection(address, timeout=10))
                time.sleep(0.0005)

    # someone comes in every turn of the loop
    loop.call_soon_threadsafe(keep_busy)
    coming = threading.Thread(target=come)
    coming.start()
    time.sleep(0.1)
    running.stop()
    coming.join(timeout=20)
    gc.collect()
    assert len(visitors) > 10
    for visitor in visitors:
        with visitor, contextlib.suppress(ConnectionResetError):
            assert visitor.recv(1) == b""
