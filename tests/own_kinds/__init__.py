"""A kind of layer and a kind of block that are new files alone, and what takes them through the application.

As a plugin of pytest (`-p tests.own_kinds`) it widens the packages of kinds by the folders here, which are laid out as
the application's own. It has to come before anything of the application is imported: it runs in its own process.
"""

import sys
from collections.abc import Sequence
from importlib.abc import MetaPathFinder
from importlib.machinery import ModuleSpec, PathFinder
from pathlib import Path
from types import ModuleType

HERE = Path(__file__).parent
APPLICATION = "garnetfern."


class _Wider(MetaPathFinder):
    """Finds what is here as if it lay in the application."""

    def find_spec(self, name: str, path: Sequence[str] | None, target: ModuleType | None = None) -> ModuleSpec | None:
        also = HERE.joinpath(*name.removeprefix(APPLICATION).split("."))
        if not name.startswith(APPLICATION) or not also.is_dir():
            return None
        spec = PathFinder.find_spec(name, path, target)
        if spec is not None and spec.submodule_search_locations is not None:
            spec.submodule_search_locations.append(str(also))
        return spec


if "garnetfern.core" not in sys.modules:
    sys.meta_path.insert(0, _Wider())
