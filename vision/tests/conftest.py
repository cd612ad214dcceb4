"""Strands and photographs for the tests, made once."""

import numpy as np
import pytest

from fervens_core.colour import ALBEDO_FACTOR, SURFACE_REFLECTION, hair_absorption


def spectrum(start: float, level: float) -> np.ndarray:
    """Reflectance of hair lifted from a level to another, as the pigment model has it."""
    absorbed = hair_absorption(start, np.array(level))
    return SURFACE_REFLECTION + (1.0 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorbed))


@pytest.fixture
def random():
    return np.random.default_rng(20260301)
