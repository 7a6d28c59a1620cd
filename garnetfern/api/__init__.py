"""FastAPI: parse, call a use case, answer."""
