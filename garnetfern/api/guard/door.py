"""Who may speak to the application: which names it answers to, and which pages may ask it for something."""

import ipaddress
import re
from collections.abc import Iterable
from dataclasses import dataclass

from ...core.limits import HEADER_HOST

_HOST = re.compile(r"(\[[0-9a-f:.]+\]|[a-z0-9_.-]+)(?::(\d{1,5}))?", re.IGNORECASE)
OF = "/of"
"""What the address of a site begins with: `/of/<site>/…`."""
SAFE = frozenset({"GET", "HEAD"})
OWN = frozenset({"same-origin", "none"})
"""Values of Sec-Fetch-Site (Fetch Metadata, section 2.4) of what our own pages, or the person, ask for."""


@dataclass(frozen=True)
class Refusal:
    """Why a request is not carried out: HTTP status, kind, and a sentence."""

    status: int
    kind: str
    message: str


def within_site(path: str) -> str:
    """A path without the site that it names."""
    if not path.startswith(f"{OF}/"):
        return path
    _, slash, rest = path[len(OF) + 1 :].partition("/")
    return slash + rest


def host_name(header: str) -> str | None:
    """The name in a Host header (RFC 9110, section 7.2), small letters, without the port; None where it is none."""
    found = _HOST.fullmatch(header) if len(header) <= HEADER_HOST else None
    return found[1].lower().strip("[]").rstrip(".") if found else None


def is_loopback(name: str) -> bool:
    """Whether a host name always means this machine."""
    if name == "localhost":
        return True
    try:
        return ipaddress.ip_address(name).is_loopback
    except ValueError:
        return False


@dataclass(frozen=True)
class Door:
    """The names that the application answers to beside loopback's, and the token it asks for, if any."""

    names: frozenset[str] = frozenset()
    token: str | None = None

    @staticmethod
    def of(names: Iterable[str], token: str | None = None) -> "Door":
        """A door for names as somebody writes them."""
        return Door(frozenset(n.lower().strip("[]").rstrip(".") for n in names), token)

    def refusal_of_host(self, hosts: list[str]) -> Refusal | None:
        """Why a request that names these hosts is not for us. A name rebound to this machine is refused here."""
        name = host_name(hosts[0]) if len(hosts) == 1 else None
        if name is not None and (is_loopback(name) or name in self.names):
            return None
        received = repr(hosts[0][:60]) if hosts else "none"
        message = (
            f"This application answers to localhost and to what --allow-host names. Received: {received}. "
            "Nothing was read or changed."
        )
        return Refusal(421, "host", message)


def refusal_of_origin(method: str, own: str, headers: dict[str, str], path: str) -> Refusal | None:
    """Why a request that another page made is not carried out.

    `own` is the origin that the request itself is for, `headers` those of the request by small names.
    What changes something must say where it comes from (Origin or Sec-Fetch-Site); what only reads is refused to
    other origins, but a link that leads to the interface may be followed from anywhere.
    """
    origin, site = headers.get("origin"), headers.get("sec-fetch-site")
    foreign = (origin is not None and origin.lower() != own) or (site is not None and site not in OWN)
    if foreign and not _followed(method, headers, path, origin):
        message = "Another page asked for this; only the application's own pages may. Nothing was read or changed."
        return Refusal(403, "origin", message)
    if method not in SAFE and origin is None and site is None:
        message = (
            "What changes something says where it comes from: an Origin header with this application's own address. "
            "Nothing was changed."
        )
        return Refusal(403, "origin", message)
    return None


def _followed(method: str, headers: dict[str, str], path: str, origin: str | None) -> bool:
    """Whether a person has followed a link to a page of the interface."""
    navigates = headers.get("sec-fetch-mode") == "navigate" and headers.get("sec-fetch-dest") == "document"
    return method == "GET" and navigates and origin is None and not within_site(path).startswith("/api/")
