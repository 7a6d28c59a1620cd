"""What is taken away names files that the bundle has, where the owner says that they lie."""

import io
import re
import zipfile
from html import unescape

import pytest

from garnetfern.service.workspace.house import House
from tests.conftest import jpeg
from tests.sites import HEADING, colour_layer, document, image_layer, with_assets

NAMES = ["Fern (1) \u00e4\u00f6\u00fc%20.JPG", "../../etc/passwd", "A B C.png", "100% & more?.jpg"]


@pytest.fixture
def house(app):
    found: House = app.state.house
    return found


@pytest.fixture
def site(house):
    """A site whose pictures have every name that hosts stumble over."""
    plain = document(image_layer(), colour_layer("#000000", 0.4), blocks=[HEADING])
    for n, band in enumerate(("two", "three", "four"), start=1):
        blocks = [{**HEADING, "id": f"words-{n}"}]
        other = document(image_layer(asset=f"p{n}", id=f"photo-{n}"), blocks=blocks)["pages"][0]["bands"][0]
        other["columns"][0]["id"] = f"column-{n}"
        plain["pages"][0]["bands"].append({**other, "id": band, "name": band, "role": "band"})
    files = [("picture", NAMES[0], jpeg(900, 600)), *((f"p{n}", NAMES[n], jpeg(700 + n, 500)) for n in (1, 2, 3))]
    return house.add(with_assets(plain, *files), "A site")


def asked(client, site, path, **more):
    return client.get(f"/of/{site.id}/api/{path}", params={"page": "home", "area": "banner", **more})


def addresses(text):
    """The addresses of files that CSS or HTML names."""
    return re.findall(r'(?:url\("|src="|srcset="|, )([^" ]+?\.(?:webp|avif|jpg|woff2))', unescape(text))


def bundle(client, site):
    data = client.get(f"/of/{site.id}/api/bundle.zip").content
    return set(zipfile.ZipFile(io.BytesIO(data)).namelist())


@pytest.mark.parametrize("share", [0.0, 0.5, 1.0])
def test_every_address_leads_into_the_bundle(client, site, share):
    missing = site.fitting.missing(site.site(), site.fonts)
    for one, kind in missing[: round(share * len(missing))]:
        site.fitting.make(one, kind)
    there = bundle(client, site)
    assert all(re.fullmatch(r"[a-z0-9./-]+", name) for name in there), "names that every host takes as they are"
    texts = [asked(client, site, "rule").json()["css"]]
    for way in ("part", "inline", "pictures"):
        texts += [one["text"] for one in asked(client, site, "taken", way=way).json()["texts"]]
    for area in ("two", "three", "four"):
        texts.append(client.get(f"/of/{site.id}/api/rule?page=home&area={area}").json()["css"])
    found = [address for text in texts for address in addresses(text)]
    assert len(set(found)) > 5
    assert set(found) <= there


@pytest.mark.parametrize(
    ("base", "begins"),
    [
        ("", "pictures/"),
        ("..", "../pictures/"),
        ("https://ferns.test/x/", "https://ferns.test/x/pictures/"),
        ("/a", "/a/pictures/"),
    ],
)
def test_addresses_are_as_the_owner_types_them(client, site, base, begins):
    found = addresses(asked(client, site, "rule", base=base).json()["css"])
    assert found
    assert all(address.startswith(begins) for address in found)


def test_what_is_typed_means_itself(client, site):
    css = asked(client, site, "rule", base='x"); } body { display: none } a{b:url("').json()["css"]
    assert "display: none }" not in css.replace("\\22 ", "").split('url("')[0]
    assert css.count("{") - css.count("\\{") <= 4


def test_a_rule_with_its_pictures(client, site):
    data = client.get(f"/of/{site.id}/api/rule.zip", params={"page": "home", "area": "banner", "base": ""})
    archive = zipfile.ZipFile(io.BytesIO(data.content))
    css = archive.read("rule.css").decode()
    assert set(addresses(css)) == {n for n in archive.namelist() if n.startswith("pictures/")}


def test_what_cannot_be_taken_so(client, site):
    wrong = asked(client, site, "taken", way="part", prefix="1 x")
    assert (wrong.status_code, "A prefix" in wrong.json()["message"]) == (422, True)
    assert asked(client, site, "taken", way="nothing").status_code == 422
    column = client.get(f"/of/{site.id}/api/taken", params={"page": "home", "area": "column", "way": "inline"})
    assert "Choose a band" in column.json()["message"]
