"""What a picture file really is. Files are judged by their bytes, never by their names."""

import io
import warnings
from dataclasses import dataclass
from typing import Literal

from PIL import Image, ImageCms, ImageOps

from .. import limits
from ..errors import PictureError
from .vector import looks_like_svg, svg_facts, svg_image

MAX_BYTES = limits.PICTURE
PictureType = Literal["jpeg", "png", "webp", "avif", "gif", "svg", "mp4", "mov", "webm"]
ENDINGS: dict[str, tuple[str, ...]] = {
    "jpeg": (".jpg", ".jpeg", ".jpe", ".jfif"),
    "png": (".png",),
    "webp": (".webp",),
    "avif": (".avif",),
    "gif": (".gif",),
    "svg": (".svg",),
}
KINDS = "JPEG, PNG, WebP, AVIF, GIF and SVG pictures are taken, and MP4, MOV and WebM films"

LARGEST_DRAWN = 3840
"""The widest rendition of a drawing (`resolve.image.STEPS`), px."""
Image.MAX_IMAGE_PIXELS = None  # sizes are checked from the header below, with a message of our own


@dataclass(frozen=True)
class Facts:
    """A picture's true type, its size in px after rotation, whether it has transparency, and what was noticed; of one
    that moves, and of a film, how long it is, s, and how many pictures it has in a second."""

    type: PictureType
    width: int
    height: int
    alpha: bool
    note: str
    duration: float = 0.0
    rate: float = 0.0


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


def check_size(width: int, height: int, name: str) -> None:
    """Raise PictureError where a picture is too large to be unfolded, with its figures."""
    if max(width, height) > limits.PICTURE_SIDE:
        raise PictureError(
            f"{name} is {width:,} x {height:,} px; a side has {limits.PICTURE_SIDE:,} px at the most. "
            "It was not unfolded; cut it, or save it smaller."
        )
    if width * height > limits.PICTURE_PIXELS:
        raise PictureError(
            f"{name} unfolds to {width} x {height} px ({width * height / 1e6:.0f} megapixels); "
            f"{limits.PICTURE_PIXELS // 1_000_000} megapixels are the most. It was not unfolded."
        )


def _opened(data: bytes, name: str) -> tuple[PictureType, Image.Image]:
    if not data:
        raise PictureError(f"{name} is empty (0 bytes). {KINDS}. Nothing was changed.")
    if len(data) > MAX_BYTES:
        raise PictureError(
            f"{name} has {len(data) / limits.MB:.1f} MB; pictures have 50 MB at the most. Nothing was changed."
        )
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
    check_size(image.width, image.height, name)
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
    if profile and len(profile) > limits.PROFILE:
        profile = None
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
        except (ImageCms.PyCMSError, OSError, ValueError, TypeError):
            pass  # a broken profile: the colours are taken as sRGB
    if image.mode.startswith(("I", "F")):
        image = image.convert("I").point(lambda v: v / 256).convert("L")
    return image.convert("RGBA" if alpha else "RGB")


def _animated(header: Image.Image) -> bool:
    """Whether there are more pictures than the first; looks no further than to the second."""
    try:
        return bool(getattr(header, "is_animated", False))
    except Exception:
        return False


def _drawn(data: bytes, name: str) -> tuple[Image.Image, list[str]]:
    """A drawing at its own size. It is drawn at its largest too, so that what was taken once can always be shown."""
    width, height, removed = svg_facts(data, name)
    image = svg_image(data, width)
    largest = max((w for w in (width, LARGEST_DRAWN) if w * height / width <= limits.PICTURE_SIDE), default=width)
    if largest != width:
        svg_image(data, largest)
    return image, ["Scripts and outside references in it were left out."] if removed else []


def _checked(data: bytes, name: str) -> tuple[PictureType, Image.Image, list[str]]:
    if data and len(data) <= MAX_BYTES and sniff(data) == "svg":
        image, notes = _drawn(data, name)
        return "svg", image, notes
    kind, header = _opened(data, name)
    notes = (
        ["It moves: laid as a picture it shows its first moment, laid as a film it plays."] if _animated(header) else []
    )
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
