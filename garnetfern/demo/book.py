"""The sample site's page about its ferns: colours that glow, lists, captions on pictures in one tone, a mark."""

from typing import Any

from .words import phrase, words

Plain = dict[str, Any]
SERIF, SANS = "Young Serif", "Hanken Grotesk"
INK, TEXT, PAPER, CREAM = "#23332b", "#34453c", "#f4efe4", "#fbf7ee"


def _glow(name: str, colour: str, across: str, down: str, reach: str) -> Plain:
    """One colour that fades out all round a spot: several of them make a field without a seam."""
    stops = [{"colour": colour, "at": "0%"}, {"colour": f"{colour}00", "at": reach}]
    own = {"shape": "radial", "centre": [across, down], "extent": "farthest-side", "stops": stops, "space": "oklab"}
    return {"kind": "gradient", "id": name, "name": name.capitalize().replace("-", " "), "gradient": own}


def _title() -> Plain:
    heading = words(
        "book-title",
        "heading",
        "Every fern we keep",
        SERIF,
        "clamp(38px, 5.4vw, 80px)",
        CREAM,
        level=1,
        lettering={"line": 1.08},
    )
    line = words(
        "book-line",
        "text",
        "Two hundred kinds in one book, each with its bench, its thirst and the year it came.",
        SANS,
        "20px",
        CREAM,
        width="30rem",
    )
    button = words(
        "book-visit",
        "button",
        "See them on Saturday",
        SANS,
        "18px",
        "#16251f",
        link="index.html",
        lettering={"weight": 600, "over": "#000000"},
    )
    button["plate"] = {
        "backdrop": {"base": "#e8d9a8", "over": {"fade": 200, "base": "#fbf7ee"}},
        "padding": {"block": "12px", "inline": "22px"},
        "radius": "4px",
    }
    layers = [
        _glow("moss", "#3f6f46", "12%", "0%", "92%"),
        _glow("water", "#1f4a52", "88%", "18%", "96%"),
        _glow("lamp", "#6b4a1c", "58%", "112%", "74%"),
        {"kind": "pattern", "id": "spores", "name": "Spores", "tile": "seeds", "size": 44, "opacity": 0.05},
        {
            "kind": "shape",
            "id": "tips",
            "name": "Fern tips",
            "silhouette": "fern-tips",
            "side": "bottom",
            "depth": "clamp(44px, 7vw, 120px)",
            "colour": PAPER,
        },
    ]
    return {
        "id": "book-banner",
        "name": "Book banner",
        "role": "banner",
        "height": {"min": "68vh"},
        "padding": {"block": "clamp(40px, 8vw, 112px)", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "center"},
        "backdrop": {"base": "#16251f", "layers": layers},
        "columns": [{"id": "book-words", "gap": "20px", "blocks": [heading, line, button]}],
    }


CARE = "Water from below, mornings.\nLet the glass be shaded by noon.\nTurn no pot; a fern knows where the light is."
KNOWN = "The oldest is the king's crown on the north bench. It has been moved twice, and sulked for a year each time."


def _care() -> Plain:
    steps = words("care-steps", "text", CARE, SANS, "18px", TEXT, listed="numbers", lettering={"line": 1.6})
    text = words(
        "care-text",
        "text",
        KNOWN,
        SANS,
        "18px",
        TEXT,
        lettering={"line": 1.6},
        phrases=[
            phrase(KNOWN, "king's crown", emphasis=True),
            phrase(KNOWN, "moved twice", strong=True),
        ],
    )
    ask = "Ask the bench keeper\nBorrow the book for a week\nBring a frond to have it named"
    asked = words("care-ask", "text", ask, SANS, "18px", TEXT, listed="marks", lettering={"line": 1.6})
    stripe = {
        "kind": "edge",
        "id": "spine",
        "name": "Spine",
        "edges": ["left"],
        "depth": "10px",
        "softness": 0,
        "colour": "#3f6f46",
    }

    def head(name: str, said: str) -> Plain:
        return words(name, "heading", said, SERIF, "28px", INK, level=2, lettering={"line": 1.2})

    columns = [
        {"id": "care-left", "gap": "14px", "blocks": [head("care-head", "How to keep them"), steps]},
        {"id": "care-right", "gap": "14px", "blocks": [head("known-head", "What to know"), text, asked]},
    ]
    return {
        "id": "care",
        "name": "How to keep them",
        "padding": {"block": "56px", "inline": "6vw"},
        "content": {"width": "1240px", "gap": "56px"},
        "backdrop": {"base": PAPER, "layers": [stripe]},
        "columns": columns,
    }


