"""Routes about pictures: what they answer, and what they refuse."""

import io
import time

import pytest
from PIL import Image

from garnetfern.api.app import create_app
from garnetfern.cli import start_site
from tests.api.own import OwnClient

PAGE = {"revision": 1, "page": "home", "patch": []}
LAYER = {**PAGE, "area": "banner", "layer": "dawn"}


@pytest.fixture(scope="module")
def client(tmp_path_factory):
    folder = tmp_path_factory.mktemp("routes")
    start_site(folder, demo=True)
    with OwnClient(create_app(folder)) as made:
        yield made


def test_the_shelf_tells_facts_looks_and_uses(client):
    shelf = {p["asset"]: p for p in client.get("/api/shelf").json()}
    assert shelf["fern-tile"]["seamless"]
    assert shelf["glasshouse-dawn"]["uses"][0]["words"].startswith("Marrowby Fern House: Banner")
    assert sum(c["share"] for c in shelf["fern-close"]["colours"]) == pytest.approx(1, abs=0.01)
    assert shelf["fern-close"]["mood"] == "busy"


def test_framing_tells_every_screen_s_window(client):
    sheet = client.post("/api/framing", json=LAYER).json()
    assert [s["screen"] for s in sheet["screens"]] == ["desktop", "tablet", "phone"]
    for screen in sheet["screens"]:
        x, y, width, height = screen["window"]
        assert 0 <= x <= x + width <= 1.001
        assert 0 <= y <= y + height <= 1.001
        assert screen["lost"] == pytest.approx(1 - width * height, abs=0.01)
        assert screen["twice"] == pytest.approx(2 * screen["once"], abs=0.002)


def test_areas_tell_what_is_seen_on_every_screen_and_on_a_wide_monitor(client):
    found = client.post("/api/areas", json={**PAGE, "page": "fair-page"}).json()
    assert [s["screen"] for s in found] == ["desktop", "tablet", "phone", "wide-monitor"]
    page = {s["screen"]: s["areas"][0]["visible"] for s in found}
    assert page["phone"] < page["desktop"] < page["wide-monitor"]


def test_stock_is_searched_by_word_colour_and_shape(client):
    everything = client.get("/api/stock").json()
    assert len(everything) >= 24
    assert all(o["credit"] for o in everything)
    found = client.get("/api/stock", params={"word": "pond", "shape": "landscape", "colour": "green"}).json()
    assert [o["id"] for o in found] == ["pond-summer"]
    assert client.get("/api/stock", params={"word": "giraffe"}).json() == []
    small = client.get("/api/stock/pond-summer/small")
    assert Image.open(io.BytesIO(small.content)).height == 150


@pytest.mark.parametrize("kind", ["jpeg", "png"])
def test_a_slot_file_has_exactly_the_size_of_its_slot(client, kind):
    answer = client.get("/api/slot-file", params={"slot": "card", "asset": "fern-close", "kind": kind})
    assert Image.open(io.BytesIO(answer.content)).size == (640, 400)
    assert "fern-close-card-640x400" in answer.headers["content-disposition"]


def test_a_crop_is_brought_to_its_slot_s_proportion(client):
    crop = {"x": 0.1, "y": 0.1, "width": 0.5, "height": 0.9}
    asked = {"revision": 1, "patch": [], "slot": "card", "asset": "fern-close", "crop": crop}
    found = client.post("/api/crop", json=asked).json()
    assert found["crop"]["width"] * 2400 / (found["crop"]["height"] * 1600) == pytest.approx(1.6)


def test_work_is_done_outside_the_request_and_can_be_stopped(client):
    job = client.post("/api/work", json={"kind": "fit"}).json()
    assert job["state"] in ("waiting", "running")
    assert client.post(f"/api/work/{job['id']}/stop", json={}).status_code == 200
    for _ in range(2400):
        found = client.get("/api/work").json()[0]
        if found["state"] == "stopped":
            break
        time.sleep(0.1)
    assert found["state"] == "stopped"


@pytest.mark.parametrize(
    ("method", "path", "body", "status"),
    [
        ("post", "/api/edit", {"revision": 1, "edit": {"kind": "fly"}}, 422),
        ("post", "/api/edit", {"revision": 9, "edit": {"kind": "remove-picture", "asset": "fern-close"}}, 409),
        ("post", "/api/edit", {"revision": 1, "edit": {"kind": "remove-picture", "asset": "reading-room"}}, 422),
        ("post", "/api/framing", {**LAYER, "layer": "dusk"}, 404),
        ("post", "/api/mend", {"asset": "none", "way": "mirror"}, 404),
        ("post", "/api/mend", {"asset": "fern-close", "way": "glue"}, 422),
        ("post", "/api/mend/facts", {"asset": "fern-close", "way": "mirror"}, 200),
        ("post", "/api/slot", {"revision": 1, "patch": [], "slot": "none"}, 404),
        ("post", "/api/stock/giraffe", {}, 404),
        ("post", "/api/work", {"kind": "dance"}, 422),
        ("post", "/api/work/99/stop", {}, 404),
        ("get", "/api/slot-file?slot=none&asset=fern-close", None, 404),
        ("get", "/pictures/x-800-0123456789-c0-0-1-1.webp", None, 404),
    ],
)
def test_what_cannot_be_is_said_with_its_kind(client, method, path, body, status):
    answer = client.request(method, path, json=body)
    assert answer.status_code == status
    if status != 200:
        assert set(answer.json()) == {"kind", "message", "path"}
        assert len(answer.json()["message"]) > 10


def test_a_cropped_rendition_is_served_by_its_name(client):
    site = client.get("/api/state").json()["document"]
    hash_ = next(a["hash"] for a in site["assets"] if a["id"] == "reading-room")[:10]
    answer = client.get(f"/pictures/reading-room-540-{hash_}-c0-50-2400-1500.webp")
    assert Image.open(io.BytesIO(answer.content)).size == (540, 338)
