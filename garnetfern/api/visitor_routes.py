"""Pages and pictures as a browser asks for them."""

import re
from dataclasses import replace
from datetime import date
from typing import Annotated

from fastapi import APIRouter, HTTPException, Query
from fastapi.responses import FileResponse, HTMLResponse, Response

from ..core.css.escape import style_text
from ..core.limits import FILM_SECONDS, WHOLE_NUMBER
from ..service.views.pages import content_of
from ..service.workspace.studio import Studio
from .answers import FOREVER, FRESH
from .guard import LIVE

PICTURE_NAME = re.compile(
    r"[a-z0-9-]*?-(\d{1,5})-([0-9a-f]{10})(?:-c(\d{1,5}-\d{1,5}-\d{1,5}-\d{1,5}))?(?:-t(\d{1,3}(?:\.\d{1,3})?))?\.webp"
)
FILM_NAME = re.compile(r"[a-z0-9-]*?-\d{1,5}-([0-9a-f]{10})\.(?:av1|h264)\.mp4")
LIVE_STYLE = "html { scrollbar-width: none; }"


def visitor_routes(studio: Studio) -> APIRouter:
    """Pages, pictures and fonts as a visitor's browser asks for them."""
    routes = APIRouter(include_in_schema=False)

    @routes.get("/live/{page}", response_class=HTMLResponse)
    def live_page(page: str) -> HTMLResponse:
        site = studio.site()
        emitted = replace(studio.emitted(site, studio.page(site, page)), script="")
        texts = {"gf-fonts": emitted.fonts, "gf-css": emitted.css, "gf-live": LIVE_STYLE, "gf-frozen": ""}
        styles = "".join(f"<style id={name}>{style_text(text)}</style>" for name, text in texts.items())
        return HTMLResponse(emitted.html(styles), headers={**FRESH, "content-security-policy": LIVE})

    @routes.get("/films/{name}")
    def film(name: str) -> FileResponse:
        match = FILM_NAME.fullmatch(name)
        path = studio.fitted.whole_path(match[1]) if match else None
        if path is None:
            raise HTTPException(404, "There is no such file of a film.")
        return FileResponse(path, media_type="video/mp4", headers=FOREVER)

    @routes.get("/page-pictures/{page}/{content}")
    def page_image(
        page: str,
        content: str,
        day: date | None = None,
        screen: Annotated[str | None, Query(max_length=40)] = None,
        release: Annotated[int | None, Query(ge=1, le=WHOLE_NUMBER)] = None,
    ) -> Response:
        site = studio.site() if release is None else studio.publishing.site_of(release)
        found = studio.page(site, page, day)
        fresh = FOREVER if content == content_of(site, found) else FRESH
        return Response(studio.page_picture(site, found, screen), media_type="image/jpeg", headers=fresh)

    @routes.get("/strips/{hash_}")
    def strip(hash_: str) -> Response:
        return Response(studio.strip(hash_), media_type="image/webp", headers=FOREVER)

    @routes.get("/thumbs/{hash_}")
    def thumb(
        hash_: str, large: str | None = None, at: Annotated[float, Query(ge=0, le=FILM_SECONDS)] = 0.0
    ) -> Response:
        data = studio.thumb_data(hash_, 360 if large is None else 1200, at)
        return Response(data, media_type="image/webp", headers=FOREVER)

    @routes.get("/pictures/{name}")
    def picture(name: str) -> Response:
        match = PICTURE_NAME.fullmatch(name)
        if not match:
            raise HTTPException(404, "There is no such picture.")
        part = tuple(map(int, match[3].split("-"))) if match[3] else None
        at = float(match[4]) if match[4] else 0.0
        data = studio.rendition_data(match[2], int(match[1]), part, at)  # type: ignore[arg-type]
        return Response(data, media_type="image/webp", headers=FOREVER)

    return routes
