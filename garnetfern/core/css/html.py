"""A page's markup. Everything the owner has written is escaped."""

from collections.abc import Sequence

from ..document import Backdrop, Band, Column, Page, ever_visible
from ..placement.static import Group
from ..resolve.control import Control, pickable
from .blocks import block_markup
from .choice import chosen
from .escape import html_words
from .layers import layer_elements
from .names import named
from .pictures import Emission
from .stop import stop_markup

OUTSIDE = ("top", "end")
"""Places before the header and behind the footer."""
TAGS = {"header": "header", "footer": "footer"}


def _behind(backdrop: Backdrop, emission: Emission, extra: str = "") -> str:
    layers = layer_elements(backdrop.layers, emission)
    return f'<div class="gf-behind{extra}" aria-hidden="true">{layers}</div>\n' if layers else ""


def _heard(backdrop: Backdrop, emission: Emission) -> str:
    """What words in the pictures of a backdrop say, for those who cannot see them."""
    names = [name for x in backdrop.layers if ever_visible(x) for name in x.assets()]
    said = (emission.site.asset(name).lettering for name in dict.fromkeys(names))
    return "".join(f'<p class="gf-heard">{html_words(text)}</p>\n' for text in said if text)


def _column_html(column: Column, emission: Emission) -> str:
    inside = "".join(f"        {block_markup(b, emission)}\n" for b in column.blocks if ever_visible(b))
    behind = _behind(column.backdrop, emission) + _heard(column.backdrop, emission)
    behind = f"        {behind}" if behind else ""
    return f'      <div class="gf-column {named(column.id)}">\n{behind}{inside}      </div>\n'


def _band_html(band: Band, emission: Emission, stop: str) -> str:
    tag = TAGS.get(band.role, "section")
    behind = _behind(band.backdrop, emission) + _heard(band.backdrop, emission)
    behind = f"    {behind}" if behind else ""
    columns = "".join(_column_html(c, emission) for c in band.columns)
    content = f'    <div class="gf-content">\n{columns}    </div>\n' if columns else ""
    return f'  <{tag} class="gf-band {named(band.id)}">\n{behind}{content}{stop}  </{tag}>\n'


def page_body(page: Page, emission: Emission, control: Control | None, groups: Sequence[Group] = ()) -> str:
    """The body's markup; everything between header and footer bands stands in one main element. Bands of `groups` are
    chosen among where the page is looked at."""
    stop = f"    {stop_markup(emission.site.language, pickable(page))}\n" if control else ""
    parts = [_behind(page.backdrop, emission, " gf-behind-page"), _heard(page.backdrop, emission)]
    parts += [_heard(j.backdrop, emission) for j in page.joins]
    parts += [
        f'<div class="gf-join {named(j.id)}" aria-hidden="true">{layer_elements(j.backdrop.layers, emission)}</div>\n'
        for j in page.joins
    ]
    markup = {b.id: _band_html(b, emission, stop if control and b.id == control.band else "")
              for b in page.bands if ever_visible(b)}  # fmt: skip
    entries = _entries(page, markup, groups, emission.site.zone)
    inner = [n for n, (_, within) in enumerate(entries) if within]
    for n, (text, _) in enumerate(entries):
        parts.append('<main class="gf-main">\n' if inner and n == inner[0] else "")
        parts.append(text)
        parts.append("</main>\n" if inner and n == inner[-1] else "")
    return "".join(parts)


def _entries(page: Page, markup: dict[str, str], groups: Sequence[Group], zone: str) -> list[tuple[str, bool]]:
    """What stands in the body one after the other, bands and groups of them, and whether it is between the ends."""
    group_of = {name: group for group in groups for _, names in group.candidates for name in names}
    found: list[tuple[str, bool]] = []
    done: set[str] = set()
    for band in page.bands:
        group = group_of.get(band.id)
        if group is None:
            if band.id in markup:
                found.append((markup[band.id], band.role not in TAGS))
        elif group.place not in done:
            done.add(group.place)
            bands = {p.page: "".join(markup.get(name, "") for name in names) for p, names in group.candidates}
            found.append((chosen(group, zone, bands), group.place not in OUTSIDE))
    return found
