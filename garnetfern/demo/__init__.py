"""The sample: Marrowby Fern House and its reading room. Every picture is drawn by code."""

from .site import FERN_HOUSE, demo_site_file, demo_site_files

__all__ = ["FERN_HOUSE", "demo_site_file", "demo_site_files"]
