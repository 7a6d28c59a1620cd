"""Colour: notation, spaces, contrast."""
