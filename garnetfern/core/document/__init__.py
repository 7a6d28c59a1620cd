"""The site document: its models, its reading with clear errors, migrations and JSON Schema."""

from .assets import Asset, Crop, Fit, Part, Slot, crop_of
from .backdrop import Backdrop, Over, OverChange
from .block import Align, Block, KindOfBlock, Lettering, MenuItem, Outline, TextShadow
from .blocks import BLOCK_KINDS, BlockKind
from .entrance import Entrance
from .fonts import Axis, FontFile, Instance
from .footage import Footage
from .gradient import Gradient, Stop
from .ids import Ids, ids_of, renamed
from .layers import LAYER_KINDS, BlendMode, Layer, LayerBase, Phase
from .layers.colour import ColourLayer
from .layers.edge import EdgeLayer
from .layers.gradient import GradientLayer
from .layers.image import Filter, ImageException, ImageLayer, Position
from .layers.pattern import PatternLayer
from .layers.sequence import Member, SequenceLayer
from .layers.shape import ShapeLayer
from .layers.video import VideoException, VideoLayer
from .model import (
    Area,
    Band,
    Column,
    Height,
    Join,
    Page,
    SavedGradient,
    SavedLook,
    Share,
    Site,
    Visits,
    each_backdrop,
    each_block,
    page_on,
    pointed_at,
    stilled,
    with_backdrop,
)
from .phrase import Phrase
from .plate import Line, Padding, Plate, Shadow
from .read import migrate, read_site, site_schema
from .screens import Screen, ever_visible, screen_for, without

__all__ = [
    "BLOCK_KINDS",
    "LAYER_KINDS",
    "Align",
    "Area",
    "Asset",
    "Axis",
    "Backdrop",
    "Band",
    "BlendMode",
    "Block",
    "BlockKind",
    "ColourLayer",
    "Column",
    "Crop",
    "EdgeLayer",
    "Entrance",
    "Filter",
    "Fit",
    "FontFile",
    "Footage",
    "Gradient",
    "GradientLayer",
    "Height",
    "Ids",
    "ImageException",
    "ImageLayer",
    "Instance",
    "Join",
    "KindOfBlock",
    "Layer",
    "LayerBase",
    "Lettering",
    "Line",
    "Member",
    "MenuItem",
    "Outline",
    "Over",
    "OverChange",
    "Padding",
    "Page",
    "Part",
    "PatternLayer",
    "Phase",
    "Phrase",
    "Plate",
    "Position",
    "SavedGradient",
    "SavedLook",
    "Screen",
    "SequenceLayer",
    "Shadow",
    "ShapeLayer",
    "Share",
    "Site",
    "Slot",
    "Stop",
    "TextShadow",
    "VideoException",
    "VideoLayer",
    "Visits",
    "crop_of",
    "each_backdrop",
    "each_block",
    "ever_visible",
    "ids_of",
    "migrate",
    "page_on",
    "pointed_at",
    "read_site",
    "renamed",
    "screen_for",
    "site_schema",
    "stilled",
    "with_backdrop",
    "without",
]
