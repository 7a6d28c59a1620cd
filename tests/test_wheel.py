"""The wheel works in an empty environment outside of the checkout, by the recipe that the README gives."""

import json
import os
import re
import subprocess
import sys
import time
import tomllib
import urllib.request
from dataclasses import replace
from pathlib import Path

import pytest

from garnetfern.fonts import shipped_fonts
from garnetfern.service.files.site_file import pack_site_file, unpack_site_file

HOUSE = Path(__file__).resolve().parent.parent
UV = Path(sys.executable).with_name("uv")


def recipe():
    """The lines of the README's recipe, comments left out."""
    blocks = re.findall(r"```sh\n(.*?)```", (HOUSE / "README.md").read_text(), re.DOTALL)
    lines = [line.split("#")[0].strip() for b in blocks if "garnetfern-env" in b for line in b.splitlines()]
    return [line for line in lines if line]


@pytest.fixture
def installed(tmp_path_factory):
    """A folder in which the recipe was followed; its last line, the check, is left to a test."""
    folder = tmp_path_factory.mktemp("elsewhere")
    environment = {k: v for k, v in os.environ.items() if not k.startswith(("PYTHON", "VIRTUAL"))}
    steps = recipe()
    assert steps[0] == "make wheel"
    subprocess.run(["make", "-C", str(HOUSE), "wheel"], check=True, capture_output=True)
    (folder / "dist").symlink_to(HOUSE / "dist")
    for step in steps[1:-1]:
        plain = step.replace("python3.11", sys.executable)
        if UV.exists():
            # the same packages, unpacked once a machine instead of once a run
            plain = plain.replace("garnetfern-env/bin/pip install", f"{UV} pip install --python garnetfern-env")
        done = subprocess.run(plain, shell=True, cwd=folder, capture_output=True, text=True, env=environment)
        assert done.returncode == 0, f"{step}: {done.stderr[-2000:]}"
    return folder, environment


def run(installed, *command, **more):
    folder, environment = installed
    program = str(folder / "garnetfern-env" / "bin" / "garnetfern")
    return subprocess.run([program, *command], cwd=folder, capture_output=True, text=True, env=environment, **more)


def gives_a_picture_and_a_site(installed):
    folder, _ = installed
    assert (folder / "phone.png").read_bytes()[:4] == b"\x89PNG"
    assert {p.name for p in (folder / "public").iterdir()} >= {"index.html", "css", "fonts", "pictures"}


def checks_as_the_sample_is_known_to_be(installed):
    words = recipe()[-1].split()[1:]
    file = installed[0] / "sample.zip"
    whole = unpack_site_file(file.read_bytes(), shipped_fonts().names())
    # one page of it: what a check finds is looked at elsewhere
    home = whole.site.model_copy(update={"pages": whole.site.pages[:1]})
    file.write_bytes(pack_site_file(replace(whole, site=home)))
    done = run(installed, *[w for w in words if w != "--width-run"])
    assert done.returncode == 1
    assert "fall short" in done.stdout
    assert (installed[0] / "report.xml").exists()


def has_every_other_command(installed):
    assert json.loads(run(installed, "schema").stdout)["title"] == "Site"
    for name in ("backup", "restore", "verify", "tidy", "serve"):
        assert run(installed, name, "--help").returncode == 0


def serves_the_built_interface(installed):
    folder, environment = installed
    program = str(folder / "garnetfern-env" / "bin" / "garnetfern")
    command = [program, "serve", "--port", "18431", "--data", "own"]
    server = subprocess.Popen(command, cwd=folder, stdout=subprocess.PIPE, text=True, env=environment)
    try:
        assert "http://127.0.0.1:18431/" in server.stdout.readline()
        for _ in range(100):
            try:
                with urllib.request.urlopen("http://127.0.0.1:18431/", timeout=5) as answer:
                    assert b'<div id="app">' in answer.read()
                break
            except OSError:
                assert server.poll() is None
                time.sleep(0.1)
        with urllib.request.urlopen("http://127.0.0.1:18431/api/state", timeout=5) as answer:
            assert json.load(answer)["revision"] == 1
    finally:
        server.terminate()
        server.wait(timeout=30)
        server.stdout.close()
    assert run(installed, "verify", "own").returncode == 0


def test_what_the_recipe_installs_works(installed):
    """One test, as following the recipe takes longer than all that is looked at then."""
    gives_a_picture_and_a_site(installed)
    checks_as_the_sample_is_known_to_be(installed)
    has_every_other_command(installed)
    serves_the_built_interface(installed)


def test_what_is_declared_is_what_is_pinned():
    project = tomllib.loads((HOUSE / "pyproject.toml").read_text())["project"]
    declared = {re.split(r"[\[<>=]", d)[0] for d in project["dependencies"]}
    pinned = {re.split(r"[\[<>=]", line)[0] for line in (HOUSE / "requirements.in").read_text().split()}
    assert declared == pinned
    assert all("<" in d and ">=" in d for d in project["dependencies"])
