"""The sample: Marrowby Fern House and its reading room. Every picture is drawn by code."""

from .site import FERN_HOUSE, SAMPLE, demo_site_file, demo_site_files, sample_sites

__all__ = ["FERN_HOUSE", "SAMPLE", "demo_site_file", "demo_site_files", "sample_sites"]
