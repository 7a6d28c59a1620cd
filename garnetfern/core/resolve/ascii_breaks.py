"""Where the browser breaks between two ASCII characters; written by scripts/break_pairs.py."""

# fmt: off
BREAKS_AFTER: dict[str, str] = {
    '!': '(<[{',
    '"': '(<[{',
    '#': '(<[{',
    '%': '(<[{',
    '&': '(<[{',
    ')': '(<[{',
    '*': '(<[{',
    '+': '(<[{',
    ',': '(<[{',
    '-': '"#%&\'(*+-0123456789<=>@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\\^_`abcdefghijklmnopqrstuvwxyz{|~',
    '.': '(<[{',
    ':': '(<[{',
    ';': '(<[{',
    '=': '(<[{',
    '>': '(<[{',
    '?': '#$%&(*+-0123456789<=>@ABCDEFGHIJKLMNOPQRSTUVWXYZ[\\^_`abcdefghijklmnopqrstuvwxyz{|~',
    '\\': '(<[{',
    ']': '(<[{',
    '|': '(<[{',
    '}': '(<[{',
    '~': '(<[{',
}
# fmt: on
