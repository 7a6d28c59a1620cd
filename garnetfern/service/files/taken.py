"""What is taken away of a page for hosts of several kinds: a part of a page, an HTML field, pictures alone."""

from dataclasses import dataclass

from ...core.css import Urls, emit_page
from ...core.css.picture_markup import pictures_of
from ...core.css.snippet import emit_snippet
from ...core.document import Area, Band, Page, Site
from ...core.errors import GarnetfernError
from ...core.resolve.book import FontBook
from ...core.stylesheet.inlined import inlined


class TakingError(GarnetfernError):
    """Something that cannot be taken away so."""

    kind = "taking"


@dataclass(frozen=True)
class Text:
    """A text to be put somewhere: what it is called, where it belongs, and itself."""

    name: str
    where: str
    text: str


@dataclass(frozen=True)
class TakenAway:
    """What is taken away: the texts, and what they leave out, a sentence each."""

    texts: tuple[Text, ...]
    left_out: tuple[str, ...]


def as_part(site: Site, page: Page, fonts: FontBook, urls: Urls, prefix: str) -> TakenAway:
    """Header and banner as a part of somebody's page. Raises TakingError."""
    try:
        found = emit_snippet(site, page, fonts, urls, prefix)
    except ValueError as error:
        raise TakingError(str(error)) from error
    if "<section" not in found.html and "<header" not in found.html:
        raise TakingError("This page has neither a header nor a banner.")
    texts = (
        Text("HTML", "Where your page shall show it, inside its body.", found.html),
        Text("CSS", "At the end of your stylesheet, or in a style element of its head.", found.css),
    )
    return TakenAway(texts, found.left_out)


def as_inline(site: Site, page: Page, area: Area, fonts: FontBook, urls: Urls) -> TakenAway:
    """A band with its looks in its own attributes, as it is on the widest screen. Raises TakingError."""
    band = next((b for b in page.bands if b.id == area.id), None)
    if band is None:
        raise TakingError("Choose a band: only a band with its words can be taken away so.")
    alone = page.model_copy(update={"bands": (band,), "joins": ()})
    emitted = emit_page(site, alone, fonts, urls)
    width = max(screen.width for screen in site.screens)
    fit = ".gf-page { min-block-size: 0 }"
    html = inlined(f'<div class="gf-page">{emitted.body}</div>', emitted.css + fit, width)
    names = sorted({block.lettering.font for block in band.blocks()})
    left_out = [f"Fonts cannot be brought along so: words are set in {', '.join(names)} where your page has it."]
    left_out.append("It is as on the widest screen, at every width: single screens cannot differ.")
    left_out.append(
        "What your page puts before and after every element (::before, ::after) no attribute can take away."
    )
    if _moves(band):
        left_out.append("What moves, arrives or changes under the pointer stands still.")
    return TakenAway((Text("HTML", "In the field that takes HTML.", html),), tuple(left_out))


def _moves(band: Band) -> bool:
    layers = [*band.backdrop.layers, *(x for c in band.columns for x in c.backdrop.layers)]
    arrives = any(block.entrance is not None or block.lettering.over for block in band.blocks())
    return arrives or band.backdrop.over is not None or any(x.period() is not None for x in layers)


def as_pictures(site: Site, page: Page, area: Area, fonts: FontBook, urls: Urls) -> TakenAway:
    """The pictures of an area as picture elements with their sizes. Raises TakingError."""
    found = pictures_of(site, page, area, fonts, urls)
    if not found:
        raise TakingError(f"There is no picture behind {getattr(area, 'name', 'these words')}.")
    where = "Where your page shall show it; it is as wide as what it stands in."
    left_out = ("What lies over the picture, and which part of it each screen shows, is not in it.",)
    return TakenAway(tuple(Text(name, where, text) for name, text in found), left_out)
