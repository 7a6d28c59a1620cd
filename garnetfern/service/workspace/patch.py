"""Changes to a document as JSON Patch (RFC 6902), bounded in steps and in what each step makes of it."""

import json
from typing import Any

import jsonpatch
import jsonpointer

from ...core import limits
from ...core.errors import DocumentError, Problem

Patch = list[dict[str, Any]]


def _refused(message: str, path: str = "$", kind: str = "patch") -> DocumentError:
    return DocumentError([Problem(kind, f"{message} Nothing was changed.", path)])


def _adds(document: Any, step: dict[str, Any]) -> int:
    """How many characters a step may add to the document: those of its value, or of what it copies."""
    if step.get("op") == "copy":
        source = jsonpointer.resolve_pointer(document, str(step.get("from", "")))
        return len(json.dumps(source, ensure_ascii=False))
    return len(json.dumps(step.get("value"), ensure_ascii=False)) if "value" in step else 0


def patched(document: dict[str, Any], patch: Patch, size: int = 0) -> dict[str, Any]:
    """The document with the patch applied, in place: hand in a copy. Raises DocumentError.

    `size` is that of the document in characters, as far as it is known; no step may make it larger than the limit.
    """
    if len(patch) > limits.PATCH_STEPS:
        raise _refused(f"A change has {limits.PATCH_STEPS} steps at the most; this one has {len(patch)}.")
    result: Any = document
    for n, step in enumerate(patch):
        try:
            size += _adds(result, step)
            if size > limits.DOCUMENT:
                most = limits.DOCUMENT // limits.MB
                raise _refused(
                    f"Step {n + 1} would make the site larger than {most} MB, which is the most.", "$", "size"
                )
            result = jsonpatch.apply_patch(result, [step], in_place=True)
        except (jsonpatch.JsonPatchException, jsonpatch.JsonPointerException, TypeError, KeyError, ValueError) as error:
            raise _refused(f"The change does not fit the document ({error}).") from error
        except RecursionError as error:
            raise _refused("The change nests the document too deeply.") from error
    if not isinstance(result, dict):
        raise _refused("The change would leave no document.")
    return result
