import os
import signal
import subprocess
import sys
import threading
from concurrent.futures import ThreadPoolExecutor

import pytest

from garnetfern.core.processes import begun_unheard, never_first, stand_back

BUSY = "import signal, time; print(signal.SIGINT in signal.pthread_sigmask(signal.SIG_BLOCK, []), flush=True); {}"


def begun(then: str) -> subprocess.Popen[str]:
    """A process that tells whether it hears Ctrl+C, and then does something."""
    with begun_unheard():
        return subprocess.Popen(
            [sys.executable, "-c", BUSY.format(then)], stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True
        )


def test_what_was_begun_unheard_goes_on_and_this_process_hears_again():
    process = begun("time.sleep(0.3); print('done')")
    assert process.stdout is not None
    assert process.stdout.readline() == "True\n"
    os.kill(process.pid, signal.SIGINT)
    assert process.communicate(timeout=20) == ("done\n", "")
    assert signal.SIGINT not in signal.pthread_sigmask(signal.SIG_BLOCK, [])


def test_a_worker_that_was_told_before_it_could_hear_ends_at_once_and_says_nothing():
    then = "time.sleep(0.3); from garnetfern.core.processes import end_at_once; end_at_once(); time.sleep(60)"
    process = begun(then)
    assert process.stdout is not None
    assert process.stdout.readline() == "True\n"
    os.kill(process.pid, signal.SIGINT)
    assert process.communicate(timeout=20) == ("", "")
    assert process.returncode == -signal.SIGINT


def test_another_thread_leaves_the_mask_of_this_one():
    done = threading.Thread(target=lambda: begun_unheard().__enter__())
    done.start()
    done.join()
    assert signal.SIGINT not in signal.pthread_sigmask(signal.SIG_BLOCK, [])


@pytest.fixture
def behind():
    """Carries a call out in a thread of its own: what is done to it ends with it."""
    with ThreadPoolExecutor(1) as one:
        yield lambda call: one.submit(call).result()


@pytest.mark.skipif(not sys.platform.startswith("linux"), reason="policies of Linux")
def test_what_is_never_first_cannot_make_itself_real_time_and_the_rest_may_what_it_might(behind):
    def tried():
        try:
            os.sched_setscheduler(0, os.SCHED_FIFO, os.sched_param(1))
        except PermissionError:
            return False
        os.sched_setscheduler(0, os.SCHED_OTHER, os.sched_param(0))
        return True

    def meanwhile():
        before = tried()
        with never_first():
            within = tried()
        return before, within, tried()

    before, within, after = behind(meanwhile)
    assert not within
    assert after == before


@pytest.mark.skipif(not sys.platform.startswith("linux"), reason="threads of Linux")
def test_a_thread_that_stands_back_starts_others_that_do_so_too_and_leaves_its_process_as_it_was(behind):
    def niceness():
        return os.getpriority(os.PRIO_PROCESS, threading.get_native_id())

    def both():
        stand_back(3)
        own = threading.Thread(target=lambda: found.append(niceness()))
        own.start()
        own.join()
        return niceness()

    before, found = niceness(), []
    assert (behind(both), found) == (before + 3, [before + 3])
    assert niceness() == before
