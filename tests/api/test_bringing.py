"""Bringing in over the wire: read, seen, laid, undone; and what cannot be read is answered in words."""

import pytest

from garnetfern.core.fontfile.sample import build
from tests.conftest import jpeg
from tests.stylesheets.saying import zipped

CSS = ".hero { background: linear-gradient(#0008, #0008), url(img/fern.jpg) center / cover; min-height: 320px }"
HTML = '<link rel="stylesheet" href="s.css"><section class="hero" style="color: white"><h1>Ferns</h1></section>'


@pytest.fixture
def studio(app):
    return app.state.house.first()


def whole():
    return zipped(**{"index.html": HTML, "s.css": CSS, "img/Fern.JPEG": jpeg(300, 200, (20, 60, 30))})


def lay(client, studio, found, **more):
    body = {"revision": studio.state().revision, "id": found["id"], "number": 0, "page": "home", "area": "banner"}
    return client.post("/api/bring/lay", json={**body, **more})


def test_pasted_css_is_read_seen_laid_and_undone(client, studio):
    found = client.post("/api/bring/text", json={"text": CSS}).json()
    assert found["sentence"] == "1 area was read; 1 picture is not here."
    (area,) = found["areas"]
    assert (area["selector"], area["sheet"], area["line"], area["layers"]) == (".hero", "pasted.css", 1, 2)
    assert area["pictures"] == [{"address": "img/fern.jpg", "name": None, "said": "there is no picture fern.jpg"}]
    picture = client.get(f"/api/bring/picture/{found['id']}/0")
    assert picture.headers["content-type"] == "image/jpeg"
    before = studio.site()
    answer = lay(client, studio, found).json()
    assert answer["chosen"] == "banner"
    banner = studio.site().pages[0].bands[0]
    assert [(x.kind, x.opacity) for x in banner.backdrop.layers] == [("colour", 0.5333)]
    assert banner.height.min == "320px"
    assert banner.columns == before.pages[0].bands[0].columns
    studio.undo(studio.state().revision)
    assert studio.site() == before


def test_a_zip_brings_its_pictures_and_words(client, studio):
    found = client.post("/api/bring/file?name=site.zip", content=whole()).json()
    (area,) = found["areas"]
    assert area["words"] == ["Ferns"]
    assert area["pictures"][0]["said"] == "fern.jpg is called Fern.JPEG here"
    answer = lay(client, studio, found, as_band=True).json()
    page = studio.site().pages[0]
    band = page.bands[1]
    assert (answer["chosen"], [b.wording for b in band.blocks()]) == (band.id, ["Ferns"])
    assert [x.kind for x in band.backdrop.layers] == ["image", "colour"]
    assert studio.site().asset(band.backdrop.layers[0].asset).name == "Fern.JPEG"
    # once more: the picture is on the shelf already, and ids do not clash
    assert lay(client, studio, found, as_band=True).status_code == 200
    assert len(studio.site().assets) == 1
    assert len({b.id for b in studio.site().pages[0].bands}) == 3


def test_files_that_belong_together(client):
    first = client.post("/api/bring/file?name=index.html", content=HTML.encode()).json()
    assert first["areas"] == []
    assert "did not come with the page" in first["unread"][0]["why"]
    second = client.post(f"/api/bring/file?name=s.css&beside={first['id']}", content=CSS.encode()).json()
    assert [a["words"] for a in second["areas"]] == [["Ferns"]]
    third = client.post(f"/api/bring/file?name=fern.jpg&beside={second['id']}", content=jpeg(80, 60)).json()
    assert third["areas"][0]["pictures"][0]["name"] == "fern.jpg"
    assert client.post("/api/bring/file?name=a.css&beside=999", content=b"a{}").status_code == 404


@pytest.mark.parametrize(
    ("name", "data", "said"),
    [
        ("a.css", b"a{" * 5000, "nested deeper"),
        ("a.zip", zipped(**{"../a.css": "a{}"}), "leads out of it"),
        ("a.zip", b"PK\x03\x04nothing", "no zip that can be opened"),
        ("a.png", jpeg(), "There is no stylesheet"),
        ("a.css", b"a" * (3 * 1024 * 1024), "MB at the most"),
    ],
)
def test_what_cannot_be_read_is_told(client, studio, name, data, said):
    before = studio.state().revision
    answer = client.post(f"/api/bring/file?name={name}", content=data)
    assert (answer.status_code, said in answer.json()["message"]) == (422, True), answer.text
    assert studio.state().revision == before


def test_too_large_is_refused_while_it_comes(client):
    answer = client.post("/api/bring/file?name=a.css", content=b"x" * (61 * 1024 * 1024))
    assert answer.status_code == 413


def test_what_is_not_at_hand(client, studio):
    found = client.post("/api/bring/text", json={"text": CSS}).json()
    assert lay(client, studio, found, number=7).status_code == 404
    assert lay(client, studio, found, area="nothing").status_code == 404
    assert lay(client, studio, found, revision=0).status_code == 409
    for _ in range(5):
        client.post("/api/bring/text", json={"text": CSS})
    assert client.get(f"/api/bring/picture/{found['id']}/0").status_code == 404
    assert client.post("/api/bring/text", json={"text": "p { color: red }"}).json()["sentence"].startswith("No rule")


FACES = "@font-face { font-family: House; src: url(fonts/fern.woff2) format('woff2'), url(fonts/fern.ttf) }" + CSS
OWN = {"index.html": HTML.replace("<h1>", '<h1 style="font-family: House, serif">'), "s.css": FACES}


def test_fonts_that_came_with_it_are_taken_along_under_their_names(client, studio):
    data = zipped(**OWN, **{"fonts/fern.ttf": build("Fern"), "fonts/spoilt.otf": build()[:90]})
    found = client.post("/api/bring/file?name=site.zip", content=data).json()
    assert (found["faces"], found["fonts"]) == (["House"], ["fern.ttf", "spoilt.otf"])
    before = studio.state().revision
    answer = client.post("/api/bring/fonts", json={"revision": before, "id": found["id"]}).json()
    assert answer["step"]["undo"] == "Font House 400"
    assert [font.family for font in studio.site().fonts] == ["House"]
    assert answer["refused"] == [
        "spoilt.otf is damaged and cannot be opened (TTLibError). It was not taken; nothing was changed."
    ]
    assert answer["found"]["fonts"] == ["spoilt.otf"]
    lay(client, studio, answer["found"], as_band=True)
    assert studio.site().pages[0].bands[-1].columns[0].blocks[0].lettering.font == "House"
    again = client.post("/api/bring/fonts", json={"revision": studio.state().revision, "id": answer["found"]["id"]})
    assert again.json()["kind"] == "already-there"


def test_where_no_font_came_nothing_is_taken(client, studio):
    found = client.post("/api/bring/text", json={"text": FACES}).json()
    assert (found["faces"], found["fonts"]) == (["House"], [])
    answer = client.post("/api/bring/fonts", json={"revision": 1, "id": found["id"]})
    assert answer.json()["message"] == "No font came with it. Nothing was changed."
    assert client.post("/api/bring/fonts", json={"revision": 1, "id": 999}).status_code == 404
    assert studio.state().revision == 1
