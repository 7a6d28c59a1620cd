"""Owners' fonts on the shelf: what each says of itself, where it is used, and which letters it lacks there."""

from collections.abc import Callable, Iterator

from typing_extensions import TypedDict

from ...core.document import Block, FontFile, Page, Site
from ...core.document.fonts import Axis, Category, Instance
from ...core.resolve.book import FontBook
from ...core.resolve.fonts import Family
from ...core.resolve.lettering import capitalised
from ...core.resolve.shape import Setting, shape

EMBEDDING = {
    "any": "Its maker allows it to be embedded.",
    "edit": "Its maker allows it to be embedded in documents that are edited; the web is not named.",
    "view": "Its maker allows it to be embedded for viewing and printing; the web is not named.",
    "none": "Its maker does not allow it to be embedded without their leave.",
}
"""What OS/2 fsType says, in a sentence. A licence may say more; the file does not know it."""
SIZE = 20.0


class FontFileRow(TypedDict):
    """A file of a family: `style` in words, `embedding` as its maker says; `intact`: it is there and whole."""

    id: str
    name: str
    hash: str
    style: str
    bytes: int
    embedding: str
    allowed: bool
    note: str
    intact: bool


class Lacking(TypedDict):
    """Words that a family does not have all letters for; they are set in what stands in for it."""

    page: str
    block: str
    words: str
    letters: str
    sentence: str


class OwnFamily(TypedDict):
    """An own family on the shelf."""

    family: str
    category: Category
    stack: str
    files: list[FontFileRow]
    axes: list[Axis]
    instances: list[Instance]
    letters: int
    scripts: str
    used: int
    places: list[str]
    lacking: list[Lacking]
    replaces: bool


class OwnFontsView(TypedDict):
    """All own families."""

    families: list[OwnFamily]
    bytes: int


SCRIPTS = {
    "Latin": (0x41, 0x24F),
    "Greek": (0x391, 0x3C9),
    "Cyrillic": (0x410, 0x44F),
    "Hebrew": (0x5D0, 0x5EA),
    "Arabic": (0x620, 0x64A),
    "Devanagari": (0x905, 0x939),
    "Thai": (0xE01, 0xE2E),
    "Kana": (0x3041, 0x3096),
    "Hangul": (0xAC00, 0xAC63),
    "Han": (0x4E00, 0x4E63),
}
"""Scripts by some of their letters, first and last."""


def style_of(file: FontFile) -> str:
    """The weight, or from which to which, and whether it is slanted."""
    weights = dict.fromkeys((file.least_weight, file.most_weight))
    return " to ".join(map(str, weights)) + (" italic" if file.italic else "")


def _scripts(letters: frozenset[int]) -> str:
    """The scripts of which most of the letters looked for are there."""
    found = []
    for name, (first, last) in SCRIPTS.items():
        there = sum(code in letters for code in range(first, last + 1))
        if there * 2 > min(last - first + 1, 100):
            found.append(name)
    return ", ".join(found)


def lacking_in(page: Page, block: Block, family: Family) -> Lacking | None:
    """Letters of a block that its family does not have."""
    lettering = block.lettering
    italic = family.slanted(lettering.italic)
    setting = Setting(family, family.weight(lettering.weight, italic), SIZE, 0.0, italic)
    wordings = [item.wording for item in block.items] or block.wording.split("\n")
    missing = "".join(shape(capitalised(wording, lettering), setting).missing for wording in wordings)
    letters = " ".join(sorted(set(missing) - {" "}))
    if not letters:
        return None
    are = "is" if len(letters) == 1 else "are"
    sentence = f"{letters} {are} not in {family.name}: '{block.said[:60]}' on {page.title} falls back for {letters}."
    return {"page": page.id, "block": block.id, "words": block.said[:80], "letters": letters, "sentence": sentence}


def _set_in(site: Site, family: str) -> Iterator[tuple[Page, Block]]:
    for page in site.pages:
        for block in page.blocks():
            if block.lettered and block.lettering.font == family and not block.heard:
                yield page, block


def own_fonts_view(site: Site, fonts: FontBook, whole: Callable[[str], bool]) -> OwnFontsView:
    """Every own family; of one whose files are damaged neither letters nor words are told."""
    book = fonts.of(site)
    shipped = {family.name for family in fonts.shipped}
    found: list[OwnFamily] = []
    for family in (family for family in book.families if family.own):
        files = [file for file in site.fonts if file.family == family.name]
        rows: list[FontFileRow] = [
            {
                "id": file.id,
                "name": file.name,
                "hash": file.hash,
                "style": style_of(file),
                "bytes": file.bytes,
                "embedding": EMBEDDING[file.embedding],
                "allowed": file.embedding == "any",
                "note": file.note,
                "intact": whole(file.hash),
            }
            for file in files
        ]
        intact = all(row["intact"] for row in rows)
        letters = frozenset.union(*(face.characters for face in family.files)) if intact else frozenset[int]()
        places = list(_set_in(site, family.name))
        lacking = (lacking_in(page, block, family) for page, block in places) if intact else ()
        found.append(
            {
                "family": family.name,
                "category": files[0].category,
                "stack": family.stack,
                "files": rows,
                "axes": list(files[0].axes),
                "instances": list(files[0].instances),
                "letters": len(letters),
                "scripts": _scripts(letters),
                "used": len(places),
                "places": list(dict.fromkeys(page.title for page, _ in places)),
                "lacking": [one for one in lacking if one is not None],
                "replaces": family.name in shipped,
            }
        )
    return {"families": found, "bytes": sum(file.bytes for file in site.fonts)}
