"""CSS and HTML from the document: a page, one rule, a bundle."""

from .bundle import bundle_files
from .page import EmittedPage, emit_page
from .rule import EmittedRule, emit_rule
from .urls import Urls

__all__ = ["EmittedPage", "EmittedRule", "Urls", "bundle_files", "emit_page", "emit_rule"]
