"""The application on a folder of its own, and a client that asks as its pages do."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from garnetfern.api.app import create_app
from tests.api.own import OwnClient
from tests.sites import one_banner


@pytest.fixture
def app(tmp_path: Path) -> Any:
    made = create_app(tmp_path)
    made.state.house.first().start(one_banner(), "A new site")
    return made


@pytest.fixture
def client(app: Any) -> Iterator[OwnClient]:
    with OwnClient(app, raise_server_exceptions=False) as found:
        yield found
