"""Where the pages of a site lie once they are handed out, and the links that lead there."""

import re

from .block import Block
from .model import Page, Site, each_block

FIRST = "index.html"
"""What the first page is called, whatever its own address is: it is what hosts show for a folder."""


def file_of(site: Site, page_id: str) -> str:
    """The name of a page's file."""
    number = next(n for n, page in enumerate(site.visited) if page.id == page_id)
    slug = site.visited[number].slug
    if number == 0:
        return FIRST
    return f"{slug}.html" if f"{slug}.html" != FIRST else "index-page.html"


def _target(link: str) -> tuple[str, str]:
    """The file that a link of this site leads to, and what stands behind it (a query, a place on the page)."""
    match = re.match(r"(?:\./)?([^?#]*)(.*)", link, re.DOTALL)
    return (match[1], match[2]) if match else (link, "")


def links_to(site: Site, page_id: str) -> int:
    """How many links of other pages lead to a page."""
    file = file_of(site, page_id)
    others = (block for page in site.pages if page.id != page_id for block in page.blocks())
    return sum(1 for block in others for link in block.addresses() if _target(link)[0] == file)


def _relinked(block: Block, names: dict[str, str]) -> Block:
    def new(link: str) -> str:
        file, behind = _target(link)
        return names[file] + behind if file in names else link

    update: dict[str, object] = {}
    if block.link is not None and new(block.link) != block.link:
        update["link"] = new(block.link)
    items = tuple(item.model_copy(update={"link": new(item.link)}) for item in block.items)
    if items != block.items:
        update["items"] = items
    phrases = tuple(p.model_copy(update={"link": new(p.link)}) if p.link else p for p in block.phrases)
    if phrases != block.phrases:
        update["phrases"] = phrases
    return block.model_copy(update=update) if update else block


def with_links(before: Site, after: Site) -> Site:
    """A site whose pages have changed places or addresses, with links that lead to the pages that they led to."""
    there = {page.id for page in before.visited}
    names = {file_of(before, p.id): file_of(after, p.id) for p in after.visited if p.id in there}
    if all(old == new for old, new in names.items()):
        return after
    pages: tuple[Page, ...] = tuple(each_block(page, lambda b: _relinked(b, names)) for page in after.pages)
    return after.model_copy(update={"pages": pages})
