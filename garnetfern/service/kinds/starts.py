"""What a new page can begin with. Header and footer are those of the site's first page."""

from collections.abc import Callable
from dataclasses import dataclass

from ...core.colour.contrast import luminance_of
from ...core.document import Backdrop, Band, Block, Column, Height, Ids, Padding, Page, Site
from .blocks import new_block
from .fresh import Fresh, by_light

MANY = 3
"""So many columns or entries stand beside each other."""


@dataclass(frozen=True)
class Start:
    """A start: its name for people, what it is made of in a few words, its bands, and the kind of page that it is."""

    name: str
    note: str
    bands: Callable[["Maker"], tuple[Band, ...]]
    kind: str = "page"

    def kind_in(self, site: Site) -> dict[str, str]:
        """The kind of a page that begins so, where the site has that kind."""
        return {"kind": self.kind} if self.kind in site.kinds else {}


class Maker:
    """Makes bands for a page that is begun, in the site's colours and fonts."""

    def __init__(self, site: Site, page: Page) -> None:
        self.site, self.page, self.ids = site, page, Ids(page)
        ordered = by_light(site)
        self.dark, self.light = ordered[0], ordered[-1]
        self._headed = False

    def _first(self, block: Block) -> Block:
        if self._headed or block.kind != "heading":
            return block
        self._headed = True
        return block.model_copy(update={"level": 1})

    def column(self, base: str, *kinds: str) -> Column:
        """A column with blocks of some kinds, its words in the colour that stands out from a base; the first heading of
        all is the page's own."""
        model = self.site.pages[0] if self.site.pages else self.page
        fresh = Fresh(self.site, model, self.dark if luminance_of(base) > 0.18 else self.light)
        blocks = tuple(self._first(new_block(kind, fresh, self.ids)) for kind in kinds)
        return Column(id=self.ids.free("column"), blocks=blocks)

    def band(self, name: str, base: str, columns: int, *kinds: str, high: str = "0px", banner: bool = False) -> Band:
        """A band of equal columns."""
        return Band(
            id=self.ids.free("band"),
            name=name,
            role="banner" if banner else "band",
            height=Height(min=high),
            padding=Padding(block="48px", inline="6vw"),
            backdrop=Backdrop(base=base),
            columns=tuple(self.column(base, *kinds) for _ in range(columns)),
        )

    def banner(self, high: str = "56vh") -> Band:
        """A banner with a heading and a line."""
        return self.band("Banner", self.dark, 1, "heading", "text", high=high, banner=True)


STARTS: dict[str, Start] = {
    "empty": Start("Empty", "header and footer", lambda _: ()),
    "banner": Start("Banner", "a banner alone", lambda m: (m.banner("72vh"),)),
    "columns": Start(
        "Banner and columns",
        "a banner, and three columns below",
        lambda m: (m.banner(), m.band("Columns", m.light, MANY, "heading", "text")),
    ),
    "list": Start(
        "List",
        "a low banner, and entries one below the other",
        lambda m: (
            m.banner("30vh"),
            *(m.band(f"Entry {n + 1}", m.light, 1, "heading", "text", "button") for n in range(MANY)),
        ),
        "list",
    ),
    "article": Start(
        "Article",
        "a heading, and text to read",
        lambda m: (m.band("Text", m.light, 1, "heading", "text", "text"),),
        "article",
    ),
    "visit": Start(
        "Visit",
        "a banner, and two columns for hours and the way",
        lambda m: (m.banner("40vh"), m.band("Hours and the way", m.light, 2, "heading", "text")),
    ),
}
