"""The command line as `python -m garnetfern`."""

from .cli import app

app()
