"""The element of a layer."""


def element(name: str, tag: str, inner: str = "") -> str:
    """An element that fills the one it stands in."""
    return f'<{tag} class="gf-layer gf-{name}">{inner}</{tag}>'
