"""Whole banners: from one band's words, its picture and the site's palette, six that differ in idea, made of layers and
columns that anybody can change by hand. Each can be read in every situation; what cannot be made is said."""

from .banners import Banner, Banners, Without, apart
from .brief import Brief, brief_of
from .ideas import IDEAS
from .sketch import BannerError

__all__ = ["IDEAS", "Banner", "BannerError", "Banners", "Brief", "Without", "apart", "brief_of"]