def _caption(name: str, said: str, line: str, asset: str, focal: tuple[float, float]) -> Plain:
    """A picture in the tone of the page, a shade along its foot, words on that."""
    tones = {"contrast": 1.05, "grayscale": 1}
    photo = {
        "kind": "image",
        "id": f"{name}-photo",
        "name": said,
        "asset": asset,
        "focal": list(focal),
        "filter": tones,
    }
    tone = {
        "kind": "colour",
        "id": f"{name}-tone",
        "name": "Green tone",
        "colour": "#5f8f6a",
        "blend": "multiply",
        "opacity": 0.9,
    }
    foot = {
        "kind": "edge",
        "id": f"{name}-foot",
        "name": "Dark foot",
        "edges": ["bottom"],
        "depth": "78%",
        "colour": "#07130e",
        "opacity": 0.92,
    }
    blocks = [
        words(f"{name}-head", "heading", said, SERIF, "24px", CREAM, level=3, lettering={"line": 1.2}),
        words(f"{name}-line", "text", line, SANS, "16px", CREAM),
    ]
    return {
        "id": f"{name}-column",
        "name": said,
        "height": "300px",
        "stand": "end",
        "gap": "6px",
        "padding": {"block": "20px", "inline": "22px"},
        "backdrop": {"base": "#16251f", "layers": [photo, tone, foot]},
        "blocks": blocks,
    }


def _benches() -> Plain:
    return {
        "id": "benches",
        "name": "Three benches",
        "padding": {"block": "clamp(28px, 4vw, 56px)", "inline": "6vw"},
        "content": {"width": "1240px", "gap": "24px"},
        "columns": [
            _caption("south", "South bench", "Royal ferns, in the sun until ten.", "glasshouse-dawn", (0.72, 0.44)),
            _caption("north", "North bench", "Filmy ferns, under a cloth.", "misted-panes", (0.6, 0.5)),
            _caption("stove", "By the stove", "Tree ferns, when they are small.", "fern-close", (0.4, 0.5)),
        ],
    }


def _mark() -> Plain:
    mark = {
        "id": "house-mark",
        "kind": "picture",
        "asset": "house-mark",
        "wording": "The mark of the fern house: a frond in a ring",
        "width": "96px",
        "clear": "16px",
        "graphic": True,
        "link": "index.html",
    }
    line = words(
        "mark-line",
        "text",
        "Printed by the volunteers of the house, and corrected in pencil since.",
        SANS,
        "17px",
        TEXT,
        width="24rem",
    )
    return {
        "id": "mark-band",
        "name": "The mark",
        "padding": {"block": "20px", "inline": "6vw"},
        "content": {"width": "1240px", "gap": "8px", "level": "center"},
        "columns": [
            {"id": "mark-left", "share": 1, "blocks": [mark]},
            {"id": "mark-right", "share": 6, "blocks": [line]},
        ],
    }


def book_page(header: Plain, footer: Plain) -> Plain:
    """The page as plain JSON: one pattern runs behind its pictures and its mark."""
    fronds = {
        "kind": "pattern",
        "id": "fronds",
        "name": "Fronds",
        "tile": "fronds",
        "size": 72,
        "colour": "#3f6f46",
        "opacity": 0.1,
    }
    paper = {
        "id": "book-paper",
        "name": "Paper",
        "first": "benches",
        "last": "mark-band",
        "backdrop": {"base": "#e9ecdd", "layers": [fronds]},
    }
    return {
        "id": "fern-book",
        "slug": "fern-book",
        "title": "The fern book",
        "backdrop": {"base": PAPER},
        "bands": [header, _title(), _care(), _benches(), _mark(), footer],
        "joins": [paper],
    }
