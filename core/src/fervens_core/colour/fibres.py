"""Fibres of a strand: what is left of the light between them, and what those on top send back. docs/models/pigment.md.

With as many in the shade as in the light a strand looks like its body, which is what is read.
"""

from __future__ import annotations

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour.eye import seen_hexes
from fervens_core.colour.pigment import ALBEDO_FACTOR, SURFACE_REFLECTION, hair_absorption
from fervens_core.colour.spaces import reflectance_to_lab

SHADE, LIGHT = 0.66, 1.26
"""[MODEL] of the light a fibre sends back, what is left between fibres, and what a fibre on top has more."""
SHEEN_DRY, SHEEN_WET = 0.07, 0.20
"""[MODEL] light that goes back white from a fibre's surface."""


def fibre_reflectances(absorption: Floats, *, is_wet: bool = False) -> Floats:
    """Reflectance spectra of the fibres of a strand: in the shade, of its body, in the light, and of its sheen.

    Args:
        absorption: spectra (..., 81). is_wet: wet hair shines more.
    Returns:
        Shape (4, ..., 81), 0 to 1.
    """
    body = (1.0 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption))
    light = np.minimum(body * LIGHT, 1.0 - SURFACE_REFLECTION)
    sheen = np.minimum(body * LIGHT + (SHEEN_WET if is_wet else SHEEN_DRY), 1.0 - SURFACE_REFLECTION)
    return SURFACE_REFLECTION + np.stack([body * SHADE, body, light, sheen])


def fibre_hexes(start_level: float, levels: Floats) -> tuple[list[str], list[str], list[str]]:
    """Screen colours of fibres in the shade, in the light, and of their sheen, of hair lifted from a level to (n,)."""
    shade, _, light, sheen = reflectance_to_lab(fibre_reflectances(hair_absorption(start_level, levels)))
    return seen_hexes(shade), seen_hexes(light), seen_hexes(sheen)
