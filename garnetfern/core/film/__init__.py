"""Films: what a file really holds, its frames as the browser shows them, and files of a part of it to a budget."""

from .facts import FilmFacts, FilmType, film_type
from .leaves import Leaves
from .reel import Reel, opened

__all__ = ["FilmFacts", "FilmType", "Leaves", "Reel", "film_type", "opened"]
