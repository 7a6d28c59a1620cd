"""Other pages in the same browser, our own policies in it, and bringing back a copy."""

import http.server
import threading

import pytest
from playwright.sync_api import Page, expect

VIEWS = ("Situations", "Framing", "Shelf", "Schemes", "Take away", "Bench")


@pytest.fixture
def elsewhere():
    """A page of somebody else on another port of this machine."""

    class Answer(http.server.BaseHTTPRequestHandler):
        def do_GET(self):
            self.send_response(200)
            self.send_header("content-type", "text/html")
            self.end_headers()
            self.wfile.write(b"<title>elsewhere</title><p>Another page")

        def log_message(self, *_):
            pass

    server = http.server.ThreadingHTTPServer(("127.0.0.1", 0), Answer)
    thread = threading.Thread(target=server.serve_forever, daemon=True)
    thread.start()
    yield f"http://127.0.0.1:{server.server_port}/"
    server.shutdown()
    server.server_close()


ATTACK = """async (target) => {
  const body = JSON.stringify({ revision: 1, patch: [], label: 'taken' });
  const seen = [];
  for (const mode of ['no-cors', 'cors'])
    for (const type of ['text/plain', 'application/json'])
      for (const path of ['api/change', 'api/undo', 'api/visits?revision=1', 'api/pictures?name=x'])
        seen.push(await fetch(target + path, { method: 'POST', mode, body, headers: { 'content-type': type } })
          .then((r) => `${r.type} ${r.status}`, () => 'refused'));
  for (const path of ['api/state', 'live/home'])
    seen.push(await fetch(target + path).then((r) => r.text(), () => 'refused'));
  const frame = document.createElement('iframe');
  frame.src = target;
  document.body.append(frame);
  const image = new Image();
  seen.push(await new Promise((done) => {
    image.onload = () => done('loaded');
    image.onerror = () => done('refused');
    image.src = target + 'icon.svg';
  }));
  await new Promise((done) => setTimeout(done, 500));
  seen.push(frame.contentDocument === null ? 'refused' : frame.contentDocument.body.textContent);
  return seen;
}"""


def test_a_page_elsewhere_reads_nothing_changes_nothing_and_holds_nothing(bench: Page, elsewhere):
    before = bench.request.get(bench.url.split("?")[0] + "api/state").json()
    other = bench.context.new_page()
    other.goto(elsewhere)
    seen = other.evaluate(ATTACK, bench.url.split("?")[0])
    assert {s for s in seen if s != "opaque 0"} == {"refused"}
    assert bench.request.get(bench.url.split("?")[0] + "api/state").json() == before
    other.close()


def test_our_own_policies_hinder_none_of_our_views(bench: Page):
    broken = []
    bench.on("console", lambda m: broken.append(m.text) if "Content Security Policy" in m.text else None)
    bench.reload()
    for name in VIEWS:
        bench.get_by_role("navigation", name="Views").get_by_role("button", name=name).click()
        expect(bench.locator("main").first).to_be_visible()
        bench.wait_for_timeout(400)
    bench.get_by_role("button", name="In place").click()
    bench.wait_for_timeout(400)
    assert broken == []


def test_a_daily_copy_is_brought_back_and_undo_takes_it_back(bench: Page, running):
    bench.get_by_role("slider", name="Strength", exact=True).press("Shift+ArrowRight")
    expect(bench.get_by_role("button", name="Undo")).to_be_enabled()
    kept = bench.get_by_role("textbox", name="Strength in %").input_value()
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Take away").click()
    bench.get_by_role("button", name="Bring back").click()
    expect(bench.get_by_role("status").filter(has_text="Undo takes that back")).to_be_visible()
    bench.get_by_role("navigation", name="Views").get_by_role("button", name="Bench").click()
    strength = bench.get_by_role("textbox", name="Strength in %")
    expect(strength).not_to_have_value(kept)
    bench.get_by_role("button", name="Undo").click()
    expect(strength).to_have_value(kept)
