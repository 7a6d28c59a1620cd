"""Turning what was made up into what could be asked: ids and revisions of the site as it stands."""

import random
from typing import Any

KEYS = {
    "page": "pages",
    "area": "areas",
    "layer": "layers",
    "block": "blocks",
    "band": "bands",
    "first": "bands",
    "last": "bands",
    "column": "columns",
    "asset": "assets",
    "old": "assets",
    "new": "assets",
    "screen": "screens",
    "slot": "slots",
    "look": "looks",
}


def ids_of(document: dict[str, Any]) -> dict[str, list[str]]:
    """The ids of a document by what they are of."""
    found: dict[str, list[str]] = {name: [] for name in set(KEYS.values())}

    def walk(value: Any, under: str) -> None:
        if isinstance(value, dict):
            if "id" in value and under in found:
                found[under].append(value["id"])
                if under in ("pages", "bands", "columns", "joins"):
                    found["areas"].append(value["id"])
            for name, item in value.items():
                walk(item, name)
        elif isinstance(value, list):
            for item in value:
                walk(item, under)

    walk(document, "")
    return found


def paths_of(value: Any, path: str = "") -> list[str]:
    """Every place of a document as a JSON Pointer."""
    found = [path] if path else []
    if isinstance(value, dict):
        for name, item in value.items():
            found += paths_of(item, f"{path}/{name}")
    elif isinstance(value, list):
        for n, item in enumerate(value):
            found += paths_of(item, f"{path}/{n}")
    return found


def made_real(value: Any, state: dict[str, Any], rng: random.Random, under: str = "") -> Any:
    """A copy in which most ids, revisions and paths are such as there are."""
    ids = ids_of(state["document"])
    if isinstance(value, dict):
        found = {name: made_real(item, state, rng, name) for name, item in value.items()}
        if "op" in found and "path" in found and rng.random() < 0.8:
            found["path"] = rng.choice(paths_of(state["document"]))
            found["op"] = rng.choice(["replace", "add", "remove", "copy", "move", "test"])
            found["from"] = rng.choice(paths_of(state["document"]))
        if under == "asset" and "hash" in found and rng.random() < 0.9:
            return rng.choice(state["document"]["assets"] or [found])
        return found
    if isinstance(value, list):
        return [made_real(item, state, rng, under) for item in value]
    if under == "revision" and rng.random() < 0.9:
        return state["revision"]
    options = ids.get(KEYS.get(under, ""), [])
    if isinstance(value, str) and options and rng.random() < 0.85:
        return rng.choice(options)
    return value
