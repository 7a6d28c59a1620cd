"""What a page says for other ways of being met than with the eyes on a screen: printed, in forced colours (CSS Color
Adjustment 1, section 3), and by keyboard.

On paper browsers leave backgrounds out, and white words would vanish: words are printed dark on white, and bands are as
high as what is in them. In forced colours the pictures stay, and words get a ground in the visitor's own colours. The
focus is shown by a light line and a dark one, of which one stands out against every ground.
"""

from ..resolve.moment import INK
from .declarations import Declarations
from .rules import Rules, rules_text

FOCUS_LINE = 2
"""How wide each of the two lines round what holds the focus is, px."""
FOCUS_LIGHT, FOCUS_DARK = "#ffffff", "#000000"
FORCED_REACH = 0.25
"""So far past its box, em, the ground of words reaches in forced colours: letters reach out of their lines."""

_PLAIN: Declarations = [("-webkit-text-stroke-width", "0"), ("text-shadow", "none")]
_PAPER: Rules = {
    ".gf-page, .gf-page .gf-band, .gf-page .gf-column, .gf-page .gf-words": [("background", "none")],
    ".gf-page .gf-layer, .gf-page .gf-join, .gf-page > .gf-behind, .gf-page .gf-control": [("display", "none")],
    ".gf-page .gf-plated > .gf-behind": [
        ("background", "none"),
        ("border-color", INK),
        ("box-shadow", "none"),
    ],
    ".gf-page, .gf-page .gf-band": [("min-block-size", "0")],
    ".gf-page .gf-words, .gf-page .gf-words a, .gf-page .gf-words .gf-phrase": [
        ("color", INK),
        ("-webkit-text-fill-color", INK),
        *_PLAIN,
    ],
}
_FORCED: Rules = {
    ".gf-page .gf-behind, .gf-page .gf-join": [("forced-color-adjust", "none")],
    ".gf-page .gf-plated > .gf-behind": [("display", "none")],
    ".gf-page .gf-words": [
        ("background-color", "Canvas"),
        ("outline", f"{FORCED_REACH}em solid Canvas"),
        ("color", "CanvasText"),
        ("-webkit-text-fill-color", "currentcolor"),
        *_PLAIN,
    ],
    ".gf-page .gf-words .gf-phrase": [("color", "CanvasText")],
    ".gf-page a.gf-words, .gf-page .gf-words a, .gf-page .gf-words a.gf-phrase": [("color", "LinkText")],
    ".gf-page :is(a, summary):focus-visible": [("outline", f"{FOCUS_LINE + 1}px solid Highlight")],
}
_FOCUS: Rules = {
    ".gf-page :is(a, summary):focus-visible": [
        ("outline", f"{FOCUS_LINE}px solid {FOCUS_LIGHT}"),
        ("outline-offset", "0"),
        ("box-shadow", f"0 0 0 {2 * FOCUS_LINE}px {FOCUS_DARK}"),
    ]
}


def other_media() -> str:
    """The rules that stand behind all others."""
    paper = f"@media print {{\n{rules_text(_PAPER, '  ')}}}\n"
    forced = f"@media (forced-colors: active) {{\n{rules_text(_FORCED, '  ')}}}\n"
    return rules_text(_FOCUS) + paper + forced
