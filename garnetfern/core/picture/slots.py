"""Exact slots: a picture cut with the slot's proportion, and what that costs it."""

import io
from dataclasses import dataclass

from PIL import Image

from ..document import Asset, Crop, Slot


@dataclass(frozen=True)
class SlotFacts:
    """What a crop for a slot means: slot px per picture px, and the share of the picture that is cut off."""

    magnification: float
    lost: float
    sentence: str


def widest_crop(asset: Asset, slot: Slot, focal: tuple[float, float] = (0.5, 0.5)) -> Crop:
    """The largest part of a picture with the slot's proportion, with the focal point at the same share of it."""
    share = (slot.width / slot.height) / (asset.width / asset.height)
    width, height = (share, 1.0) if share <= 1 else (1.0, 1 / share)
    return Crop(x=focal[0] * (1 - width), y=focal[1] * (1 - height), width=width, height=height)


def locked(asset: Asset, slot: Slot, crop: Crop) -> Crop:
    """The crop with the slot's proportion: its width and centre hold, its height follows, and it stays inside."""
    share = (slot.width / slot.height) / (asset.width / asset.height)
    width = min(crop.width, 1.0, share)
    height = width / share
    x = min(max(0.0, crop.x + (crop.width - width) / 2), 1 - width)
    y = min(max(0.0, crop.y + (crop.height - height) / 2), 1 - height)
    return Crop(x=x, y=y, width=width, height=height)


def slot_facts(asset: Asset, slot: Slot, crop: Crop) -> SlotFacts:
    """Magnification and loss in numbers and in a sentence. Nothing is refused."""
    magnification = slot.width / (crop.width * asset.width)
    lost = 1 - crop.width * crop.height
    cut = f"{min(99, round(100 * lost))} % of the picture is cut off" if lost > 0.005 else "nothing is cut off"
    if magnification > 1.005:
        wanted = round(crop.width * asset.width)
        words = (
            f"Too small: {wanted} px are drawn over {slot.width} px, {magnification:.2f} times, and look soft; {cut}."
        )
    else:
        words = f"Sharp: {round(crop.width * asset.width)} px for {slot.width} px; {cut}."
    return SlotFacts(round(magnification, 3), round(lost, 4), words)


def slot_image(image: Image.Image, slot: Slot, crop: Crop) -> Image.Image:
    """The picture's part at exactly the slot's width and height."""
    box = (
        crop.x * image.width,
        crop.y * image.height,
        (crop.x + crop.width) * image.width,
        (crop.y + crop.height) * image.height,
    )
    return image.resize((slot.width, slot.height), Image.Resampling.LANCZOS, box=box, reducing_gap=3.0)


def slot_file(image: Image.Image, slot: Slot, crop: Crop, kind: str) -> bytes:
    """The result file: JPEG, or PNG where the picture is transparent or asked for."""
    cut = slot_image(image, slot, crop)
    out = io.BytesIO()
    if kind == "png":
        cut.save(out, "PNG", optimize=True)
    else:
        flat = Image.new("RGB", cut.size, "white")
        flat.paste(cut, mask=cut.getchannel("A") if cut.mode == "RGBA" else None)
        flat.save(out, "JPEG", quality=88, optimize=True, progressive=True)
    return out.getvalue()
