"""The sample site: Marrowby Fern House. Every picture is drawn by code."""

from .site import demo_site_file

__all__ = ["demo_site_file"]
