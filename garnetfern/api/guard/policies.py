"""The headers of every answer: what a page of ours may load and run, and who may hold it in a frame."""

from ...core.css.choice import CHOOSE_HASH
from ...core.css.stop import FILMS_STOP_HASH

APPLICATION = "; ".join(
    (
        "default-src 'none'",
        "script-src 'self'",
        "style-src 'self' 'unsafe-inline'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "media-src 'self'",
        "connect-src 'self'",
        "frame-src 'self'",
        "frame-ancestors 'self'",
        "form-action 'self'",
        "base-uri 'none'",
    )
)
"""CSP 3 for the interface. Styles may stand in the page: places and sizes that are dragged are set there."""

_OWN_FILES = (
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    "media-src 'self'",
    "frame-ancestors 'self'",
    "form-action 'none'",
    "base-uri 'none'",
)
LIVE = "; ".join(("default-src 'none'", "script-src 'none'", *_OWN_FILES, "sandbox allow-same-origin allow-scripts"))
"""CSP 3 for pages as visitors see them: no script of theirs runs, no form is sent, nothing opens or leads away.

They keep our origin, so that the bench can mark letters. `allow-scripts` lets the bench's own listeners and promises
run in them; what may run of the page itself is said by `script-src` alone."""

VISITED = "; ".join(("default-src 'none'", f"script-src {CHOOSE_HASH} {FILMS_STOP_HASH}", *_OWN_FILES))
"""CSP 3 for what was put live: nothing runs but our own two scripts, nothing comes from elsewhere."""

EVERYWHERE: tuple[tuple[str, str], ...] = (
    ("content-security-policy", APPLICATION),
    ("x-content-type-options", "nosniff"),
    ("referrer-policy", "no-referrer"),
    ("cross-origin-resource-policy", "same-origin"),
    ("cross-origin-opener-policy", "same-origin"),
)

Header = tuple[bytes, bytes]


def with_policies(headers: list[Header]) -> list[Header]:
    """The headers of an answer with those of `EVERYWHERE` that it does not set itself."""
    there = {name.lower() for name, _ in headers}
    more = [(n.encode(), v.encode()) for n, v in EVERYWHERE if n.encode() not in there]
    return [*headers, *more]
