"""The site document: its models, its reading with clear errors, migrations and JSON Schema."""

from .model import (
    Asset,
    Backdrop,
    Band,
    Block,
    ColourLayer,
    Column,
    ImageLayer,
    Layer,
    Lettering,
    Page,
    Screen,
    Site,
)
from .read import read_site, site_schema

__all__ = [
    "Asset",
    "Backdrop",
    "Band",
    "Block",
    "ColourLayer",
    "Column",
    "ImageLayer",
    "Layer",
    "Lettering",
    "Page",
    "Screen",
    "Site",
    "read_site",
    "site_schema",
]
