"""Changes to a document as JSON Patch (RFC 6902)."""

from typing import Any

import jsonpatch

from ..core.errors import DocumentError, Problem

Patch = list[dict[str, Any]]


def patched(document: dict[str, Any], patch: Patch) -> dict[str, Any]:
    """The document with the patch applied, in place: hand in a copy. Raises DocumentError."""
    try:
        result = jsonpatch.apply_patch(document, patch, in_place=True)
    except (jsonpatch.JsonPatchException, jsonpatch.JsonPointerException, TypeError, KeyError) as error:
        message = f"The change does not fit the document ({error}). Nothing was changed."
        raise DocumentError([Problem("patch", message, "$")]) from error
    if not isinstance(result, dict):
        raise DocumentError([Problem("patch", "The change would leave no document. Nothing was changed.", "$")])
    return result
