"""The library of gradients. Each is our own, named after something in or around the glasshouse."""

from typing import Any


def _stops(colours: str) -> list[dict[str, str]]:
    """Stops out of a line like `#0b1a14 0% #3f6f46 60%`; a place may be left out."""
    found: list[dict[str, str]] = []
    for word in colours.split():
        if word.startswith("#"):
            found.append({"colour": word})
        else:
            found[-1]["at"] = word
    return found


def _straight(angle: float, colours: str, **more: Any) -> dict[str, Any]:
    return {"shape": "linear", "angle": angle, "stops": _stops(colours), **more}


def _round(colours: str, **more: Any) -> dict[str, Any]:
    return {"shape": "radial", "stops": _stops(colours), **more}


def _turn(colours: str, **more: Any) -> dict[str, Any]:
    return {"shape": "conic", "stops": _stops(colours), **more}


_OKLAB = {"space": "oklab"}
GRADIENTS: tuple[tuple[str, str, dict[str, Any]], ...] = (
    ("glow", "Glow in the middle", _straight(90, "#10231b #5d8f63 50% #10231b")),
    ("lamp-glow", "Lamp behind glass", _round("#e9b45b 0% #7a4a1d 48% #1d120b 100%", **_OKLAB)),
    ("first-light", "First light", _straight(0, "#f3cf9d 0% #c98a78 38% #5b5a78 72% #2a3350 100%", **_OKLAB)),
    ("dusk-panes", "Dusk on the panes", _straight(180, "#1c2440 0% #5a4a6e 52% #c7866f 100%", **_OKLAB)),
    ("moss-bank", "Moss bank", _straight(160, "#2c4020 #6f8f3e #b9c77a", **_OKLAB)),
    ("deep-shade", "Deep shade", _straight(180, "#20302a #0b1a14")),
    ("wet-slate", "Wet slate", _straight(135, "#2b333b #56636d 55% #37414a")),
    ("copper-can", "Copper can", _straight(120, "#5b2c17 #b4693a 45% #e2a878 60% #8a4a26")),
    ("brass-tap", "Brass tap", _straight(100, "#5e4a16 #b7963f 40% #efdc9c 55% #8b6f2a")),
    ("new-frond", "New frond", _straight(20, "#1f4a2b #5ea04a 60% #cfe08a", **_OKLAB)),
    ("fern-spore", "Fern spore", _straight(45, "#5b3a1e #a8763b #d9b878")),
    ("frosted-glass", "Frosted glass", _straight(180, "#eef3f0 #cfdad6")),
    ("paper-label", "Paper label", _straight(180, "#fbf7ee #efe6d2")),
    ("rainwater", "Rainwater", _straight(200, "#123a4a #2f7480 50% #9cc7c2", **_OKLAB)),
    ("damson-jam", "Damson jam", _straight(150, "#2a1030 #6d2550 60% #b5566b", **_OKLAB)),
    ("fuchsia-bell", "Fuchsia bell", _straight(170, "#b32656 #d95c86 55% #f3c1cd", **_OKLAB)),
    ("tea-at-four", "Tea at four", _straight(180, "#f3e2c4 #d8a866 60% #9a6a34")),
    ("stove-ember", "Stove ember", _round("#f0a24a 0% #a8401f 40% #2b0f0b 100%", centre=["50%", "100%"], **_OKLAB)),
    ("moon-over-roof", "Moon over the roof", _round("#dfe6ea 0% #7288a0 18% #1a2740 75%", centre=["78%", "18%"])),
    (
        "sun-in-corner",
        "Sun in the corner",
        _round("#fff1c9 0% #eec06b 30% #6c8c5a 100%", centre=["100%", "0%"], **_OKLAB),
    ),
    ("pond", "Pond", _round("#9fc4ae 0% #3d7a6b 45% #10302c 100%", **_OKLAB)),
    ("mist", "Mist", _straight(0, "#dfe7e3 0% #dfe7e300 70%")),
    ("foot-scrim", "Dark foot", _straight(0, "#0b1a14 0% #0b1a1400 62%")),
    ("head-scrim", "Dark head", _straight(180, "#0b1a14 0% #0b1a1400 55%")),
    ("side-scrim", "Dark side", _straight(90, "#0b1a14e6 0% #0b1a1400 70%")),
    ("light-side", "Light side", _straight(90, "#fbf7eef2 0% #fbf7ee00 70%")),
    ("middle-shade", "Shade in the middle", _round("#0b1a14d9 0% #0b1a1400 72%")),
    ("corner-shade", "Dark corners", _round("#0b1a1400 45% #0b1a14e0 100%")),
    ("awning", "Awning", _straight(90, "#7a1f2b 0 #7a1f2b 28px #f4efe4 28px #f4efe4 56px", repeating=True)),
    ("seed-rows", "Seed rows", _straight(45, "#3a2b1e 0 #3a2b1e 9px #4a3826 9px #4a3826 18px", repeating=True)),
    ("flag", "Two halves", _straight(115, "#20302a 0% #20302a 50% #3f6f46 50% #3f6f46 100%")),
    ("rings", "Tree rings", _round("#c9a574 0px #c9a574 6px #a67f4e 9px #c9a574 14px", round=True, repeating=True)),
    ("fan", "Fan", _turn("#20302a 0% #3f6f46 12.5% #20302a 25%", repeating=True, centre=["50%", "100%"])),
    ("dial", "Sundial", _turn("#f4efe4 #d8b46a #7a4a2a #20302a #f4efe4", **_OKLAB)),
    ("bunting", "Bunting", _straight(90, "#7a1f2b #c77a33 #d9c36a #3f6f46 #2b5a73", **_OKLAB)),
)
"""Id, name, and the gradient as it stands in a document."""
