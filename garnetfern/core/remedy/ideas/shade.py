"""A shade that is full behind the words and fades away from them: from the side where they leave most of the width
free, otherwise from the foot, the top or both; in one tone for all words of the area."""

from collections.abc import Iterator, Sequence
from dataclasses import replace

from ...document import ColourLayer, Gradient, GradientLayer, Ids, Page
from ...document.layers.gradient import GradientException
from ..distress import Case, Distress
from ..draft import Draft, also, gone
from ..remedy import percent
from ..search import ROUNDED, least
from ._fade import ACROSS_FADE, Axis, Span, shade, shared, span_of

ORDER = 2
TITLE = "A shade"
SPARE = 1.02
"""To spare between the screens: at 1 % widths between them fell short by a hair."""
SIDE = 0.62
"""Words that cover more of the width than this leave no side free."""
EDGE = 0.36
"""Words whose middle lies within so much of an end of their area stand there."""
MOST_STOPS = 32


def _bands(distress: Distress) -> list[tuple[str, ...]]:
    """The words of the area, band by band."""
    return [words for b in distress.bands() if (words := distress.of_bands({b.id}))]


def _place(distress: Distress, words: Sequence[str], screen: str) -> tuple[float, float] | None:
    """Where words begin and end down their area at rest, px."""
    for situation in distress.rest:
        if situation.screen == screen:
            record = distress.present.record(situation)
            area = record.area(distress.area.id)
            lines = [line for b in record.blocks() if b.id in words for line in b.lines]
            if area is None or not lines:
                return None
            return min(x.top for x in lines) - area.box.y, max(x.top + x.height for x in lines) - area.box.y
    return None


def _sides(distress: Distress, words: Sequence[str], screen: str) -> Span | None:
    """The stretch across that words cover on a screen, where that leaves a side free."""
    span = span_of(distress, words, screen, "across", soft=False)
    if span is None:
        return None
    width = next(s.width for s in distress.site.screens if s.id == screen)
    if span.last - span.first > SIDE * width or (span.opens and span.closes):
        return None
    # the nearer edge is where it comes from
    if span.anchor == "end":
        return replace(span, closes=True, opens=False)
    if span.anchor == "start" or span.first + span.last < 0:
        return replace(span, opens=True, closes=False)
    return None if abs(span.first + span.last) < ACROSS_FADE / 4 else replace(span, closes=True, opens=False)


class _Shade:
    """One layer of shade over an area, for some of its words."""

    def __init__(self, distress: Distress, words: Sequence[tuple[str, ...]], aside: bool, soft: bool) -> None:
        self.distress, self.words, self.soft = distress, words, soft
        self.axes: dict[str, Axis] = {}
        self.spans: dict[str, list[Span]] = {}
        self.groups: dict[str, list[int]] = {}
        """Which of the words each span is for."""
        for screen in distress.site.screens:
            across = _sides(distress, words[0], screen.id) if aside and len(words) == 1 else None
            self.axes[screen.id] = "down" if across is None else "across"
            self.spans[screen.id], self.groups[screen.id] = ([across], [0]) if across else self._down(screen.id)

    def _down(self, screen: str) -> tuple[list[Span], list[int]]:
        found, groups = [], []
        for n, words in enumerate(self.words):
            span, place = span_of(self.distress, words, screen, "down", self.soft), _place(self.distress, words, screen)
            if span is not None and place is not None:
                found.append((span, *place))
                groups.append(n)
        return shared(found), groups

    @property
    def aside(self) -> bool:
        """Whether it comes from the side on any screen."""
        return "across" in self.axes.values()

    def layer(self, page: Page, strength: float, shares: Sequence[float]) -> GradientLayer | None:
        """The layer at a strength; `shares` of it for each group of words."""
        found: dict[str, Gradient | None] = {}
        for screen, spans in self.spans.items():
            own = [round(shares[n], 4) for n in self.groups[screen]]
            weighed = [replace(s, strength=k) for s, k in zip(spans, own, strict=True)]
            gradient = shade(weighed, self.distress.tone, self.axes[screen]) if weighed else None
            found[screen] = gradient if gradient is not None and len(gradient.stops) <= MOST_STOPS else None
        first = next((g for g in found.values() if g is not None), None)
        if first is None:
            return None
        screens = {}
        for screen, gradient in found.items():
            if gradient is None:
                screens[screen] = GradientException(visible=False)
            elif gradient != first:
                screens[screen] = GradientException(gradient=gradient)
        name = Ids(page).free("shade")
        return GradientLayer(id=name, name="Shade", opacity=round(strength, 4), gradient=first, screens=screens)

    def over(self, page: Page, strength: float, shares: Sequence[float]) -> Page:
        """A page with it on top of the area's layers."""
        area = page.area(self.distress.area.id) or self.distress.area
        layer = self.layer(page, strength, shares)
        return page if layer is None else self.distress.with_layers(page, (*area.backdrop.layers, layer))

    def least(self, page: Page, among: Sequence[Case]) -> tuple[Page, float] | None:
        """The least strength over a page at which its words can be read, each group with its own."""
        groups = [[case for case in among if case[0] in words] for words in self.words]
        own = []
        for n, group in enumerate(groups):
            alone = [float(n == k) for k in range(len(groups))]

            def make(strength: float, alone: list[float] = alone) -> Page:
                return self.over(page, strength, alone)

            found = least(self.distress.at(page), make, among=group, spare=SPARE) if group else 0.0
            if found is None:
                return None
            own.append(found)
        most = max(own)
        if most <= 0:
            return None
        return self.over(page, most, [strength / most for strength in own]), most


