"""One rule being put together."""

from dataclasses import dataclass, field

from ...colour.notation import Rgba, parse_colour
from ...document import Area, LayerBase
from ..pictures import Emission


@dataclass(frozen=True)
class Background:
    """One background of a rule, by the longhands of CSS Backgrounds 3."""

    image: str
    position: str = "0 0"
    size: str = "auto"
    repeat: str = "repeat"
    attachment: str = "scroll"


@dataclass
class Ruling:
    """What one rule is made from, what it cannot say so far, and whether the present layer is the lowest."""

    emission: Emission
    area: Area
    left_out: list[str] = field(default_factory=list)
    lowest: bool = True

    def cannot(self, layer: LayerBase, why: str) -> None:
        """Note what is left out of a layer."""
        self.left_out.append(f"{layer.name}: {why}")

    def opaque_base(self) -> Rgba | None:
        """The base colour, where nothing shows through it."""
        base = self.area.backdrop.base
        colour = parse_colour(base) if base else None
        return colour if colour is not None and colour.alpha >= 1 else None
