"""Garnetfern: words over pictures, and whether they can be read."""

__version__ = "0.1.0"
