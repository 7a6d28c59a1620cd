"""Routes about the library, colours, blending and schemes."""

import pytest

from garnetfern.api.app import create_app
from garnetfern.service.files.site_file import pack_site_file
from tests.api.own import OwnClient
from tests.sites import colour_layer, one_banner


@pytest.fixture
def client(tmp_path):
    app = create_app(tmp_path)
    app.state.house.first().start(one_banner(colour_layer("#ffffff", 0.5)), "A new site")
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found


def asked(client, **more):
    return {"revision": client.get("/api/state").json()["revision"], "patch": [], "page": "home", **more}


def test_the_library_is_handed_out(client):
    found = client.get("/api/library").json()
    assert found["gradients"][0]["image"].startswith("linear-gradient(")
    assert found["tiles"][0]["image"].startswith('url("data:image/svg+xml,')


@pytest.mark.parametrize(("text", "status"), [("hsl(120 100% 25%)", 200), ("fern", 422), ("x" * 81, 422)])
def test_colours_are_read_in_every_notation(client, text, status):
    answer = client.get("/api/colour", params={"text": text})
    assert answer.status_code == status
    if status == 200:
        assert answer.json()["hex"] == "#008000"
    else:
        assert "message" in answer.json()


def test_blend_looks_of_a_layer(client):
    found = client.post("/api/blends", json=asked(client, area="banner", layer="over"))
    assert len(found.json()["looks"]) == 16
    gone = client.post("/api/blends", json=asked(client, area="banner", layer="nobody"))
    assert gone.status_code == 404


def test_a_spot_of_a_screen(client):
    found = client.post("/api/colour-at", json=asked(client, screen="phone", x=20, y=20))
    assert found.json()["layers"] == ["Over (Banner)", "base (Banner)"]
    assert client.post("/api/colour-at", json=asked(client, screen="phone", x=-1, y=20)).status_code == 422


def test_schemes_are_listed_and_tried_without_being_kept(client):
    revision = client.get("/api/state").json()["revision"]
    cards = client.get("/api/schemes").json()
    assert len(cards) >= 10
    for which in (cards[0]["id"], "#2f6f8f"):
        tried = client.post("/api/scheme", json={"revision": revision, "which": which, "turn": 20}).json()
        shown = client.post("/api/live", json={**asked(client), "patch": tried["patch"]})
        assert shown.status_code == 200
    assert client.get("/api/state").json()["revision"] == revision
    assert client.post("/api/scheme", json={"revision": revision, "which": "tartan"}).status_code == 404
    assert client.post("/api/scheme", json={"revision": revision + 1, "which": "moss"}).status_code == 409


def test_a_page_is_shown_at_rest_and_pointed_at(client):
    over = {"fade": 100, "base": None, "layers": {"over": {"opacity": 0.9}}}
    patch = [{"op": "add", "path": "/pages/0/bands/0/backdrop/over", "value": over}]
    rest = "\n".join(client.post("/api/live", json={**asked(client), "patch": patch}).json()["css"])
    pointed = "\n".join(client.post("/api/live", json={**asked(client), "patch": patch, "pointed": True}).json()["css"])
    assert ".gf-over {\n  background-color: #ffffff;\n  opacity: 0.5;" in rest
    assert ".gf-over {\n  background-color: #ffffff;\n  opacity: 0.9;" in pointed
    found = client.post("/api/readings", json={**asked(client), "patch": patch}).json()
    names = [r["name"] for r in found["readings"]]
    assert "Phone, pointer over" in names


def test_looks_of_a_site_without_any_are_refused(client):
    revision = client.get("/api/state").json()["revision"]
    answer = client.post(
        "/api/looks-of", params={"revision": revision, "name": "other.zip"}, content=pack_site_file(one_banner())
    )
    assert answer.status_code == 422
    assert "Nothing was changed" in answer.json()["message"]


def test_colours_of_pictures_where_there_are_none(client):
    assert client.post("/api/picture-colours", json=asked(client, area="banner")).json() == []
