"""SVG pictures, drawn safely: no scripts, no outside references, no endless unfolding. Visitors get pixels."""

from .draw import svg_image
from .read import looks_like_svg, svg_facts

__all__ = ["looks_like_svg", "svg_facts", "svg_image"]
