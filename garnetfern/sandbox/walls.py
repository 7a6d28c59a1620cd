"""The walls of a worker: memory, time, files and network. Each stands by itself where the system has it.

Limits of resources hold on every POSIX system. Landlock (Linux 5.13 and later) takes away all files, and with its
fourth version all TCP; a network namespace of its own takes away the rest. An audit hook refuses what Python code
itself would open, wherever it runs.
"""

import contextlib
import ctypes
import os
import resource
import struct
import sys
import sysconfig
from typing import Any

from ..core.limits import ROOM_FILES, ROOM_MEMORY

_CREATE_RULESET, _ADD_RULE, _RESTRICT_SELF = 444, 445, 446
_READING = 1 << 2 | 1 << 3
"""Landlock's rights to read files and to list folders."""
_NO_NEW_PRIVILEGES = 38
_NEW_USER, _NEW_NETWORK = 0x10000000, 0x40000000
_FILE_RIGHTS = {1: 13, 2: 14, 3: 15, 4: 15, 5: 16}
"""How many rights over files each version of Landlock knows."""
_REFUSED = ("socket.", "subprocess.", "os.exec", "os.fork", "os.posix_spawn", "os.system", "ctypes.dlopen")


def no_network() -> bool:
    """Move into a network of one's own, in which there is nothing. Must come before any thread is started."""
    if not sys.platform.startswith("linux"):
        return False
    with contextlib.suppress(OSError, AttributeError):
        unshare = ctypes.CDLL(None, use_errno=True).unshare
        return bool(unshare(_NEW_NETWORK) == 0 or unshare(_NEW_USER | _NEW_NETWORK) == 0)
    return False


def program_folders() -> tuple[str, ...]:
    """Where Python and its packages lie: parts of them may be loaded late, and nobody's site lies there."""
    found = {sysconfig.get_path(name) for name in ("stdlib", "platstdlib", "purelib", "platlib")}
    return tuple(sorted(os.path.realpath(p) for p in found if p and os.path.isdir(p)))


def no_files() -> bool:
    """Give up the right to open, make, change or remove any file but the program's own (Landlock); TCP too."""
    if not sys.platform.startswith("linux"):
        return False
    with contextlib.suppress(OSError, AttributeError):
        system = ctypes.CDLL(None, use_errno=True)
        version = system.syscall(_CREATE_RULESET, None, ctypes.c_size_t(0), ctypes.c_uint32(1))
        if version < 1:
            return False
        files = (1 << _FILE_RIGHTS.get(version, 16)) - 1
        attributes = struct.pack("QQQ", files, 3 if version >= 4 else 0, 3 if version >= 6 else 0)
        size = 24 if version >= 6 else 16 if version >= 4 else 8
        rules = system.syscall(_CREATE_RULESET, attributes, ctypes.c_size_t(size), ctypes.c_uint32(0))
        for folder in program_folders() if rules >= 0 else ():
            handle = os.open(folder, os.O_PATH | os.O_CLOEXEC)
            beneath = struct.pack("=Qi", _READING, handle)
            system.syscall(_ADD_RULE, rules, ctypes.c_int(1), beneath, ctypes.c_uint32(0))
            os.close(handle)
        if rules < 0 or system.prctl(_NO_NEW_PRIVILEGES, 1, 0, 0, 0) != 0:
            return False
        return bool(system.syscall(_RESTRICT_SELF, rules, ctypes.c_uint32(0)) == 0)
    return False


def no_opening() -> None:
    """From now on Python code of this process opens nothing but the program's own files, and starts nothing."""
    own = program_folders()
    changing = os.O_WRONLY | os.O_RDWR | os.O_CREAT | os.O_TRUNC | os.O_APPEND

    def refuse(event: str, told: Any) -> None:
        if event == "open":
            path, flags = os.fspath(told[0]) if isinstance(told[0], str | bytes) else "", told[2] or 0
            name = path.decode(errors="replace") if isinstance(path, bytes) else path
            if flags & changing or not os.path.realpath(name).startswith(own):
                raise PermissionError("no file is opened here")
        elif event.startswith(_REFUSED):
            raise PermissionError(f"{event} is not done here")

    sys.addaudithook(refuse)


def bounded() -> None:
    """Bound memory, open files and what can be written; no cores are dumped."""
    resource.setrlimit(resource.RLIMIT_AS, (ROOM_MEMORY, ROOM_MEMORY))
    resource.setrlimit(resource.RLIMIT_NOFILE, (ROOM_FILES, ROOM_FILES))
    resource.setrlimit(resource.RLIMIT_FSIZE, (0, 0))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))


def seconds_left(seconds: float) -> None:
    """Let this process use so many seconds of a core from now on; the system ends it after that."""
    used = resource.getrusage(resource.RUSAGE_SELF)
    until = int(used.ru_utime + used.ru_stime + seconds) + 1
    _, hard = resource.getrlimit(resource.RLIMIT_CPU)
    resource.setrlimit(resource.RLIMIT_CPU, (until, hard))
