"""Whatever a document says, emitted pages keep their shape, and it is seen as it was written."""

import json
import re
from html.parser import HTMLParser
from pathlib import Path

import pytest
import tinycss2
from hypothesis import given, settings
from hypothesis import strategies as st

from garnetfern.core.css import Urls, bundle_files, emit_page
from garnetfern.core.css.escape import css_comment, css_string, file_part, html_attribute, html_text, style_text
from garnetfern.core.document import read_site
from garnetfern.core.errors import DocumentError
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.memory import MemoryPictures

FONTS = shipped_fonts()
NASTY = (
    "</style><script>window.ran=1</script>",
    '"><img src=x onerror=window.ran=1>',
    "'/><svg onload=window.ran=1>",
    "*/ } </style> <script>window.ran=1</script> /*",
    "--><script>window.ran=1</script><!--",
    "</title><script>window.ran=1</script>",
    "\\22 \\3c /style\\3e ; } body { display: none }",
    "javascript:window.ran=1",
    "&lt;b&gt; &amp;quot; ]]> <![CDATA[",
    "` ${window.ran=1} {{window.ran=1}}",
    "\u202ereversed\u2028\u2029\ufeff",
)
LETTERS = st.sampled_from(list("<>&\"'`\\/*{}()[];:@!-=%#$~ \nabz09é\u202e\u2028\u00a0\U0001f33f")) | st.sampled_from(
    ["</", "<!--", "-->", "*/", "/*", "</style", "<script>", "\\3c ", "url(", "&#x3c;", "javascript:", "../", "\\"]
)
TEXTS = st.lists(LETTERS, min_size=1, max_size=40).map("".join)
PROBE = "q\"'<&>\\*/ z"


class Shape(HTMLParser):
    """Tags, the names of their attributes, and all text that is seen."""

    def __init__(self):
        super().__init__()
        self.tags, self.text = [], []

    def handle_starttag(self, tag, attrs):
        self.tags.append((tag, tuple(n for n, _ in attrs)))

    def handle_endtag(self, tag):
        self.tags.append(tag)

    def handle_comment(self, data):
        self.tags.append(("comment", data))

    def handle_data(self, data):
        self.text.append(data)


def shape_of(html):
    found = Shape()
    found.feed(html)
    found.close()
    return [t for t in found.tags if t[0] != "br"], "".join(found.text)


def css_shape(css):
    """Every rule with the names of its declarations; comments and values are what may differ."""

    def inside(nodes):
        found = []
        for node in nodes:
            if node.type == "qualified-rule":
                names = [d.name for d in tinycss2.parse_blocks_contents(node.content) if d.type == "declaration"]
                found.append((tinycss2.serialize(node.prelude).strip(), tuple(names)))
            elif node.type == "at-rule":
                body = inside(tinycss2.parse_rule_list(node.content)) if node.content else ()
                found.append((node.at_keyword, tinycss2.serialize(node.prelude), tuple(body)))
            elif node.type == "error":
                found.append(("error", node.message))
        return found

    return inside(tinycss2.parse_stylesheet(css, skip_comments=True, skip_whitespace=True))


def leaves(value, path=()):
    if isinstance(value, str):
        yield path
    elif isinstance(value, list | dict):
        for key, item in value.items() if isinstance(value, dict) else enumerate(value):
            yield from leaves(item, (*path, key))


def replaced(document, paths, texts):
    """A copy of the document with these texts at these places."""
    copy = json.loads(json.dumps(document))
    for path, text in zip(paths, texts, strict=True):
        place = copy
        for key in path[:-1]:
            place = place[key]
        place[path[-1]] = text
    return copy


def accepted(document):
    try:
        return read_site(document, FONTS.names())
    except DocumentError:
        return None


