"""Routes laid into an application."""

from fastapi import APIRouter, FastAPI


def lay_in(app: FastAPI, *parts: APIRouter) -> None:
    """Answer by these routes, as they are: an included router makes all its routes once more, and the second time in
    the midst of the first request."""
    for part in parts:
        app.router.routes.extend(part.routes)
