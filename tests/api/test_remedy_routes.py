"""Routes that answer line by line: ways out, and a page mended."""

import json

import pytest

from garnetfern.api.app import create_app
from tests.api.own import OwnClient
from tests.core.test_readings import split_picture
from tests.sites import HEADING, document, image_layer, with_picture


@pytest.fixture
def client(tmp_path):
    picture = split_picture((150, 150, 150), (220, 215, 200))
    app = create_app(tmp_path)
    app.state.house.first().start(with_picture(document(image_layer(), base="#f4efe4"), picture, "p.png"), "A new site")
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found


def asked(client, **more):
    return {"revision": client.get("/api/state").json()["revision"], "patch": [], "page": "home", **more}


def lines(answer):
    return [json.loads(line) for line in answer.text.splitlines()]


def test_ways_out_come_as_they_are_found_and_each_can_be_kept_and_taken_back(client):
    found = lines(client.post("/api/remedies", json=asked(client, block="headline")))
    assert found[0]["kind"] == "plight"
    assert found[0]["short"]
    assert "fall short in" in found[0]["sentence"]
    remedies = [line["found"] for line in found if line["kind"] == "remedy"]
    assert found[-1] == {"kind": "end", "found": len(remedies)}
    assert len({r["remedy"] for r in remedies}) >= 5
    first = max(remedies, key=lambda r: r["kept"])
    assert first["before"].startswith("data:image/jpeg;base64,")
    assert first["before"] != first["after"]
    body = {"revision": asked(client)["revision"], "patch": first["patch"], "label": first["title"]}
    kept = client.post("/api/change", json=body)
    assert kept.status_code == 200
    again = lines(client.post("/api/remedies", json=asked(client, block="headline")))
    assert not again[0]["short"]
    assert [line["kind"] for line in again] == ["plight", "end"]
    back = client.post("/api/undo", json=asked(client)).json()
    assert back["undo"] is None


def test_a_page_is_mended_in_one_patch(client):
    found = lines(client.post("/api/mend-page", json=asked(client)))
    assert {line["kind"] for line in found[:-1]} == {"doing"}
    assert found[-1]["kind"] == "mended"
    mended = found[-1]
    assert mended["left"] == []
    assert [d["words"] for d in mended["done"]] == [HEADING["wording"]]
    found = client.post("/api/readings", json=asked(client, patch=mended["patch"])).json()
    assert found["good"]
    assert all(r["meets"] for r in found["readings"])


@pytest.mark.parametrize(
    ("path", "more", "status"),
    [
        ("remedies", {"block": "nowhere"}, 404),
        ("remedies", {"block": "headline", "page": "nowhere"}, 404),
        ("remedies", {}, 422),
        ("mend-page", {"page": "nowhere"}, 404),
        ("mend-page", {"revision": 99}, 409),
    ],
)
def test_what_cannot_be_asked_is_refused_with_a_reason(client, path, more, status):
    answer = client.post(f"/api/{path}", json={**asked(client), **more})
    assert answer.status_code == status
    assert answer.json()["message"]


def test_a_newer_question_ends_an_older_one_with_a_line_that_says_so(client):
    studio = client.app.state.house.first()
    polite = studio.polite
    studio.polite = lambda kind, window="": (polite(kind, window), polite(kind, window))[
        0
    ]  # the first of two is overtaken at once
    found = lines(client.post("/api/remedies", json=asked(client, block="headline")))
    assert found[-1]["kind"] == "problem"
    assert found[-1]["status"] == 410
