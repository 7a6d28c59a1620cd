"""Parts that several ideas are made of: the picture as a layer, a column for it, a crop that moves its subject."""

from ..document import Backdrop, Band, Block, Column, Crop, Ids, ImageException, ImageLayer, Padding
from ..document.model import BandException, Content
from ..resolve.layout import STACK_BELOW
from .brief import WIDE, Brief
from .words import torn_beside

MOST_CUT = 0.32
"""The most that is cut off a picture's width so that its subject stands aside."""
ASIDE = 0.67
"""Where across the picture its subject is moved to, seen from the words."""
PICTURE_HIGH = "clamp(220px, 38vw, 520px)"
"""The height of a column that holds nothing but a picture."""


def picture_of(brief: Brief, **changes: object) -> ImageLayer:
    """The picture, filling its area, moving with the page, without what was done to it before but for its focal
    points."""
    picture = brief.picture
    focal = {name: ImageException(focal=own.focal) for name, own in picture.screens.items() if own.focal is not None}
    plain = ImageLayer(
        id=picture.id, name=picture.name, asset=picture.asset, focal=picture.focal, at=picture.at, screens=focal
    )
    return plain.model_copy(update=changes)


def narrowest(brief: Brief) -> str:
    """The id of the screen on which there is no room to move a picture sideways."""
    return min(brief.site.screens, key=lambda s: s.width).id


def moved_aside(brief: Brief, left: bool) -> ImageLayer:
    """The picture cut so that its subject stands at a third of the width, away from words at the left or the right; the
    whole of it on the narrowest screen."""
    subject = brief.subject
    layer = picture_of(brief)
    middle = subject.middle if left else 1 - subject.middle
    if not subject.known or subject.width > WIDE or middle >= ASIDE:
        return layer
    width = max(1 - MOST_CUT, min(1.0, middle / ASIDE))
    if width >= 1:
        return layer
    crop = Crop(x=0.0 if left else 1 - width, width=width)
    focal = ((layer.focal[0] - crop.x) / width, layer.focal[1])
    inside = (min(1.0, max(0.0, focal[0])), focal[1])
    screen = narrowest(brief)
    whole = ImageException(crop=Crop(), focal=layer.screens.get(screen, ImageException()).focal or layer.focal)
    screens = {name: own for name, own in layer.screens.items() if name == screen}
    return layer.model_copy(update={"crop": crop, "focal": inside, "screens": {**screens, screen: whole}})


def phones(brief: Brief) -> tuple[str, ...]:
    """The screens on which columns stand one under the other by themselves."""
    return tuple(screen.id for screen in brief.site.screens if screen.width < STACK_BELOW)


def words_column(brief: Brief) -> Column:
    """The column of all words."""
    return brief.band.columns[0]


def picture_column(brief: Brief, layers: tuple[ImageLayer, ...], height: str = PICTURE_HIGH) -> Column:
    """A column that is as high as a picture needs, and holds nothing else."""
    ids = Ids(brief.whole)
    space = Block(id=ids.free("picture-room"), kind="space", height=height)
    return Column(id=ids.free("picture-column"), name="Picture", backdrop=Backdrop(layers=layers), blocks=(space,))


def _picture_on_top(columns: tuple[Column, ...]) -> tuple[int, ...] | None:
    """The order in which a column without words stands first; None where it does so already."""
    bare = [n for n, column in enumerate(columns) if not any(b.lettered for b in column.blocks)]
    return (bare[0],) if bare and bare[0] > 0 else None


def framed(
    brief: Brief, columns: tuple[Column, ...], padding: Padding, content: Content, base: str, share: float | None = None
) -> Band:
    """A band of these columns that is as high as they are, on a plain ground. `share`: that of the viewport's width
    which words have in theirs; on screens where that would tear them columns are stacked. Where they are, the picture
    stands above the words."""
    band = brief.band.without_height()
    screens = dict(band.screens)
    words = [b for b in brief.band.blocks() if b.lettered and b.visible and not b.edged]
    order = _picture_on_top(columns)
    for screen in brief.site.screens:
        room = screen.width * (share or 1.0)
        small = screen.width < STACK_BELOW
        torn = share and not small and any(torn_beside(b, brief.fonts, room) for b in words)
        otherwise: dict[str, object] = {"layout": "stack"} if torn else {}
        if order and (torn or small):
            otherwise["order"] = order
        if otherwise:
            own = screens.get(screen.id, BandException())
            screens[screen.id] = own.model_copy(update=otherwise)
    return band.model_copy(
        update={
            "padding": padding,
            "content": content,
            "columns": columns,
            "backdrop": Backdrop(base=base),
            "screens": screens,
        }
    )
