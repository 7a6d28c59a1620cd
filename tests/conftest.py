"""Fixtures that several folders share."""

import io
import os
import pickle
from collections.abc import Iterator
from pathlib import Path

import numpy as np
import pytest
from hypothesis import settings
from PIL import Image
from playwright.sync_api import Browser

from garnetfern.core.resolve.book import FontBook
from garnetfern.demo import demo_site_file
from garnetfern.demo.drawn import side_by_side
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from garnetfern.service.workspace.house import first_site
from garnetfern.service.workspace.studio import Studio

from .made_once import made_once
from .referee.browser import chromium
from .sites import one_banner

settings.register_profile("here", deadline=None)
settings.register_profile("ci", deadline=None, derandomize=True)
settings.load_profile("ci" if os.environ.get("CI") else "here")


def jpeg(width: int = 60, height: int = 40, colour: tuple[int, int, int] = (90, 120, 60)) -> bytes:
    """A JPEG of one colour."""
    return encoded(width, height, colour, "JPEG")


def encoded(width: int, height: int, colour: tuple[int, int, int], kind: str) -> bytes:
    """A picture of one colour in a format that Pillow knows."""
    out = io.BytesIO()
    Image.fromarray(np.full((height, width, 3), colour, dtype=np.uint8)).save(out, kind)
    return out.getvalue()


@pytest.fixture(scope="session")
def fonts() -> FontBook:
    return shipped_fonts()


@pytest.fixture(scope="session")
def browser() -> Iterator[Browser]:
    """One headless Chromium for all tests."""
    with chromium() as found:
        yield found


@pytest.fixture(scope="session")
def demo(tmp_path_factory: pytest.TempPathFactory) -> SiteFile:
    """The sample site; its pictures are drawn once for all workers."""

    def make(folder: Path) -> None:
        drawn = side_by_side(lambda *_: None)
        (folder / "site").write_bytes(pickle.dumps(demo_site_file(drawn)))

    found: SiteFile = pickle.loads((made_once(tmp_path_factory, "demo", make) / "site").read_bytes())
    return found


@pytest.fixture
def studio(tmp_path: Path) -> Iterator[Studio]:
    made = first_site(tmp_path)
    made.start(one_banner(), "A new site")
    yield made
    made.close()
