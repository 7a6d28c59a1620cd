"""Screens of the site, and putting exceptions back."""

from typing import Any, Literal

from pydantic import Field

from ...core.css.escape import file_part
from ...core.document import Screen, Site, screen_for
from ...core.errors import GarnetfernError, NotFoundError
from .common import Asked, Edited, page_of, with_page


class ScreenError(GarnetfernError):
    """The screens of the site cannot be changed so."""

    kind = "screens"


class AddScreen(Asked):
    """A screen of the owner's; its range is cut out of the range its width falls into."""

    kind: Literal["add-screen"] = "add-screen"
    name: str = Field(min_length=1, max_length=60)
    width: int = Field(ge=240, le=3840)
    height: int = Field(ge=240, le=3840)


class RemoveScreen(Asked):
    """Take a screen away; its range goes to its neighbour, and what was set for it alone goes with it."""

    kind: Literal["remove-screen"] = "remove-screen"
    screen: str


class SameEverywhere(Asked):
    """Put exceptions back. `item` is a layer, band or block; `field` one setting of it, or None for all."""

    kind: Literal["same-everywhere"] = "same-everywhere"
    page: str
    item: str
    field: str | None = None


def add_screen(site: Site, asked: AddScreen) -> Edited:
    """The border to its neighbour lies in the middle between both widths."""
    if len(site.screens) >= 8:
        raise ScreenError("Eight screens are the most. Take one away first.")
    if any(s.width == asked.width for s in site.screens):
        raise ScreenError(f"There is a screen {asked.width} px wide already.")
    slug = file_part(asked.name, "screen", 30)
    slug = slug if slug[0].isalpha() else f"s-{slug}"
    taken = {s.id for s in site.screens}
    name = next(n for n in (slug, *(f"{slug}-{k}" for k in range(2, 20))) if n not in taken)
    old = screen_for(site.screens, asked.width)
    border = (old.width + asked.width) // 2
    if asked.width > old.width:
        kept = old.model_copy(update={"most": border})
        least, most = border + 1, old.most
    else:
        kept = old.model_copy(update={"least": border + 1})
        least, most = old.least, border
    new = Screen(id=name, name=asked.name, width=asked.width, height=asked.height, least=least, most=most)
    screens = [kept if s.id == old.id else s for s in site.screens]
    screens = sorted([*screens, new], key=lambda s: -s.width)
    return Edited(site.model_copy(update={"screens": tuple(screens)}), f"Add the screen {asked.name}", name)


def _without(node: Any, screen: str) -> Any:
    """Plain JSON without the exceptions for a screen."""
    if isinstance(node, dict):
        return {
            key: (
                {s: e for s, e in value.items() if s != screen}
                if key == "screens" and isinstance(value, dict)
                else _without(value, screen)
            )
            for key, value in node.items()
        }
    return [_without(x, screen) for x in node] if isinstance(node, list) else node


def remove_screen(site: Site, asked: RemoveScreen) -> Edited:
    """The last screen stays."""
    gone = next((s for s in site.screens if s.id == asked.screen), None)
    if gone is None:
        raise NotFoundError(f"There is no screen {asked.screen!r} in this site.")
    if len(site.screens) == 1:
        raise ScreenError("A site has one screen at least; this is its last.")
    below = next((s for s in site.screens if s.most == gone.least - 1), None)
    above = next((s for s in site.screens if s.least == gone.most + 1), None)
    screens = []
    for screen in site.screens:
        if screen.id == gone.id:
            continue
        if below is not None and screen.id == below.id:
            screen = screen.model_copy(update={"most": gone.most})
        elif below is None and above is not None and screen.id == above.id:
            screen = screen.model_copy(update={"least": gone.least})
        screens.append(screen)
    changed = site.model_copy(update={"screens": tuple(screens)})
    plain = changed.model_dump(mode="json")
    plain["pages"] = _without(plain["pages"], gone.id)
    return Edited(Site.model_validate(plain), f"Remove the screen {gone.name}")


def _put_back(node: Any, item: str, field: str | None) -> Any:
    if isinstance(node, list):
        return [_put_back(x, item, field) for x in node]
    if not isinstance(node, dict):
        return node
    if node.get("id") == item and isinstance(node.get("screens"), dict):
        kept = {}
        for screen, values in node["screens"].items():
            rest = {k: None if k == field else v for k, v in values.items()} if field else {}
            if any(v is not None for v in rest.values()):
                kept[screen] = rest
        node = {**node, "screens": kept}
    return {key: _put_back(value, item, field) for key, value in node.items()}


def same_everywhere(site: Site, asked: SameEverywhere) -> Edited:
    """One setting, or all, of a layer, band or block as everywhere."""
    page = page_of(site, asked.page)
    plain = _put_back(page.model_dump(mode="json"), asked.item, asked.field)
    changed = type(page).model_validate(plain)
    return Edited(with_page(site, changed), f"The same on every screen{': ' + asked.field if asked.field else ''}")
