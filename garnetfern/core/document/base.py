"""What all models of the document share: strictness, and the small checked texts."""

import re
import unicodedata
from typing import Annotated

from pydantic import AfterValidator, BaseModel, ConfigDict, Field

from ..colour.notation import parse_colour
from ..plain import text_problem


class Model(BaseModel):
    """Unknown fields are refused; values do not change after they were read."""

    model_config = ConfigDict(extra="forbid", frozen=True, allow_inf_nan=False)


def _colour(text: str) -> str:
    return parse_colour(text.strip()).hex


def _text(text: str) -> str:
    """Normalised (Unicode, NFC). What is no text is refused."""
    if text.isascii() and text.isprintable():
        return text
    problem = text_problem(text)
    if problem is not None:
        raise ValueError(problem)
    return unicodedata.normalize("NFC", text)


def _line(text: str) -> str:
    """One line, without white space around it."""
    if text.isascii() and text.isprintable() and "  " not in text:
        return text.strip()
    return re.sub(r"\s+", " ", _text(text)).strip()


def _name(text: str) -> str:
    line = _line(text)
    if not line:
        raise ValueError("A name has one character at least that can be seen.")
    return line


def _wording(text: str) -> str:
    """White space as HTML collapses it, line by line; line breaks are kept."""
    text = _text(text)
    lines = (re.sub(r"[ \t\r\f\v]+", " ", line).strip(" ") for line in text.replace("\r\n", "\n").split("\n"))
    return "\n".join(lines).strip("\n")


MAX_WORDING = 2000

Identifier = Annotated[str, Field(pattern=r"^[a-z][a-z0-9-]{0,39}$")]
Colour = Annotated[str, AfterValidator(_colour)]
Name = Annotated[str, Field(min_length=1, max_length=120), AfterValidator(_name)]
Line = Annotated[str, AfterValidator(_line)]
Wording = Annotated[str, Field(max_length=MAX_WORDING), AfterValidator(_wording)]
Fraction = Annotated[float, Field(ge=0, le=1)]
