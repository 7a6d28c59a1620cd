"""The kinds of layer. A module here is one kind: it holds one model, whose `kind` is the module's name."""

import sys
from typing import TYPE_CHECKING, Annotated, Union

from pydantic import Field

from ...registry import entries
from ._base import AS_OTHERS, BlendMode, LayerBase, Phase


def _models() -> dict[str, type[LayerBase]]:
    found: dict[str, type[LayerBase]] = {}
    for name, module in entries(sys.modules[__name__]).items():
        classes = (c for c in vars(module).values() if isinstance(c, type) and issubclass(c, LayerBase))
        found[name] = next(c for c in classes if "kind" in c.model_fields and c.model_fields["kind"].default == name)
    return found


LAYER_KINDS = _models()
"""The model of every kind, by its name."""

if TYPE_CHECKING:
    Layer = LayerBase
else:
    Layer = Annotated[Union[tuple(LAYER_KINDS.values())], Field(discriminator="kind")]  # noqa: UP007

__all__ = ["AS_OTHERS", "LAYER_KINDS", "BlendMode", "Layer", "LayerBase", "Phase"]
