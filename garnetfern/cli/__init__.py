"""The command line: serve, demo, check, render, emit, schema, sites, release, backup, restore, verify, tidy."""

from . import checking, keeping, releasing, serving, sites
from .common import app
from .serving import start_site

__all__ = ["app", "checking", "keeping", "releasing", "serving", "sites", "start_site"]
