"""What leads from one JSON value to another, as JSON Patch (RFC 6902): small where little has changed."""

from typing import Any

import jsonpatch

Patch = list[dict[str, Any]]


def difference(old: Any, new: Any) -> Patch:
    """The steps that make `new` of `old`; none where they are the same. Both are plain JSON."""
    steps: Patch = jsonpatch.make_patch(old, new).patch
    return steps
