"""Every site beneath an address of its own; without one, the first is meant."""

import pytest

from tests.sites import one_banner

RENAME = {"revision": 1, "patch": [{"op": "replace", "path": "/name", "value": "Now"}], "label": "Rename"}


@pytest.fixture
def two(app, client):
    app.state.house.first()
    app.state.house.add(one_banner(base="#102030"), "A new site")
    return [row["site"] for row in client.get("/api/sites/names").json()]


def test_each_answers_for_itself(client, two):
    first, second = two
    assert client.post(f"/of/{second}/api/change", json=RENAME).status_code == 200
    assert client.get(f"/of/{second}/api/state").json()["document"]["name"] == "Now"
    assert client.get(f"/of/{first}/api/state").json() == client.get("/api/state").json()
    assert client.get("/api/state").json()["revision"] == 1
    assert "#102030" in client.get(f"/of/{second}/live/home").text
    assert "#102030" not in client.get("/live/home").text
    row = client.get("/api/sites").json()["sites"][1]
    picture = client.get(f"/of/{second}/page-pictures/{row['page']}/{row['picture']}")
    assert picture.headers["content-type"] == "image/jpeg"


@pytest.mark.parametrize("path", ["/of/nobody/api/state", "/of/", "/of/nobody/live/home"])
def test_a_site_that_is_not_there_is_told(client, two, path):
    found = client.get(path)
    assert (found.status_code, found.json()["kind"]) == (404, "not-found")


def test_what_is_not_there_of_a_site_is_told(client, two):
    assert client.get(f"/of/{two[1]}/api/nothing").json()["message"] == "There is no /api/nothing here."


def test_the_guard_stands_before_every_site(client, two):
    path = f"/of/{two[1]}/api"
    evil = {"origin": "http://evil.test", "sec-fetch-site": "cross-site"}
    assert client.post(f"{path}/change", json=RENAME, headers=evil).status_code == 403
    link = {**evil, "sec-fetch-mode": "navigate", "sec-fetch-dest": "document"}
    del link["origin"]
    assert client.get(f"{path}/state", headers={**link}).status_code == 403
    plain = {"content-type": "text/plain"}
    assert client.post(f"{path}/change", content=b"{}", headers=plain).status_code == 415
    # files go where files go, whatever site they are for
    assert client.post(f"{path}/site-file?revision=1&name=x", content=b"no zip").status_code == 422


def test_the_list_is_kept_by_requests(client, two):
    first, second = two
    moved = client.post("/api/sites/move", json={"site": second, "to": 0}).json()
    assert [row["site"] for row in moved["sites"]] == [second, first]
    gone = client.post("/api/sites/remove", json={"site": second}).json()
    assert [row["site"] for row in gone["removed"]] == [second]
    assert client.get(f"/of/{second}/api/state").status_code == 404
    only = client.post("/api/sites/remove", json={"site": first})
    assert (only.status_code, only.json()["kind"]) == (422, "last-site")
    assert len(client.post("/api/sites/bring-back", json={"site": second}).json()["sites"]) == 2
    made = client.post("/api/sites/copy", json={"site": first}).json()
    assert made["name"] == "Marrowby Fern House copy"
    fresh = client.post("/api/sites/new", json={"start": "banner"}).json()
    assert client.get(f"/of/{fresh['site']}/api/state").status_code == 200
    file = client.get(f"/of/{first}/api/site-file").content
    opened = client.post("/api/sites/open?name=mine.zip", content=file).json()
    assert client.get(f"/of/{opened['site']}/api/state").json()["document"]["name"] == opened["name"]
    assert client.post("/api/sites/open?name=mine.zip", content=b"nothing").status_code == 422


def test_two_windows_look_at_the_list_without_taking_each_other_s_place(client, two):
    """A newer question of one window supersedes its own older one alone; the answers are the same."""
    found = [client.get("/api/sites", headers={"garnetfern-window": name}) for name in ("one", "other")]
    assert [answer.status_code for answer in found] == [200, 200]
    assert found[0].json() == found[1].json()
