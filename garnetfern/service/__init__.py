"""The use cases that join core and store."""
