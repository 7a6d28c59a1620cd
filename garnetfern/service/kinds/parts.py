"""Parts that pages can have in common, as people meet them."""

PART_NAMES = {
    "header": "The header",
    "banner": "The banner's style",
    "behind": "The picture behind header and banner",
    "outer": "The outer background",
    "footer": "The footer",
}
PART_NOTES = {
    "header": "with its words, menu and backdrop",
    "banner": "its picture, layers, height and spaces; the words are each page's own",
    "behind": "one backdrop from the top of the page to the end of the banner",
    "outer": "the page's backdrop and width",
    "footer": "with its words and backdrop",
}


def on_pages(count: int) -> str:
    """`on 7 pages`."""
    return "on 1 page" if count == 1 else f"on {count} pages"
