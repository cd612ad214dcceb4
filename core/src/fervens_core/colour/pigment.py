"""What colour hair is at a level: melanin, warm residue, spectrum, CIELAB. docs/models/pigment.md."""

from __future__ import annotations

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats, check_level
from fervens_core.colour.chart import Undertone
from fervens_core.colour.spaces import WAVELENGTHS_NM, lab_to_hex, reflectance_to_lab

ABSORPTION_AT_LEVEL_10 = 0.010
"""[MODEL] pigment absorption at 550 nm of level 10, in the units of the albedo law below."""
ABSORPTION_RATIO_PER_LEVEL = 1.85
"""[MODEL] one level down is this many times the pigment."""
EUMELANIN_EXPONENT = 3.33
"""Donner and Jensen (2006), after Jacques: eumelanin absorbs as wavelength to the -3.33."""
WARM_EXPONENT = 6.0
"""[MODEL] warm residue, steeper than pheomelanin's 4.75: oxidised residue; 6 to 7 give the better orange."""
WARM_SHARE_NATURAL = 0.1
WARM_GAIN_PER_LEVEL = 0.5
"""[MODEL] share of warm pigment in natural hair, and the rate at which lifting turns eumelanin into it."""
KERATIN_ABSORPTION = 0.006
KERATIN_EXPONENT = 6.0
ALBEDO_FACTOR = 5.9
"""Chiang et al. (2016), hair albedo inversion: a mass of hair reflects about exp(-5.9 sqrt(absorption))."""
SURFACE_REFLECTION = 0.02

_RELATIVE: Floats = WAVELENGTHS_NM / 550.0
_EUMELANIN: Floats = _RELATIVE**-EUMELANIN_EXPONENT
_WARM: Floats = _RELATIVE**-WARM_EXPONENT
_KERATIN: Floats = KERATIN_ABSORPTION * _RELATIVE**-KERATIN_EXPONENT

# Upper bounds in levels of each name; TRADE's chart, common practice. Whole levels sit mid-band.
_UNDERTONES: tuple[tuple[float, Undertone], ...] = (
    (2.5, Undertone.DEEP_RED_BROWN),
    (3.5, Undertone.RED_BROWN),
    (4.5, Undertone.RED),
    (5.5, Undertone.RED_ORANGE),
    (6.5, Undertone.ORANGE),
    (7.5, Undertone.YELLOW_ORANGE),
    (8.5, Undertone.YELLOW),
    (9.5, Undertone.PALE_YELLOW),
    (10.1, Undertone.PALEST_YELLOW),
)


def hair_absorption(start_level: float | Floats, level: Floats) -> Floats:
    """Absorption spectra of hair that began at `start_level` and now stands at `level`.

    Args:
        start_level: level before lightening, 1 to 10, a number or an array broadcast against `level`.
        level: levels 1 to 10, any shape (...). At or below the start level the hair is natural.
    Returns:
        shape (..., 81) on WAVELENGTHS_NM, in the units of the albedo law.
    """
    now = np.clip(np.asarray(level, dtype=float), LEVEL_MIN, LEVEL_MAX)
    amount = ABSORPTION_AT_LEVEL_10 * ABSORPTION_RATIO_PER_LEVEL ** (LEVEL_MAX - now)
    lifted = np.maximum(now - start_level, 0.0)
    warm = 1.0 - (1.0 - WARM_SHARE_NATURAL) * np.exp(-WARM_GAIN_PER_LEVEL * lifted)
    mix = (1.0 - warm)[..., None] * _EUMELANIN + warm[..., None] * _WARM
    result: Floats = amount[..., None] * mix + _KERATIN
    return result


def brighten(absorption: Floats, levels: Floats | float) -> Floats:
    """Absorption of hair from which a weak developer has taken some pigment, in levels; keratin stays.

    Args:
        absorption: shape (..., 81). levels: 0 or more, broadcast against the leading axes.
    """
    left = ABSORPTION_RATIO_PER_LEVEL ** -np.asarray(levels, dtype=float)
    result: Floats = _KERATIN + (absorption - _KERATIN) * left[..., None]
    return result


def absorption_to_lab(absorption: Floats) -> Floats:
    """CIELAB of a mass of hair with these absorption spectra, shape (..., 81) to (..., 3)."""
    reflectance = SURFACE_REFLECTION + (1.0 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption))
    return reflectance_to_lab(reflectance)


def hair_lab(start_level: float | Floats, level: Floats) -> Floats:
    """CIELAB of hair lifted from `start_level` to `level`; shapes as in `hair_absorption`, result (..., 3)."""
    return absorption_to_lab(hair_absorption(start_level, level))


def hair_hex(start_level: float, levels: list[float]) -> list[str]:
    """Screen colours of hair lifted from one start level to each of `levels`."""
    check_level("start_level", start_level)
    return lab_to_hex(hair_lab(start_level, np.array(levels, dtype=float)))


def undertone(level: float) -> Undertone:
    """The name of the warm pigment that shows at a level on lightened hair (common practice, no source)."""
    check_level("level", level)
    return next(name for upper, name in _UNDERTONES if level < upper)
