"""What a picture among the words shows: its proportion, and the part of its picture."""

from ..document import Asset, Block, Crop, Site


def picture_size(site: Site, block: Block) -> tuple[int, int]:
    """Width and height in px that a picture block's proportion comes from: its slot's or its picture's."""
    if block.slot is not None:
        slot = site.slot(block.slot)
        return slot.width, slot.height
    asset: Asset = site.asset(block.asset or "")
    return asset.width, asset.height


def picture_crop(site: Site, block: Block) -> Crop | None:
    """The part of its picture that a picture block shows: what was cut for its slot, or as much as fits the slot."""
    if block.slot is None or block.asset is None:
        return None
    fit = site.fit(block.slot, block.asset)
    if fit is not None:
        return fit.crop
    asset = site.asset(block.asset)
    width, height = picture_size(site, block)
    share = (width / height) / (asset.width / asset.height)
    if share <= 1:
        return Crop(x=(1 - share) / 2, width=share)
    return Crop(y=(1 - 1 / share) / 2, height=1 / share)
