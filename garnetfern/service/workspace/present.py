"""The present site, and those of the last few steps: what a question that was on its way was asked of."""

import pickle
from collections import OrderedDict
from threading import Lock

from ...core.document import Site, read_site
from ...core.document.shares import alike
from ...core.errors import StaleError
from ...core.resolve.book import FontBook
from ...store import State
from ...store.history import History
from .patch import Patch, patched

EARLIER = 4
"""How many revisions before the present one are remembered."""


class Present:
    """Reads the site once a revision. Documents are kept packed, as copies of them are asked for all the time."""

    def __init__(self, history: History, fonts: FontBook) -> None:
        self._history, self._names = history, fonts.names
        self._known: OrderedDict[int, tuple[bytes, Site]] = OrderedDict()
        self._lock = Lock()

    def _now(self) -> int:
        """The present revision, known from here on."""
        revision = self._history.revision()
        with self._lock:
            if revision in self._known:
                return revision
        state: State = self._history.state()
        found = pickle.dumps(state.document), read_site(state.document, self._names())
        with self._lock:
            self._known[state.revision] = found
            while len(self._known) > EARLIER + 1:
                self._known.popitem(last=False)
        return state.revision

    def site(self, patch: Patch | None = None, based_on: int | None = None) -> Site:
        """The present site, with a patch applied that is not kept. Raises StaleError where `based_on` is another."""
        revision = self._now()
        if based_on is not None and based_on != revision:
            raise StaleError(based_on, revision)
        return self._with(revision, patch, revision)

    def asked(self, patch: Patch | None, of: int) -> Site:
        """The site that a question is about: the present one, or one of a few steps ago. Raises StaleError."""
        return self._with(of, patch, self._now())

    def _with(self, revision: int, patch: Patch | None, now: int) -> Site:
        with self._lock:
            known = self._known.get(revision)
        if known is None:
            raise StaleError(revision, now)
        packed, site = known
        if not patch:
            return site
        return alike(site, read_site(patched(pickle.loads(packed), patch, len(packed)), self._names()))
