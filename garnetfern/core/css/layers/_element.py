"""The element of a layer."""

from ..names import named


def element(name: str, tag: str, inner: str = "") -> str:
    """An element that fills the one it stands in."""
    return f'<{tag} class="gf-layer {named(name)}">{inner}</{tag}>'
