"""What a picture file really is. Files are judged by their bytes, never by their names."""

import io
import warnings
from dataclasses import dataclass
from typing import Literal

from PIL import Image, ImageCms, ImageOps

from ..errors import PictureError
from .vector import looks_like_svg, svg_facts, svg_image

MAX_BYTES = 50 * 1024 * 1024
MAX_PIXELS = 80_000_000
PictureType = Literal["jpeg", "png", "webp", "avif", "gif", "svg"]
ENDINGS: dict[PictureType, tuple[str, ...]] = {
    "jpeg": (".jpg", ".jpeg", ".jpe", ".jfif"),
    "png": (".png",),
    "webp": (".webp",),
    "avif": (".avif",),
    "gif": (".gif",),
    "svg": (".svg",),
}
KINDS = "JPEG, PNG, WebP, AVIF, GIF and SVG pictures are taken"

Image.MAX_IMAGE_PIXELS = None  # sizes are checked from the header below, with a message of our own


@dataclass(frozen=True)
class Facts:
    """A picture's true type, its size in px after rotation, whether it has transparency, and what was noticed."""

    type: PictureType
    width: int
    height: int
    alpha: bool
    note: str


def sniff(data: bytes) -> PictureType | None:
    """The type by the first bytes, or None."""
    if data[:3] == b"\xff\xd8\xff":
        return "jpeg"
    if data[:8] == b"\x89PNG\r\n\x1a\n":
        return "png"
    if data[:4] == b"RIFF" and data[8:12] == b"WEBP":
        return "webp"
    if data[4:8] == b"ftyp" and b"avif" in data[8:40]:
        return "avif"
    if data[:6] in (b"GIF87a", b"GIF89a"):
        return "gif"
    return "svg" if looks_like_svg(data) else None


def _opened(data: bytes, name: str) -> tuple[PictureType, Image.Image]:
    if not data:
        raise PictureError(f"{name} is empty (0 bytes). {KINDS}. Nothing was changed.")
    if len(data) > MAX_BYTES:
        size = len(data) / 1024 / 1024
        raise PictureError(f"{name} has {size:.0f} MB; pictures have 50 MB at the most. Nothing was changed.")
    kind = sniff(data)
    if kind is None:
        raise PictureError(f"{name} is not a picture of a known kind, whatever its name says. {KINDS}.")
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")
            image = Image.open(io.BytesIO(data), formats=[kind.upper()])
    except Exception as error:
        raise PictureError(f"{name} begins like a {kind.upper()} picture, but its header is damaged.") from error
    if image.width < 1 or image.height < 1:
        raise PictureError(f"{name} says that it is {image.width} x {image.height} px, which is no picture.")
    if image.width * image.height > MAX_PIXELS:
        million = image.width * image.height / 1e6
        raise PictureError(
            f"{name} unfolds to {image.width} x {image.height} px ({million:.0f} megapixels); "
            "80 megapixels are the most. It was not unfolded."
        )
    return kind, image


def _has_alpha(image: Image.Image) -> bool:
    if image.mode in ("RGBA", "LA", "PA"):
        low, _ = image.getchannel("A").getextrema()
        return bool(low < 255)  # type: ignore[operator]
    return "transparency" in image.info


def load(data: bytes, name: str = "This file", draft: tuple[int, int] | None = None) -> Image.Image:
    """Decode to RGB or RGBA in sRGB, upright. `draft` lets a JPEG be decoded smaller, not below that size.

    Raises PictureError where the data are damaged or end too early.
    """
    if sniff(data) == "svg":
        return svg_image(data, svg_facts(data, name)[0])
    _, image = _opened(data, name)
    profile = image.info.get("icc_profile")
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")
            if draft and image.format == "JPEG" and image.mode in ("RGB", "L"):
                image.draft(image.mode, draft)
            image.load()
            upright = ImageOps.exif_transpose(image) or image
    except Exception as error:
        raise PictureError(
            f"{name} is damaged: its data end too early or cannot be read. "
            "It was not taken; save it anew and try again."
        ) from error
    return _to_srgb(upright, profile)


def _to_srgb(image: Image.Image, profile: bytes | None) -> Image.Image:
    alpha = _has_alpha(image)
    if profile and image.mode in ("RGB", "CMYK", "L"):
        try:
            source = ImageCms.ImageCmsProfile(io.BytesIO(profile))
            converted = ImageCms.profileToProfile(image, source, ImageCms.createProfile("sRGB"), outputMode="RGB")
            return converted or image.convert("RGB")
        except (ImageCms.PyCMSError, OSError):
            pass  # a broken profile: the colours are taken as sRGB
    if image.mode.startswith(("I", "F")):
        image = image.convert("I").point(lambda v: v / 256).convert("L")
    return image.convert("RGBA" if alpha else "RGB")


def _checked(data: bytes, name: str) -> tuple[PictureType, Image.Image, list[str]]:
    if data and len(data) <= MAX_BYTES and sniff(data) == "svg":
        width, _, removed = svg_facts(data, name)
        found = ["Scripts and outside references in it were left out."] if removed else []
        return "svg", svg_image(data, width), found
    kind, header = _opened(data, name)
    frames = getattr(header, "n_frames", 1) if kind == "gif" else 1
    notes = [f"It is an animation of {frames} pictures; the first one is used."] if frames > 1 else []
    if header.mode == "CMYK":
        notes.append("Its printing colours (CMYK) were converted to sRGB.")
    return kind, load(data, name), notes


def examine(data: bytes, name: str) -> Facts:
    """Check a file that somebody hands in by decoding all of it. Raises PictureError with the reason."""
    return examined(data, name)[0]


def examined(data: bytes, name: str) -> tuple[Facts, Image.Image]:
    """The same, with the decoded picture for whoever looks at it next."""
    kind, image, notes = _checked(data, name)
    dot = name.rfind(".")
    if dot > 0 and name[dot:].lower() not in ENDINGS[kind]:
        notes.insert(0, f"Its name ends in {name[dot:][:12]}, but it is a {kind.upper()} picture and was taken as one.")
    alpha = image.mode == "RGBA" and image.getchannel("A").getextrema()[0] != 255
    return Facts(kind, image.width, image.height, alpha, " ".join(notes)), image
