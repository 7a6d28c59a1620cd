"""How long an edit takes to show on all screens, and its readings to follow, in headless Chromium."""

import re
import statistics
import tempfile
from collections.abc import Callable
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

from garnetfern.api.local import run_locally
from garnetfern.cli import start_site
from garnetfern.demo import FERN_HOUSE
from tests.referee.browser import CHROMIUM

from .quiet import at_rest

EDITS = 80
SETTINGS = "section[aria-label^='Settings of']"
WATCH = """() => {
  const plain = window.fetch;
  window.seen = [];
  window.fetch = async (...a) => {
    const answer = await plain(...a);
    const json = answer.json.bind(answer);
    answer.json = async () => { const body = await json();
      if (String(a[0]).endsWith('/api/readings')) requestAnimationFrame(() => window.seen.push(performance.now()));
      return body; };
    return answer;
  };
}"""
EDIT = """async ([input, value, wanted]) => {
  const field = document.querySelector(input);
  const frames = [...document.querySelectorAll('iframe')];
  const css = () => frames.map((f) => f.contentDocument.getElementById('gf-css').textContent);
  window.seen = [];
  const start = performance.now();
  field.value = value;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  while (!css().every((text) => text.includes(wanted))) {
    if (performance.now() - start > 15000) throw new Error('the edit does not show: ' + wanted);
    await new Promise((r) => setTimeout(r, 1));
  }
  await new Promise((r) => requestAnimationFrame(() => setTimeout(r, 0)));
  const shown = performance.now() - start;
  while (window.seen.length === 0) {
    if (performance.now() - start > 15000) throw new Error('no readings follow');
    await new Promise((r) => setTimeout(r, 1));
  }
  return [shown, window.seen[0] - start];
}"""


SEEK = """async () => {
  const line = document.querySelector("[role=slider][aria-label^='Time of']");
  const frames = [...document.querySelectorAll('iframe')];
  const times = () => frames.map((f) => f.contentDocument.getAnimations()[0]?.currentTime);
  const before = times();
  const start = performance.now();
  line.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true, cancelable: true }));
  while (!times().every((t, n) => t !== before[n])) {
    if (performance.now() - start > 3000) throw new Error('the screens do not follow');
    await new Promise((r) => setTimeout(r, 1));
  }
  await new Promise((r) => requestAnimationFrame(() => setTimeout(r, 0)));
  return performance.now() - start;
}"""
TURNS = 6


def percentile(values: list[float], share: float) -> float:
    """The value that this share of the values does not exceed."""
    ordered = sorted(values)
    return ordered[min(len(ordered) - 1, int(len(ordered) * share))]


Times = tuple[list[float], list[float]]


def _strength(n: int) -> tuple[str, str]:
    value = 21 + (n * 7) % 68
    value += value % 10 == 0
    return str(value), f"opacity: 0.{value:02d}".rstrip("0")


def _angle(n: int) -> tuple[str, str]:
    value = 20 + (n * 7) % 300
    return f"{value}°", f"({value}deg"


def _edited(page: Page, field: str, make: Callable[[int], tuple[str, str]]) -> Times:
    shown, read = [], []
    for n in range(EDITS):
        one, other = page.evaluate(EDIT, [field, *make(n)])
        shown.append(one)
        read.append(other)
        page.wait_for_timeout(60)
    return shown[5:], read[5:]


def _in_turn(page: Page) -> tuple[Times, list[float]]:
    """Pulling a strength over six pictures in turn, and taking the screens along their time line."""
    page.reload()
    page.locator(SETTINGS).wait_for()
    page.wait_for_timeout(8000)
    page.get_by_role("button", name="Shelf", exact=True).click()
    ticks = page.get_by_role("checkbox", name=re.compile("^Pick "))
    ticks.first.wait_for(timeout=90_000)
    for n in range(TURNS):
        ticks.nth(n).check()
    page.get_by_role("button", name=f"Let these {TURNS} take turns").click()
    page.get_by_role("slider", name="Time of Pictures in turn").wait_for()
    page.wait_for_timeout(6000)
    along = []
    for _ in range(EDITS):
        along.append(page.evaluate(SEEK))
        page.wait_for_timeout(30)
    page.get_by_role("button", name="Dusk", exact=True).click()
    page.wait_for_timeout(4000)
    return _edited(page, f"{SETTINGS} input[type=range]", _strength), along[5:]


def measure() -> list[str]:
    """Pull an overlay of the sample site, turn a gradient on it, take six pictures in turn along, and give the lines of
    the report."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        start_site(Path(folder), demo=True)
        running = run_locally(Path(folder))
        browser = play.chromium.launch(executable_path=CHROMIUM, args=["--no-sandbox", "--disable-gpu"])
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.add_init_script(f"({WATCH})()")
        page.goto(f"{running.address}?site={FERN_HOUSE}")
        page.get_by_role("button", name="Make it").wait_for(timeout=60_000)
        at_rest(page, running.address)
        pulled = _edited(page, f"{SETTINGS} input[type=range]", _strength)
        page.keyboard.press("Escape")
        page.reload()
        page.get_by_role("button", name="Make it").wait_for(timeout=60_000)
        page.get_by_role("button", name="Lay something in on Dusk").click()
        page.get_by_role("button", name="Gradient: Dark foot").click()
        page.get_by_label("Runs to").wait_for()
        page.wait_for_timeout(2500)
        turned = _edited(page, f"{SETTINGS} input[title^='Runs to']", _angle)
        over_six, along = _in_turn(page)
        browser.close()
        running.stop()
    rows = []
    six = "pulling a strength over six in turn"
    for edit, times, shown in (
        ("pulling a strength", pulled, 50),
        ("turning a gradient", turned, 50),
        (six, over_six, 64),
    ):
        for what, values, target in zip(("to the screens", "to the readings"), times, (shown, 150), strict=True):
            median, late = statistics.median(values), percentile(values, 0.95)
            rows.append(f"| {edit}, {what} | {median:.0f} ms | {late:.0f} ms | {target} ms |")
    median, late = statistics.median(along), percentile(along, 0.95)
    rows.append(f"| along a time line, to the screens | {median:.0f} ms | {late:.0f} ms | 64 ms |")
    return rows
