"""Edits carried out as the application does, on the sample site."""

import pytest
from pydantic import TypeAdapter

from garnetfern.core.document import read_site
from garnetfern.core.picture.known import Known, known_of
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits import Edit, apply_edit

FONTS = shipped_fonts()
EDITS = TypeAdapter(Edit)


class Looked:
    """Looks of the sample pictures, found when asked for."""

    def __init__(self, pictures):
        self._pictures = pictures
        self._known: dict[str, Known] = {}

    def of(self, hash_):
        from garnetfern.core.picture.decode import load

        if hash_ not in self._known:
            self._known[hash_] = known_of(load(self._pictures[hash_], draft=(400, 400)))
        return self._known[hash_]


@pytest.fixture(scope="module")
def looks(demo):
    return Looked(demo.pictures)


@pytest.fixture
def edit(demo, looks):
    """Carry out edits one after the other; each result is checked as the store checks it."""

    def run(*edits, site=demo.site):
        chosen = None
        for plain in edits:
            done = apply_edit(site, EDITS.validate_python(plain), looks, FONTS)
            site, chosen = read_site(done.site.model_dump(mode="json"), FONTS.names()), done.chosen
            assert done.label
        return site, chosen

    return run
