"""The token that is asked for where others can reach the application: entering with it, and slowing down guesses."""

import asyncio
import hmac
import secrets
from http.cookies import CookieError, SimpleCookie

from ...core.limits import TOKEN_WAIT, TOKEN_WAITING
from .door import Refusal

ENTER = "/enter"
PAGE = """<!doctype html>
<html lang="en-GB"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Garnetfern</title><style>
body {{ font: 17px/1.5 system-ui, sans-serif; max-width: 30em; margin: 12vh auto; padding: 0 1em;
  color: #2a2522; background: #efebe4; }}
input, button {{ font: inherit; padding: 6px 10px; }} input {{ width: 22em; max-width: 100%; }}
</style></head><body><h1>Garnetfern</h1><p>{sentence}</p>
<form action="/enter" method="get"><label>Token<br><input name="token" autocomplete="off" required autofocus></label>
<button>Enter</button></form></body></html>"""
ASKED = "The terminal in which this was started shows a token. Enter it here, or open the whole address shown there."
WRONG = "This is not the token that was printed at the last start. Nothing was read or changed."


def new_token() -> str:
    """A token that nobody guesses: 192 bits."""
    return secrets.token_urlsafe(24)


def cookie_name(host: str) -> str:
    """A name of its own for each port: browsers send cookies to every port of a host."""
    port = host.rpartition(":")[2]
    return f"garnetfern-{port}" if port.isdigit() else "garnetfern"


def carried(headers: dict[str, str]) -> str:
    """The token in a request's cookie, or nothing."""
    try:
        jar = SimpleCookie(headers.get("cookie", ""))
    except CookieError:
        return ""
    found = jar.get(cookie_name(headers.get("host", "")))
    return found.value if found else ""


def cookie(headers: dict[str, str], token: str) -> str:
    """The Set-Cookie header (RFC 6265): for this host and this browser session, out of reach of scripts."""
    return f"{cookie_name(headers.get('host', ''))}={token}; Path=/; HttpOnly; SameSite=Strict"


class Tokens:
    """Compares tokens. Wrong ones wait in a row, one a second; the right one never waits."""

    def __init__(self, token: str) -> None:
        self._token = token
        self._row = asyncio.Lock()
        self._waiting = 0

    def right(self, given: str) -> bool:
        """Whether this is it, compared in a time that tells nothing."""
        return hmac.compare_digest(given.encode(), self._token.encode())

    async def slow_down(self) -> Refusal:
        """Wait for one's turn after a wrong token; gives what to answer."""
        if self._waiting >= TOKEN_WAITING:
            return Refusal(429, "token", "Too many wrong tokens at once. Wait a little, then try again.")
        self._waiting += 1
        try:
            async with self._row:
                await asyncio.sleep(TOKEN_WAIT)
        finally:
            self._waiting -= 1
        return Refusal(401, "token", WRONG)
