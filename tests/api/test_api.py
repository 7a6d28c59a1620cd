"""The API: shapes of answers and errors, limits, and pages that hold no surprise."""

import io
import json
from pathlib import Path
from zipfile import ZipFile

import pytest

from garnetfern.api.by_site import site_app
from garnetfern.service.files.site_file import pack_site_file
from garnetfern.service.runtime.told import GoneError
from tests.conftest import jpeg
from tests.sites import one_banner

BAND = "/pages/0/bands/0"


def asked(client, **more):
    return {"revision": client.get("/api/state").json()["revision"], "patch": [], "page": "home", **more}


def replace(path, value):
    return [{"op": "replace", "path": f"{BAND}/{path}", "value": value}]


def test_state_change_undo_redo(client):
    changed = client.post(
        "/api/change", json={**asked(client), "patch": replace("height/min", "50vh"), "label": "Lower"}
    )
    assert changed.status_code == 200
    assert (changed.json()["undo"], changed.json()["redo"]) == ("Lower", None)
    undone = client.post("/api/undo", json=asked(client)).json()
    assert undone["redo"] == "Lower"
    assert client.post("/api/redo", json=asked(client)).json()["document"] == changed.json()["document"]


def test_a_stale_change_is_answered_with_409_and_its_reason(client):
    body = {"revision": 7, "patch": replace("height/min", "50vh"), "label": "Lower"}
    answer = client.post("/api/change", json=body)
    assert answer.status_code == 409
    assert answer.json()["kind"] == "stale"
    assert "Nothing was overwritten" in answer.json()["message"]


@pytest.mark.parametrize(
    ("path", "value", "said"),
    [
        ("backdrop/base", "#12", "hexadecimal"),
        ("height/min", "very tall", "clamp"),
        ("columns/0/blocks/0/wording", "x" * 5000, "5,000"),
    ],
)
def test_a_bad_value_is_answered_with_its_path(client, path, value, said):
    answer = client.post("/api/change", json={**asked(client), "patch": replace(path, value), "label": "x"})
    assert answer.status_code == 422
    body = answer.json()
    assert said in body["message"]
    assert body["path"].endswith(path.split("/")[-1])


def test_a_preview_is_shown_and_not_kept(client):
    found = client.post("/api/live", json={**asked(client), "patch": replace("backdrop/base", "#123456")}).json()
    assert any("#123456" in line for line in found["css"])
    assert not any("#123456" in line for line in client.post("/api/live", json=asked(client)).json()["css"])
    assert client.get("/api/state").json()["undo"] is None


def test_before_is_the_last_step(client):
    old = client.post("/api/live", json=asked(client)).json()
    client.post("/api/change", json={**asked(client), "patch": replace("backdrop/base", "#123456"), "label": "x"})
    assert client.get("/api/before?page=home").json() == old


def test_readings_and_build_up(client):
    readings = client.post("/api/readings", json=asked(client)).json()["readings"]
    assert {r["screen"] for r in readings} == {"desktop", "tablet", "phone"}
    assert all(r["verdict"] == "enough" for r in readings)
    cards = client.post("/api/build-up", json=asked(client, area="banner")).json()["cards"]
    assert [c["id"] for c in cards] == ["base", "words"]


@pytest.mark.parametrize(
    ("method", "path", "body", "status"),
    [
        ("get", "/api/nowhere", None, 404),
        ("post", "/api/state", {}, 404),
        ("get", "/live/nowhere", None, 404),
        ("get", "/pictures/none.webp", None, 404),
        ("get", "/pictures/x-540-0123456789.webp", None, 404),
        ("get", "/thumbs/zz", None, 404),
        ("get", "/api/rule?page=home&area=nowhere", None, 404),
        ("post", "/api/change", {"revision": 1}, 422),
        ("post", "/api/change", {"revision": "x", "patch": [], "label": "x"}, 422),
        ("post", "/api/overlay", {"revision": 1, "page": "home", "area": "banner", "layer": "none"}, 404),
    ],
)
def test_errors_have_one_shape(client, method, path, body, status):
    answer = client.request(method, path, json=body)
    assert answer.status_code == status
    assert set(answer.json()) == {"kind", "message", "path"}


def test_an_unforeseen_error_tells_nothing_internal(client, app, monkeypatch):
    monkeypatch.setattr(app.state.house.first(), "state", lambda: 1 / 0)
    answer = client.get("/api/state")
    assert answer.status_code == 500
    assert "division" not in answer.text
    assert answer.json()["kind"] == "internal"


def test_a_picture_goes_in_and_comes_out_in_a_known_size(client):
    asset = client.post("/api/pictures?name=fern.jpg", content=jpeg(700, 500)).json()["asset"]
    assert (asset["id"], asset["width"], asset["type"]) == ("fern", 700, "jpeg")
    found = client.get(f"/pictures/fern-540-{asset['hash'][:10]}.webp")
    assert found.headers["content-type"] == "image/webp"
    assert "immutable" in found.headers["cache-control"]
    assert client.get(f"/thumbs/{asset['hash'][:10]}").status_code == 200


