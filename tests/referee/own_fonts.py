"""Twenty open fonts that the application does not ship, as an owner would bring them along."""

import hashlib
import random
from dataclasses import replace
from functools import lru_cache
from pathlib import Path

from garnetfern.core.document import FontFile, read_site
from garnetfern.core.fontfile import take_fonts
from garnetfern.core.resolve.book import FontBook
from garnetfern.fonts import shipped_fonts

from .banners import Sample, generate

MODULES = Path(__file__).parents[2] / "web" / "node_modules"
FIXED = ("400-normal", "700-normal", "400-italic")
"""Of fonts that do not vary; those that have no such file are left with what they have."""
FILES: dict[str, tuple[str, ...]] = {
    "@fontsource-variable/fraunces": ("full-normal", "full-italic"),
    "@fontsource-variable/recursive": ("full-normal",),
    "@fontsource-variable/roboto-flex": ("full-normal",),
    "@fontsource-variable/inter": ("opsz-normal", "opsz-italic"),
    "@fontsource-variable/open-sans": ("wdth-normal", "wdth-italic"),
    "@fontsource-variable/nunito": ("wght-normal",),
    "@fontsource-variable/playfair": ("opsz-normal", "opsz-italic"),
    **{
        f"@fontsource/{name}": FIXED
        for name in (
            "lato",
            "merriweather",
            "pacifico",
            "bebas-neue",
            "ibm-plex-sans",
            "ibm-plex-mono",
            "cormorant-garamond",
            "josefin-sans",
            "fira-sans",
            "alegreya",
            "abril-fatface",
            "dancing-script",
            "space-mono",
        )
    },
}


def files_of(package: str) -> list[Path]:
    """The files of a package that an owner brings."""
    home = MODULES / package
    slug = package.split("/")[1]
    found = [home / "files" / f"{slug}-latin-{style}.woff2" for style in FILES[package]]
    return [file for file in found if file.exists()]


@lru_cache(maxsize=1)
def brought() -> tuple[tuple[FontFile, ...], dict[str, bytes]]:
    """All of them: the document's entries, each package one family, and their bytes by hash."""
    entries, held = [], {}
    for package in FILES:
        for n, file in enumerate(files_of(package)):
            (taken,) = take_fonts(file.read_bytes(), file.name)
            hash_ = hashlib.sha256(taken.data).hexdigest()
            slug = package.split("/")[1]
            facts = replace(taken.facts, family=slug.replace("-", " ").title())
            entries.append(facts.entry(f"{slug[:30]}-{n}", file.name, hash_, len(taken.data)))
            held[hash_] = taken.data
    return tuple(entries), held


@lru_cache(maxsize=1)
def own_book() -> FontBook:
    """The book with all of them; the shipped ones are there as well."""
    entries, held = brought()
    return shipped_fonts().with_own(held.__getitem__).with_files(entries)


def own_sample(seed: int) -> Sample:
    """The banner of a seed with its words set in fonts that an owner brought, axes of variable ones set otherwise now
    and then. Letters that none of them has are spelt otherwise: they are told, not vouched for."""
    rng, sample = random.Random(seed), generate(seed)
    entries, _ = brought()
    plain = sample.site.model_dump(mode="json")
    plain["fonts"] = [entry.model_dump(mode="json") for entry in entries]
    for band in plain["pages"][0]["bands"]:
        for block in (block for column in band["columns"] for block in column["blocks"]):
            entry = rng.choice([entry for entry in entries if not entry.italic])
            axes = [axis for axis in entry.axes if axis.tag != "wght" and rng.random() < 0.4]
            block["wording"] = block["wording"].replace("\u017d", "Z")
            block["lettering"]["font"] = entry.family
            block["lettering"]["italic"] = rng.random() < 0.3
            block["lettering"]["axes"] = {a.tag: round(rng.uniform(a.least, a.most), 1) for a in axes}
    return replace(sample, site=read_site(plain, shipped_fonts().names()))
