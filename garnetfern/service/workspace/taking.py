"""Taking away: one rule, part of a page, inline, pictures; addresses as the owner types them."""

from dataclasses import replace
from typing import TYPE_CHECKING

from ...core.css import EmittedRule, Urls, emit_rule
from ...core.css.letters import letter_files, lettered
from ...core.document import Area, Page, Site
from ..files.archive import zip_of
from ..files.taken import TakenAway, as_inline, as_part, as_pictures

if TYPE_CHECKING:
    from .studio import Studio


class Taking:
    """What is taken away of one site."""

    def __init__(self, studio: "Studio") -> None:
        self._studio = studio

    def _urls(self, site: Site, page: Page, base: str) -> Urls:
        """The addresses of a page's files where the folders of a bundle lie behind `base`."""
        at = base if not base or base.endswith("/") else f"{base}/"
        found = self._studio.fitting.of_page(site, page, self._studio.fonts, f"{at}pictures/")
        whole = replace(found, fonts=f"{at}fonts/", films=f"{at}films/", coded=self._studio.films.coded(site))
        return lettered(site, whole, letter_files(site, [page], self._studio.fonts))

    def rule(self, site: Site, page: Page, area: Area, selector: str, base: str = "") -> EmittedRule:
        """An area's backdrop as one CSS rule; the folders of a bundle, which has its files, lie behind `base`."""
        return emit_rule(site, page, area, selector, self._studio.fonts, self._urls(site, page, base))

    def rule_files(self, site: Site, page: Page, area: Area, selector: str, base: str) -> bytes:
        """The same as a zip, with the pictures that it names."""
        rule = self.rule(site, page, area, selector, base)
        pictures = self._studio.fitting.files_in(rule.css, site, page, self._studio.fonts)
        return zip_of({"rule.css": rule.css.encode(), **{f"pictures/{n}": data for n, data in pictures.items()}})

    def taken(self, site: Site, page: Page, area: Area, way: str, base: str, prefix: str) -> TakenAway:
        """What a host of some kind takes of a page, or of an area of it. Raises TakingError."""
        urls = self._urls(site, page, base)
        if way == "part":
            return as_part(site, page, self._studio.fonts, urls, prefix)
        if way == "inline":
            return as_inline(site, page, area, self._studio.fonts, urls)
        return as_pictures(site, page, area, self._studio.fonts, urls)
