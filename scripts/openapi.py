"""Write docs/openapi.json and docs/site.schema.json, from which the interface's types and the docs are made."""

import json
import tempfile
from pathlib import Path

from garnetfern.api.app import create_app
from garnetfern.core.document import site_schema

DOCS = Path(__file__).resolve().parent.parent / "docs"


def main() -> None:
    """Write both files."""
    with tempfile.TemporaryDirectory() as folder:
        document = create_app(Path(folder)).openapi()
    (DOCS / "openapi.json").write_text(json.dumps(document, indent=1) + "\n")
    (DOCS / "site.schema.json").write_text(json.dumps(site_schema(), indent=1) + "\n")


if __name__ == "__main__":
    main()
