"""A bundle: pages, one stylesheet, pictures and fonts, as files that open from disk."""

from collections.abc import Callable
from datetime import date

from ..document import Site
from ..document.addresses import file_of
from ..placement import handed_out
from ..resolve.book import FontBook
from ..resolve.film import Cut
from ..resolve.sheets import Rendition
from ..telling import Told, silent
from .letters import letter_files, lettered
from .page import emit_page
from .pictures import Emission
from .urls import Urls, text_hash

STANDARD = Urls("../pictures/", "../fonts/", "../films/")


def no_film(_: Cut, address: str) -> bytes:
    """There are no files of films."""
    raise KeyError(address)


def bundle_files(
    site: Site,
    fonts: FontBook,
    picture: Callable[[Rendition, str], bytes],
    urls: Urls = STANDARD,
    told: Told = silent,
    film: Callable[[Cut, str], bytes] = no_film,
    since: date | None = None,
) -> dict[str, bytes]:
    """Path in the bundle to bytes. The first page is index.html; stylesheets and fonts carry a hash of their content,
    so that what lies under a name stays the same for ever.

    `picture` gives the bytes of a rendition at an address, `film` those of a film's file;
    `urls` are as seen from the stylesheets' folder.
    `since`: the day from which on it is handed out; what rules show before is left out.
    `told` hears which page and which picture is being made, and the share of pages that are done.
    """
    files: dict[str, bytes] = {}
    pages = handed_out(site, since)
    letters = letter_files(site, (page for page, _ in pages), fonts)
    urls = lettered(site, urls, letters)
    for n, (page, groups) in enumerate(pages):
        told(page.title, n / len(pages))
        emitted = emit_page(site, page, fonts, urls, groups)
        css = emitted.fonts + emitted.css
        sheet = f"css/{page.slug}-{text_hash(css)}.css"
        files[sheet] = css.encode()
        html = emitted.html(f'<link rel="stylesheet" href="{sheet}">')
        files[file_of(site, page.id)] = html.encode()
        emission = Emission(site, page, fonts, urls)
        for asset, cut in emission.films():
            for file in urls.film(asset, cut):
                files[file.address.removeprefix("../")] = film(cut, file.address)
        wanted = list(emission.renditions())
        for done, (asset, rendition) in enumerate(wanted):
            told(f"{page.title}: {asset.name}", (n + done / len(wanted)) / len(pages))
            for file in urls.files(asset, rendition):
                name = file.address.removeprefix("../")
                if name not in files:
                    files[name] = picture(rendition, name)
    return files | {urls.font(name).removeprefix("../"): data for name, data in letters.items()}
