"""Lengths as they are written: the part of CSS Values 4 that this product takes.

A length is a number with a unit (px, %, vw, vh, rem, em), a sum of such terms inside `clamp()`,
or `clamp(least, wanted, most)`. Zero may stand without a unit. Resolving to px is done by `resolve.lengths`.
"""

import re
from dataclasses import dataclass
from functools import lru_cache
from typing import Annotated

from pydantic import AfterValidator

from ..errors import LengthError

UNITS = ("px", "%", "vw", "vh", "rem", "em")
LARGEST = 20_000.0
_TERM = re.compile(r"\s*([+-]?)\s*(\d+(?:\.\d+)?|\.\d+)(px|%|vw|vh|rem|em)?", re.ASCII)
_RULE = "A length is a number with px, %, vw, vh, rem or em, or clamp(least, wanted, most), like clamp(32px, 6vw, 96px)"


@dataclass(frozen=True)
class Term:
    """One number with its unit."""

    value: float
    unit: str


Sum = tuple[Term, ...]


@dataclass(frozen=True)
class Length:
    """`wanted`, held between `least` and `most` where those are given."""

    wanted: Sum
    least: Sum | None = None
    most: Sum | None = None


def _parse_sum(text: str, whole: str) -> Sum:
    terms: list[Term] = []
    at = 0
    while at < len(text.rstrip()):
        match = _TERM.match(text, at)
        sign_needed = bool(terms)
        if not match or (sign_needed and not match[1]):
            raise LengthError(f"{_RULE}. Received: {whole[:60]!r}.")
        value = float(match[2]) * (-1 if match[1] == "-" else 1)
        if not match[3] and value:
            raise LengthError(
                f"The number {match[2]} needs a unit: px, %, vw, vh, rem or em. Received: {whole[:60]!r}."
            )
        if abs(value) > LARGEST:
            raise LengthError(f"A length reaches {LARGEST:.0f} at the most. Received: {whole[:60]!r}.")
        terms.append(Term(value, match[3] or "px"))
        at = match.end()
    if not terms:
        raise LengthError(f"{_RULE}. Received: {whole[:60]!r}.")
    return tuple(terms)


@lru_cache(maxsize=2048)
def parse_length(text: str) -> Length:
    """Read a length. Raises LengthError, whose message states the rule and what was received."""
    body = text.strip()
    if body.startswith("clamp(") and body.endswith(")"):
        parts = body[6:-1].split(",")
        if len(parts) != 3:
            raise LengthError(f"clamp() takes three lengths: clamp(least, wanted, most). Received: {text[:60]!r}.")
        least, wanted, most = (_parse_sum(part, text) for part in parts)
        return Length(wanted, least, most)
    terms = _parse_sum(body, text)
    if len(terms) > 1:
        raise LengthError(f"A sum of lengths is taken inside clamp() only. Received: {text[:60]!r}.")
    return Length(terms)


def scaled(text: str, factor: float) -> str:
    """The same length `factor` times as long, as text. Raises LengthError."""
    length = parse_length(text)

    def said(terms: Sum) -> str:
        parts = [f"{abs(t.value * factor):.6g}{t.unit}" for t in terms]
        signs = ["-" if t.value * factor < 0 else "+" for t in terms]
        first = ("-" if signs[0] == "-" else "") + parts[0]
        return first + "".join(f" {sign} {part}" for sign, part in zip(signs[1:], parts[1:], strict=True))

    if length.least is None or length.most is None:
        return said(length.wanted)
    return f"clamp({said(length.least)}, {said(length.wanted)}, {said(length.most)})"


def _checked(text: str) -> str:
    parse_length(text)
    return text.strip()


def _not_negative(text: str) -> str:
    length = parse_length(text)
    for part in (length.wanted, length.least, length.most):
        if part and len(part) == 1 and part[0].value < 0:
            raise LengthError(f"This length cannot be below zero. Received: {text[:60]!r}.")
    return text.strip()


LengthText = Annotated[str, AfterValidator(_checked)]
SizeText = Annotated[str, AfterValidator(_not_negative)]


def _fixed(text: str) -> str:
    length = parse_length(text)
    if any(t.unit == "%" for part in (length.wanted, length.least, length.most) for t in part or ()):
        raise LengthError(f"This length is not taken in %. Received: {text[:60]!r}.")
    return text.strip()


FixedText = Annotated[LengthText, AfterValidator(_fixed)]
FixedSizeText = Annotated[SizeText, AfterValidator(_fixed)]
