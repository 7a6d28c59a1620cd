"""What a screen of the interface asks, and the report: each a function or a class with plain data as its answer."""
