"""The small control that stops what moves on a page and lets it go on (WCAG 2.2, 2.2.2), in CSS alone.

It brings its own ground: white on near black with a white ring, so that it can be made out over everything.
"""

from ..resolve.control import INSET, SIDE, Control
from .declarations import Declarations, rule

STOP, BOX = "label.gf-stop", "input.gf-stop-box"
"""A layer or block may have any id, these too: the elements tell them apart."""
INK, GROUND = "#ffffff", "#1c1c1c"
WORDS = {
    "de": "Bewegung anhalten",
    "en": "Stop what moves",
    "es": "Detener el movimiento",
    "fr": "Arrêter le mouvement",
    "it": "Ferma il movimento",
    "nl": "Beweging stoppen",
    "pt": "Parar o movimento",
    "sv": "Stoppa rörelsen",
}
"""What it is called, by language."""


def stop_markup(language: str) -> str:
    """A checkbox with a name; in a language that is not known here, in English, which is said."""
    short = language.split("-")[0].lower()
    words = WORDS.get(short, WORDS["en"])
    foreign = "" if short in WORDS else ' lang="en"'
    return f'<label class="gf-stop"><input type="checkbox" class="gf-stop-box" aria-label="{words}"{foreign}></label>'


def stop_css(control: Control) -> str:
    """It is there where something moves: not under less motion, not on paper, not where it could do nothing."""
    block, inline = control.corner
    label: Declarations = [
        ("position", "absolute"),
        (f"inset-block-{block}", f"{INSET}px"),
        (f"inset-inline-{inline}", f"{INSET}px"),
        ("display", "grid"),
        ("place-items", "center"),
        ("inline-size", f"{SIDE}px"),
        ("block-size", f"{SIDE}px"),
        ("border-radius", "50%"),
        ("background-color", GROUND),
        ("box-shadow", f"0 0 0 2px {INK}"),
    ]
    box: Declarations = [
        ("appearance", "none"),
        ("position", "absolute"),
        ("inset", "0"),
        ("margin", "0"),
        ("border-radius", "50%"),
        ("cursor", "pointer"),
    ]
    bars = f"linear-gradient(90deg, {INK} 35%, transparent 35% 65%, {INK} 65%)"
    sign: Declarations = [
        ("content", '""'),
        ("inline-size", "10px"),
        ("block-size", "12px"),
        ("background", bars),
    ]
    arrow: Declarations = [("background", INK), ("clip-path", "polygon(0 0, 100% 50%, 0 100%)")]
    focus: Declarations = [
        ("outline", f"2px solid {INK}"),
        ("outline-offset", "4px"),
        ("box-shadow", f"0 0 0 4px {GROUND}"),
    ]
    shown = (
        rule(STOP, label, "  ")
        + rule(BOX, box, "  ")
        + rule(f"{STOP}::before", sign, "  ")
        + rule(f"{STOP}:has(:checked)::before", arrow, "  ")
        + rule(f"{BOX}:focus-visible", focus, "  ")
        + rule(f".gf-page:has({BOX}:checked) .gf-layer > .gf-layer", [("animation-play-state", "paused")], "  ")
    )
    hidden = rule(STOP, [("display", "none")])
    where = "@supports selector(:has(a)) {\n@media screen and (prefers-reduced-motion: no-preference) {\n"
    return f"{hidden}{where}{shown}}}\n}}\n"
