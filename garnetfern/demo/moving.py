"""Pages of the sample site on which something moves: the year in turns, an evening's colours, a welcome."""

from typing import Any

from .words import words

Plain = dict[str, Any]


def _picture(name: str, title: str, asset: str, focal: tuple[float, float]) -> Plain:
    return {"layer": {"kind": "image", "id": name, "name": title, "asset": asset, "focal": list(focal)}}


def _gradient(name: str, *colours: str) -> Plain:
    own = {"shape": "linear", "angle": 115, "stops": [{"colour": c} for c in colours]}
    return {"layer": {"kind": "gradient", "id": name, "name": name.capitalize().replace("-", " "), "gradient": own}}


def _page(name: str, title: str, header: Plain, banner: Plain, footer: Plain) -> Plain:
    bands = [header, banner, footer]
    # below the footer of a short page goes on what is in it
    return {"id": name, "slug": name, "title": title, "backdrop": {"base": "#20302a"}, "bands": bands}


def _year() -> Plain:
    heading = words(
        "year-title",
        "heading",
        "Green all through the year",
        "Young Serif",
        "clamp(34px, 4.6vw, 66px)",
        "#fbf7ee",
        level=1,
        width="640px",
        lettering={"line": 1.08},
    )
    line = words(
        "year-line",
        "text",
        "Spring croziers, summer shade, lamps in November: something is always unrolling.",
        "Hanken Grotesk",
        "20px",
        "#fbf7ee",
        width="30rem",
        lettering={"weight": 500},
    )
    members = [
        _picture("dawn-in-march", "Dawn in March", "glasshouse-dawn", (0.2, 0.6)),
        {**_picture("june", "June", "fern-close", (0.4, 0.5)), "stay": 4},
        _picture("november", "November", "lantern-night", (0.5, 0.3)),
    ]
    turns = {"kind": "sequence", "id": "seasons", "name": "Seasons", "members": members, "stay": 6, "change": 1.5}
    shade = {"kind": "colour", "id": "year-shade", "name": "Shade", "colour": "#0b1a14", "opacity": 0.3}
    return {
        "id": "year-banner",
        "name": "Year banner",
        "role": "banner",
        "height": {"min": "64vh"},
        "padding": {"block": "clamp(32px, 5vw, 72px)", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "end"},
        "backdrop": {"base": "#20302a", "layers": [turns, shade]},
        "columns": [{"id": "year-words", "gap": "16px", "blocks": [heading, line]}],
    }


def _evening() -> Plain:
    heading = words(
        "evening-title",
        "heading",
        "Evenings among the ferns",
        "Oswald",
        "clamp(44px, 7vw, 104px)",
        "#fbf7ee",
        level=1,
        lettering={
            "weight": 600,
            "line": 1.1,
            "hollow": True,
            "outline": {"width": "2px", "colour": "#fbf7ee"},
            "capitals": True,
        },
    )
    line = words(
        "evening-line",
        "text",
        "Thursdays in August the house stays open until the moths come.",
        "Hanken Grotesk",
        "20px",
        "#fbf7ee",
        width="28rem",
    )
    members = [
        _gradient("last-sun", "#7a1f2b", "#3b1c2e", "#10202a"),
        _gradient("blue-hour", "#1d3a5c", "#16263f", "#0b1a14"),
        _gradient("lamps", "#5c3a12", "#2c2415", "#0b1a14"),
    ]
    sky = {"kind": "sequence", "id": "sky", "name": "Evening sky", "members": members, "stay": 1, "change": 7}
    return {
        "id": "evening-banner",
        "name": "Evening banner",
        "role": "banner",
        "height": {"min": "70vh"},
        "padding": {"block": "56px", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "center"},
        "backdrop": {"base": "#16263f", "layers": [sky]},
        "columns": [{"id": "evening-words", "gap": "20px", "blocks": [heading, line]}],
    }


def _welcome() -> Plain:
    texts = (
        ("hello", "heading", "Come in, it is warm", "Young Serif", "clamp(36px, 5vw, 72px)"),
        ("door", "text", "The door sticks a little; push it with your shoulder.", "Hanken Grotesk", "21px"),
        (
            "coat",
            "text",
            "Coats go on the third hook; the first two are for the cats.",
            "Hanken Grotesk",
            "21px",
        ),
    )
    blocks = []
    for n, (name, kind, said, font, size) in enumerate(texts):
        more: Plain = {"level": 1, "lettering": {"line": 1.1}} if kind == "heading" else {"width": "30rem"}
        block = words(name, kind, said, font, size, "#20302a", **more)
        block["entrance"] = {"way": "rise" if n else "settle", "duration": 0.8, "delay": 0.2}
        blocks.append(block)
    inside = {"block": "14px", "inline": "22px"}
    blocks[0]["plate"] = {"backdrop": {"base": "#fbf7eee6"}, "padding": inside, "radius": "4px", "fit": True}
    light = {"kind": "colour", "id": "light", "name": "Light", "colour": "#fbf7ee", "opacity": 0.25}
    photo = {"kind": "image", "id": "mist", "name": "Misted panes", "asset": "misted-panes", "focal": [0.6, 0.5]}
    return {
        "id": "welcome-banner",
        "name": "Welcome banner",
        "role": "banner",
        "height": {"min": "66vh"},
        "padding": {"block": "56px", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "center"},
        "backdrop": {"base": "#dfe9df", "layers": [photo, light]},
        "columns": [{"id": "welcome-words", "gap": "18px", "stagger": 0.5, "blocks": blocks}],
    }


def _fair_morning() -> Plain:
    heading = words(
        "morning-title",
        "heading",
        "The fair begins when the mist lifts",
        "Young Serif",
        "clamp(34px, 4.8vw, 68px)",
        "#fbf7ee",
        level=1,
        width="680px",
        lettering={"line": 1.08},
    )
    line = words(
        "morning-line",
        "text",
        "Stalls under the old glass from seven; the kettle is on from six.",
        "Hanken Grotesk",
        "20px",
        "#fbf7ee",
        width="28rem",
        lettering={"weight": 500},
    )
    film = {"kind": "video", "id": "mist-film", "name": "Mist and sun", "asset": "mist-and-sun", "end": 6, "rate": 24}
    shade = {"kind": "colour", "id": "morning-shade", "name": "Shade", "colour": "#0b1a14", "opacity": 0.42}
    return {
        "id": "morning-banner",
        "name": "Morning banner",
        "role": "banner",
        "height": {"min": "70vh"},
        "padding": {"block": "clamp(32px, 5vw, 72px)", "inline": "6vw"},
        "content": {"width": "1240px", "stand": "end"},
        "backdrop": {"base": "#20302a", "layers": [film, shade]},
        "columns": [{"id": "morning-words", "gap": "16px", "blocks": [heading, line]}],
    }


def moving_pages(header: Plain, footer: Plain) -> list[Plain]:
    """The pages as plain JSON."""
    return [
        _page("through-the-year", "Through the year", header, _year(), footer),
        _page("evenings", "Evenings", header, _evening(), footer),
        _page("welcome", "Welcome", header, _welcome(), footer),
        _page("fair-morning", "Fair morning", header, _fair_morning(), footer),
    ]
