"""How work is done: giving way, telling how far it is, stopping, one after the other."""
