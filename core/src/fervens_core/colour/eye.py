"""Two scales of hair colour: as a colour reader measures it, and as an eye sees it in a foil. docs/models/pigment.md.

What lies in a foil, lit from above, is seen beside white paper: lighter and paler than an instrument says. A screen
shows the eye's colour, so that hair can be matched against it; everything is reckoned on the measured scale.
"""

from __future__ import annotations

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour.spaces import chroma, hue_deg, lab_to_hex

_MEASURED_L: Floats = np.array([0.0, 15.48, 15.62, 16.8, 20.0, 25.0, 33.0, 42.1, 53.5, 63.2, 71.1, 76.9, 100.0])
_EYE_L: Floats = np.array([0.0, 7.0, 13.0, 19.0, 24.0, 29.0, 38.0, 48.0, 59.0, 68.0, 76.0, 83.0, 100.0])
"""[MODEL] lightness measured and seen: levels 8, 9 and 10 at 68, 76 and 83; naturals 1 and 2, which an instrument
hardly tells apart, are told apart."""
_CHROMA: Floats = np.array([1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.1, 1.18, 1.2, 1.2, 1.16, 1.0])
_TURN_DEG: Floats = np.array([0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.5, 1.0, 1.4, 3.2, 7.6, 9.0])
"""[MODEL] at those lightnesses: chroma seen over chroma measured (34, 29 and 23 at 8, 9 and 10), and how far warm hues
turn to yellow, degrees (78, 82 and 88)."""
_WARM_HUE_DEG, _WARM_WIDTH_DEG = 75.0, 30.0


def measured_to_eye(lab: Floats) -> Floats:
    """Colour as seen of colour as measured, CIELAB (..., 3)."""
    at = np.asarray(lab, dtype=float)
    lightness, hue = at[..., 0], hue_deg(at)
    warm = np.exp(-0.5 * ((hue - _WARM_HUE_DEG) / _WARM_WIDTH_DEG) ** 2)
    turned = np.radians(hue + warm * np.interp(lightness, _MEASURED_L, _TURN_DEG))
    seen = chroma(at) * np.interp(lightness, _MEASURED_L, _CHROMA)
    return np.stack([np.interp(lightness, _MEASURED_L, _EYE_L), seen * np.cos(turned), seen * np.sin(turned)], axis=-1)


def seen_hexes(lab: Floats) -> list[str]:
    """Screen colours of hair, one per row of an (n, 3) CIELAB array as measured."""
    return lab_to_hex(measured_to_eye(np.atleast_2d(np.asarray(lab, dtype=float))))


def seen_hex(lab: Floats | tuple[float, ...]) -> str:
    """Screen colour of one."""
    return seen_hexes(np.asarray(lab, dtype=float))[0]
