"""What the columns of a new band hold: words, pictures with words below, pictures with captions on them, lists."""

from collections.abc import Callable
from typing import Any, Literal

from ...core.document import Backdrop, Block, Column, Ids, Lettering, Padding, Page, Plate, Site
from ...core.document.layers.image import ImageLayer
from .blocks import new_block
from .blocks.picture import NoPictureError
from .fresh import Fresh, by_light

Filling = Literal["words", "pictures", "captions", "list"]
CARD = "clamp(220px, 26vw, 340px)"
"""How high a picture with a caption is at least."""
LARGE = 500
"""Pictures of which a side has fewer px are taken where there are no others."""
CAPTION = "#0b1410"
"""Behind a caption: white words can be read on it whatever the picture is."""


def _column(ids: Ids, n: int, *blocks: Block, **more: Any) -> Column:
    return Column(id=ids.free("column"), name=f"Column {n + 1}", blocks=blocks, **more)


def _fresh(site: Site, page: Page) -> Fresh:
    return Fresh(site, page, by_light(site)[0])


def _asset(site: Site, n: int) -> str:
    """A picture of the shelf for the n-th column, each another one as far as there are some. Raises NoPictureError."""
    still = [a for a in site.assets if not a.moves]
    if not still:
        raise NoPictureError("There is no picture on the shelf yet. Bring one first.")
    # tiles and figures are no pictures of something, as long as there are others
    whole = [a for a in still if not a.alpha and min(a.width, a.height) >= LARGE] or still
    return whole[n % len(whole)].id


def _words(site: Site, page: Page, ids: Ids, n: int) -> Column:
    return _column(ids, n, *(new_block(kind, _fresh(site, page), ids) for kind in ("heading", "text")))


def _pictures(site: Site, page: Page, ids: Ids, n: int) -> Column:
    """A picture with a heading and a text below."""
    asset = site.asset(_asset(site, n))
    fresh = _fresh(site, page)
    picture = Block(id=ids.free("picture"), kind="picture", asset=asset.id, wording=asset.title)
    heading, text = (new_block(kind, fresh, ids) for kind in ("heading", "text"))
    return _column(ids, n, picture, heading, text, gap="12px")


def _captions(site: Site, page: Page, ids: Ids, n: int) -> Column:
    """A picture as high as its column, and a caption on a ground of its own at its foot."""
    asset = site.asset(_asset(site, n))
    layer = ImageLayer(id=ids.free("picture"), name=asset.name[:60], asset=asset.id)
    text = new_block("text", Fresh(site, page, "#ffffff"), ids)
    plate = Plate(backdrop=Backdrop(base=CAPTION), padding=Padding(block="10px", inline="14px"), fit=False)
    lettering = Lettering(**{**text.lettering.model_dump(), "size": "16px"})
    caption = text.model_copy(update={"plate": plate, "lettering": lettering})
    return _column(ids, n, caption, height=CARD, stand="end", backdrop=Backdrop(base=CAPTION, layers=(layer,)))


def _list(site: Site, page: Page, ids: Ids, n: int) -> Column:
    """A heading, and three entries below."""
    heading, text = (new_block(kind, _fresh(site, page), ids) for kind in ("heading", "text"))
    wording = "First\nSecond\nThird"
    return _column(ids, n, heading, text.model_copy(update={"wording": wording, "listed": "marks"}))


FILLINGS: dict[str, Callable[[Site, Page, Ids, int], Column]] = {
    "words": _words,
    "pictures": _pictures,
    "captions": _captions,
    "list": _list,
}


def filled_column(of: Filling, site: Site, page: Page, ids: Ids, n: int) -> Column:
    """The n-th column of a new band. Raises NoPictureError where it shows a picture and the site has none."""
    return FILLINGS[of](site, page, ids, n)
