"""The sample site as a site file."""

import hashlib
import io
from dataclasses import asdict
from datetime import date
from typing import Any

from ..core.document import read_site
from ..core.film import Reel, film_type
from ..core.picture import Facts, examine
from ..core.telling import Told
from ..fonts import shipped_fonts
from ..service.files.site_file import SiteFile
from ..service.kinds.empty import SCREENS, empty_site
from .book import book_page
from .drawn import one_after_the_other, side_by_side
from .fair import fair_page
from .moving import moving_pages
from .notices import notices_page
from .placed import placed_bands
from .room import PICTURE, room_document
from .words import phrase, words

NAMES = {
    "glasshouse-dawn": "Glasshouse at dawn.jpg",
    "misted-panes": "Misted panes.jpg",
    "lantern-night": "Lantern night.jpg",
    "fern-close": "Fern, close.jpg",
    "reading-room": "Reading room.jpg",
    "fern-tile": "Fern tile.png",
    "fade-strip": "Fade strip.png",
    "house-mark": "House mark.png",
    "mist-and-sun": "Mist and sun.mp4",
}


def asset(asset_id: str, data: bytes) -> dict[str, Any]:
    """The entry of a picture or a film in the document."""
    film = film_type(data) is not None
    facts = Facts(**asdict(Reel(io.BytesIO(data)).examined())) if film else examine(data, NAMES[asset_id])
    return {
        "id": asset_id,
        "name": NAMES[asset_id],
        "hash": hashlib.sha256(data).hexdigest(),
        "type": facts.type,
        "width": facts.width,
        "height": facts.height,
        "bytes": len(data),
        "alpha": facts.alpha,
        "duration": facts.duration,
        "rate": facts.rate,
    }


def _header() -> dict[str, Any]:
    name = words("site-name", "logo", "Marrowby Fern House", "Young Serif", "20px", "#2b3d33", lettering={"line": 1.4})
    name["link"] = "index.html"
    menu = words("menu", "menu", "", "Hanken Grotesk", "16px", "#2b3d33", lettering={"align": "end"})
    entries = {"Visit": "index.html", "Fair": "fern-fair.html", "Ferns": "fern-book.html"}
    menu["items"] = [{"wording": said, "link": link} for said, link in entries.items()]
    # behind one word where there is no room for the name of the house beside it
    menu |= {"wording": "Menu", "screens": {"phone": {"fold": "closed"}}}
    return {
        "id": "top",
        "name": "Header",
        "role": "header",
        "padding": {"block": "14px", "inline": "6vw"},
        "content": {"width": "1240px", "level": "center", "gap": "16px"},
        "layout": "row",
        "backdrop": {"base": "#f4efe4"},
        "columns": [{"id": "top-words", "share": 2.6, "blocks": [name]}, {"id": "top-menu", "blocks": [menu]}],
    }


def _banner() -> dict[str, Any]:
    heading = words(
        "headline",
        "heading",
        "A hundred ferns under old glass",
        "Young Serif",
        "clamp(34px, 4.4vw, 64px)",
        "#fbf7ee",
        level=1,
        width="620px",
        lettering={"line": 1.08},
    )
    line = words(
        "opening",
        "text",
        "Open from ten until the light goes. Free on the first Sunday of every month.",
        "Hanken Grotesk",
        "clamp(17px, 1.4vw, 20px)",
        "#fbf7ee",
        width="30rem",
        lettering={"weight": 500},
    )
    return {
        "id": "banner",
        "name": "Banner",
        "role": "banner",
        "height": {"min": "62vh"},
        "padding": {"block": "clamp(32px, 5vw, 72px)", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "end"},
        "backdrop": {
            "base": "#20302a",
            "layers": [
                {
                    "kind": "image",
                    "id": "dawn",
                    "name": "Glasshouse at dawn",
                    "asset": "glasshouse-dawn",
                    "focal": [0.72, 0.44],
                },
                {"kind": "colour", "id": "dusk", "name": "Dusk", "colour": "#0b1a14", "opacity": 0.2},
            ],
        },
        "columns": [{"id": "banner-words", "gap": "18px", "blocks": [heading, line]}],
    }


FAIR = "On the last Saturday in May. Bring a pot, take a fern home; the reading room serves tea."


