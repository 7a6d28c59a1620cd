"""The command line: serve, demo, check, render, emit, schema, sites, backup, restore, verify, tidy."""

from . import checking, keeping, serving, sites
from .common import app
from .serving import start_site

__all__ = ["app", "checking", "keeping", "serving", "sites", "start_site"]
