"""Pictures whose file is not what it was: where they are used, and what to do."""

from ...core.document import Site
from ...store import DamagedError
from .uses import uses_of


def told(site: Site, hash_: str, error: DamagedError) -> DamagedError:
    """The error with the picture's name and where it is used."""
    asset = next((a for a in site.assets if a.hash == hash_), None)
    if asset is None:
        return error
    uses = [use.words for use in uses_of(site, asset.id)]
    where = f"It is used in {'; '.join(uses[:6])}." if uses else "It is used nowhere."
    return DamagedError(
        f"The file of {asset.name!r} is damaged on the disk: its bytes are not what they were. {where} "
        "Bring the same file again to heal it; until then nothing is handed out with it.",
        f"$.assets[{site.assets.index(asset)}]",
    )
