"""Zips whose bytes depend on their content alone."""

import io
import zipfile

STAMP = (1980, 1, 1, 0, 0, 0)


def zip_of(files: dict[str, bytes]) -> bytes:
    """A zip whose bytes depend on its content alone."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        for name, data in sorted(files.items()):
            entry = zipfile.ZipInfo(name, STAMP)
            packed = name.endswith((".webp", ".woff2", ".jpeg", ".png", ".avif"))
            entry.compress_type = zipfile.ZIP_STORED if packed else zipfile.ZIP_DEFLATED
            entry.external_attr = 0o644 << 16
            archive.writestr(entry, data)
    return out.getvalue()
