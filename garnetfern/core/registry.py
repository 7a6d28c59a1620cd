"""Finding the entries of a registry: the modules of a package, so that a new entry is a new file and nothing else.

A kind is declared by one module in each of several packages, which have its name. The first of them, in the document,
says what kinds there are; the others are asked for their `parts`.
"""

import importlib
import pkgutil
from collections.abc import Iterable
from types import ModuleType


def entries(package: ModuleType) -> dict[str, ModuleType]:
    """The modules of a package by name, in the order of their names; those that begin with `_` are helpers."""
    names = sorted(found.name for found in pkgutil.iter_modules(package.__path__))
    return {n: importlib.import_module(f"{package.__name__}.{n}") for n in names if not n.startswith("_")}


def parts(package: ModuleType, kinds: Iterable[str]) -> dict[str, ModuleType]:
    """The module of every kind in a package. Raises ImportError where a kind has none there, or a module no kind."""
    found, wanted = entries(package), list(kinds)
    for kind in wanted:
        if kind not in found:
            raise ImportError(f"The kind {kind!r} is declared, but has no module {package.__name__}.{kind}.")
    for name in found:
        if name not in wanted:
            raise ImportError(f"The module {package.__name__}.{name} is of a kind that is not declared.")
    return {kind: found[kind] for kind in wanted}
