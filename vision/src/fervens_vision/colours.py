"""Colour spaces as a picture needs them; conversions are colour-science's, loaded when first asked for."""

from __future__ import annotations

import warnings
from functools import lru_cache
from types import ModuleType

import numpy as np

from fervens_vision.card import Floats, Lab

WHITE_10: Floats = np.array([0.94811, 1.0, 1.07304])
"""D65 seen by the 10 degree observer, ISO/CIE 11664-2."""
WHITE_XY = (0.31382, 0.33100)
"""The same as chromaticity."""


@lru_cache(maxsize=1)
def science() -> ModuleType:
    """colour-science; it takes about a second to load and warns of what it does without."""
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        import colour
    return colour


def load() -> None:
    """Load it before it is needed."""
    science()


def lab_to_xyz(lab: Floats) -> Floats:
    """Tristimulus values as shares of the white's Y, shape (..., 3)."""
    return np.asarray(science().Lab_to_XYZ(lab, WHITE_XY), dtype=np.float64)


def xyz_to_lab(xyz: Floats) -> Floats:
    """Its inverse."""
    return np.asarray(science().XYZ_to_Lab(xyz, WHITE_XY), dtype=np.float64)


def decode_srgb(codes: Floats) -> Floats:
    """Light from codes of 0 to 1. IEC 61966-2-1."""
    return np.asarray(science().cctf_decoding(codes, function="sRGB"), dtype=np.float64)


def encode_srgb(light: Floats) -> Floats:
    """Codes from light, 0 to 1."""
    return np.asarray(science().cctf_encoding(np.clip(light, 0.0, 1.0), function="sRGB"), dtype=np.float64)


def lab_to_srgb(lab: Lab) -> tuple[float, float, float]:
    """What to send a printer or a screen, 0 to 1 each; a grey stays a grey."""
    relative = lab_to_xyz(np.array(lab)) / WHITE_10
    xyz = relative * np.array([0.95047, 1.0, 1.08883])
    rgb = science().XYZ_to_sRGB(xyz)
    red, green, blue = np.clip(rgb, 0.0, 1.0).tolist()
    return red, green, blue
