"""What every block has, whatever its kind."""

from typing import TYPE_CHECKING, Annotated, Literal

from pydantic import Field, field_validator, model_validator

from .backdrop import Backdrop
from .base import Colour, Identifier, Model, Wording
from .blocks import BLOCK_KINDS, BlockKind
from .entrance import Entrance
from .fonts import Tag
from .length import FixedSizeText, FixedText, SizeText
from .link import Link
from .phrase import MOST_PHRASES, Phrase, breaks_problem, phrases_problem, with_breaks
from .plate import Plate

Align = Literal["start", "center", "end"]
Fold = Literal["beside", "closed", "open"]
"""How the entries of a menu stand: beside each other; or behind a word that opens them, closed or open at first."""
Listed = Literal["marks", "numbers"]
"""What stands before each line of a text that is a list."""
Kept = Literal["colour", "place", "picture"]
"""What remedies leave alone: the words' colour, their place, and all that changes the picture as a whole."""


class Outline(Model):
    """A line along the letters: beside a filled letter `width` wide, of a hollow one the line it consists of."""

    width: FixedSizeText = "1px"
    colour: Colour = "#000000"


class TextShadow(Model):
    """A shadow of the letters (CSS Text Decoration 3, section 4)."""

    across: FixedText = "0px"
    down: FixedText = "1px"
    blur: FixedSizeText = "4px"
    colour: Colour = "#00000099"


class Lettering(Model):
    """How a block's words are set. `line` is the line height as a multiple of the size.

    `spacing` is added behind each letter, `word_spacing` behind each space as well. `italic` holds where the font has
    it. Hollow letters have no fill, only their outline. `over` is the fill while the pointer is over a link, a
    menu or a button.
    """

    font: str = Field("Hanken Grotesk", max_length=60)
    weight: int = Field(400, ge=1, le=1000)
    axes: dict[Tag, float] = Field({}, max_length=32, description="other axes of a variable font, by their tags")
    size: SizeText = "17px"
    line: float = Field(1.5, ge=0.6, le=4)
    colour: Colour = "#20302a"
    align: Align | None = Field(None, description="none: as its band")
    spacing: FixedText = "0px"
    word_spacing: FixedText = "0px"
    capitals: bool = False
    italic: bool = False
    outline: Outline | None = None
    hollow: bool = False
    shadow: TextShadow | None = None
    over: Colour | None = None

    @field_validator("axes")
    @classmethod
    def _in_order(cls, axes: dict[str, float]) -> dict[str, float]:
        if "wght" in axes:
            raise ValueError("The weight is said by `weight`, not among the axes.")
        return dict(sorted(axes.items()))

    @property
    def variation(self) -> tuple[tuple[str, float], ...]:
        """Its axes in the order of their tags."""
        return tuple(self.axes.items())

    @model_validator(mode="after")
    def _hollow_with_a_line(self) -> "Lettering":
        if self.hollow and self.outline is None:
            raise ValueError("Hollow letters need an outline; without one nothing of them would be seen.")
        return self


class MenuItem(Model):
    """One entry of a menu."""

    wording: Annotated[Wording, Field(min_length=1, max_length=80)]
    link: Link = "#"

    @model_validator(mode="after")
    def _one_line(self) -> "MenuItem":
        if "\n" in self.wording:
            raise ValueError("An entry of a menu is one line.")
        return self


class BlockException(Model):
    """What of a block is otherwise on one screen; None: as everywhere."""

    size: SizeText | None = Field(None, description="of its lettering")
    visible: bool | None = None
    fold: Fold | None = Field(None, description="of a menu")
    breaks: tuple[int, ...] | None = Field(
        None, max_length=60, description="where its lines end, as places of spaces and line breaks in its wording"
    )


if TYPE_CHECKING:
    KindOfBlock = str
else:
    KindOfBlock = Literal[tuple(BLOCK_KINDS)]


