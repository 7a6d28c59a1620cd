"""A client that asks as the application's own pages do: from the same origin, files as octet streams."""

from typing import Any

from starlette.testclient import TestClient

OWN = "http://127.0.0.1:8420"


class OwnClient(TestClient):
    """Speaks to an application from its own origin."""

    def __init__(self, app: Any, **more: Any) -> None:
        super().__init__(app, base_url=OWN, headers={"origin": OWN}, **more)

    def request(self, method: str, url: Any, **more: Any) -> Any:
        if more.get("content") is not None:
            more["headers"] = {"content-type": "application/octet-stream", **(more.get("headers") or {})}
        return super().request(method, url, **more)
