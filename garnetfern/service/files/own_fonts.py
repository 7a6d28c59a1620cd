"""Owners' fonts in a document: new entries, what they stand in place of, and facts that a document cannot change."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

from ...core.css.escape import file_part
from ...core.document import FontFile, Site, each_block
from ...core.errors import DocumentError, NotFoundError, Problem
from ...core.fontfile import TakenFont
from ...core.plain import tidied
from ...store.fonts import OWN
from .assets import free


@dataclass(frozen=True)
class FontsAdded:
    """A site with fonts added: which they are, and those of them that were there, or stand where another stood."""

    site: Site
    added: tuple[FontFile, ...]
    known: tuple[FontFile, ...]
    replaced: tuple[FontFile, ...]


def _style(file: FontFile) -> tuple[object, ...]:
    return file.family, file.italic, file.least_weight, file.most_weight


def with_fonts(site: Site, files: Sequence[tuple[str, Sequence[TakenFont]]]) -> FontsAdded:
    """The site with the fonts of files, each by its name. The same bytes are there once; the same style of a family is
    replaced."""
    fonts = list(site.fonts)
    added, known, replaced = [], [], []
    for name, font in ((name, font) for name, taken in files for font in taken):
        plain = tidied(name.replace("\\", "/").rsplit("/", 1)[-1], 110, "font")
        hash_ = font.hash
        there = next((file for file in fonts if file.hash == hash_), None)
        if there is not None:
            known.append(there)
            continue
        stem = file_part(font.facts.family, "font")[:34]
        wanted = stem if stem[:1].isalpha() else f"f-{stem}"
        entry = font.facts.entry(free(wanted, {f.id for f in fonts}), plain, hash_, len(font.data))
        kin = next((file for file in fonts if file.family == entry.family), None)
        if kin is not None:
            entry = entry.model_copy(update={"category": kin.category})
        old = next((n for n, file in enumerate(fonts) if _style(file) == _style(entry)), None)
        if old is None:
            fonts.append(entry)
        else:
            replaced.append(fonts[old])
            fonts[old] = entry
        added.append(entry)
    return FontsAdded(site.model_copy(update={"fonts": tuple(fonts)}), tuple(added), tuple(known), tuple(replaced))


def check_fonts(site: Site, before: Site | None, find: Callable[[str], dict[str, Any] | None]) -> None:
    """Facts about a font belong to the store: Raises DocumentError where the document says others, NotFoundError where
    the store does not have it. `find` gives what the store knows of a hash; `before` is the site that was changed."""
    old = {file.id: file for file in before.fonts} if before is not None else {}
    for n, file in enumerate(site.fonts):
        if old.get(file.id) == file:
            continue
        path, facts = f"$.fonts[{n}]", find(file.hash)
        if facts is None:
            raise NotFoundError(f"The font {file.name!r} is not in the store; hand it in first.", path)
        said = file.model_dump(mode="json", exclude=set(OWN))
        for fact, value in said.items():
            if facts.get(fact) != value:
                message = f"{file.name!r} has other {fact}, found when it came in, which cannot be changed."
                raise DocumentError([Problem("facts", f"{message} Nothing was changed.", f"{path}.{fact}")])


def without_family(site: Site, family: str, others: frozenset[str], instead: str) -> Site:
    """The site without an owner's family; words that were set in it are set in another, unless one that ships has the
    same name. Raises NotFoundError."""
    if not any(file.family == family for file in site.fonts):
        raise NotFoundError(f"There is no font {family!r} of your own in this site.")
    fonts = tuple(file for file in site.fonts if file.family != family)
    found = site.model_copy(update={"fonts": fonts})
    return found if family in others else renamed_font(found, family, instead)


def renamed_font(site: Site, family: str, to: str, keep: bool = False) -> Site:
    """The site with every word of a family set in another; `keep`: it is the same one, and its axes stay set."""

    def changed(block: Any) -> Any:
        if block.lettering.font != family:
            return block
        lettering = block.lettering.model_copy(update={"font": to, **({} if keep else {"axes": {}})})
        return block.model_copy(update={"lettering": lettering})

    return site.model_copy(update={"pages": tuple(each_block(page, changed) for page in site.pages)})
