"""Full disks, lost rights, too many open files: what was kept stays, the rest is told, and it goes on afterwards.

Each case runs in a process of its own, under real limits of the system, and speaks to the application as a page does.
"""

import subprocess
import sys
import textwrap

import pytest

from garnetfern.store import refusal_of

FRAME = """
import os, resource, sys
from pathlib import Path
from garnetfern.api.app import create_app
from tests.api.own import OwnClient
from tests.conftest import jpeg
from tests.sites import one_banner

data = Path(sys.argv[1])
app = create_app(data)
app.state.house.first().start(one_banner(), "A new site")
client = OwnClient(app, raise_server_exceptions=False)
with client:
    def rename(name):
        revision = client.get("/api/state").json()["revision"]
        patch = [{"op": "replace", "path": "/name", "value": name}]
        return client.post("/api/change", json={"revision": revision, "patch": patch, "label": name})

    asset = client.post("/api/pictures?name=a.jpg", content=jpeg(900, 500)).json()["asset"]
    picture = f"/pictures/a-540-{asset['hash'][:10]}.webp"
    assert rename("Before").status_code == 200

BODY

    for request in refused:
        answer = request()
        assert answer.status_code == 507, (answer.status_code, answer.text)
        assert answer.json()["kind"] == "disk", answer.text
        assert "What was kept before is safe" in answer.json()["message"], answer.text
    seen = client.get("/api/state")
    assert seen.status_code == 200, seen.text
    assert seen.json()["document"]["name"] == "Before", seen.text
    page = {"revision": seen.json()["revision"], "patch": [], "page": "home"}
    assert client.post("/api/readings", json=page).status_code == 200
    assert client.get(picture).status_code == 200, client.get(picture).text
    assert client.get("/live/home").status_code == 200

    recover()
    assert rename("After").status_code == 200
    assert client.post("/api/pictures?name=b.jpg", content=jpeg(77, 50)).status_code == 200
    assert client.get("/api/state").json()["document"]["name"] == "After"

from garnetfern.store import verify
assert not [f for f in verify(data) if f.grave], verify(data)
print("well")
"""

UPLOAD = 'lambda: client.post("/api/pictures?name=c.jpg", content=jpeg(1200, 900, (9, 9, 9)))'
CASES = {
    "no file may grow": f"""
    import signal
    signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
    resource.setrlimit(resource.RLIMIT_FSIZE, (1, resource.RLIM_INFINITY))
    refused = [lambda: rename("During"), {UPLOAD}]
    def recover():
        resource.setrlimit(resource.RLIMIT_FSIZE, (resource.RLIM_INFINITY, resource.RLIM_INFINITY))
""",
    "too many files are open": f"""
    import time
    soft, hard = resource.getrlimit(resource.RLIMIT_NOFILE)
    held = []
    resource.setrlimit(resource.RLIMIT_NOFILE, (len(os.listdir("/proc/self/fd")) + 12, hard))
    while True:
        try:
            held.append(os.open("/dev/null", os.O_RDONLY))
        except OSError:
            break
    for _ in range(2):
        os.close(held.pop())
    refused = []
    answer = ({UPLOAD})()
    assert answer.status_code in (200, 507), answer.text
    def recover():
        for handle in held:
            os.close(handle)
        resource.setrlimit(resource.RLIMIT_NOFILE, (soft, hard))
    for handle in held[:6]:
        os.close(handle)
    held = held[6:]
""",
}


def run(tmp_path, body):
    script = textwrap.dedent(FRAME).replace("BODY", body)
    command = [sys.executable, "-c", script, str(tmp_path / "data")]
    return subprocess.run(command, capture_output=True, text=True, timeout=180)


@pytest.mark.parametrize("name", CASES)
def test_trouble_is_told_and_passes(tmp_path, name):
    done = run(tmp_path, CASES[name])
    assert done.stdout.strip().endswith("well"), done.stderr[-3000:]


def test_a_disk_that_is_full_is_told_and_passes(tmp_path):
    """On a real small disk, where this process may mount one."""
    small = tmp_path / "data"
    small.mkdir()
    mounted = subprocess.run(["mount", "-t", "tmpfs", "-o", "size=3m", "none", str(small)], capture_output=True)
    if mounted.returncode != 0:
        pytest.skip("no disk can be mounted here")
    body = f"""
    filler = data / "log" / "filler"
    with filler.open("wb", buffering=0) as file:
        try:
            while True:
                file.write(b"x" * 4096)
        except OSError:
            pass
    refused = [{UPLOAD}, lambda: rename("During " + "x" * 80)]
    def recover():
        filler.unlink()
"""
    try:
        done = run(tmp_path, body)
        assert done.stdout.strip().endswith("well"), done.stderr[-3000:]
    finally:
        subprocess.run(["umount", "-l", str(small)], check=False)


@pytest.mark.parametrize(
    ("error", "said"),
    [
        (OSError(28, "x"), "The disk is full"),
        (OSError(30, "x"), "only be read"),
        (PermissionError(13, "x"), "lost the right"),
        (MemoryError(), "no memory"),
        (OSError(999, "x"), None),
        (ValueError("full"), None),
    ],
)
def test_refusals_of_the_system_in_words(error, said):
    found = refusal_of(error)
    assert (found is None) if said is None else (said in found.message)
