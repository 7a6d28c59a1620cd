"""What the site's pictures weigh once fitted."""

from dataclasses import asdict
from typing import Any

from ...core.document import Site
from ...core.resolve.fonts import FontBook
from ...store import FittedFiles, fitted_key
from ..files.fitting import Fitting, kinds_of, wanted


def weights(site: Site, fonts: FontBook, fitting: Fitting, files: FittedFiles) -> dict[str, Any]:
    """Every rendition visitors get with its budget and its files, as plain data."""
    rows = []
    for one in wanted(site, fonts):
        if one.rendition.lossless:
            continue
        found = [(k, files.find(fitted_key(one.rendition, k, one.budget))) for k in kinds_of(one.rendition)]
        made = [{"kind": kind, **asdict(file)} for kind, file in found if file is not None]
        row = {"asset": one.asset.id, "name": one.asset.name, "budget": one.budget}
        rows.append({**row, "width": one.rendition.width, "height": one.rendition.height, "files": made})
    return {"rows": rows, "missing": len(fitting.missing(site, fonts))}
