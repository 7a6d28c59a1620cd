"""A stand-in for a stock-picture service, which ships with the product. Every picture is drawn by code."""
