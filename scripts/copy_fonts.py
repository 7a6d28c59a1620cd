"""Copy the open fonts that ship with the application from their npm packages into garnetfern/fonts/.

Run after `npm ci` in web/ when a font is added or updated. Writes the woff2 files, their licences, and
catalogue.json with what the core has to know: families, weights and unicode ranges.
"""

import json
import shutil
from pathlib import Path

HERE = Path(__file__).resolve().parent.parent
MODULES = HERE / "web" / "node_modules"
TARGET = HERE / "garnetfern" / "fonts"
SUBSETS = ("latin-ext", "latin")
FAMILIES = {
    "Hanken Grotesk": ("@fontsource-variable/hanken-grotesk", "a clear sans"),
    "Young Serif": ("@fontsource/young-serif", "a heavy old-style serif, for headings"),
    "Literata": ("@fontsource-variable/literata", "a bookish serif"),
    "Bitter": ("@fontsource-variable/bitter", "a sturdy slab serif"),
    "Karla": ("@fontsource-variable/karla", "a plain sans with a wink"),
    "Oswald": ("@fontsource-variable/oswald", "a narrow poster face"),
    "Caveat": ("@fontsource-variable/caveat", "quick handwriting"),
}
STAND_INS = {"sans-serif": "@fontsource/arimo", "serif": "@fontsource/tinos"}
"""Fonts of the same widths as those that most devices have: what words are set in until their own font has come."""


def main() -> None:
    """Copy every family and write the catalogue."""
    catalogue = []
    for family, (package, character) in FAMILIES.items():
        home = MODULES / package
        meta = json.loads((home / "metadata.json").read_text())
        ranges = json.loads((home / "unicode.json").read_text())
        slug = package.split("/")[1]
        axis = meta.get("variable")
        weights = sorted(meta["weights"])
        files: list[dict[str, str]] = []
        italics: list[dict[str, str]] = []
        for style, found in (("normal", files), ("italic", italics)):
            for subset in SUBSETS:
                name = f"{slug}-{subset}-{'wght' if axis else weights[0]}-{style}.woff2"
                if (home / "files" / name).exists():
                    shutil.copyfile(home / "files" / name, TARGET / name)
                    found.append({"file": name, "unicode_range": ranges[subset]})
        shutil.copyfile(home / "LICENSE", TARGET / f"{slug}-LICENSE.txt")
        catalogue.append(
            {
                "family": family,
                "character": character,
                "category": meta["category"],
                "weights": [weights[0], weights[-1]],
                "variable": bool(axis),
                "files": files,
                "italics": italics,
            }
        )
    (TARGET / "catalogue.json").write_text(json.dumps(catalogue, indent=2) + "\n")
    stand_ins = {}
    for kind, package in STAND_INS.items():
        home, slug = MODULES / package, package.split("/")[1]
        ranges = json.loads((home / "unicode.json").read_text())
        styles: dict[str, list[dict[str, object]]] = {"files": [], "italics": []}
        for style, key in (("normal", "files"), ("italic", "italics")):
            for weight in (400, 700):
                for subset in SUBSETS:
                    name = f"{slug}-{subset}-{weight}-{style}.woff2"
                    shutil.copyfile(home / "files" / name, TARGET / name)
                    found_ = {"file": name, "unicode_range": ranges[subset], "weights": [weight, weight]}
                    styles[key].append(found_)
        shutil.copyfile(home / "LICENSE", TARGET / f"{slug}-LICENSE.txt")
        stand_ins[kind] = {"family": json.loads((home / "metadata.json").read_text())["family"], **styles}
    (TARGET / "stand_ins.json").write_text(json.dumps(stand_ins, indent=2) + "\n")


if __name__ == "__main__":
    main()
