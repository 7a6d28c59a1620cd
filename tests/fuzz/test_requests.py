"""Requests made from the published interface, with real ids: no answer of 500, nothing acknowledged is lost."""

import json
import os
import random
import shutil
from pathlib import Path

import pytest
import schemathesis
from hypothesis import HealthCheck, Phase, given, seed, settings
from hypothesis import strategies as st

from garnetfern.api.app import create_app
from garnetfern.core.document import read_site
from garnetfern.service.files.site_file import SiteFile, pack_site_file
from garnetfern.service.workspace.house import first_site
from tests.api.own import OwnClient
from tests.conftest import jpeg
from tests.fuzz.real import made_real
from tests.near_room import NearRoom
from tests.sites import HEADING, colour_layer, document, image_layer, with_picture

MORE = int(os.environ.get("GARNETFERN_MORE", "1"))
CASES = 2 * MORE
"""For each of some sixty operations; `make fuzz` makes forty times as many."""
SLOW = {"/api/widths", "/api/mend-page", "/api/remedies", "/api/situations"}
"""These compute for seconds; a fifth of the cases is made for them."""


@pytest.fixture(scope="module")
def start(tmp_path_factory):
    folder = tmp_path_factory.mktemp("fuzz") / "data"
    studio = first_site(folder, NearRoom())
    site = document(image_layer(), colour_layer("#102030", 0.4), blocks=[HEADING])
    site["slots"] = [{"id": "card", "name": "Card", "width": 40, "height": 20}]
    studio.start(with_picture(site, jpeg(300, 200), "p.jpg"), "A new site")
    studio.close()
    return folder


@pytest.fixture(scope="module")
def client(start, tmp_path_factory):
    folder = tmp_path_factory.mktemp("fuzzed") / "data"
    shutil.copytree(start, folder)
    app = create_app(folder)
    with OwnClient(app, raise_server_exceptions=False) as made:
        made.answers = {}
        yield made
        print("answers by status:", dict(sorted(made.answers.items())))


def operations():
    text = (Path(__file__).resolve().parents[2] / "docs" / "openapi.json").read_text()
    found = schemathesis.openapi.from_dict(json.loads(text))
    return [operation.ok() for operation in found.get_all_operations()]


def look(client, revision):
    """Nothing is lost, and what there is, is valid."""
    state = client.get("/api/state")
    assert state.status_code == 200
    assert state.json()["revision"] >= revision
    read_site(state.json()["document"])
    return state.json()


@pytest.mark.parametrize("operation", operations(), ids=lambda o: o.label)
def test_made_up_requests_are_answered(client, operation):
    cases = max(1, CASES // 5) if operation.path in SLOW else CASES

    @seed(20261128)
    @settings(
        max_examples=cases,
        database=None,
        phases=[Phase.generate],
        suppress_health_check=list(HealthCheck),
    )
    @given(case=operation.as_strategy(), number=st.integers(0, 2**32))
    def ask(case, number):
        rng = random.Random(number)
        before = look(client, 0)
        body = case.body if isinstance(case.body, dict | list) else None
        asked = {} if body is None else {"json": made_real(body, before, rng)}
        if operation.path in ("/api/pictures", "/api/site-file", "/api/looks-of", "/api/visits"):
            asked = {"content": rng.choice([b"", b"width,visits\n400,3\n", jpeg(9, 9), b"PK\x03\x04", os.urandom(90)])}
        query = made_real(dict(case.query or {}), before, rng)
        path = operation.path.format(**{k: str(v)[:80] or "x" for k, v in (case.path_parameters or {}).items()})
        answer = client.request(operation.method.upper(), path, params=query, **asked)
        assert answer.status_code < 500, (answer.status_code, path, query, str(asked)[:2000], answer.text[:500])
        if answer.status_code >= 400:
            assert set(answer.json()) == {"kind", "message", "path"}
        client.answers[answer.status_code] = client.answers.get(answer.status_code, 0) + 1
        kept = answer.json().get("revision", 0) if path == "/api/change" and answer.status_code == 200 else 0
        look(client, max(kept, before["revision"]))

    ask()


@settings(max_examples=6 * MORE, database=None, suppress_health_check=list(HealthCheck))
@given(at=st.integers(0, 10**6), bit=st.integers(0, 7), cut=st.integers(0, 20))
def test_a_site_file_with_flipped_bytes_is_refused_or_whole(client, at, bit, cut):
    studio = client.app.state.house.first()
    site = studio.site()
    data = bytearray(pack_site_file(SiteFile(site, {a.hash: studio.original(a.hash) for a in site.assets})))
    data[at % len(data)] ^= 1 << bit
    if cut == 0:
        del data[len(data) // 2 :]
    before = look(client, 0)
    address = f"/api/site-file?revision={before['revision']}&name=x.zip"
    answer = client.post(address, content=bytes(data))
    assert answer.status_code in (200, 422), answer.text
    look(client, before["revision"])
