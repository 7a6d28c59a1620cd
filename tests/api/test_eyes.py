"""The routes about other eyes: which there are, a page through them, and what is refused."""

import pytest


@pytest.fixture
def client(over_halves):
    return over_halves


def seen(client, **more):
    asked = {"revision": client.get("/api/state").json()["revision"], "patch": [], "page": "home", **more}
    return client.post("/api/seen", json=asked)


def test_each_eye_that_is_offered_can_be_looked_through(client):
    eyes = client.get("/api/eyes").json()
    assert len(eyes) >= 8
    screens = {screen["id"] for screen in client.get("/api/state").json()["document"]["screens"]}
    for eye in eyes:
        found = seen(client, eye=eye["kind"]).json()
        assert found["dials"] == {dial["name"]: dial["usual"] for dial in eye["dials"]}
        assert found["sentence"].startswith(eye["title"])
        assert {veil["screen"] for veil in found["veils"]} == screens
        assert all(len(veil["matrix"]) == 15 for veil in found["veils"])
        at_rest = [words for words in found["words"] if not words["pointed"]]
        assert {(words["block"], words["screen"]) for words in at_rest} == {("headline", screen) for screen in screens}
        for words in at_rest:
            assert words["faint"] == (words["ratio"] < words["required"])


def test_what_is_seen_is_no_reading_and_changes_none(client):
    asked = {"revision": 1, "patch": [], "page": "home"}
    before = client.post("/api/readings", json=asked).json()
    found = seen(client, eye="sun", dials={"light": 50_000}).json()
    assert all(words["faint"] for words in found["words"])
    assert client.post("/api/readings", json=asked).json() == before


@pytest.mark.parametrize(
    ("more", "said"),
    [
        ({"eye": "owl"}, "There is no eye called 'owl'. There are: protan, deutan"),
        ({"eye": "deutan", "dials": {"severity": 3}}, "Severity goes from 0 to 1, not to 3."),
        ({"eye": "grey", "dials": {"light": 3}}, "“No colours at all” has no dial called 'light'."),
    ],
)
def test_what_cannot_be_looked_through_is_said(client, more, said):
    answer = seen(client, **more)
    assert answer.status_code == 422
    assert said in answer.json()["message"]