@pytest.fixture(scope="module")
def sample(demo):
    """The sample with a button, a menu, lettering in a picture, and every place where any text is taken."""
    document = demo.site.model_dump(mode="json")
    document["assets"][0]["lettering"] = "Ferns"
    document["assets"][0]["credit"] = "Drawn"
    document["assets"][0]["note"] = "Noted"
    for block in (
        b for page in document["pages"] for band in page["bands"] for c in band["columns"] for b in c["blocks"]
    ):
        # within any text that takes the place of the block's
        block["phrases"] = [{**phrase, "start": 0, "end": 1} for phrase in block["phrases"][:1]]
    seen, free = {}, []
    # kinds of page are words that pages name; nothing that is handed out says them
    for path in (path for path in leaves(document) if path[0] != "kinds"):
        kind = re.sub(r"\d+", "n", "/".join(map(str, path)))
        if kind not in seen:
            seen[kind] = accepted(replaced(document, [path], [PROBE])) is not None
        if seen[kind]:
            free.append(path)
    assert {p[-1] for p in free} >= {"name", "title", "wording", "lettering", "credit", "note"}
    return document, free


@pytest.fixture(scope="module")
def plain(sample):
    """The shape of its pages where every such text is a plain word."""
    document, free = sample
    site = read_site(replaced(document, free, ["plain"] * len(free)), FONTS.names())
    return [(shape_of(page.html("<link>"))[0], css_shape(page.css)) for page in emitted(site)]


def emitted(site):
    return [emit_page(site, page, FONTS, Urls()) for page in site.pages]


@settings(max_examples=25)
@given(texts=st.tuples(*[TEXTS] * 6))
def test_no_text_of_a_document_changes_the_shape_of_what_is_emitted(sample, plain, texts):
    document, free = sample
    site = accepted(replaced(document, free, [texts[n % 6] for n in range(len(free))]))
    if site is None:  # one of the texts is no name: nothing of it can be seen
        return
    for nasty, (tags, rules) in zip(emitted(site), plain, strict=True):
        assert shape_of(nasty.html("<link>"))[0] == tags
        assert css_shape(nasty.css) == rules
        inline = style_text(nasty.css)
        assert inline == nasty.css or css_shape(inline) == rules
        assert "</" not in inline


@given(TEXTS)
def test_each_context_gives_back_what_was_written(text):
    shown = shape_of(f"<p>{html_text(text)}</p>")[1]
    assert shown == text
    found = []
    parser = HTMLParser()
    parser.handle_starttag = lambda _, attrs: found.extend(attrs)
    parser.feed(f'<p title="{html_attribute(text)}">')
    assert found == [("title", text)]
    token, *more = tinycss2.parse_component_value_list(css_string(text))
    assert (token.type, token.value, more) == ("string", text, [])
    kept = tinycss2.parse_component_value_list(css_comment(text) + "end")
    assert [t.type for t in kept] == ["comment", "ident"]
    assert re.fullmatch(r"[a-z0-9](?:[a-z0-9-]*[a-z0-9])?", file_part(text))


def test_nothing_runs_in_a_browser_and_names_are_seen_as_written(sample, demo, browser, tmp_path: Path):
    document, free = sample
    for n, nasty in enumerate(NASTY):
        site = accepted(replaced(document, free, [f"{k} {nasty}"[:80] for k, _ in enumerate(free)]))
        assert site is not None
        files = bundle_files(site, FONTS, MemoryPictures(demo.pictures).file) if n == 0 else {}
        emitted_page = emit_page(site, site.pages[0], FONTS, Urls())
        inline = f"<style>{style_text(emitted_page.css)}</style>"
        files[f"inline-{n}.html"] = emitted_page.html(inline).encode()
        for name, data in files.items():
            (tmp_path / name).parent.mkdir(parents=True, exist_ok=True)
            (tmp_path / name).write_bytes(data)
        for name in (f for f in files if f.endswith(".html")):
            page = browser.new_page()
            page.on("dialog", lambda _: pytest.fail("a dialog"))
            page.goto((tmp_path / name).as_uri())
            assert page.evaluate("window.ran") is None
            assert page.evaluate("document.scripts.length") == 0
            if name.startswith("inline"):
                assert page.title() == re.sub(r"[\t\n\f\r ]+", " ", site.pages[0].title)
                heading = next(b for b in site.pages[0].blocks() if b.kind == "heading")
                assert page.locator(f".gf-{heading.id}").text_content() == heading.wording.replace("\n", "")
                assert page.evaluate("getComputedStyle(document.body).display") == "grid"
            page.close()
