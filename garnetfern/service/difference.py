"""What leads from one JSON value to another, as JSON Patch (RFC 6902): small where little has changed."""

from typing import Any

Patch = list[dict[str, Any]]


def _escaped(key: str) -> str:
    """A key as a part of a JSON Pointer (RFC 6901, section 3)."""
    return key.replace("~", "~0").replace("/", "~1")


def _objects(old: dict[str, Any], new: dict[str, Any], path: str) -> Patch:
    found: Patch = [{"op": "remove", "path": f"{path}/{_escaped(k)}"} for k in old if k not in new]
    for key, value in new.items():
        inside = f"{path}/{_escaped(key)}"
        if key not in old:
            found.append({"op": "add", "path": inside, "value": value})
        else:
            found.extend(difference(old[key], value, inside))
    return found


def _lists(old: list[Any], new: list[Any], path: str) -> Patch:
    """What is alike at the beginning and at the end stays; in between items are changed one by one or exchanged."""
    if len(old) == len(new):
        return [step for n, (a, b) in enumerate(zip(old, new, strict=True)) for step in difference(a, b, f"{path}/{n}")]
    shorter = min(len(old), len(new))
    first = next((n for n in range(shorter) if old[n] != new[n]), shorter)
    last = next((n for n in range(shorter - first) if old[-1 - n] != new[-1 - n]), shorter - first)
    gone = range(len(old) - last - 1, first - 1, -1)
    come = range(first, len(new) - last)
    return [{"op": "remove", "path": f"{path}/{n}"} for n in gone] + [
        {"op": "add", "path": f"{path}/{n}", "value": new[n]} for n in come
    ]


def difference(old: Any, new: Any, path: str = "") -> Patch:
    """The steps that make `new` of `old`; none where they are the same. Both are plain JSON."""
    if isinstance(old, dict) and isinstance(new, dict):
        return _objects(old, new, path)
    if isinstance(old, list) and isinstance(new, list):
        return _lists(old, new, path)
    if type(old) is type(new) and old == new:
        return []
    return [{"op": "replace", "path": path, "value": new}]
