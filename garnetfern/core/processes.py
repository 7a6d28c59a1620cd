"""Processes that work for another one: what Ctrl+C does to them, and when it is their turn.

They end at once, and say nothing: a new interpreter answers Ctrl+C with a traceback from wherever it is, its own
imports included. And no work goes before that of the people who wait.
"""

import ctypes
import os
import signal
import sys
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


_SYSTEM = ctypes.CDLL(None) if sys.platform.startswith("linux") else None
_CAPABILITIES_3 = 0x20080522
_SYS_NICE = 1 << 23


class _Whose(ctypes.Structure):
    """`struct __user_cap_header_struct` of capget(2): which version, and of which thread (0: this one)."""

    _fields_ = (("version", ctypes.c_uint32), ("pid", ctypes.c_int))


class _Capabilities(ctypes.Structure):
    """`struct __user_cap_data_struct` of capget(2); there are two of them, for the lower and the upper 32."""

    _fields_ = (("effective", ctypes.c_uint32), ("permitted", ctypes.c_uint32), ("inheritable", ctypes.c_uint32))


@contextmanager
def never_first() -> Iterator[None]:
    """Meanwhile this thread, and those that it starts, cannot put themselves before others. Run by root, the coder of
    AV1 makes itself and the thread that calls it real-time (SCHED_FIFO), for good: everything else then gets what it
    leaves. Without the capability to do so (CAP_SYS_NICE of Linux) it goes on as for anybody."""
    whose, own = _Whose(_CAPABILITIES_3, 0), (_Capabilities * 2)()
    if _SYSTEM is None or _SYSTEM.capget(ctypes.byref(whose), own) != 0 or not own[0].effective & _SYS_NICE:
        yield
        return
    own[0].effective &= ~_SYS_NICE
    _SYSTEM.capset(ctypes.byref(whose), own)
    try:
        yield
    finally:
        own[0].effective |= _SYS_NICE
        _SYSTEM.capset(ctypes.byref(whose), own)


def stand_back(by: int) -> None:
    """From now on this thread, and those that it starts, get less of the processors where others want them, by so many
    steps of nice(2); the rest of the process stays as it is, which is so on Linux alone."""
    if sys.platform.startswith("linux"):
        os.nice(by)
