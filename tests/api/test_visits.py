"""What is live, as a host hands it out: kept for a year, asked about each time, or not there."""

import json

import pytest

from tests.sites import colour_layer, one_banner


@pytest.fixture
def studio(app):
    return app.state.house.first()


def lines(answer):
    assert answer.status_code == 200, answer.text
    return [json.loads(line) for line in answer.text.splitlines()]


def publish(client, studio, **more):
    body = {"revision": studio.state().revision, **more}
    return lines(client.post("/api/releases/publish", json=body))[-1]


def change(studio, path, value):
    return studio.change(studio.state().revision, [{"op": "replace", "path": path, "value": value}], "Change")


SHADE = "/pages/0/bands/0/backdrop/base"
VISIT = "/visit/site/"


def test_before_the_first_release(client):
    answer = client.get(VISIT)
    assert answer.status_code == 404
    assert "Nothing of this site has been put live yet." in answer.text
    assert client.get("/visit/nowhere/").status_code == 404


def test_headers_of_a_good_host(client, studio):
    assert publish(client, studio) == {"kind": "found", "found": {"number": 1}}
    page = client.get(VISIT)
    assert (page.status_code, page.headers["cache-control"]) == (200, "no-cache")
    assert page.headers["content-type"] == "text/html; charset=utf-8"
    assert "script-src 'sha256-" in page.headers["content-security-policy"]
    again = client.get(VISIT, headers={"if-none-match": page.headers["etag"]})
    assert (again.status_code, again.content) == (304, b"")
    assert again.headers["etag"] == page.headers["etag"]
    kept = [p for p in studio.publishing.live().files if not p.endswith(".html")]
    for path in kept:
        answer = client.get(VISIT + path)
        assert answer.headers["cache-control"] == "public, max-age=31536000, immutable", path
        kind = {"css": "text/css", "woff2": "font/woff2"}[path.rsplit(".", 1)[1]]
        assert answer.headers["content-type"].startswith(kind)
    assert client.head(VISIT).status_code == 200
    assert client.get("/visit/site", follow_redirects=False).headers["location"] == VISIT
    for nothing in ("nowhere.html", "css/nothing.css", "../api/state", "%2e%2e/garnetfern.sqlite", "index.html/"):
        assert client.get(VISIT + nothing).status_code == 404, nothing


def test_a_new_release_changes_what_is_asked_about(client, studio):
    publish(client, studio)
    first = client.get(VISIT)
    sheet = next(p for p in studio.publishing.live().files if p.startswith("css/"))
    change(studio, SHADE, "#101010")
    assert client.get(VISIT).text == first.text
    publish(client, studio)
    second = client.get(VISIT, headers={"if-none-match": first.headers["etag"]})
    assert second.status_code == 200
    assert second.text != first.text
    # a page that somebody has open since yesterday finds its stylesheet
    assert client.get(VISIT + sheet).status_code == 200
    assert client.post("/api/releases/back", json={"number": 1}).json() == {"number": 3}
    assert client.get(VISIT).text == first.text
    assert client.post("/api/releases/back", json={"number": 9}).status_code == 404


def test_what_falls_short_is_refused_and_told(client, studio):
    change(studio, SHADE, "#fafafa")
    refused = publish(client, studio)
    assert (refused["kind"], refused["status"]) == ("problem", 422)
    assert "Nothing was put live." in refused["message"]
    assert client.get(VISIT).status_code == 404
    assert publish(client, studio, anyway=True)["found"] == {"number": 1}


def test_the_list_and_the_look(client, studio):
    revision = studio.state().revision
    found = client.get("/api/releases", params={"revision": revision}).json()
    assert (found["releases"], found["visit"], found["same"]) == ([], VISIT, False)
    told = lines(client.post("/api/releases/look", json={"revision": revision}))
    assert told[0]["kind"] == "doing"
    assert told[-1]["found"]["check"]["good"]
    publish(client, studio)
    found = client.get("/api/releases", params={"revision": revision}).json()
    assert (found["same"], found["releases"][0]["number"]) == (True, 1)
    change(studio, SHADE, "#101010")
    stale = client.post("/api/releases/look", json={"revision": revision})
    assert stale.status_code == 409
    work = {"revision": studio.state().revision, "number": 1}
    assert client.post("/api/releases/work-on", json=work).status_code == 200
    assert client.post("/api/releases/work-on", json={**work, "revision": 1}).status_code == 409
    look = client.get("/api/releases", params={"revision": studio.state().revision}).json()
    assert look["same"]


def test_pictures_of_a_release(client, studio):
    publish(client, studio)
    change(studio, SHADE, "#101010")
    found = client.get("/api/releases", params={"revision": studio.state().revision}).json()
    screen = found["looks"][0]["screens"][0]
    asked = {"screen": screen["screen"], "release": 1}
    before = client.get(f"/page-pictures/home/{screen['before']}", params=asked)
    after = client.get(f"/page-pictures/home/{screen['after']}", params={"screen": screen["screen"]})
    assert before.status_code == after.status_code == 200
    assert before.content != after.content
    assert "immutable" in before.headers["cache-control"]
    assert client.get("/page-pictures/home/x", params={"screen": "nothing"}).status_code == 404
    assert client.get("/page-pictures/home/x", params={"release": 7}).status_code == 404


def test_each_site_has_its_own(client, app, studio):
    other = app.state.house.add(one_banner(colour_layer("#000000", 0.5)), "Another")
    publish(client, studio)
    assert client.get(f"/visit/{other.id}/").status_code == 404
    app.state.house.remove(other.id)
    assert "removed" in client.get(f"/visit/{other.id}/").text
