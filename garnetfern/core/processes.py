"""Processes that work for another one, and what Ctrl+C does to them: they end at once, and say nothing.

A new interpreter answers it with a traceback from wherever it is, its own imports included.
"""

import signal
from collections.abc import Iterator
from contextlib import contextmanager

_CTRL_C = frozenset({signal.SIGINT})


@contextmanager
def begun_unheard() -> Iterator[None]:
    """What is begun meanwhile does not hear Ctrl+C; this process hears it afterwards. Masks go by thread and are
    handed on to what a thread begins."""
    before = signal.pthread_sigmask(signal.SIG_BLOCK, _CTRL_C)
    try:
        yield
    finally:
        signal.pthread_sigmask(signal.SIG_SETMASK, before)


def end_at_once() -> None:
    """From now on Ctrl+C ends this process; one that was not heard does so now. For the beginning of a worker."""
    signal.signal(signal.SIGINT, signal.SIG_DFL)
    signal.pthread_sigmask(signal.SIG_UNBLOCK, _CTRL_C)
