"""Dimensions: what is measured between places on forms, and how what is moved makes one true."""
