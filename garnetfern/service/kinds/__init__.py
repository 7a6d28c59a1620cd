"""How kinds of layer and of block are shown to people, and what a new one of them is."""
