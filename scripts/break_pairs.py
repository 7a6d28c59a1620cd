"""Measure in Chromium between which pairs of ASCII characters a line may break, and write the table.

For every pair the text aa<first><second>bb stands in a box of no width; where the browser starts a new line between
the two, the pair is in the table. Run it when Chromium changes its habits.
The table is garnetfern/core/resolve/ascii_breaks.py.
"""

import sys
from pathlib import Path

from playwright.sync_api import sync_playwright

HOUSE = Path(__file__).resolve().parent.parent
sys.path.insert(0, str(HOUSE))

from tests.referee.browser import CHROMIUM  # noqa: E402

CHARACTERS = [chr(c) for c in range(33, 127)]
TARGET = HOUSE / "garnetfern" / "core" / "resolve" / "ascii_breaks.py"
MEASURE = """(pairs) => pairs.map(([a, b]) => {
  const p = document.createElement('p');
  p.textContent = 'aa' + a + b + 'bb';
  document.body.replaceChildren(p);
  const top = (i) => { const r = document.createRange(); r.setStart(p.firstChild, i); r.setEnd(p.firstChild, i + 1);
    return r.getBoundingClientRect().top; };
  return top(2) !== top(3);
})"""


def main() -> None:
    """Measure all pairs and write the table, one row for each first character that has any."""
    with sync_playwright() as play:
        browser = play.chromium.launch(executable_path=CHROMIUM, args=["--no-sandbox"])
        page = browser.new_page()
        page.set_content("<style>p{width:0;margin:0;font:16px monospace}</style>")
        rows = {}
        for first in CHARACTERS:
            found = page.evaluate(MEASURE, [[first, second] for second in CHARACTERS])
            after = "".join(s for s, broken in zip(CHARACTERS, found, strict=True) if broken)
            if after:
                rows[first] = after
        browser.close()
    lines = [f"    {first!r}: {after!r}," for first, after in rows.items()]
    head = '"""Where the browser breaks between two ASCII characters; written by scripts/break_pairs.py."""\n\n'
    TARGET.write_text(head + "# fmt: off\nBREAKS_AFTER: dict[str, str] = {\n" + "\n".join(lines) + "\n}\n# fmt: on\n")


if __name__ == "__main__":
    main()
