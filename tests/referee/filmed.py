"""Generated banners with a film behind their words, and their files, for the browser to judge."""

import hashlib
import io
import random
from functools import lru_cache
from typing import Any

from garnetfern.core.css.pictures import Emission
from garnetfern.core.css.urls import Urls
from garnetfern.core.film import Reel
from garnetfern.core.film.coding import Codec, coded
from garnetfern.core.resolve.film import Cut
from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import SiteFile
from tests.films import film
from tests.sites import HEADING, colour_layer, document, film_layer, with_film

RATE = 12
FILMS = ({"size": (640, 360)}, {"size": (640, 360), "matrix": None, "coded_as": "ITU601"}, {"size": (360, 480)})


@lru_cache(maxsize=8)
def _original(number: int) -> bytes:
    return film(rate=RATE, **FILMS[number])


@lru_cache(maxsize=64)
def _coded(data: bytes, cut: Cut, codec: Codec) -> bytes:
    reel = Reel(io.BytesIO(data))
    size, footage = (cut.width, cut.height), cut.footage
    return coded(
        lambda: reel.frames(footage.moments()), footage.count, footage.rate, size, codec, cut.budget, lambda _: None
    ).data


def filmed(file: SiteFile, codecs: tuple[Codec, ...] = ("h264",)) -> tuple[Urls, dict[str, bytes]]:
    """Addresses with a site's films in some codecs, and their files by path."""
    files: dict[Cut, dict[Codec, bytes]] = {}
    for _, cut in Emission(file.site, file.site.pages[0], shipped_fonts(), Urls()).films():
        files[cut] = {codec: _coded(file.pictures[cut.hash], cut, codec) for codec in codecs}
    named = {cut: tuple((c, hashlib.sha256(d).hexdigest()) for c, d in made.items()) for cut, made in files.items()}
    urls = Urls("../pictures/", "../fonts/", "../films/", coded=named)
    asset = file.site.assets[0]
    found = {}
    for cut, made in files.items():
        for address, data in zip(urls.film(asset, cut), made.values(), strict=True):
            found[address.address.removeprefix("../")] = data
    return urls, found


def generate(seed: int) -> SiteFile:
    """A banner with a film, laid and blended in some way, under an overlay or not, its words in a plate or not."""
    rng = random.Random(seed)
    layer = film_layer(
        start=rng.choice([0, 0.5]),
        still=rng.choice([0, 1.2]),
        size=rng.choice(["cover", "cover", "cover", "contain", "stretch"]),
        focal=[round(rng.random(), 2), round(rng.random(), 2)],
        opacity=rng.choice([1, 1, 0.7]),
        blend=rng.choice(["normal", "normal", "multiply", "screen"]),
    )
    below: list[dict[str, Any]] = [colour_layer("#889922", id="below")] if rng.random() < 0.4 else []
    above: list[dict[str, Any]] = [colour_layer("#0b1a14", 0.35, id="above")] if rng.random() < 0.6 else []
    heading = {**HEADING, "plate": {"backdrop": {"base": "#0b1a1480"}}} if rng.random() < 0.3 else HEADING
    plain: dict[str, Any] = document(*below, layer, *above, blocks=[heading])
    plain["name"] = f"Filmed {seed}"
    return with_film(plain, _original(rng.randrange(len(FILMS))))
