"""From resolved records to pixels: sRGB in whole levels 0..255 as a screen shows it, one pixel per CSS px."""
