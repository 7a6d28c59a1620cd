"""One way in which a visitor can meet a page."""

from dataclasses import dataclass, replace

from ..resolve.lengths import Viewport
from ..resolve.moment import Moment


@dataclass(frozen=True)
class Situation:
    """A moment with a name for people, on a screen. `kind` is the module in `kinds` that named it."""

    id: str
    name: str
    screen: str
    moment: Moment
    kind: str

    @property
    def at_rest(self) -> bool:
        """Whether nothing is otherwise than when the page is met first."""
        return self.moment == Moment(self.moment.viewport)

    def at(self, viewport: Viewport) -> "Situation":
        """The same at another viewport."""
        return replace(self, moment=self.moment.at(viewport))
