"""From resolved records to pixels: sRGB 0..255 as float32, one pixel per CSS px."""
