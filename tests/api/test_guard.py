"""The guard: who may ask, for what, how much at a time, and what every answer says of itself."""

import asyncio
import json
from concurrent.futures import ThreadPoolExecutor

import pytest
from starlette.testclient import TestClient

from garnetfern.api.app import create_app
from garnetfern.api.guard import Door
from garnetfern.api.guard.door import host_name, is_loopback
from garnetfern.api.guard.tokens import Tokens
from garnetfern.core import limits
from tests.api.own import OWN, OwnClient
from tests.sites import one_banner

NAVIGATING = {"sec-fetch-mode": "navigate", "sec-fetch-dest": "document"}
CHANGE = {"revision": 1, "patch": [], "label": "Nothing"}


@pytest.fixture
def app(tmp_path):
    made = create_app(tmp_path, Door.of(["ferns.test"]))
    made.state.house.first().start(one_banner(), "A new site")
    return made


@pytest.fixture
def bare(app):
    """A client that says no more than it is told to."""
    with TestClient(app, base_url=OWN, raise_server_exceptions=False) as found:
        yield found


@pytest.mark.parametrize(
    ("host", "status"),
    [
        ("127.0.0.1:8420", 200),
        ("localhost", 200),
        ("LOCALHOST:1", 200),
        ("[::1]:8420", 200),
        ("127.8.8.8", 200),
        ("ferns.test:8420", 200),
        ("ferns.test.", 200),
        ("ferns.example", 421),
        ("127.0.0.1.ferns.example", 421),
        ("localhost.ferns.example:8420", 421),
        ("user@localhost", 421),
        ("localhost/", 421),
        ("0.0.0.0", 421),
        ("", 421),
        ("x" * 300, 421),
    ],
)
def test_only_names_of_this_machine_and_named_ones_are_answered(bare, host, status):
    answer = bare.get("/api/state", headers={"host": host})
    assert answer.status_code == status
    if status == 421:
        assert answer.json()["kind"] == "host"
        assert "document" not in answer.text


def test_what_counts_as_loopback():
    assert all(is_loopback(n) for n in ("localhost", "127.0.0.1", "127.1.2.3", "::1"))
    assert not any(is_loopback(n) for n in ("0.0.0.0", "10.0.0.1", "example", "::"))
    assert host_name("Ferns.Test:80") == "ferns.test"


@pytest.mark.parametrize(
    ("method", "path", "headers", "status"),
    [
        ("POST", "/api/change", {"origin": OWN}, 200),
        ("POST", "/api/change", {"sec-fetch-site": "same-origin"}, 200),
        ("POST", "/api/change", {"sec-fetch-site": "none"}, 200),
        ("POST", "/api/change", {}, 403),
        ("POST", "/api/change", {"origin": "null"}, 403),
        ("POST", "/api/change", {"origin": "http://ferns.example"}, 403),
        ("POST", "/api/change", {"origin": "http://127.0.0.1:9999"}, 403),
        ("POST", "/api/change", {"origin": "https://127.0.0.1:8420"}, 403),
        ("POST", "/api/change", {"origin": OWN, "sec-fetch-site": "cross-site"}, 403),
        ("POST", "/api/change", {"sec-fetch-site": "same-site"}, 403),
        ("POST", "/api/change", {"origin": OWN, "content-type": "text/plain"}, 415),
        ("POST", "/api/change", {"origin": OWN, "content-type": "application/x-www-form-urlencoded"}, 415),
        ("POST", "/api/change", {"origin": OWN, "content-type": "application/octet-stream"}, 415),
        ("POST", "/api/pictures?name=x", {"origin": OWN}, 415),
        ("PUT", "/api/change", {"origin": "http://ferns.example"}, 403),
        ("DELETE", "/anything", {}, 403),
        ("GET", "/api/state", {}, 200),
        ("GET", "/api/state", {"origin": "http://ferns.example"}, 403),
        ("GET", "/api/state", {"sec-fetch-site": "cross-site"}, 403),
        ("GET", "/api/state", {"sec-fetch-site": "cross-site", **NAVIGATING}, 403),
        ("GET", "/live/home", {"sec-fetch-site": "cross-site"}, 403),
        ("GET", "/live/home", {"sec-fetch-site": "cross-site", **NAVIGATING}, 200),
        ("GET", "/fonts/nothing", {"sec-fetch-site": "same-site"}, 403),
    ],
)
def test_other_pages_change_nothing_and_read_nothing(bare, app, method, path, headers, status):
    before = app.state.house.first().state()
    sent = {"content-type": "application/json", **headers}
    body = None if method == "GET" else json.dumps(CHANGE)
    answer = bare.request(method, path, content=body, headers=sent)
    assert answer.status_code == status
    if status != 200:
        assert app.state.house.first().state() == before
        assert set(answer.json()) == {"kind", "message", "path"}
        assert answer.json()["message"].endswith(".")


@pytest.mark.parametrize(
    "path", ["/", "/api/state", "/api/nowhere", "/live/home", "/fonts/nothing", "/api/bundle.zip", "/nowhere.js"]
)
def test_every_answer_carries_its_policies(bare, path):
    found = bare.get(path).headers
    policy = found["content-security-policy"]
    scripts = next(p for p in policy.split("; ") if p.startswith("script-src"))
    assert scripts in ("script-src 'self'", "script-src 'none'")
    assert "frame-ancestors 'self'" in policy
    assert found["x-content-type-options"] == "nosniff"
    assert found["referrer-policy"] == "no-referrer"
    assert found["cross-origin-resource-policy"] == "same-origin"
    assert found["cross-origin-opener-policy"] == "same-origin"


