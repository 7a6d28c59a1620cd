"""What a visitor's browser fetches for a page on a screen: which of the files that are handed out."""

from collections.abc import Iterator

from ..document import Block, Page, Screen, Site, page_on
from ..resolve.book import FontBook
from ..resolve.film import PHONE_BELOW
from ..resolve.serving import serving_range
from .pictures import Emission, Served
from .urls import Urls


def density(screen: Screen) -> int:
    """Device px per CSS px that a screen is reckoned with: 2 on phones, 1 on others."""
    return 2 if screen.width < PHONE_BELOW else 1


def _served_to(ranges: list[Served], site: Site, screen: Screen) -> Served | None:
    """What a screen gets of a picture."""
    span = serving_range(site.screens, screen.width)
    return next((one for one in reversed(ranges) if one.span.least <= span.least), None)


def _letters(block: Block) -> Iterator[str]:
    said = block.said
    yield from dict.fromkeys(said.upper() if block.lettering.capitals else said)


def _fonts(blocks: list[Block], fonts: FontBook, urls: Urls) -> Iterator[str]:
    for block in blocks:
        lettering = block.lettering
        family = fonts.family(lettering.font)
        for letter in _letters(block) if block.lettered else ():
            face = family.face_for(ord(letter), family.weight(lettering.weight, lettering.italic), lettering.italic)
            if face is not None:
                yield urls.font(face.id)


def _behind(emission: Emission, shown: Page, screen: Screen) -> Iterator[str]:
    """The pictures and films behind the words."""
    site, twice = emission.site, density(screen) == 2
    there = {layer.id for area in shown.areas() for layer in area.backdrop.layers if layer.visible}
    areas = {area.id for area in shown.areas()}
    for area in emission.page.areas():
        for layer in area.backdrop.layers if area.id in areas else ():
            if layer.id not in there:
                continue
            for picture in layer.pictures():
                served = _served_to(emission.served(area.id, picture), site, screen)
                if served is not None:
                    asset = site.asset(picture.asset)
                    yield emission.urls.files(asset, served.twice if twice else served.once)[0].address
            for film in layer.films():
                cuts = emission.cuts(film)
                wanted = cuts[0] if screen.width >= PHONE_BELOW else next(iter(cuts[1:]), None)
                files = emission.urls.film(site.asset(film.asset), wanted[1]) if wanted else ()
                yield from (file.address for file in files[:1])


def fetched(site: Site, page: Page, fonts: FontBook, urls: Urls, screen: Screen) -> list[str]:
    """The addresses of pictures, films and fonts that a page asks for on a screen, once each: of every picture the
    file that is best of those for the screen's width, at two device px per CSS px on phones and one on others.

    `page` is as rules show it; what is not to be seen on the screen is not asked for. Films play.
    """
    emission = Emission(site, page, fonts, urls)
    shown = page_on(page, screen.id)
    shown = shown.model_copy(update={"bands": tuple(band for band in shown.bands if band.visible)})
    blocks = [block for block in shown.blocks() if block.visible]
    found = [*_behind(emission, shown, screen)]
    for block in blocks:
        if block.assets():
            served = _served_to(emission.served_block(block), site, screen)
            if served is not None:
                rendition = served.twice if density(screen) == 2 else served.once
                found.append(urls.files(site.asset(block.asset or ""), rendition)[0].address)
    found += _fonts(blocks, fonts.of(site), urls)
    return list(dict.fromkeys(found))
