"""A button."""

from typing import Any

from ....core.document import Backdrop, Lettering, Over, Plate
from ..fresh import Fresh, button_colour, by_light

ORDER, NAME = 2, "Button"


def made(fresh: Fresh) -> dict[str, Any]:
    """White on the palette's most colourful colour."""
    lettering = Lettering(font=fresh.font, weight=600, size="17px", line=1.3, colour="#ffffff", over="#ffffff")
    backdrop = Backdrop(base=button_colour(fresh.site), over=Over(base=by_light(fresh.site)[0]))
    plate = Plate(backdrop=backdrop, radius="4px")
    return {"wording": "Come and see", "link": "index.html", "lettering": lettering, "plate": plate}
