"""All that is emitted is CSS to a parser that is not ours (CSS Syntax 3): no token, declaration or rule is in error."""

from html.parser import HTMLParser

import pytest
import tinycss2

from garnetfern.core.css import Urls, emit_page, emit_rule
from garnetfern.fonts import shipped_fonts
from tests.referee.banners import generate
from tests.referee.kinds import SAMPLES, samples_page
from tests.referee.lettering import generate_lettering
from tests.referee.met import generate_met
from tests.referee.pages import generate_page
from tests.referee.stacks import generate_stack

FONTS = shipped_fonts()
MAKERS = (generate, generate_page, generate_lettering, generate_stack, generate_met)
SEEDS = (3, 8)
SITES = {
    **{f"{make.__name__} {n}": lambda make=make, n=n: make(n).site for make in MAKERS for n in SEEDS},
    **{f"kind {kind}": lambda kind=kind: samples_page(kind)[0].site for kind in SAMPLES},
}


def errors_of(nodes):
    """What is in error in values, declarations and rules, however deep; and how many declarations there are."""
    found, count = [], 0
    for node in nodes:
        if node.type == "error":
            found.append(f"{node.kind}: {node.message} (line {node.source_line})")
        elif node.type == "declaration":
            count += 1
            found += errors_of(node.value)[0]
        elif node.type in ("qualified-rule", "at-rule"):
            found += errors_of(node.prelude)[0]
            more, inside = errors_of(tinycss2.parse_blocks_contents(node.content or []))
            found, count = found + more, count + inside
        else:
            found += errors_of(getattr(node, "content", None) or getattr(node, "arguments", None) or [])[0]
    return found, count


class Styles(HTMLParser):
    """The style attributes of a page."""

    def __init__(self):
        super().__init__()
        self.found = []

    def handle_starttag(self, tag, attrs):
        self.found += [value for name, value in attrs if name == "style"]


def assert_it_parses(site):
    for page in site.pages:
        whole = emit_page(site, page, FONTS, Urls())
        found, count = errors_of(tinycss2.parse_stylesheet(whole.fonts + whole.css))
        assert found == []
        assert count > 20
        for area in page.areas():
            rule = emit_rule(site, page, area, ".banner", FONTS, Urls())
            assert errors_of(tinycss2.parse_stylesheet(rule.css))[0] == []
        styles = Styles()
        styles.feed(whole.body)
        for style in styles.found:
            assert errors_of(tinycss2.parse_blocks_contents(style))[0] == []


@pytest.mark.parametrize("name", SITES)
def test_everything_emitted_parses(name):
    assert_it_parses(SITES[name]())


def test_the_sample_parses(demo):
    assert_it_parses(demo.site)


def test_what_is_wrong_would_be_found():
    assert errors_of(tinycss2.parse_stylesheet("a { color red; }"))[0]
    assert errors_of(tinycss2.parse_stylesheet("a { background: url(a b) }"))[0]
    assert errors_of(tinycss2.parse_stylesheet("@media (x) { a { color: } } ] b {}"))[0]
