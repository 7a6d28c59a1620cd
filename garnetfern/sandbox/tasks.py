"""What a worker can do with somebody's bytes. Each task takes plain data and blobs and gives the same."""

import io
import zipfile
from collections.abc import Callable
from dataclasses import asdict, replace
from functools import lru_cache
from typing import Any

from PIL import Image

from ..core.document import Crop, Screen, Slot
from ..core.fontfile import take_fonts
from ..core.fontfile.facts import facts_to_plain
from ..core.fontfile.sample import sample_fonts
from ..core.picture.budget import encode, ssim
from ..core.picture.decode import examined, load
from ..core.picture.known import known_of, to_plain
from ..core.picture.rendition import encode_rendition, rendition_image
from ..core.picture.slots import slot_file
from ..core.picture.tiles import mend, seams_of
from ..core.picture.unfold import unfold
from ..core.resolve.sheets import Rendition
from ..core.stylesheet.letters import Fonts
from ..core.stylesheet.plain import bring
from .film_tasks import FILM_TASKS, moving_facts, warm_films

Said = dict[str, Any]
Answer = tuple[Said, list[bytes]]
Task = Callable[[Said, list[bytes]], Answer]


def rendition_of(said: Said) -> Rendition:
    """A rendition out of plain data."""
    crop = said["crop"]
    part = None if crop is None else (int(crop[0]), int(crop[1]), int(crop[2]), int(crop[3]))
    return Rendition(said["hash"], said["width"], said["height"], said["lossless"], part)


def _examine(said: Said, blobs: list[bytes]) -> Answer:
    """Facts of a picture by decoding all of it and, where asked for, what it looks like."""
    facts, image = examined(blobs[0], said["name"])
    if facts.type in ("gif", "webp"):
        facts = replace(facts, **moving_facts(blobs[0], said["name"]))
    return {"facts": asdict(facts), "known": to_plain(known_of(image)) if said["look"] else None}, []


def _known(_: Said, blobs: list[bytes]) -> Answer:
    return {"known": to_plain(known_of(load(blobs[0])))}, []


def _rendition(said: Said, blobs: list[bytes]) -> Answer:
    return {}, [encode_rendition(blobs[0], rendition_of(said))]


@lru_cache(maxsize=1)
def _held(original: bytes, rendition: Rendition) -> Image.Image:
    """The last picture that was worked on: a search for a quality asks for it again and again."""
    return rendition_image(original, rendition)


def _encode(said: Said, blobs: list[bytes]) -> Answer:
    """One encoding at one quality."""
    return {}, [encode(_held(blobs[0], rendition_of(said)), said["kind"], said["quality"])]


def _ssim(said: Said, blobs: list[bytes]) -> Answer:
    """How alike an encoded file and the picture are."""
    shown = Image.open(io.BytesIO(blobs[1]))
    return {"ssim": ssim(_held(blobs[0], rendition_of(said)), shown)}, []


def _mend(said: Said, blobs: list[bytes]) -> Answer:
    image = load(blobs[0], said["name"])
    before = seams_of(image)
    copy = mend(image, said["way"], before.across.shows, before.down.shows)
    out = io.BytesIO()
    copy.save(out, "PNG")
    return {"before": asdict(before), "after": asdict(seams_of(copy))}, [out.getvalue()]


def _slot(said: Said, blobs: list[bytes]) -> Answer:
    slot, crop = Slot.model_validate(said["slot"]), Crop.model_validate(said["crop"])
    return {}, [slot_file(load(blobs[0]), slot, crop, said["kind"])]


def _unfold(_: Said, blobs: list[bytes]) -> Answer:
    members = unfold(blobs[0])
    return {"names": list(members)}, list(members.values())


def _bring(said: Said, blobs: list[bytes]) -> Answer:
    """A stylesheet, or a page with its stylesheets, read; and the pictures and fonts that came with it."""
    screens = [Screen.model_validate(screen) for screen in said["screens"]]
    fonts = Fonts(said["fonts"]["named"], said["fonts"]["generic"])
    plain, pictures, letters = bring(list(zip(said["names"], blobs, strict=True)), screens, fonts)
    names = {"names": list(pictures), "fonts": list(letters)}
    return {"read": plain, **names}, [*pictures.values(), *letters.values()]


def _fonts(said: Said, blobs: list[bytes]) -> Answer:
    """The fonts of a file, tried out and written as WOFF2, and what each says of itself."""
    taken = take_fonts(blobs[0], said["name"])
    return {"facts": [facts_to_plain(font.facts) for font in taken]}, [font.data for font in taken]


TASKS: dict[str, Task] = {
    **FILM_TASKS,
    "examine": _examine,
    "known": _known,
    "rendition": _rendition,
    "encode": _encode,
    "ssim": _ssim,
    "mend": _mend,
    "slot": _slot,
    "unfold": _unfold,
    "bring": _bring,
    "fonts": _fonts,
}


def warm() -> None:
    """Do a little of everything, so that nothing has to be opened later on."""
    warm_films()
    Image.init()
    picture = Image.effect_noise((24, 16), 40).convert("RGB")
    for kind in ("JPEG", "PNG", "WEBP", "AVIF", "GIF"):
        out = io.BytesIO()
        picture.save(out, kind)
        _examine({"name": f"p.{kind.lower()}", "look": kind == "PNG"}, [out.getvalue()])
    # as a rendition only: what is taken is drawn at its largest, which takes two seconds
    drawing = b'<svg xmlns="http://www.w3.org/2000/svg" width="20" height="10"><path d="M0 0h9v9z"/></svg>'
    whole = {"hash": "0" * 64, "width": 24, "height": 16, "lossless": False, "crop": None}
    jpeg = io.BytesIO()
    picture.save(jpeg, "JPEG")
    for kind in ("avif", "webp", "jpeg"):
        _, encoded = _encode({**whole, "kind": kind, "quality": 60}, [jpeg.getvalue()])
        _ssim(whole, [jpeg.getvalue(), *encoded])
    _rendition({**whole, "lossless": True}, [jpeg.getvalue()])
    _rendition({**whole, "lossless": True}, [drawing])
    _mend({"name": "p", "way": "mirror"}, [jpeg.getvalue()])
    zipped = io.BytesIO()
    with zipfile.ZipFile(zipped, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr("a", b"a" * 100)
        archive.writestr("\u00e4", b"")
    _unfold({}, [zipped.getvalue()])
    screen = {"id": "s", "name": "S", "width": 800, "height": 600, "least": 0, "most": 10000}
    page = b"<style>p { background: linear-gradient(red, rgb(0 0 0 / 0.5)) }</style><p>a</p>"
    for font in sample_fonts():
        _fonts({"name": "a font"}, [font])
    _bring({"screens": [screen], "fonts": {"named": {"a": "A"}, "generic": {}}, "names": ["a.html"]}, [page])


__all__ = ["TASKS", "warm"]
