"""How deep a colour is: levels by lightness, whatever its hue. docs/models/tonematch.md."""

from __future__ import annotations

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats
from fervens_core.colour import reference_lab

_LEVELS: Floats = np.linspace(LEVEL_MIN, LEVEL_MAX, 181)
_LIGHTNESS: Floats = reference_lab(_LEVELS)[:, 0]
_BEYOND_L = float(_LIGHTNESS[-1] - _LIGHTNESS[-21])
"""L* of the last level: the scale goes on so beyond 10."""


def level_of_lightness(lightness: Floats | float) -> Floats:
    """Level whose untoned hair is as light, CIELAB L* to levels; past 10 it goes on as from 9 to 10. Any shape."""
    at = np.asarray(lightness, dtype=float)
    found = np.interp(at, _LIGHTNESS, _LEVELS)
    result: Floats = found + np.maximum(at - _LIGHTNESS[-1], 0.0) / _BEYOND_L
    return result


def lightness_of_level(level: Floats | float) -> Floats:
    """CIELAB L* of untoned hair of a level, 1 to 10; any shape."""
    result: Floats = np.interp(np.asarray(level, dtype=float), _LEVELS, _LIGHTNESS)
    return result
