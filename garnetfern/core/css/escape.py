"""What a document says, written so that it means itself where it lands: one function for each context.

HTML 13.1 (text, attributes), CSS Syntax 3 (strings, addresses, comments), and files on any disk. Ids need nothing: the
document takes only such as are identifiers in HTML and CSS (`document.base.Identifier`).
"""

import re
from base64 import b64encode
from hashlib import sha256
from html import escape


def html_text(text: str) -> str:
    """Text between tags."""
    return escape(text, quote=False)


def html_attribute(text: str) -> str:
    """The value of an attribute, to stand between double quotes."""
    return escape(text, quote=True)


def html_words(text: str) -> str:
    """Words between tags; where they break by their own will, they do."""
    return html_text(text).replace("\n", "<br>")


def css_string(text: str) -> str:
    """A string with its quotes. `<` is escaped too, so that it can stand in a style element."""
    return '"' + re.sub(r'["\\<\x00-\x1f\x7f]', lambda m: f"\\{ord(m[0]):x} ", text) + '"'


def css_url(address: str) -> str:
    """An address as `url()`."""
    return f"url({css_string(address)})"


def css_comment(text: str) -> str:
    """A comment. What would end it, or a style element around it, is set apart; line breaks become spaces."""
    inner = re.sub(r"\s+", " ", text).replace("*/", "* /").replace("</", "< /")
    return f"/* {inner} */"


def style_text(css: str) -> str:
    """A whole stylesheet inside a style element, whose end tag cannot be in it (HTML 13.1.2.6)."""
    return css.replace("</", "<\\/")


def script_hash(script: str) -> str:
    """The source expression that admits an inline script of this content (CSP 3, section 2.3.1)."""
    return f"'sha256-{b64encode(sha256(script.encode()).digest()).decode()}'"


def file_part(text: str, otherwise: str = "picture", most: int = 40) -> str:
    """A name as part of a file name: small ASCII letters, digits and hyphens, which no disk takes for another."""
    return re.sub(r"[^a-z0-9]+", "-", text.lower()).strip("-")[:most].rstrip("-") or otherwise