@pytest.mark.parametrize(
    ("data", "said"), [(b"", "0 bytes"), (b"plain text", "not a picture"), (jpeg()[:40], "damaged")]
)
def test_a_bad_picture_is_answered_with_its_reason(client, data, said):
    answer = client.post("/api/pictures?name=fern.jpg", content=data)
    assert answer.status_code == 422
    assert said in answer.json()["message"]
    assert "fern.jpg" in answer.json()["message"]


def test_a_body_that_announces_too_much_is_refused_before_it_is_read(client):
    answer = client.post("/api/pictures?name=big.jpg", content=b"x", headers={"content-length": str(60 * 1024 * 1024)})
    assert answer.status_code == 413
    assert "50 MB" in answer.json()["message"]


def test_a_body_that_grows_too_large_is_refused(client, monkeypatch):
    monkeypatch.setattr("garnetfern.api.uploads.PICTURE", 1000)

    def chunks():
        for _ in range(100):
            yield b"x" * 100

    assert client.post("/api/pictures?name=big.jpg", content=chunks()).status_code == 413


def test_live_pages_run_no_scripts(client):
    wording = "<script>alert(1)</script>"
    patch = replace("columns/0/blocks/0/wording", wording)
    client.post("/api/change", json={**asked(client), "patch": patch, "label": "x"})
    page = client.get("/live/home")
    assert "script-src 'none'" in page.headers["content-security-policy"]
    assert "<script" not in page.text


def test_site_files_go_out_and_in(client):
    data = client.get("/api/site-file").content
    assert data == pack_site_file(one_banner())
    answer = client.post("/api/site-file?revision=1&name=back.zip", content=data)
    assert answer.json()["undo"] == "Open back.zip"
    refused = client.post("/api/site-file?revision=2&name=bad.zip", content=b"nothing")
    assert refused.status_code == 422
    assert refused.json()["kind"] == "site-file"


def packed(client):
    """The lines of packing the bundle."""
    return [json.loads(line) for line in client.post("/api/packing", json={}).text.splitlines()]


def test_the_bundle_is_packed_in_sight_and_fetched_by_its_number(client):
    asset = client.post("/api/pictures?name=fern.jpg", content=jpeg()).json()["asset"]
    layer = {"kind": "image", "id": "photo", "name": "Photo", "asset": asset["id"]}
    patch = [
        {"op": "add", "path": "/assets/-", "value": asset},
        {"op": "add", "path": f"{BAND}/backdrop/layers/0", "value": layer},
    ]
    assert client.post("/api/change", json={**asked(client), "patch": patch, "label": "x"}).status_code == 200
    *doing, last = packed(client)
    assert [line["kind"] for line in doing] == ["doing"] * len(doing)
    assert {"fern.jpg", "the zip"} <= {line["words"] for line in doing}
    shares = [line["share"] for line in doing]
    assert shares == sorted(shares)
    found = last["found"]
    data = client.get(f"/api/bundle.zip?number={found['number']}").content
    assert len(data) == found["bytes"]
    with ZipFile(io.BytesIO(data)) as zipped:
        assert {i.filename: i.file_size for i in zipped.infolist()} == {f["name"]: f["bytes"] for f in found["files"]}
        assert zipped.testzip() is None


def test_a_packing_that_does_not_wait_any_more_is_packed_anew(client):
    first = packed(client)[-1]["found"]
    patch = replace("backdrop/base", "#123456")
    client.post("/api/change", json={**asked(client), "patch": patch, "label": "x"})
    second = packed(client)[-1]["found"]
    assert second["number"] != first["number"]
    newest = client.get(f"/api/bundle.zip?number={second['number']}").content
    # what is handed out is the present site, also to whoever asks for what has gone
    assert client.get(f"/api/bundle.zip?number={first['number']}").content == newest
    assert client.get("/api/bundle.zip").content == newest


def test_packing_ends_when_nobody_listens_and_leaves_nothing(app):
    packing, site = app.state.house.first().packing, app.state.house.first().site()

    def stop(words, _share):
        if words == "the zip":
            raise GoneError

    with pytest.raises(GoneError):
        packing.pack(site, stop)
    assert packing.waiting(1) is None
    assert packing.pack(site).number == 1


def test_published_interface_is_that_of_the_application(app):
    published = Path(__file__).parents[2] / "docs" / "openapi.json"
    assert json.loads(published.read_text()) == json.loads(json.dumps(app.openapi()))


def test_work_on_files_and_drawings_stays_off_the_event_loop(app):
    import inspect

    routes = [*app.routes, *site_app(app.state.house.first()).routes]
    awaited = {r.name for r in routes if hasattr(r, "endpoint") and inspect.iscoroutinefunction(r.endpoint)}
    # these await a body or news, and hand on what is to be done
    bodies = {"add_picture", "file", "looks_of", "open_file", "open_site_file", "take_fonts", "visits"}
    assert awaited == bodies | {"news", "openapi"}
