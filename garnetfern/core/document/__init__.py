"""The site document: its models, its reading with clear errors, migrations and JSON Schema."""

from .assets import Asset, Crop, Fit, Part, Slot, crop_of
from .backdrop import Backdrop, ColourLayer, ImageException, ImageLayer, Layer, Position
from .blocks import Block, Lettering, MenuItem
from .model import Area, Band, Column, Height, Join, Padding, Page, Site, page_on, with_backdrop
from .read import read_site, site_schema
from .screens import Screen, screen_for

__all__ = [
    "Area",
    "Asset",
    "Backdrop",
    "Band",
    "Block",
    "ColourLayer",
    "Column",
    "Crop",
    "Fit",
    "Height",
    "ImageException",
    "ImageLayer",
    "Join",
    "Layer",
    "Lettering",
    "MenuItem",
    "Padding",
    "Page",
    "Part",
    "Position",
    "Screen",
    "Site",
    "Slot",
    "crop_of",
    "page_on",
    "read_site",
    "screen_for",
    "site_schema",
    "with_backdrop",
]
