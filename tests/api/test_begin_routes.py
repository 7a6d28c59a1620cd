"""Routes of a site that is only begun: picture and words put together, and a sample to look around in."""

import json

import pytest

from garnetfern.api.app import create_app
from garnetfern.api.site_routes import Sample
from garnetfern.service.runtime.polite import Manners
from tests.api.own import OwnClient
from tests.conftest import jpeg
from tests.sites import document, image_layer, with_picture

SAMPLE = "The fern fair"


def lines(answer):
    return [json.loads(line) for line in answer.text.splitlines()]


@pytest.fixture
def made():
    return []


@pytest.fixture
def client(tmp_path, made):
    def make(told):
        made.append(True)
        told("1 of 1 pictures drawn", 1.0)
        return [with_picture({**document(image_layer()), "name": SAMPLE}, jpeg())]

    app = create_app(tmp_path, sample=Sample(SAMPLE, make))
    app.state.house.new("banner")
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found


def asked(client, **more):
    return {"revision": client.get("/api/state").json()["revision"], "page": "home", **more}


def test_a_picture_and_words_become_one_change(client):
    asset = client.post("/api/pictures?name=bench.jpg", content=jpeg()).json()["asset"]
    found = lines(client.post("/api/begin", json=asked(client, asset=asset, words="Ferns for all")))
    assert {line["kind"] for line in found[:-1]} == {"doing"}
    last = found[-1]
    assert (last["kind"], last["left"]) == ("begun", [])
    assert client.get("/api/state").json()["revision"] == 1
    kept = client.post("/api/change", json={"revision": 1, "patch": last["patch"], "label": "Begin"})
    assert kept.status_code == 200
    readings = client.post("/api/readings", json={**asked(client), "patch": []}).json()
    assert readings["good"]
    assert "Ferns for all" in json.dumps(client.get("/api/state").json()["document"])


def test_what_is_put_together_is_not_given_up_for_what_else_the_window_asks(client, monkeypatch):
    kinds = []
    ask = Manners.ask
    monkeypatch.setattr(Manners, "ask", lambda self, kind, *more: kinds.append(kind) or ask(self, kind, *more))
    window = {"garnetfern-window": "one"}
    assert client.post("/api/begin", json=asked(client, words="Ferns"), headers=window).status_code == 200
    (begun,) = kinds
    client.post("/api/banners", json={**asked(client, band="banner"), "patch": []}, headers=window)
    client.post("/api/mend-page", json={**asked(client), "patch": []}, headers=window)
    assert len(kinds) > 1
    assert begun not in kinds[1:]


@pytest.mark.parametrize(
    ("more", "status"),
    [
        ({"page": "nowhere", "words": "Ferns"}, 404),
        ({"words": "x" * 401}, 422),
        ({"revision": 9, "words": "Ferns"}, 409),
    ],
)
def test_what_cannot_be_put_together_is_said_and_nothing_is_changed(client, more, status):
    answer = client.post("/api/begin", json=asked(client, **more))
    assert answer.status_code == status
    assert client.get("/api/state").json()["revision"] == 1


def test_a_picture_that_nobody_handed_in_is_refused(client):
    asset = client.post("/api/pictures?name=bench.jpg", content=jpeg()).json()["asset"]
    other = {**asset, "hash": "0" * len(asset["hash"])}
    answer = client.post("/api/begin", json=asked(client, asset=other, words="Ferns"))
    assert answer.status_code in (404, 422)


def test_the_sample_is_made_once_and_found_again(client, made):
    found = lines(client.post("/api/sites/sample", json={}))
    assert found == [
        {"kind": "doing", "words": "1 of 1 pictures drawn", "share": 1.0},
        {"kind": "site", "site": "the-fern-fair", "name": SAMPLE},
    ]
    assert [line["kind"] for line in lines(client.post("/api/sites/sample", json={}))] == ["site"]
    assert len(made) == 1
    assert [s["name"] for s in client.get("/api/sites/names").json()] == ["My site", SAMPLE]


def test_without_a_sample_that_is_said(tmp_path):
    app = create_app(tmp_path)
    app.state.house.new("banner")
    with OwnClient(app, raise_server_exceptions=False) as client:
        answer = client.post("/api/sites/sample", json={})
    assert answer.status_code == 404
    assert "no sample" in answer.json()["message"]
