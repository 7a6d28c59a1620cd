"""What the site's pictures weigh once fitted."""

from typing_extensions import TypedDict

from ...core.document import Site
from ...core.resolve.book import FontBook
from ...store import FittedFile, FittedFiles, fitted_key
from ..files.films import CODEC_NAMES, Films, cuts_of
from ..files.fitting import Fitting, kinds_of, wanted


class FittedView(TypedDict):
    """A fitted file: its kind, quality, SSIM (both 0 of a film), weight, and whether it fits its budget."""

    kind: str
    quality: int
    ssim: float
    bytes: int
    fits: bool


class WeightRow(TypedDict):
    """A rendition visitors get, the budget it has, and its files as far as they were made."""

    asset: str
    name: str
    width: int
    height: int
    budget: int
    files: list[FittedView]


class WeightsView(TypedDict):
    """All renditions of the site, and how many files are still to be made."""

    rows: list[WeightRow]
    missing: int


def _fitted(kind: str, file: FittedFile) -> FittedView:
    return {"kind": kind, "quality": file.quality, "ssim": file.ssim, "bytes": file.bytes, "fits": file.fits}


def weights(site: Site, fonts: FontBook, fitting: Fitting, files: FittedFiles, films: Films) -> WeightsView:
    """Every rendition and every film that visitors get, with its budget and its files."""
    rows: list[WeightRow] = []
    for one in wanted(site, fonts):
        if one.rendition.lossless:
            continue
        found = [(k, files.find(fitted_key(one.rendition, k, one.budget))) for k in kinds_of(one.rendition)]
        made = [_fitted(kind, file) for kind, file in found if file is not None]
        row: WeightRow = {
            "asset": one.asset.id,
            "name": one.asset.name,
            "budget": one.budget,
            "width": one.rendition.width,
            "height": one.rendition.height,
            "files": made,
        }
        rows.append(row)
    for cut, asset in cuts_of(site, fonts).items():
        rows.append(
            {
                "asset": asset.id,
                "name": asset.name,
                "budget": cut.budget,
                "width": cut.width,
                "height": cut.height,
                "files": [_fitted(CODEC_NAMES[codec], file) for codec, file in films.files(cut)],
            }
        )
    return {"rows": rows, "missing": len(fitting.missing(site, fonts)) + len(films.missing(site))}
