"""Routes that answer line by line: ways out, and a page mended."""

import json

import pytest

from tests.sites import HEADING


@pytest.fixture
def client(over_halves):
    return over_halves


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


def mended_by(client, **more):
    found = lines(client.post("/api/mend-page", json=asked(client, **more)))
    assert {line["kind"] for line in found[:-1]} == {"doing"}
    shares = [line["share"] for line in found[:-1]]
    assert shares == sorted(shares)
    assert found[-1]["kind"] == "mended"
    return found[-1]["found"]


def test_a_page_is_mended_by_several_ideas_each_in_one_patch(client):
    found = mended_by(client)
    assert 1 < len(found) <= 3
    assert len({design["idea"] for design in found}) == len(found)
    for design in found:
        assert design["left"] == []
        assert not design["many"]
        assert design["words"] == HEADING["wording"]
        assert float(design["was"]) < design["required"] <= float(design["shown"])
        assert design["before"].startswith("data:image/jpeg;base64,")
        assert design["before"] != design["after"]
        read = client.post("/api/readings", json=asked(client, patch=design["patch"])).json()
        assert read["good"]
        assert all(r["verdict"] == "enough" for r in read["readings"])


def test_block_by_block_is_one_page_more(client):
    (least,) = mended_by(client, least=True)
    assert least["idea"] == "least"
    assert [d["words"] for d in least["done"]] == [HEADING["wording"]]
    assert client.post("/api/readings", json=asked(client, patch=least["patch"])).json()["good"]
    body = {"revision": asked(client)["revision"], "patch": least["patch"], "label": "Mend the page"}
    assert client.post("/api/change", json=body).status_code == 200
    assert mended_by(client) == []
    assert client.post("/api/undo", json=asked(client)).status_code == 200


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


def test_whether_words_fit_is_told_with_ways_out_that_can_be_kept(client):
    wide = [{"op": "replace", "path": "/pages/0/bands/0/columns/0/blocks/0/wording", "value": "Half " + 30 * "m"}]
    body = {"revision": asked(client)["revision"], "patch": wide, "label": "Other words"}
    assert client.post("/api/change", json=body).status_code == 200
    found = lines(client.post("/api/fit", json=asked(client)))
    assert {line["kind"] for line in found[:-1]} == {"doing"}
    fit = found[-1]["found"]
    (row,) = [r for r in fit["rows"] if r["misfit"] == "torn"]
    assert not fit["good"]
    assert (row["block"], row["grave"], row["ways"]) == ("headline", True, True)
    assert "phone:rest" in row["situations"]
    assert "tablet:printed" in {x["id"] for x in fit["layouts"]}
    assert "tablet:printed" not in fit["shown"]
    ways = lines(client.post("/api/fit-ways", json=asked(client, block="headline", misfit="torn")))
    assert ways[-1] == {"kind": "end", "found": len(ways) - 1}
    assert len(ways) > 1
    way = ways[0]["found"]
    assert way["before"] != way["after"]
    body = {"revision": asked(client)["revision"], "patch": way["patch"], "label": way["title"]}
    assert client.post("/api/change", json=body).status_code == 200
    after = lines(client.post("/api/fit", json=asked(client)))[-1]["found"]
    assert not [m for m in after["misfits"] if m["misfit"] == "torn" and m["grave"]]


def test_ways_out_of_what_is_not_there_are_refused(client):
    for block, misfit in (("headline", "nothing"), ("nobody", "torn")):
        answer = client.post("/api/fit-ways", json=asked(client, block=block, misfit=misfit))
        assert answer.status_code == 404
    assert lines(client.post("/api/fit-ways", json=asked(client, block="headline", misfit="torn"))) == [
        {"kind": "end", "found": 0}
    ]


@pytest.mark.parametrize("number", [1, 999, 1000, 10**15])
def test_a_window_can_ask_as_often_as_it_likes(client, number):
    window = f"0b6f8a52-6c1e-4f0e-9d55-3f2a7b8c9d10 {number}"
    answer = client.post("/api/fit", json=asked(client), headers={"garnetfern-window": window})
    assert answer.status_code == 200
    assert lines(answer)[-1]["kind"] == "found"


def test_whole_banners_come_as_they_are_made_and_one_is_taken_and_taken_back(client):
    found = lines(client.post("/api/banners", json=asked(client, band="banner")))
    made = [line["found"] for line in found if line["kind"] == "banner"]
    assert found[-1] == {"kind": "end", "found": len(made)}
    assert len(made) >= 4
    assert all(line["reason"] for line in found if line["kind"] == "without")
    shares = [line["share"] for line in found[:-1]]
    assert shares == sorted(shares)
    assert max(shares) <= 1
    for one in made:
        assert [shown["screen"] for shown in one["shown"]] == ["desktop", "tablet", "phone"]
        assert all(shown["picture"].startswith("data:image/jpeg;base64,") for shown in one["shown"])
    one = made[-1]
    body = {"revision": asked(client)["revision"], "patch": one["patch"], "label": one["title"]}
    assert client.post("/api/change", json=body).status_code == 200
    plight = lines(client.post("/api/remedies", json=asked(client, block="headline")))[0]
    assert not plight["short"]
    assert client.post("/api/undo", json=asked(client)).json()["undo"] is None
    more = lines(client.post("/api/banners", json=asked(client, band="banner", like=made[0]["idea"])))
    others = [line["found"] for line in more if line["kind"] == "banner"]
    assert others
    assert all(other["idea"] == made[0]["idea"] and other["number"] > 0 for other in others)


@pytest.mark.parametrize(
    ("more", "status", "said"),
    [({"band": "home"}, 422, "no band"), ({"band": "banner", "like": "gold"}, 404, "There is no idea 'gold'")],
)
def test_banners_that_cannot_be_made_are_said(client, more, status, said):
    found = lines(client.post("/api/banners", json=asked(client, **more)))
    assert [line["kind"] for line in found] == ["problem"]
    assert found[0]["status"] == status
    assert said in found[0]["message"]
