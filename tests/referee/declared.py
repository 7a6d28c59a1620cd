"""Declarations of backgrounds in every notation that is read, for the browser to compare with."""

from itertools import product

SHADES = (
    "#123456", "#fff", "#abcd", "rgb(10 20 30)", "rgb(10,20,30)", "rgba(200, 100, 50, .5)", "rgb(50% 25% 10% / 40%)",
    "hsl(120 40% 40%)", "hsla(200,50%,50%,.7)", "hsl(0.5turn 40% 30%)", "hwb(90 20% 30%)", "lab(50% 40 20)",
    "lch(60% 40 200)", "oklab(60% .1 .05)", "oklch(60% .1 150 / 50%)", "color(srgb 0.2 0.4 0.6)",
    "color(display-p3 0.2 0.6 0.3)", "rebeccapurple", "TRANSPARENT", "currentColor", "RED", "#F0F8",
    "hsl(none 50% 50%)",
    "rgb(300 -20 10)", "hsl(-30deg 80% 60%)", "rgb(12.5 99.4 200.7)", "gold", "#0000",
)  # fmt: skip
TOWARDS = ("", "to top,", "to right,", "to left,", "to bottom,", "45deg,", "-30deg,", "0.25turn,", "1.2rad,",
           "100grad,", "360deg,", "0deg,")  # fmt: skip
STOPS = (
    "red, blue", "red 20%, blue", "red, blue 80%", "red 0 30%, blue 30% 100%", "red, #fff 30px, blue",
    "red, transparent",
    "#0008, #fff0 70%", "red 10%, lime 30%, blue 90%", "rgb(0 0 0 / .2), rgb(0 0 0 / .9) calc(50% + 20px)",
    "red 40px, blue calc(100% - 40px)", "red -20%, blue 120%", "red 60%, blue 20%", "red, lime, blue, gold",
)  # fmt: skip
AGAIN = ("red 0 10px, blue 10px 20px", "red, blue 40px", "#000 0 2px, transparent 2px 8px")
ROUND = (
    "", "circle,", "ellipse,", "closest-side,", "farthest-side,", "circle closest-corner,", "at 20% 30%,",
    "circle at left top,", "circle farthest-side at 70% bottom,", "at center,", "ellipse at right 20px top 10px,",
    "closest-side at 40px 50px,", "circle at bottom,", "at top 20% left 30%,",
)  # fmt: skip
TURNS = ("", "from 45deg,", "from 0.25turn at 20% 30%,", "at left bottom,")
ARCS = ("red, blue", "red 25%, blue 50%", "red 0 90deg, blue 90deg 180deg, lime 0", "red, blue 0.5turn",
        "red 10%, transparent 60%")  # fmt: skip
BEFORE = (
    "-webkit-linear-gradient(top, #fff 0%, #000 100%)", "-webkit-linear-gradient(left, red, blue)",
    "-webkit-linear-gradient(45deg, red, blue)", "-webkit-linear-gradient(red, blue)",
    "-webkit-linear-gradient(bottom, red 20%, blue)",
    "-webkit-gradient(linear, left top, left bottom, from(#fff), to(#000))",
    "-webkit-gradient(linear, left top, right top, from(red), color-stop(0.3, lime), to(blue))",
    "-webkit-gradient(linear, 0 0, 0 100%, color-stop(20%, red), color-stop(80%, blue))",
    "-webkit-radial-gradient(center, ellipse cover, red, blue)", "-webkit-radial-gradient(30% 40%, circle, red, blue)",
    "-webkit-repeating-linear-gradient(top, red, blue 20px)",
)  # fmt: skip
PLACES = ("center", "top", "left", "right bottom", "bottom right", "30% 70%", "10px 20px", "right 10px bottom 20px",
          "left 30% top 10%", "bottom 10px right", "top right 20px", "center right 30px", "calc(50% + 10px) 20%",
          "-20px 50%", "50px", "0 0", "right", "center 30px", "100% 0")  # fmt: skip
SIZES = (
    "cover",
    "contain",
    "auto",
    "100% 100%",
    "50%",
    "120px auto",
    "auto 50px",
    "80px 40px",
    "calc(50% - 10px) auto",
)
REPEATS = ("repeat-x", "repeat-y", "round", "repeat no-repeat", "no-repeat round")
BLENDS = (
    "multiply", "screen", "overlay", "darken", "lighten", "color-dodge", "color-burn", "hard-light", "soft-light",
    "difference", "exclusion", "hue", "saturation", "color", "luminosity",
)  # fmt: skip
WHOLE = (
    "background: linear-gradient(#0006, #0006), url(p.png) center/cover",
    "background-image: linear-gradient(#0006, #0000), url(p.png); background-size: auto, cover;"
    "background-position: 0 0, center",
    "background: url(p.png) no-repeat; background-size: cover",
    "background-image: url(p.png); background-repeat: no-repeat; background-position-x: right;"
    "background-position-y: 20%",
    "background: image-set('p.png' 1x, 'p.png' 2x) center/cover", "background: url(p.png) center/cover, #456",
    "background-image: -webkit-image-set(url(p.png) 1x); background-size: 80px",
    "background: red; background: nonsense(3)", "background: red; background: url(p.png) url(p.png)",
    "background: linear-gradient(in oklab, red, blue)", "background: linear-gradient(to right in oklab, red, blue)",
    "background: repeating-conic-gradient(red 0 25%, blue 0 50%)",
    "background: repeating-conic-gradient(red, blue 30deg)",
    "background: repeating-radial-gradient(circle at 30% 40%, red 0 10px, blue 10px 20px)",
    "background: radial-gradient(#fff4 20%, transparent), linear-gradient(gold, teal)",
    "background: none; background-color: teal",
    "background: url(p.png) center/contain no-repeat, linear-gradient(teal, gold)", "background: initial",
    "background-color: red; background-color: bogus",
    "background: rgb(0 0 0 / .3); background-image: linear-gradient(red, #0000)",
)  # fmt: skip


def declarations() -> list[str]:
    """All of them."""
    found = [f"background-color: {c}" for c in SHADES] + [f"background: {c}" for c in SHADES]
    found += [f"background: linear-gradient({c}, {c}) #345" for c in SHADES]
    found += [f"background: linear-gradient({d} {s})" for d, s in product(TOWARDS, STOPS[:6])]
    found += [f"background-image: linear-gradient({s})" for s in STOPS]
    found += [f"background: repeating-linear-gradient(45deg, {s})" for s in AGAIN]
    found += [f"background: radial-gradient({r} {s})" for r, s in product(ROUND, STOPS[:3])]
    found += [f"background: conic-gradient({t} {s})" for t, s in product(TURNS, ARCS)]
    found += [f"background: {old}" for old in BEFORE]
    found += [f"background: url(p.png) {p} / {s} no-repeat" for p, s in product(PLACES, SIZES[:6])]
    tiled = product(("0 0", "center", "right 10px bottom 20px"), SIZES)
    found += [f"background: url(p.png) {p} / {s}" for p, s in tiled]
    found += [f"background: url('p.png') {r} 20px 30px / 90px 50px #456" for r in REPEATS]
    stack = "background: linear-gradient(to right, red, #08f), url(p.png) center/cover #468; background-blend-mode: "
    found += [f"{stack}{b}, normal" for b in BLENDS]
    return [*found, *WHOLE]
