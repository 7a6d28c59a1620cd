import os
import signal
import subprocess
import sys
import threading

from garnetfern.core.processes import begun_unheard

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
