"""One way in which a visitor can meet a page."""

from dataclasses import dataclass, replace

from ..resolve.lengths import Viewport
from ..resolve.moment import Moment


@dataclass(frozen=True)
class Situation:
    """A moment with a name for people, on a screen. `kind` is the module in `kinds` that named it.

    With `until` it stands for all moments of a change, from `moment` up to that one: its reading is the worst of them.
    """

    id: str
    name: str
    screen: str
    moment: Moment
    kind: str
    until: Moment | None = None

    @property
    def at_rest(self) -> bool:
        """Whether nothing is otherwise than when the page is met first."""
        return self.until is None and self.moment == Moment(self.moment.viewport)

    def at(self, viewport: Viewport) -> "Situation":
        """The same at another viewport."""
        until = self.until.at(viewport) if self.until else None
        return replace(self, moment=self.moment.at(viewport), until=until)

    def on_the_way(self, share: float) -> "Situation":
        """The one moment of a change at which so much of it is over, 0..1; itself where it is no change."""
        if self.until is None:
            return self
        ends = dict(self.until.phases)
        phases = tuple((name, time + (ends[name] - time) * share) for name, time in self.moment.phases)
        scroll = self.moment.scroll + (self.until.scroll - self.moment.scroll) * share
        return replace(self, moment=replace(self.moment, phases=phases, scroll=scroll), until=None)

    @property
    def scrolls(self) -> bool:
        """Whether it stands for the whole way that the page can be scrolled."""
        return self.until is not None and self.until.scroll != self.moment.scroll
