"""The jobs that people bring, done in the real interface, every action counted."""