class Block(Model):
    """A heading, a text, a button, the logo's words, a menu, a picture or space.

    `level` is the heading's place in the outline; no other block has one. A picture shows `asset`, cut for `slot`
    where one is named, with `wording` as its alternative text. A space is `height` high. Words may have a `plate`
    behind them. A menu may be folded behind its `wording`. What is only `heard` is kept for screen readers: a title,
    say, that the picture bears already.
    """

    id: Identifier
    kind: KindOfBlock
    level: int | None = Field(None, ge=1, le=6)
    wording: Wording = ""
    phrases: tuple[Phrase, ...] = Field((), max_length=MOST_PHRASES, description="set otherwise, in their order")
    lettering: Lettering = Lettering()
    width: SizeText | None = Field(None, description="its greatest width; none: the column's")
    visible: bool = True
    heard: bool = False
    plate: Plate | None = None
    link: Link | None = None
    listed: Listed | None = Field(None, description="a list, each line of the wording an entry; none: running words")
    items: tuple[MenuItem, ...] = Field((), max_length=20)
    fold: Fold = Field("beside", description="how the entries of a menu stand")
    asset: Identifier | None = None
    slot: Identifier | None = None
    clear: SizeText | None = Field(None, description="space around a picture that stays free; none: nothing")
    graphic: bool = Field(False, description="the parts of a picture have to be made out, as those of a logo")
    height: SizeText = Field("32px", description="of a space")
    keep: tuple[Kept, ...] = Field((), max_length=3, description="what remedies for these words leave alone")
    entrance: Entrance | None = Field(None, description="how it arrives when it first comes into sight")
    screens: dict[Identifier, BlockException] = Field({}, max_length=12)

    @model_validator(mode="after")
    def _parts_of_its_kind(self) -> "Block":
        own = self.of_kind.own
        for field, sentence in ((f, s) for kind in BLOCK_KINDS.values() for f, s in kind.own.items()):
            there = bool(getattr(self, field))
            if (there and field not in own) or (not there and field in self.of_kind.needed):
                raise ValueError(sentence)
        if self.plate and not self.lettered:
            raise ValueError("Only words have a plate.")
        breaks = (own.breaks for own in self.screens.values() if own.breaks is not None)
        problems = [phrases_problem(self.wording, self.phrases, bool(self.link))]
        breaks_differ = any(own.breaks is not None for own in self.screens.values())
        if self.listed and breaks_differ:
            problems.append("The lines of a list are its entries, and the same on every screen.")
        if self.listed and self.link:
            problems.append("A list is no link as a whole; words in it may be.")
        folds = set(self.folds)
        if folds and "items" not in own:
            problems.append("Only a menu folds.")
        if len(folds) > 1:
            problems.append("A menu is open at first wherever it folds, or closed wherever it folds.")
        for problem in (*problems, *(breaks_problem(self.wording, there) for there in breaks)):
            if problem is not None:
                raise ValueError(problem)
        return self

    @property
    def of_kind(self) -> BlockKind:
        """What blocks of its kind are made of."""
        return BLOCK_KINDS[self.kind]

    @property
    def backdrop(self) -> Backdrop:
        """What lies behind its words alone."""
        return self.plate.backdrop if self.plate else Backdrop()

    @property
    def lettered(self) -> bool:
        """Whether it is made of words that are to be read."""
        return self.of_kind.lettered

    @property
    def said(self) -> str:
        """Its words in one line, whatever they are made of."""
        parts = ", ".join(item.wording for item in self.items) if self.items else self.wording
        return " ".join(parts.split())

    @property
    def edged(self) -> bool:
        """Whether its edge is part of the interface and has to be made out (WCAG 2.2, 1.4.11)."""
        return self.of_kind.edged and self.plate is not None

    def addresses(self) -> tuple[str, ...]:
        """Where its links lead: its own, those of its entries, those among its words."""
        own = (self.link, *(item.link for item in self.items), *(phrase.link for phrase in self.phrases))
        return tuple(link for link in own if link)

    @property
    def folds(self) -> tuple[Fold, ...]:
        """How its entries are folded at first, everywhere and on single screens, where they are."""
        every = (self.fold, *(own.fold for own in self.screens.values()))
        return tuple(fold for fold in every if fold is not None and fold != "beside")

    def opened(self) -> "Block":
        """The same with entries that are folded open."""
        screens = {
            name: own.model_copy(update={"fold": "open"}) if own.fold == "closed" else own
            for name, own in self.screens.items()
        }
        fold = "open" if self.fold == "closed" else self.fold
        return self.model_copy(update={"fold": fold, "screens": screens})

    @property
    def pressed(self) -> bool:
        """Whether all of it is a link or made of links."""
        return self.of_kind.linked or self.link is not None

    def assets(self) -> tuple[str, ...]:
        """The ids of the pictures it shows itself; what lies behind its words has its own."""
        return (self.asset,) if self.asset is not None else ()

    def on(self, screen: str | None) -> "Block":
        """The block as it is on a screen."""
        other = self.screens.get(screen) if screen else None
        if other is None:
            return self
        changed: dict[str, object] = {}
        if other.size is not None:
            changed["lettering"] = self.lettering.model_copy(update={"size": other.size})
        if other.visible is not None:
            changed["visible"] = other.visible
        if other.fold is not None:
            changed["fold"] = other.fold
        if other.breaks is not None:
            changed["wording"] = with_breaks(self.wording, other.breaks)
        return self.model_copy(update=changed)
