"""Pictures as bytes: what a file is, whether it can be used, and its renditions."""

from .decode import Facts, examine
from .rendition import decode_rendition, encode_rendition

__all__ = ["Facts", "decode_rendition", "encode_rendition", "examine"]
