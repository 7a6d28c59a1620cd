"""The application on a folder of its own, and a client that asks as its pages do."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from garnetfern.api.app import create_app
from tests.api.own import OwnClient
from tests.core.test_readings import split_picture
from tests.sites import document, image_layer, one_banner, with_picture


@pytest.fixture
def app(tmp_path: Path) -> Any:
    made = create_app(tmp_path)
    made.state.house.first().start(one_banner(), "A new site")
    return made


@pytest.fixture
def client(app: Any) -> Iterator[OwnClient]:
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found


@pytest.fixture
def over_halves(tmp_path: Path) -> Iterator[OwnClient]:
    """The same with light words over a picture of two halves, on which they cannot be read."""
    picture = split_picture((150, 150, 150), (220, 215, 200))
    app = create_app(tmp_path)
    site = with_picture(document(image_layer(), base="#f4efe4"), picture, "p.png")
    app.state.house.first().start(site, "A new site")
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found
