"""Files that were made to do harm, by name. Small ones do the most."""

import io
import struct
import zlib

from PIL import Image

SVG = '<svg xmlns="http://www.w3.org/2000/svg" width="{w}" height="{h}">{inner}</svg>'


def svg(inner, w=400, h=300):
    return SVG.format(inner=inner, w=w, h=h).encode()


def png_of(width, height, rows=b""):
    """A PNG that says it is of a size, whatever it holds."""
    header = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)

    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    return b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", header) + chunk(b"IDAT", zlib.compress(rows)) + chunk(b"IEND", b"")


def saved(image, kind, **more):
    out = io.BytesIO()
    image.save(out, kind, **more)
    return out.getvalue()


def _nested_masks(deep, side=8000):
    masks = "".join(
        f'<mask id="m{n}"><rect width="9999" height="9999" fill="#fff" mask="url(#m{n + 1})"/></mask>'
        for n in range(deep)
    )
    return svg(f'<defs>{masks}</defs><rect width="100%" height="100%" mask="url(#m0)"/>', side, side)


def _groups(deep, attribute, side=8000):
    return svg(f"<g {attribute}>" * deep + '<rect width="99%" height="99%"/>' + "</g>" * deep, side, side)


def _used(deep, wide):
    layers = "".join(f'<g id="a{n}">' + f'<use href="#a{n + 1}"/>' * wide + "</g>" for n in range(deep))
    return svg(f'<defs>{layers}<rect id="a{deep}" width="9" height="9"/></defs><use href="#a0"/>')


def _gif(frames):
    first = Image.new("P", (8, 8))
    data = saved(first, "GIF")
    head, body = data[:-1], b"\x21\xf9\x04\x00\x01\x00\x00\x00" + data[data.index(b"\x2c") : -1]
    return head + body * frames + b";"


DRAWINGS = {
    "a blur without end": svg('<filter id="f"><feGaussianBlur stdDeviation="9e5"/></filter><rect filter="url(#f)"/>'),
    "a wide blur, many times": svg(
        '<filter id="f">' + '<feGaussianBlur stdDeviation="200"/>' * 190 + '</filter><rect width="8000" height="8000" '
        'filter="url(#f)"/>',
        8000,
        8000,
    ),
    "masks in masks": _nested_masks(300),
    "a chain of masks": _nested_masks(3000),
    "masks at the limit": _nested_masks(14),
    "filters in filters": _groups(180, 'style="filter:url(#f)"'),
    "faded groups": _groups(190, 'opacity="0.9"'),
    "addresses without end": svg("<style>a{fill:" + "url(" * 400_000 + "}</style><rect/>"),
    "an attribute of addresses": svg(f'<rect fill="{"url(" * 400_000}"/>'),
    "uses in uses": _used(900, 1),
    "a laugh of uses": _used(12, 10),
    "a circle of uses": svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'),
    "nested too deep": svg("<g>" * 5000 + "</g>" * 5000),
    "a huge viewBox": b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1e30 1e-30"><rect width="1e38"/></svg>',
    "a viewBox of nothing": b'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 0 0"><rect width="1"/></svg>',
    "endless sides": b'<svg xmlns="http://www.w3.org/2000/svg" width="99999999999999999" height="1"/>',
    "entities": b'<!DOCTYPE svg [<!ENTITY a "ha"><!ENTITY b "&a;&a;">]><svg xmlns="http://www.w3.org/2000/svg">&b;</svg>',
    "an outside entity": b'<!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/passwd">]><svg>&a;</svg>',
    "turbulence": svg(
        '<filter id="t"><feTurbulence numOctaves="1000000" baseFrequency="9"/></filter><rect filter="url(#t)" '
        'width="400" height="300"/>'
    ),
    "a path of a million points": svg(f'<path d="M0 0{"L9 9L0 9" * 400_000}" stroke="red"/>'),
    "dashes": svg('<path d="M0 0H1000000" stroke="red" stroke-dasharray="0.00001 0.00001"/>'),
    "a pattern of nothing": svg(
        '<pattern id="p" width="0.0001" height="0.0001" patternUnits="userSpaceOnUse"><rect width="1" height="1"/>'
        '</pattern><rect width="400" height="300" fill="url(#p)"/>'
    ),
    "text without end": svg(f"<text>{'x' * 3_000_000}</text>"),
}
PICTURES = {
    "a slim picture": png_of(60_000, 1, b"\0" + b"x" * 180_000),
    "gigabytes": png_of(60_000, 60_000),
    "no side": png_of(0, 10),
    "a picture of frames": _gif(10_000),
    "two bytes": b"\xff\xd8",
    "a header alone": b"\xff\xd8\xff\xe0\x00\x10JFIF\x00",
    "no picture at all": b"RIFF\x00\x00\x00\x00WEBPVP8 ",
}