def _week() -> dict[str, Any]:
    left = [
        words(
            "week",
            "heading",
            "This week in the house",
            "Young Serif",
            "28px",
            "#23332b",
            level=2,
            lettering={"line": 1.2},
        ),
        words(
            "week-text",
            "text",
            "The royal ferns have opened on the south bench. Volunteers water at eight; visitors are welcome to help.",
            "Hanken Grotesk",
            "17px",
            "#34453c",
        ),
    ]
    right = [
        words("fair", "heading", "The fern fair", "Young Serif", "28px", "#23332b", level=2, lettering={"line": 1.2}),
        words(
            "fair-text",
            "text",
            FAIR,
            "Hanken Grotesk",
            "17px",
            "#34453c",
            phrases=[
                phrase(FAIR, "last Saturday in May", strong=True),
                phrase(FAIR, "take a fern home", link="fern-fair.html", colour="#6b2430"),
            ],
        ),
    ]
    return {
        "id": "week-band",
        "name": "This week",
        "padding": {"block": "44px", "inline": "6vw"},
        "content": {"width": "1240px", "gap": "48px"},
        "backdrop": {"base": "#f4efe4"},
        "columns": [{"id": "week-left", "blocks": left}, {"id": "week-right", "blocks": right}],
    }


def _footer() -> dict[str, Any]:
    line = words("address", "text", "Marrowby Fern House, kept by its volunteers", "Hanken Grotesk", "15px", "#d9e2d6")
    return {
        "id": "foot",
        "name": "Footer",
        "role": "footer",
        "padding": {"block": "28px", "inline": "6vw"},
        "content": {"width": "1240px"},
        "backdrop": {"base": "#20302a"},
        "columns": [{"id": "foot-words", "blocks": [line]}],
    }


def demo_document(assets: list[dict[str, Any]]) -> dict[str, Any]:
    """The document of the sample site as plain JSON."""
    return {
        "format": "garnetfern-site",
        "version": 4,
        "name": "Marrowby Fern House",
        "language": "en-GB",
        "palette": ["#20302a", "#0b1a14", "#f4efe4", "#fbf7ee", "#7a1f2b", "#3f6f46"],
        "screens": SCREENS,
        "assets": assets,
        "slots": [{"id": "card", "name": "Card", "width": 640, "height": 400}],
        "pages": [
            {
                "id": "home",
                "slug": "home",
                "title": "Marrowby Fern House",
                "backdrop": {"base": "#f4efe4"},
                "bands": [_header(), _banner(), _week(), _footer()],
            },
            fair_page(_header(), _footer()),
            *moving_pages(_header(), _footer()),
            book_page(_header(), _footer()),
            notices_page(_header(), _footer()),
        ],
    }


def demo_site_file(drawn: dict[str, bytes] | None = None) -> SiteFile:
    """The sample site with its pictures, where they are not `drawn` already."""
    pictures = drawn or one_after_the_other()
    entries = [asset(asset_id, data) for asset_id, data in pictures.items()]
    site = read_site(demo_document(entries), shipped_fonts().names())
    return SiteFile(site, {entry["hash"]: pictures[entry["id"]] for entry in entries})


SAMPLE = "Marrowby Fern House"
"""What the first site of the sample is called."""
FERN_HOUSE = "marrowby-fern-house"
"""The id that the first site of the sample gets in a data folder."""


def demo_site_files(today: date, drawn: dict[str, bytes] | None = None) -> list[SiteFile]:
    """All sites of the sample: the fern house with what rules show around a day, its reading room, an empty one."""
    bare = demo_site_file(drawn)
    placed = placed_bands(bare.site.model_dump(mode="json"), today)
    house = SiteFile(read_site(placed, shipped_fonts().names()), bare.pictures)
    entry = next(a for a in house.site.assets if a.id == PICTURE).model_dump(mode="json")
    document = {**room_document(entry), "screens": SCREENS}
    room = SiteFile(read_site(document, shipped_fonts().names()), {entry["hash"]: house.pictures[entry["hash"]]})
    return [house, room, SiteFile(empty_site(), {})]


def sample_sites(told: Told) -> list[SiteFile]:
    """All of them as they are today, their pictures drawn side by side."""
    return demo_site_files(date.today(), side_by_side(told))
