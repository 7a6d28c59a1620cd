"""New bands of words, of pictures, of captions on pictures, with lists: whole at once, and readable as they are."""

from typing import get_args

import pytest

from garnetfern.core.document import read_site
from garnetfern.fonts import shipped_fonts
from garnetfern.service.edits.bands import AddBand, add_band
from garnetfern.service.kinds.blocks.picture import NoPictureError
from garnetfern.service.kinds.columns import FILLINGS, Filling
from tests.sites import document, reader_of


@pytest.mark.parametrize("of", FILLINGS)
@pytest.mark.parametrize("columns", [1, 4])
def test_every_filling_is_a_document_whose_words_can_be_read(demo, of, columns):
    before = demo.site
    edited = add_band(before, AddBand(page="home", after="week-band", columns=columns, of=of))
    site = read_site(edited.site.model_dump(mode="json"), shipped_fonts().names())
    page = site.pages[0]
    band = next(b for b in page.bands if b.id == edited.chosen)
    assert len(band.columns) == columns
    assert all(column.blocks for column in band.columns)
    # in line with what stands above
    above = page.bands[page.bands.index(band) - 1]
    assert (band.content.width, band.padding.inline) == (above.content.width, above.padding.inline)
    reader = reader_of(demo)
    own = {block.id for block in band.blocks()}
    readings = [r for _, found in reader.read_page(site, page) for r in found if r.block in own]
    assert readings
    assert {r.verdict for r in readings} == {"enough"}
    if of in ("pictures", "captions") and columns == 4:
        shown = [name for c in band.columns for x in (*c.blocks, *c.backdrop.layers) for name in x.assets()]
        assert len(set(shown)) >= 3


def test_there_is_a_filling_for_every_word_that_is_asked_with():
    assert set(FILLINGS) == set(get_args(Filling))


@pytest.mark.parametrize("of", ["pictures", "captions"])
def test_pictures_are_asked_for_where_there_are_none(of):
    site = read_site(document(), shipped_fonts().names())
    with pytest.raises(NoPictureError, match="Bring one first"):
        add_band(site, AddBand(page="home", columns=2, of=of))
