"""Kelp Quay, a tidal harbour office that does not exist."""
