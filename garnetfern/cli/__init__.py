"""The command line: serve, demo, check, read, render, emit, schema, sites, release, backup, restore, verify, tidy."""

from . import checking, keeping, reading, releasing, serving, sites
from .common import app
from .serving import start_site

__all__ = ["app", "checking", "keeping", "reading", "releasing", "serving", "sites", "start_site"]
