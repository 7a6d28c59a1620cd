"""The small control that stops what moves on a page and lets it go on (WCAG 2.2, 2.2.2), in CSS alone; beside it, where
that is wished, what takes turns can be chosen.

It brings its own ground: white on near black with a white ring, so that it can be made out over everything.
"""

from collections.abc import Iterable

from ..document import LayerBase
from ..resolve.control import BETWEEN, INSET, SIDE, Control
from .declarations import Declarations, rule
from .escape import html_attribute, script_hash
from .layers import file_property
from .names import named

WHOLE, STOP, BOX, PICK = "div.gf-control", "label.gf-stop", "input.gf-stop-box", "input.gf-pick"
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


RUN_ON = {
    "de": "weiterlaufen lassen",
    "en": "let them run",
    "es": "dejar que sigan",
    "fr": "laisser défiler",
    "it": "lascia scorrere",
    "nl": "laten doorlopen",
    "pt": "deixar correr",
    "sv": "låt dem gå",
}
"""What is chosen where nothing is."""


_OBEY = """
const box = document.querySelector("input.gf-stop-box");
const films = document.querySelectorAll(".gf-layer > video");
const obey = () => films.forEach((film) => (box.checked ? film.pause() : film.play().catch(() => {})));
box?.addEventListener("change", obey);
if (box?.checked) obey();
"""
FILMS_STOP = f'<script type="module">{_OBEY}</script>\n'
"""A film cannot be stopped by CSS; without script it runs on, and less motion leaves it out."""
FILMS_STOP_HASH = script_hash(_OBEY)
"""The source expression that admits it."""


def _picks(layer: LayerBase, run_on: str) -> str:
    """A group of radio buttons, which arrow keys walk along: what runs on first, then each that can be shown."""
    name = html_attribute(layer.id)
    box = f'<input type="radio" name="gf-pick-{name}"'
    boxes = f'{box} class="gf-pick gf-run" aria-label="{run_on}" checked>'
    for part, said in layer.picks():
        boxes += f'{box} class="gf-pick gf-pick-{name}" id="gf-show-{part}" aria-label="{html_attribute(said)}">'
    return f'<span class="gf-picks" role="radiogroup" aria-label="{html_attribute(layer.name)}">{boxes}</span>'


def stop_markup(language: str, picks: Iterable[LayerBase] = ()) -> str:
    """A checkbox with a name, and what can be chosen; in English, which is said, where the language is not known."""
    short = language.split("-")[0].lower()
    words, run_on = WORDS.get(short, WORDS["en"]), RUN_ON.get(short, RUN_ON["en"])
    foreign = "" if short in WORDS else ' lang="en"'
    box = f'<input type="checkbox" class="gf-stop-box" aria-label="{words}"{foreign}>'
    return (
        f'<div class="gf-control"><label class="gf-stop">{box}</label>{"".join(_picks(x, run_on) for x in picks)}</div>'
    )


def _picked_css(layers: Iterable[LayerBase]) -> str:
    """What was chosen is there alone."""
    text = ""
    for layer in layers:
        gone: Declarations = [("animation", "none"), ("opacity", "0")]
        text += rule(f".gf-page:has(.gf-pick-{layer.id}:checked) .{named(layer.id)} > .gf-layer", gone, "  ")
        for part, _ in layer.picks():
            there: Declarations = [("opacity", "1")]
            there += [
                ("background-image", f"var({file_property(layer, picture)})")
                for picture in layer.pictures()
                if picture.id == part and file_property(layer, picture) != "background-image"
            ]
            text += rule(f".gf-page:has(#gf-show-{part}:checked) .{named(layer.id)} > .{named(part)}", there, "  ")
    return text


def stop_css(control: Control, picks: Iterable[LayerBase] = ()) -> str:
    """It is there where something moves: not under less motion, not on paper, not where it could do nothing."""
    picks = list(picks)
    block, inline = control.corner
    place: Declarations = [
        ("position", "absolute"),
        (f"inset-block-{block}", f"{INSET}px"),
        (f"inset-inline-{inline}", f"{INSET}px"),
        ("display", "flex"),
        ("gap", f"{BETWEEN}px"),
    ]
    round_one: Declarations = [
        ("position", "relative"),
        ("display", "grid"),
        ("place-items", "center"),
        ("inline-size", f"{SIDE}px"),
        ("block-size", f"{SIDE}px"),
        ("margin", "0"),
        ("border-radius", "50%"),
        ("background-color", GROUND),
        ("box-shadow", f"inset 0 0 0 2px {INK}, 0 0 0 1px {GROUND}"),
        ("cursor", "pointer"),
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
    sign: Declarations = [("content", '""'), ("inline-size", "10px"), ("block-size", "12px"), ("background", bars)]
    arrow: Declarations = [("background", INK), ("clip-path", "polygon(0 0, 100% 50%, 0 100%)")]
    focus: Declarations = [("outline", f"2px solid {INK}"), ("outline-offset", "2px")]
    dot: Declarations = [
        ("content", '""'),
        ("inline-size", "8px"),
        ("block-size", "8px"),
        ("border-radius", "50%"),
        ("background", INK),
    ]
    shown = (
        rule(WHOLE, place, "  ")
        + rule(f"{STOP}{f', {PICK}' if picks else ''}", round_one, "  ")
        + rule(BOX, box, "  ")
        + rule(f"{STOP}::before", sign, "  ")
        + rule(f"{STOP}:has(:checked)::before", arrow, "  ")
        + rule(f"{BOX}:focus-visible, {PICK}:focus-visible", focus, "  ")
        + rule(f".gf-page:has({BOX}:checked) .gf-layer > .gf-layer", [("animation-play-state", "paused")], "  ")
    )
    if picks:
        chosen: Declarations = [("box-shadow", f"inset 0 0 0 5px {INK}, 0 0 0 1px {GROUND}")]
        shown += (
            rule(".gf-picks", [("display", "flex"), ("gap", f"{BETWEEN}px")], "  ")
            + rule(PICK, [("appearance", "none")], "  ")
            + rule(f"{PICK}::before", dot, "  ")
            + rule("input.gf-run::before", [*arrow, ("border-radius", "0")], "  ")
            + rule(f"{PICK}:checked", chosen, "  ")
            + _picked_css(picks)
        )
    hidden = rule(WHOLE, [("display", "none")])
    where = "@supports selector(:has(a)) {\n@media screen and (prefers-reduced-motion: no-preference) {\n"
    return f"{hidden}{where}{shown}}}\n}}\n"
