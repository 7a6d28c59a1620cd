"""The document that is worked on: its site, revisions, undo, and news of what changed."""
