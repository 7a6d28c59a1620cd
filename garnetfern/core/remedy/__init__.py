"""Computed changes after which the words can be read, and what they cost the picture."""
