"""The kinds of long work on a site: fitting its pictures, and making its films' files."""

import time
from collections.abc import Callable

from ...core.document import Site
from ...core.resolve.book import FontBook
from ..files.films import Films, Piece, cuts_of
from ..files.fitting import Fitting
from ..runtime.work import Report, Task, UnwantedError

EVERY = 0.25
"""How often it is told how far a film has come, s."""
PARTS = 100
"""A piece of work on a film is told of in so many parts."""


class LongWork:
    """What the worker carries out. `site` gives the present one."""

    def __init__(self, site: Callable[[], Site], fitting: Fitting, films: Films, fonts: FontBook) -> None:
        self._site, self._fitting, self._films, self._fonts = site, fitting, films, fonts
        self.tasks: dict[str, Task] = {"fit": self._fit, "film": self._film}
        self._asked: frozenset[Piece] = frozenset()

    def films_wanted(self) -> bool:
        """Whether something has to be made of a film that was not asked for before: work that somebody has stopped is
        not begun again by itself."""
        missing = frozenset(self._films.missing(self._site()))
        fresh = missing - self._asked
        self._asked |= fresh
        return bool(fresh)

    def _fit(self, report: Report) -> str:
        """Make every fitted file that is missing, of pictures and of films."""
        site = self._site()
        missing = self._fitting.missing(site, self._fonts)
        for n, (one, kind) in enumerate(missing):
            report(n, len(missing), f"{one.asset.name}, {one.rendition.width} px, {kind}")
            self._fitting.make(one, kind)
        report(len(missing), len(missing), "")
        count = len(missing) + self._films_made(report)
        return f"{count} files were made." if count else "Every file was there already."

    def _film(self, report: Report) -> str:
        """Make every file of a film that is missing."""
        count = self._films_made(report)
        return f"{count} pieces of work on films are done." if count else "Every file was there already."

    def _films_made(self, report: Report) -> int:
        """Piece by piece, as long as there is one: what is wanted can change meanwhile. Gives how many were done."""
        done = 0
        while missing := self._films.missing(self._site()):
            piece, total = missing[0], (done + len(missing)) * PARTS
            said = 0.0

            def told(share: float, piece: Piece = piece, total: int = total, before: int = done) -> None:
                nonlocal said
                # each time something is written, and the site looked through
                if time.monotonic() - said < EVERY:
                    return
                said = time.monotonic()
                part = int(share * PARTS)
                report(before * PARTS + part, total, piece.said)
                if piece.cut not in cuts_of(self._site(), self._fonts):
                    raise UnwantedError

            report(done * PARTS, total, piece.said)
            try:
                self._films.make(piece, told)
            except UnwantedError:
                continue
            done += 1
        return done
