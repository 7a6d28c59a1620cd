"""Gradients of the site's own, and those that ship."""

from collections.abc import Iterator

from ...core.css.declarations import gradient_value
from ...core.document import Gradient, Page, Site
from ...stock.gradients import GRADIENTS
from ._offer import Offer

ORDER, NAME, TITLE = 2, "gradient", "A gradient"


def offers(site: Site, _: Page) -> Iterator[Offer]:
    """The site's own first."""
    found = [(saved.name, saved.gradient) for saved in site.gradients]
    found += [(words, Gradient.model_validate(plain)) for _, words, plain in GRADIENTS]
    for name, gradient in found:
        layer = {"kind": "gradient", "name": name, "gradient": gradient.model_dump(mode="json")}
        yield Offer(f"Gradient: {name}", f"background: {gradient_value(gradient)}", layer)
