"""Colour: spectra to CIELAB and the screen, and the pigment of hair at a level."""

from fervens_core.colour.chart import Undertone
from fervens_core.colour.eye import measured_to_eye, seen_hex, seen_hexes
from fervens_core.colour.fibres import fibre_hexes, fibre_reflectances
from fervens_core.colour.pigment import (
    ALBEDO_FACTOR,
    SURFACE_REFLECTION,
    absorption_to_lab,
    brighten,
    hair_absorption,
    hair_hex,
    hair_lab,
    hair_reflectance,
    reference_lab,
    undertone,
    white_lab,
)
from fervens_core.colour.spaces import (
    WAVELENGTHS_NM,
    XYZ_WEIGHTS,
    chroma,
    delta_e_2000,
    hue_deg,
    reflectance_to_lab,
    xyz_to_lab,
)

__all__ = [
    "ALBEDO_FACTOR",
    "SURFACE_REFLECTION",
    "WAVELENGTHS_NM",
    "XYZ_WEIGHTS",
    "Undertone",
    "absorption_to_lab",
    "brighten",
    "chroma",
    "delta_e_2000",
    "fibre_hexes",
    "fibre_reflectances",
    "hair_absorption",
    "hair_hex",
    "hair_lab",
    "hair_reflectance",
    "hue_deg",
    "measured_to_eye",
    "reference_lab",
    "reflectance_to_lab",
    "seen_hex",
    "seen_hexes",
    "undertone",
    "white_lab",
    "xyz_to_lab",
]
