"""Header and banner for somebody's own page: markup and CSS that keep to themselves.

Every class has a prefix of the owner's choice, and every selector stands behind one as specific as three ids (Selectors
4, section 17: `:is()` is as specific as the most specific of its arguments), so that nothing a page says in the usual
ways reaches in, and nothing of ours reaches out. What a page says with `!important` does.
"""

import re
from collections.abc import Collection
from dataclasses import dataclass

import tinycss2

from ..document import Band, Page, Site
from ..resolve.book import FontBook
from .page import RESET, emit_page
from .urls import Urls

DEFAULT = "ours"
ROLES = ("header", "banner")
NAME = re.compile(r"[a-z][a-z0-9-]{0,30}")
"""What a prefix is made of."""
INHERITED = (
    "all: initial;\n  display: block;\n  direction: inherit;\n  unicode-bidi: isolate;\n  font-size: medium;\n"
    "  line-height: normal;"
)


@dataclass(frozen=True)
class Snippet:
    """Markup for the body, CSS for the head or a stylesheet, and what they leave out, a sentence each."""

    html: str
    css: str
    left_out: tuple[str, ...]


def part_of(page: Page, roles: Collection[str] = ROLES) -> Page:
    """The bands of some roles alone, with the joins that run behind no others."""
    bands: tuple[Band, ...] = tuple(band for band in page.bands if band.role in roles)
    kept = {band.id for band in bands}
    order = [band.id for band in page.bands]

    def within(first: str, last: str) -> bool:
        return set(order[order.index(first) : order.index(last) + 1]) <= kept

    joins = tuple(join for join in page.joins if within(join.first, join.last))
    return page.model_copy(update={"bands": bands, "joins": joins})


def _guard(root: str) -> str:
    """What all of our selectors stand behind: it means the root alone, and is as specific as three ids."""
    name = f"#{root}-0"
    return f":is({name}{name}{name}, .{root}-page)"


def _behind(selector: str, root: str) -> str:
    """A selector behind the one that all of ours stand behind."""
    guard, own = _guard(root), f".{root}-page"
    if selector.startswith(own) and not selector[len(own) : len(own) + 1].isalnum():
        return guard + selector[len(own) :]
    return f"{guard} {selector}"


def _split(prelude: list[object]) -> list[str]:
    groups: list[list[object]] = [[]]
    for node in prelude:
        if getattr(node, "type", "") == "literal" and getattr(node, "value", "") == ",":
            groups.append([])
        else:
            groups[-1].append(node)
    return [str(tinycss2.serialize(group)).strip() for group in groups]


NESTING = frozenset({"media", "supports", "layer", "container"})


def guarded(css: str, root: str) -> str:
    """A stylesheet of ours whose every selector stands behind the root of a snippet."""
    return _guarded(tinycss2.parse_stylesheet(css), root)


def _guarded(nodes: list[object], root: str) -> str:
    text = ""
    for node in nodes:
        kind = getattr(node, "type", "")
        if kind == "qualified-rule":
            selectors = ", ".join(_behind(s, root) for s in _split(node.prelude))  # type: ignore[attr-defined]
            text += f"{selectors} {{{tinycss2.serialize(node.content)}}}"  # type: ignore[attr-defined]
        elif kind == "at-rule" and node.lower_at_keyword in NESTING and node.content is not None:  # type: ignore[attr-defined]
            inner = _guarded(tinycss2.parse_rule_list(node.content), root)  # type: ignore[attr-defined]
            head = f"@{node.lower_at_keyword}{tinycss2.serialize(node.prelude)}"  # type: ignore[attr-defined]
            text += f"{head}{{{inner}}}"
        else:
            text += tinycss2.serialize([node])
    return text


def _shield(root: str) -> str:
    """Everything inside is as browsers have it, before our own rules say more."""
    guard = _guard(root)
    parts = (" :where(*)", "::before", "::after", " :where(*)::before", " :where(*)::after")
    every = ", ".join(f"{guard}{part}" for part in parts)
    return f"{guard} {{\n  {INHERITED}\n}}\n{every} {{\n  all: revert;\n}}\n"


def emit_snippet(site: Site, page: Page, fonts: FontBook, urls: Urls, prefix: str = DEFAULT) -> Snippet:
    """The header and the banner of a page as a part of somebody else's. Raises ValueError for a prefix that is none."""
    if not NAME.fullmatch(prefix) or prefix == "gf":
        rule = "A prefix is made of small letters, digits and hyphens, beginning with a letter, and is not gf."
        raise ValueError(f"{rule} Received: {prefix[:40]!r}.")
    part = part_of(page)
    emitted = emit_page(site, part, fonts, urls)
    own = emitted.css.removeprefix(RESET).replace("gf-", f"{prefix}-")
    fit = f".{prefix}-page {{\n  min-block-size: 0;\n}}\n"
    css = emitted.fonts + _shield(prefix) + guarded(own + fit, prefix)
    body = emitted.body.replace("gf-", f"{prefix}-")
    script = emitted.script.replace("gf-", f"{prefix}-")
    left_out = [f"{band.name}: only header and banner are in it." for band in page.bands if band not in part.bands][:1]
    if emitted.script:
        left_out.append("A small script stops its films; hosts that take no scripts leave them running.")
    html = f'<div class="{prefix}-page">\n{body}{script}</div>\n'
    return Snippet(html, css, tuple(left_out))
