"""Draw the stock stand-in's small pictures and their colours into garnetfern/stock/small/."""

import io
import json
from pathlib import Path

from PIL import Image

from garnetfern.core.picture.look import hue_name, look_of
from garnetfern.stock.catalogue import CATALOGUE, THUMBS, draw_stock

HEIGHT = 150


def main() -> None:
    """Write all of them anew."""
    THUMBS.mkdir(exist_ok=True)
    facts = {}
    for picture in CATALOGUE:
        image = Image.open(io.BytesIO(draw_stock(picture.id)))
        look = look_of(image)
        names = sorted({hue_name(s.colour) for s in look.colours if s.share > 0.12})
        facts[picture.id] = {"colours": [s.colour for s in look.colours], "names": names, "mood": look.mood}
        small = image.resize((round(image.width * HEIGHT / image.height), HEIGHT), Image.Resampling.LANCZOS)
        small.save(Path(THUMBS) / f"{picture.id}.webp", quality=72)
    (THUMBS / "facts.json").write_text(json.dumps(facts, indent=1) + "\n")


if __name__ == "__main__":
    main()
