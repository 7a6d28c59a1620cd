"""A picture and a line of words, put together on a page that was only begun."""

from typing import Any

from ...core.document import Asset, Band, Block, Page, Site, each_block
from ..kinds.blocks import heading as headings
from ..kinds.blocks import text as texts
from ..kinds.empty import HEADING, LINE
from ..kinds.starts import Maker
from ..views.looks import Looks
from .beside import BesideError, BesideSubject, beside_subject
from .common import page_of, with_page
from .pictures import LayPicture, lay_picture

STANDING_IN = (HEADING, LINE, headings.STANDING_IN, texts.STANDING_IN)
"""What says only that something could be said there."""
ROLES = ("banner", "band")
"""Where the words may come to stand: in a banner rather than in another band."""


def _heading(band: Band) -> Block | None:
    blocks = [block for column in band.columns for block in column.blocks if block.lettered]
    return next((b for b in blocks if b.level == 1), next(iter(blocks), None))


def _taker(site: Site, page: Page) -> tuple[Page, Band, Block]:
    """The page, and the band and the block on it that take the picture and the words; a banner is made where there are
    none."""
    for band in sorted((b for b in page.bands if b.role in ROLES), key=lambda b: ROLES.index(b.role)):
        if (heading := _heading(band)) is not None:
            return page, band, heading
    made = Maker(site, page).banner()
    before = tuple(b for b in page.bands if b.role != "footer")
    page = page.model_copy(update={"bands": (*before, made, *page.bands[len(before) :])})
    return _taker(site, page)


def put_together(site: Site, page_id: str, asset: Asset | None, words: str, looks: Looks, fonts: Any) -> Site:
    """The site whose page says these words in its banner, the picture behind them and they beside what matters in it;
    what still stood in there for words is hidden. What is empty stays as it is. Raises NotFoundError where there is no
    such page."""
    page, band, heading = _taker(site, page_of(site, page_id))
    site = with_page(site, page)
    if asset is not None:
        layer = next((p.id for x in band.backdrop.layers for p in x.pictures()), None)
        laying = LayPicture(page=page_id, area=band.id, asset=asset, layer=layer)
        site = lay_picture(site, laying, looks, fonts).site
    said = words.strip()
    if said:
        site = _saying(site, page_id, band, heading, said)
    return site if asset is None else _beside(site, page_id, band, looks, fonts)


def _beside(site: Site, page_id: str, band: Band, looks: Looks, fonts: Any) -> Site:
    """The words beside what matters in the picture, where that is clear."""
    try:
        return beside_subject(site, BesideSubject(page=page_id, band=band.id), looks, fonts).site
    except BesideError:
        return site


def _saying(site: Site, page_id: str, band: Band, heading: Block, said: str) -> Site:
    """The site with these words in its heading; what still stood in there for words is hidden."""
    beside = {block.id for column in band.columns for block in column.blocks}

    def worded(block: Block) -> Block:
        if block.id == heading.id:
            return block.model_copy(update={"wording": said, "phrases": ()})
        hidden = block.id in beside and block.wording in STANDING_IN
        return block.model_copy(update={"visible": False}) if hidden else block

    return with_page(site, each_block(page_of(site, page_id), worded))
