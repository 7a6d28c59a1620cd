"""A question that was on its way while the site changed is answered for what it was asked of."""

import pytest

from garnetfern.service.workspace.present import EARLIER


def _base(n: int) -> list[dict]:
    return [{"op": "replace", "path": "/pages/0/bands/0/backdrop/base", "value": f"#0102{n:02x}"}]


def _live(client, revision: int, patch=()):
    return client.post("/api/live", json={"revision": revision, "patch": list(patch), "page": "home"})


def _steps(client, n: int) -> list[dict]:
    """The page as it is shown at first, and after each of so many changes."""
    seen = [_live(client, 1).json()]
    for k in range(1, n + 1):
        assert client.post("/api/change", json={"revision": k, "patch": _base(k), "label": "Base"}).status_code == 200
        seen.append(_live(client, k + 1).json())
    return seen


@pytest.mark.parametrize("steps", [1, EARLIER])
def test_the_answer_is_the_one_of_then(client, steps):
    seen = _steps(client, steps)
    assert seen[0] != seen[-1]
    assert [_live(client, 1 + k).json() for k in range(steps + 1)] == seen
    assert _live(client, 1, _base(steps)).json() == seen[-1]


def test_what_is_longer_ago_and_what_is_to_come_is_refused(client):
    _steps(client, EARLIER + 1)
    for revision in (1, 40):
        answer = _live(client, revision)
        assert (answer.status_code, answer.json()["kind"]) == (409, "stale")


def test_a_change_is_only_made_to_what_is_now(client):
    _steps(client, 1)
    late = {"revision": 1, "patch": _base(9), "label": "Late"}
    assert client.post("/api/change", json=late).status_code == 409
    assert _live(client, 2).json() == _live(client, 2).json() != _live(client, 2, _base(9)).json()
