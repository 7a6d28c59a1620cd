"""A shade from the side where the words stand, the picture cut so that its subject stands on the other; on screens that
have no side to spare the words stand at the foot."""

from collections.abc import Iterator

from ...document import Backdrop, GradientLayer, Ids, Page
from ...document.block import BlockException
from ...document.layers.gradient import GradientException
from ...document.model import BandException
from ...remedy.distress import Case
from ...remedy.ideas.shade import SPARE
from ...remedy.remedy import percent
from ...remedy.search import least
from ..brief import Brief
from ..frame import moved_aside, words_column
from ..sketch import LeftOut, Sketch
from ..words import for_a_column
from ._shaded import distress_of, from_the_side, high, no_fog, on_picture, rising, tone_of

ORDER = 1
TITLE = "A shade from the side"
WIDTH = 480
NARROW = 900
"""On screens narrower than this, px, words of that width leave no side free."""


class _Side:
    """The band with its words at one side; the strengths of both shades are free."""

    def __init__(self, brief: Brief, left: bool) -> None:
        self.brief, self.left, self.tone = brief, left, tone_of(brief)
        self.wide = [s.id for s in brief.site.screens if s.width >= NARROW]
        self.narrow = [s.id for s in brief.site.screens if s.width < NARROW]
        ids = Ids(brief.whole)
        self.names = ids.free("shade"), ids.free("shade-at-foot")
        column, picture = for_a_column(words_column(brief), brief.fonts, WIDTH), moved_aside(brief, left)
        band = on_picture(brief, column, picture, ("start" if left else "end", "center"), f"{WIDTH}px")
        foot = band.content.model_copy(update={"align": "start", "stand": "end"})
        screens = dict(band.screens)
        for name in self.narrow:
            screens[name] = screens.get(name, BandException()).model_copy(update={"content": foot})
        room, *words = band.columns[0].blocks
        room = room.model_copy(update={"screens": {name: BlockException(visible=False) for name in self.wide}})
        column = band.columns[0].model_copy(update={"blocks": (room, *words)})
        height = high(brief.band)
        for name in self.narrow:
            screens[name] = screens[name].model_copy(update={"height": band.height})
        self.band = band.model_copy(update={"screens": screens, "columns": (column,), "height": height})

    def page(self, side: float, foot: float) -> Page:
        """The page with shades of these strengths."""
        from_side, rise = from_the_side(self.tone, self.left, WIDTH), rising(self.tone)
        one = GradientLayer(
            id=self.names[0],
            name="Shade",
            opacity=round(side, 4),
            gradient=from_side,
            screens={name: GradientException(visible=False) for name in self.narrow},
        )
        other = GradientLayer(
            id=self.names[1],
            name="Shade at the foot",
            opacity=round(foot, 4),
            gradient=rise,
            screens={name: GradientException(visible=False) for name in self.wide},
        )
        layers = (*self.band.backdrop.layers, *((one,) if side else ()))
        backdrop = self.band.backdrop.model_copy(update={"layers": layers})
        own = Backdrop(layers=(other,) if foot else ())
        column = self.band.columns[0].model_copy(update={"backdrop": own})
        return self.brief.with_band(self.band.model_copy(update={"backdrop": backdrop, "columns": (column,)}))


def made(brief: Brief) -> Iterator[Sketch]:
    """Away from the subject; then the other side, where it is not clear where the subject stands."""
    if all(s.width < NARROW for s in brief.site.screens):
        raise LeftOut("No screen is wide enough to leave a side of the picture free.")
    sides = [brief.words_left] if brief.subject.known else [brief.words_left, not brief.words_left]
    for left in sides:
        one = _Side(brief, left)
        start = one.page(0.0, 0.0)
        distress = distress_of(brief, start)

        def on(names: list[str], order: tuple[Case, ...] = distress.order) -> list[Case]:
            return [case for case in order if case[1].screen in names]

        def from_side(strength: float, one: _Side = one) -> Page:
            return one.page(strength, 0.0)

        def at_foot(strength: float, one: _Side = one) -> Page:
            return one.page(0.0, strength)

        side = least(distress.at(start), from_side, among=on(one.wide), spare=SPARE)
        foot = least(distress.at(start), at_foot, among=on(one.narrow), spare=SPARE)
        if side is None or foot is None:
            raise LeftOut("No shade from the side suffices: the words cover too much of the picture.")
        page = one.page(side, foot)
        no_fog(distress, page, max(side, foot))
        where = "left" if left else "right"
        narrow = (
            f" On narrow screens {'it' if side else 'a shade'} rises from the foot, at {percent(foot)}." if foot else ""
        )
        shade = f"over a shade in {one.tone} from there at {percent(side)}" if side else "with nothing behind them"
        yield Sketch(page, f"The words stand at the {where}, {shade}.{narrow}")
    raise LeftOut("Where its subject stands is clear: the other side belongs to that.")
