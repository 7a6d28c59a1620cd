"""Owners' fonts over the wire: handed in, told, served by their hash, and refused in words."""

import pytest

from garnetfern.core.fontfile.sample import build


@pytest.fixture
def studio(app):
    return app.state.house.first()


def hand_in(client, data, name="fern.ttf", revision=1):
    return client.post(f"/api/own-fonts?revision={revision}&name={name}", content=data)


def test_a_font_is_handed_in_told_and_served(client, studio):
    step = hand_in(client, build("Fern", varies=True)).json()
    assert (step["revision"], step["undo"]) == (2, "Font Fern 300 to 700")
    family = client.get("/api/fonts").json()[0]
    assert (family["family"], family["own"], family["weights"]) == ("Fern", True, [[300, 700]])
    assert [axis["tag"] for axis in family["axes"]] == ["wght", "wdth"]
    assert [one["name"] for one in family["instances"]] == ["Narrow Bold"]
    (shelf,) = client.get("/api/own-fonts").json()["families"]
    assert (shelf["family"], shelf["used"], shelf["files"][0]["allowed"]) == ("Fern", 0, False)
    hash_ = studio.site().fonts[0].hash
    served = client.get(f"/fonts/{hash_}.woff2")
    assert served.content == studio.folder.fonts.data(hash_)
    assert served.headers["content-type"] == "font/woff2"
    assert "immutable" in served.headers["cache-control"]


@pytest.mark.parametrize(
    ("data", "status", "said"),
    [
        (b"", 422, "fern.ttf is empty (0 bytes)"),
        (b"not a font", 422, "fern.ttf is no font, whatever it is called"),
        (build()[:200], 422, "is damaged and cannot be opened"),
        (b"\0\1\0\0" + b"x" * 8_000_000, 413, "more than 8 MB"),
    ],
)
def test_what_is_no_font_is_refused_in_words(client, studio, data, status, said):
    answer = hand_in(client, data)
    assert answer.status_code == status
    assert said in answer.json()["message"]
    assert "othing was changed" in answer.json()["message"]
    assert studio.state().revision == 1


def test_a_font_that_comes_on_an_older_state_is_not_taken(client, studio):
    hand_in(client, build("Fern"))
    answer = hand_in(client, build("Moss"), revision=1)
    assert (answer.status_code, answer.json()["kind"]) == (409, "stale")
    assert [font.family for font in studio.site().fonts] == ["Fern"]


def test_the_same_font_again_is_said(client):
    hand_in(client, build("Fern"))
    answer = hand_in(client, build("Fern"), revision=2).json()
    assert answer["kind"] == "already-there"


def test_a_damaged_font_and_one_that_is_not_there_are_not_served(client, studio):
    hand_in(client, build("Fern"))
    hash_ = studio.site().fonts[0].hash
    studio.folder.fonts.path(hash_).write_bytes(b"spoilt")
    assert client.get(f"/fonts/{hash_}.woff2").status_code == 404
    assert client.get(f"/fonts/{'0' * 64}.woff2").status_code == 404
    assert client.get("/fonts/../garnetfern.sqlite").status_code == 404
    assert client.get("/fonts/karla-latin-wght-normal.woff2").status_code == 200


def test_edits_of_fonts_are_steps(client, studio):
    hand_in(client, build("Fern"))

    def edit(revision, **asked):
        return client.post("/api/edit", json={"revision": revision, "edit": asked})

    assert edit(2, kind="name-font", family="Fern", name="House").status_code == 200
    assert edit(3, kind="stand-in", family="House", category="serif").status_code == 200
    assert edit(4, kind="name-font", family="House", name='a"b').status_code == 422
    assert edit(4, kind="remove-font", family="House").status_code == 200
    assert edit(5, kind="remove-font", family="House").status_code == 404
    assert studio.site().fonts == ()


def test_a_page_is_shown_as_it_is_before_its_fonts_have_come(client, studio):
    body = {"revision": 1, "patch": [], "page": "home", "pointed": False, "still": False}
    whole = "\n".join(client.post("/api/live", json={**body, "situation": None}).json()["fonts"])
    plain = "\n".join(client.post("/api/live", json={**body, "situation": "phone:plain"}).json()["fonts"])
    family = studio.site().pages[0].bands[0].columns[0].blocks[0].lettering.font
    assert f'font-family: "{family}"' in whole
    assert f'font-family: "{family}"' not in plain
    assert f'font-family: "{family} stand-in"' in plain
    assert "local(" not in plain
    assert "/fonts/tinos-latin-400-normal.woff2" in plain
