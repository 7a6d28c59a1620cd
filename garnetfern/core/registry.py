"""Finding the entries of a registry: the modules of a package, so that a new entry is a new file and nothing else."""

import importlib
import pkgutil
from types import ModuleType


def entries(package: ModuleType) -> dict[str, ModuleType]:
    """The modules of a package by name, in the order of their names; those that begin with `_` are helpers."""
    names = sorted(found.name for found in pkgutil.iter_modules(package.__path__))
    return {n: importlib.import_module(f"{package.__name__}.{n}") for n in names if not n.startswith("_")}
