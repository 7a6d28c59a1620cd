"""Write docs/openapi.json and docs/site.schema.json, and of the API what numbers may be, for the interface."""

import json
import tempfile
from pathlib import Path
from typing import Any

from garnetfern.api.app import create_app
from garnetfern.core.document import site_schema

HOUSE = Path(__file__).resolve().parent.parent
DOCS = HOUSE / "docs"
RANGES = HOUSE / "web" / "src" / "api" / "ranges.ts"


def _range(field: dict[str, Any]) -> list[float] | None:
    """The least and the most that a number may be, where both are said."""
    for kind in (field, *field.get("anyOf", [])):
        ends = (
            kind.get("minimum", kind.get("exclusiveMinimum")),
            kind.get("maximum", kind.get("exclusiveMaximum")),
        )
        if None not in ends:
            return [float(end) for end in ends]
    return None


def ranges(document: dict[str, Any]) -> str:
    """What numbers may be, by model and field, for the interface."""
    found: dict[str, dict[str, list[float]]] = {}
    for name, model in sorted(document["components"]["schemas"].items()):
        read = ((field, _range(how)) for field, how in model.get("properties", {}).items())
        if kept := {field: ends for field, ends in read if ends}:
            found[name] = kept
    lines = ["/** Made by `make types` out of the API: the least and the most that a number may be. */"]
    lines.append("export const RANGES = {")
    for name, fields in found.items():
        ends = ", ".join(f"{field}: [{least:g}, {most:.15g}]" for field, (least, most) in fields.items())
        lines.append(f"  {name}: {{ {ends} }},")
    lines += ["} as const;", ""]
    return "\n".join(lines)


def main() -> None:
    """Write all three files."""
    with tempfile.TemporaryDirectory() as folder:
        document = create_app(Path(folder)).openapi()
    (DOCS / "openapi.json").write_text(json.dumps(document, indent=1) + "\n")
    RANGES.write_text(ranges(document))
    (DOCS / "site.schema.json").write_text(json.dumps(site_schema(), indent=1) + "\n")


if __name__ == "__main__":
    main()
