"""From plain JSON to a Site, with every problem named by its place."""

from collections.abc import Collection
from typing import Any

from pydantic import ValidationError

from ..errors import DocumentError, Problem
from .migrations import MIGRATIONS
from .model import Site
from .rules import problems_of

FORMAT = "garnetfern-site"
VERSION = 4


def _path(location: tuple[int | str, ...], data: Any) -> str:
    """A JSON path of pydantic's location; the names of union members in it are left out."""
    path = "$"
    for place, key in enumerate(location):
        if isinstance(key, int):
            path += f"[{key}]"
            data = data[key] if isinstance(data, list | tuple) and key < len(data) else None
        elif isinstance(data, dict) and key == data.get("kind") and place < len(location) - 1:
            continue  # the name of a union's member; no field of that name holds anything inside
        else:
            path += f".{key}"
            data = data.get(key) if isinstance(data, dict) else None
    return path


def _sentence(error: Any) -> str:
    message = str(error["msg"]).removeprefix("Value error, ")
    if error["type"] == "extra_forbidden":
        return "This field is not known here."
    if error["type"] == "string_too_long":
        most, has = error["ctx"]["max_length"], len(str(error["input"]))
        return f"This text takes {most:,} characters at the most; it has {has:,}."
    return message if message.endswith(".") else message + "."


def _problems(error: ValidationError, data: Any) -> list[Problem]:
    """What pydantic found, without the lists it calls too short because an item of theirs is wrong."""
    found = [Problem(e["type"], _sentence(e), _path(e["loc"], data)) for e in error.errors()]
    inner = {p.path for p in found}
    return [p for p in found if p.kind != "too_short" or not any(path.startswith(p.path + "[") for path in inner)]


def migrate(data: dict[str, Any]) -> dict[str, Any]:
    """Bring an earlier version of the document to the present one. Raises DocumentError for a later one."""
    if data.get("format") != FORMAT:
        raise DocumentError([Problem("format", f"A site document says format {FORMAT!r}.", "$.format")])
    version = data.get("version")
    if type(version) is not int or not 1 <= version <= VERSION:
        message = f"This program reads versions 1 to {VERSION} of the document; this one says {version!r}."
        raise DocumentError([Problem("version", message, "$.version")])
    while version < VERSION:
        data = MIGRATIONS[version](data)
        version += 1
    return data


def read_site(data: Any, fonts: Collection[str] | None = None) -> Site:
    """Check plain JSON and give the Site. Raises DocumentError with all problems and their paths."""
    if not isinstance(data, dict):
        raise DocumentError([Problem("format", "A site document is a JSON object.", "$")])
    data = migrate(data)
    try:
        site = Site.model_validate(data)
    except ValidationError as error:
        raise DocumentError(_problems(error, data)) from error
    broken = list(problems_of(site, fonts))
    if broken:
        raise DocumentError(broken)
    return site


def site_schema() -> dict[str, Any]:
    """The JSON Schema (2020-12) of the document."""
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", **Site.model_json_schema()}
