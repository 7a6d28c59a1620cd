"""What an attentive eye finds in any view: pressable things that cover each other or leave the window, cut text."""

from pathlib import Path

LOOK = (Path(__file__).parent / "looking.js").read_text()
"""Gives what is wrong, as sentences."""

SHIFTS = """() => {
  window.shifted = 0;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (!entry.hadRecentInput) window.shifted += entry.value;
  }).observe({ type: 'layout-shift', buffered: true });
}"""
"""Adds up how far things jump by themselves (Layout Instability)."""