def without_veils(distress: Distress, page: Page) -> tuple[Page, list[str]]:
    """A page without the plain colours over the area's pictures, and their names."""
    area = page.area(distress.area.id) or distress.area
    layers = area.backdrop.layers
    over = area.backdrop.over.layers if area.backdrop.over else {}
    veils = [
        x
        for n, x in enumerate(layers)
        if isinstance(x, ColourLayer)
        and x.visible
        and x.blend == "normal"
        and x.opacity < 1
        and x.id not in over
        and any(below.assets() for below in layers[:n])
    ]
    left = tuple(x for x in layers if x not in veils)
    return (distress.with_layers(page, left) if veils else page), [x.name for x in veils]


def _whence(shades: Sequence[_Shade], screen: str) -> str:
    """From where an area is shaded on a screen."""
    found = set()
    for one in shades:
        if one.axes[screen] == "across":
            found.add("from the side")
            continue
        for n in one.groups[screen]:
            place = _place(one.distress, one.words[n], screen)
            area = next((one.distress.present.record(s).area(one.distress.area.id) for s in one.distress.rest
                         if s.screen == screen), None)  # fmt: skip
            middle = sum(place) / 2 / area.box.height if place and area and area.box.height else 0.5
            found.add("at the top" if middle < EDGE else "at the foot" if middle > 1 - EDGE else "behind the words")
    order = ("from the side", "at the top", "behind the words", "at the foot")
    return " and ".join(said for said in order if said in found)


def _named(distress: Distress, shades: Sequence[_Shade]) -> str:
    """The same for all screens, as a part of a sentence."""
    said: dict[str, list[str]] = {}
    for screen in distress.site.screens:
        if (whence := _whence(shades, screen.id)) != "":
            said.setdefault(whence, []).append(screen.name.lower())
    if len(said) == 1:
        return next(iter(said))
    return ", ".join(f"{whence} on the {' and the '.join(names)}" for whence, names in said.items())


def found(distress: Distress) -> Iterator[Draft]:
    """From the side where that goes, otherwise from above and below; full as far as words come, or fading all along."""
    if not distress.may("picture"):
        return
    bare, veils = without_veils(distress, distress.start)
    for aside in (True, False):
        drafts = [_draft(distress, bare, veils, aside, soft) for soft in (False, True)]
        yield from (draft for draft in drafts if draft is not None)
        if any(drafts):
            return


def _draft(distress: Distress, bare: Page, veils: list[str], aside: bool, soft: bool) -> Draft | None:
    """The words of each band that fall short are shaded; one layer for all or, aside, one for each band."""
    short = {case[0] for case in distress.order if distress.trial(bare).share(case) < SPARE / ROUNDED}
    groups = [words for words in _bands(distress) if short & set(words)]
    parts = [[group] for group in groups] if aside else [groups]
    shades = [_Shade(distress, part, aside, soft) for part in parts]
    if not groups or (aside and not any(s.aside for s in shades)):
        return None
    page, strengths = bare, []
    for one in shades:
        among = [case for case in distress.order if any(case[0] in words for words in one.words)]
        done = one.least(page, among)
        if done is None:
            return None
        page, strength = done
        strengths.append(strength)
    if not distress.suffices(page):
        return None
    how = f"{_named(distress, shades)}, at {percent(round(max(strengths), 3))}"
    sentence = f"A shade in {distress.tone} {how}.{gone(veils)}{also(distress)}"
    return Draft("shade", page, sentence, frozenset({"shade"}), distress.recoloured)