def test_an_unforeseen_error_carries_them_too(bare, app, monkeypatch):
    monkeypatch.setattr(app.state.house.first(), "state", lambda: 1 / 0)
    answer = bare.get("/api/state")
    assert answer.status_code == 500
    assert "frame-ancestors" in answer.headers["content-security-policy"]


def padded(size):
    """A JSON body of exactly that many bytes."""
    start, end = b'{"revision":1,"patch":[],"label":"x","pad":"', b'"}'
    return start + b"x" * (size - len(start) - len(end)) + end


@pytest.mark.parametrize(("size", "status"), [(limits.JSON_BODY, 200), (limits.JSON_BODY + 1, 413)])
def test_a_json_body_is_read_up_to_its_limit(app, size, status):
    with OwnClient(app) as client:
        headers = {"content-type": "application/json"}
        assert client.post("/api/change", content=padded(size), headers=headers).status_code == status

        def chunks():
            whole = padded(size)
            for at in range(0, len(whole), 65536):
                yield whole[at : at + 65536]

        assert client.post("/api/change", content=chunks(), headers=headers).status_code in (status, 409)


@pytest.mark.parametrize(
    ("body", "path", "said"),
    [
        (b"[" * limits.JSON_DEPTH + b"1" + b"]" * limits.JSON_DEPTH, "$", None),
        (b"[" * (limits.JSON_DEPTH + 1) + b"]" * (limits.JSON_DEPTH + 1), "$", "depth of 64"),
        (b'{"a":' * 100_000, "$", "depth of 64"),
        (b'{"label": "\\ud800"}', "$.label", "surrogate"),
        (b'{"patch": [{"value": "a\\u0007"}]}', "$.patch[0].value", "U+0007"),
        (b'{"revision": 1e400}', "$", "infinity"),
        (b'{"revision": NaN}', "$", "NaN"),
        (b'{"revision": ' + b"9" * 400 + b"}", "$", "at the most"),
        (b'{"label": "\xff"}', "$", "UTF-8"),
        (b'{"label": ', "$", "no JSON"),
        (b'{"label": "\xef\xbf\xbe"}', "$.label", "U+FFFE"),
        (b'{"label": "\xf0\x9f\xbf\xbe"}', "$.label", "U+1FFFE"),
        (b'{"[": "]]]{{{\\"[["}', "$", None),
    ],
)
def test_json_that_holds_a_surprise_is_refused_with_its_place(app, body, path, said):
    with OwnClient(app, raise_server_exceptions=False) as client:
        answer = client.post("/api/change", content=body, headers={"content-type": "application/json"})
    assert answer.status_code == 422
    assert (said is None) or (answer.json()["path"] == path and said in answer.json()["message"])
    assert (said is None) == (answer.json()["kind"] == "request")


class TestToken:
    @pytest.fixture
    def locked(self, tmp_path, monkeypatch):
        monkeypatch.setattr("garnetfern.api.guard.tokens.TOKEN_WAIT", 0.01)
        app = create_app(tmp_path, Door.of(["ferns.test"], "right"))
        app.state.house.first().start(one_banner(), "A new site")
        with TestClient(app, base_url="http://ferns.test:8420", follow_redirects=False) as found:
            yield found

    def test_without_it_nothing_is_read_or_changed(self, locked):
        own = {"origin": "http://ferns.test:8420"}
        for path in ("/", "/api/state", "/live/home", "/fonts/nothing"):
            assert locked.get(path).status_code == 401
        assert locked.post("/api/change", json=CHANGE, headers=own).status_code == 401
        page = locked.get("/", headers={"accept": "text/html"})
        assert page.status_code == 401
        assert "<form" in page.text

    def test_with_it_one_is_in_and_scripts_cannot_read_it(self, locked):
        entered = locked.get("/enter?token=right")
        assert (entered.status_code, entered.headers["location"]) == (303, "/")
        cookie = entered.headers["set-cookie"]
        assert "HttpOnly" in cookie
        assert "SameSite=Strict" in cookie
        assert locked.get("/api/state").status_code == 200
        locked.cookies.clear()
        assert locked.get("/api/state").status_code == 401

    def test_only_so_many_wrong_ones_wait_at_once(self, monkeypatch):
        monkeypatch.setattr("garnetfern.api.guard.tokens.TOKEN_WAIT", 0.01)

        async def guess():
            tokens = Tokens("right")
            return await asyncio.gather(*(tokens.slow_down() for _ in range(limits.TOKEN_WAITING + 3)))

        with ThreadPoolExecutor(1) as aside:  # a loop may be running here already, a browser's
            answered = [refusal.status for refusal in aside.submit(asyncio.run, guess()).result()]
        assert sorted(answered) == [401] * limits.TOKEN_WAITING + [429] * 3

    def test_wrong_ones_wait_their_turn(self, locked, monkeypatch):
        waited = []

        async def noted(seconds):
            waited.append(seconds)

        monkeypatch.setattr("garnetfern.api.guard.tokens.asyncio.sleep", noted)
        for wrong in ("", "Right", "right ‎", "x" * 5000):
            answer = locked.get("/enter", params={"token": wrong})
            assert answer.status_code == 401
            assert "set-cookie" not in answer.headers
        assert len(waited) == 4
        locked.get("/api/state", headers={"cookie": "garnetfern-8420=wrong"})
        assert len(waited) == 5
