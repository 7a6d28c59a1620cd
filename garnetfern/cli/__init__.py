"""The command line: serve, demo, check, render, emit, schema, backup, restore, verify, tidy."""

from . import checking, keeping, serving
from .common import app
from .serving import start_site

__all__ = ["app", "checking", "keeping", "serving", "start_site"]
