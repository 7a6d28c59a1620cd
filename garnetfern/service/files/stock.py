"""Searching the stock-picture stand-in."""

from typing import Literal

from typing_extensions import TypedDict

from ...core.errors import NotFoundError
from ...core.picture.look import Orientation, orientation
from ...stock.catalogue import BY_ID, CATALOGUE, THUMBS, StockPicture, draw_stock, stock_facts


class StockView(TypedDict):
    """A picture on offer at the stock stand-in."""

    id: str
    title: str
    width: int
    height: int
    orientation: Orientation
    colours: list[str]
    colour_names: list[str]
    mood: str
    credit: str


Shape = Literal["landscape", "portrait", "square"]


def _view(picture: StockPicture) -> StockView:
    facts = stock_facts()[picture.id]
    return {
        "id": picture.id,
        "title": picture.title,
        "width": picture.size[0],
        "height": picture.size[1],
        "orientation": orientation(*picture.size),
        "colours": facts["colours"],
        "colour_names": facts["names"],
        "mood": facts["mood"],
        "credit": picture.credit,
    }


def search_stock(word: str = "", colour: str = "", shape: str = "") -> list[StockView]:
    """The pictures that have every word (or its beginning), a colour by its name, and a shape; all for nothing."""
    wanted = word.lower().split()
    found = []
    for picture in CATALOGUE:
        view = _view(picture)
        words = [w.lower() for w in (*picture.words, *picture.title.split(), view["mood"])]
        if not all(any(w.startswith(part) for w in words) for part in wanted):
            continue
        if (colour and colour not in view["colour_names"]) or (shape and shape != view["orientation"]):
            continue
        found.append(view)
    return found


def stock_thumb(name: str) -> bytes:
    """A small picture. Raises NotFoundError."""
    return (THUMBS / f"{stock_picture(name).id}.webp").read_bytes()


def stock_picture(name: str) -> StockPicture:
    """A picture on offer. Raises NotFoundError."""
    if name not in BY_ID:
        raise NotFoundError("There is no such stock picture.")
    return BY_ID[name]


def fetch_stock(name: str) -> tuple[bytes, StockPicture]:
    """The full picture and what is known of it."""
    picture = stock_picture(name)
    return draw_stock(name), picture
