"""Stamps: height maps that a brush presses into the surface."""
