"""Plain data from elsewhere: JSON (RFC 8259) and text, checked before anything is made of it.

What is let through is finite, no deeper than `limits.JSON_DEPTH`, and well-formed Unicode without control characters.
"""

import json
import re
import unicodedata
from itertools import accumulate
from typing import Any, NoReturn

from . import limits
from .errors import DocumentError, Problem

_STRING = re.compile(rb'"(?:[^"\\]|\\.)*"?', re.DOTALL)
_BRACKETS = re.compile(rb"[\[{\]}]")
_OPENING = b"[{"
_SUSPICIOUS = re.compile(
    rb"\\u(?:00[0189a-fA-F]|007[fF]|[dD][89a-fA-F]|[fF][dDfF])|\x7f|\xc2[\x80-\x9f]|\xef[\xb7\xbf]|[\xf0-\xf4].\xbf[\xbe\xbf]"
)
"""What may stand for a control character, half a pair or no character. Only then every text is looked at."""
_FORBIDDEN = re.compile(
    "[\x00-\x08\x0b\x0c\x0e-\x1f\x7f-\x9f\ud800-\udfff\ufdd0-\ufdef\ufffe\uffff"
    + "".join(f"{chr(n * 0x10000 + 0xFFFE)}{chr(n * 0x10000 + 0xFFFF)}" for n in range(1, 17))
    + "]"
)


def refuse(kind: str, message: str, path: str = "$") -> NoReturn:
    """Raise a DocumentError of one problem."""
    raise DocumentError([Problem(kind, message, path)])


def text_problem(text: str) -> str | None:
    """Why a text cannot be taken, as a sentence; None where it can."""
    found = _FORBIDDEN.search(text)
    if found is None:
        return None
    code = ord(found[0])
    what = "half of a surrogate pair" if 0xD800 <= code <= 0xDFFF else "a control character or no character at all"
    return f"A text holds characters alone; at place {found.start() + 1} of this one stands U+{code:04X}, {what}."


def tidied(text: str, most: int = 120, otherwise: str = "unnamed") -> str:
    """A name that came with a file, as one line that can be kept: normalised (NFC), without what cannot be taken."""
    line = re.sub(r"\s+", " ", _FORBIDDEN.sub(" ", unicodedata.normalize("NFC", text))).strip()
    return line[:most].rstrip() or otherwise


def depth_of(data: bytes) -> int:
    """How deep a JSON text is nested, found without reading it."""
    steps = (1 if b in _OPENING else -1 for b in b"".join(_BRACKETS.findall(_STRING.sub(b"", data))))
    return max(accumulate(steps), default=0)


def _constant(name: str) -> NoReturn:
    refuse("number", f"JSON has no {name}; a number is finite.")


def _real(text: str) -> float:
    value = float(text)
    if value in (float("inf"), float("-inf")):
        refuse("number", f"A number is finite; {text[:30]} is too great to be told from infinity.")
    return value


def _whole(text: str) -> int:
    if len(text) > 17 or abs(int(text)) > limits.WHOLE_NUMBER:
        refuse("number", f"A whole number reaches {limits.WHOLE_NUMBER} at the most. Received: {text[:30]}.")
    return int(text)


def _check_texts(value: Any, path: str) -> None:
    """Raise a DocumentError for the first text that cannot be taken."""
    if isinstance(value, str):
        problem = text_problem(value)
        if problem is not None:
            refuse("text", problem, path)
    elif isinstance(value, list):
        for n, item in enumerate(value):
            _check_texts(item, f"{path}[{n}]")
    elif isinstance(value, dict):
        for name, item in value.items():
            _check_texts(name, path)
            _check_texts(item, f"{path}.{name}")


def read_json(data: bytes, depth: int = limits.JSON_DEPTH) -> Any:
    """The value of a JSON text. Raises DocumentError, whose path leads to what is wrong where that is known."""
    if depth_of(data) > depth:
        refuse("depth", f"JSON is taken to a depth of {depth}; this is nested deeper.")
    try:
        value = json.loads(data.decode("utf-8"), parse_constant=_constant, parse_float=_real, parse_int=_whole)
    except UnicodeDecodeError as error:
        refuse("json", f"JSON is UTF-8; at byte {error.start + 1} this is not.")
    except (ValueError, RecursionError) as error:
        refuse("json", f"This is no JSON that can be read ({error}).")
    if _SUSPICIOUS.search(data):
        _check_texts(value, "$")
    return value
