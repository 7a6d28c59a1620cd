"""One page as it is met at many moments: what two of them share is resolved once."""

from ..document import Page, Site
from .book import FontBook
from .moment import Moment
from .page import Windows, resolve_page
from .records import PageRecord

MISSING = "missing"
ARRIVING = ("time", "less_motion")


def depends_on(page: Page) -> frozenset[str]:
    """The members of a moment that a page's boxes and sheets depend on."""
    found = {"enlarged", "spaced", "printed"}
    for area in page.areas():
        if area.backdrop.over is not None:
            found.add("pointed")
        found.update(*(layer.depends_on() for layer in area.backdrop.layers))
    for block in page.blocks():
        if block.lettered:
            found.add("plain")
        if "closed" in block.folds:
            found.add("opened")
        if block.lettering.over is not None:
            found.add("pointed")
        if block.assets():
            found.add(MISSING)
        if block.entrance is not None:
            found.update(ARRIVING)
    return frozenset(found)


class Met:
    """The records of a page, by moment. Moments that differ only in what nothing depends on have one record."""

    def __init__(self, site: Site, page: Page, fonts: FontBook) -> None:
        self.site, self.page, self.fonts = site, page, fonts
        self._depends = depends_on(page)
        self._windows = Windows(site, page, fonts)
        self._records: dict[Moment, PageRecord] = {}

    def _made(self, moment: Moment) -> PageRecord:
        if moment not in self._records:
            self._records[moment] = resolve_page(self.site, self.page, moment, self.fonts, self._windows)
        return self._records[moment]

    def page_at(self, moment: Moment) -> Page:
        """The page as the document says that it is met at a moment, without exceptions."""
        return self._windows.laid_at(moment)[0]

    def at(self, moment: Moment) -> PageRecord:
        """The page at a moment."""
        counted = moment.of(self._depends)
        if not counted.missing:
            return self._made(counted)
        if counted not in self._records:
            # everything is laid out as if the pictures were there
            self._records[counted] = self._made(moment.of(self._depends - {MISSING})).without_pictures()
        return self._records[counted]
