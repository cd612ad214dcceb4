"""What colour hair is at a level: melanin, warm residue, spectrum, CIELAB. docs/models/pigment.md."""

from __future__ import annotations

import numpy as np

from fervens_core.base import LEVEL_MAX, LEVEL_MIN, Floats, check_level
from fervens_core.colour.chart import Undertone
from fervens_core.colour.eye import seen_hexes
from fervens_core.colour.spaces import WAVELENGTHS_NM, reflectance_to_lab

ABSORPTION_AT_LEVEL_10 = 0.0095
"""[MODEL] pigment absorption at 550 nm of level 10, in the units of the albedo law below."""
ABSORPTION_RATIO_PER_LEVEL = 1.97
"""[MODEL] one level down is this many times the pigment."""
EUMELANIN_EXPONENT = 3.33
"""Donner and Jensen (2006), after Jacques: eumelanin absorbs as wavelength to the -3.33."""
WARM_EXPONENT = 5.2
"""[MODEL] warm residue, steeper than pheomelanin's 4.75: oxidised residue."""
WARM_SHARE_NATURAL = 0.1
WARM_GAIN_PER_LEVEL = 0.7
"""[MODEL] share of warm pigment in natural hair, and the rate at which lifting turns eumelanin into it."""
NATURAL_RISE, NATURAL_FROM_LEVEL, NATURAL_MOST, NATURAL_GONE_PER_LEVEL = 0.26, 3.3, 1.9, 1.5
"""[MODEL] natural hair holds so much more pigment a level than lifted hair that reads alike, from a level on, at most
so much; and that is gone with the first levels of lift."""
KERATIN_ABSORPTION = 0.0037
KERATIN_EXPONENT = 4.0
"""[MODEL] these and the dyes' by a scripted search, `bin/bench colour_fit`: docs/decisions/0017."""
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


def hair_absorption(start_level: float | Floats, level: Floats, *, warm_from: float | Floats | None = None) -> Floats:
    """Absorption spectra of hair that began at `start_level` and now stands at `level`.

    Args:
        start_level: level before lightening, 1 to 10, a number or an array broadcast against `level`.
        level: levels 1 to 10, any shape (...). At or below the start level the hair is natural, and darker than lifted
            hair that reads the same: natural hair has a lightness scale of its own.
        warm_from: as warm as if lifted from there; None for the start level.
    Returns:
        shape (..., 81) on WAVELENGTHS_NM, in the units of the albedo law.
    """
    now = np.clip(np.asarray(level, dtype=float), LEVEL_MIN, LEVEL_MAX)
    lifted = np.maximum(now - start_level, 0.0)
    unlifted = np.minimum(np.asarray(start_level, dtype=float), now)
    natural = np.clip(NATURAL_RISE * (unlifted - NATURAL_FROM_LEVEL), 0.0, NATURAL_MOST)
    more = 1.0 + natural * np.exp(-NATURAL_GONE_PER_LEVEL * lifted)
    if warm_from is not None:
        lifted = np.maximum(now - warm_from, 0.0)
    return _absorption(now, lifted, more)


def _absorption(now: Floats, lifted: Floats, more: Floats) -> Floats:
    amount = more * ABSORPTION_AT_LEVEL_10 * ABSORPTION_RATIO_PER_LEVEL ** (LEVEL_MAX - now)
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


def absorption_to_reflectance(absorption: Floats) -> Floats:
    """Reflectance spectra of a mass of hair with these absorption spectra, 0 to 1, same shape (..., 81)."""
    return np.asarray(SURFACE_REFLECTION + (1.0 - SURFACE_REFLECTION) * np.exp(-ALBEDO_FACTOR * np.sqrt(absorption)))


def absorption_to_lab(absorption: Floats) -> Floats:
    """CIELAB of a mass of hair with these absorption spectra, shape (..., 81) to (..., 3)."""
    return reflectance_to_lab(absorption_to_reflectance(absorption))


def hair_reflectance(start_level: float | Floats, level: Floats) -> Floats:
    """Reflectance spectra of hair lifted from `start_level` to `level`; shapes as in `hair_absorption`."""
    return absorption_to_reflectance(hair_absorption(start_level, level))


def hair_lab(start_level: float | Floats, level: Floats) -> Floats:
    """CIELAB of hair lifted from `start_level` to `level`; shapes as in `hair_absorption`, result (..., 3)."""
    return absorption_to_lab(hair_absorption(start_level, level))


def reference_lab(level: Floats, lifted_by: float = 0.0) -> Floats:
    """CIELAB (..., 3) of hair as light as lifted hair of a level, and as warm as hair lifted by some levels.

    What wishes and depths are measured against: its lightness is the lifted scale's at every level.

    Args:
        level: 1 to 10, any shape (...). lifted_by: levels, 0 for the pigment of natural hair.
    """
    now = np.clip(np.asarray(level, dtype=float), LEVEL_MIN, LEVEL_MAX)
    return absorption_to_lab(_absorption(now, np.minimum(np.full_like(now, lifted_by), now - 1.0), np.ones_like(now)))


def white_lab() -> Floats:
    """CIELAB (3,) of hair without pigment: the keratin of grey hair."""
    return absorption_to_lab(_KERATIN)


def hair_hex(start_level: float, levels: list[float]) -> list[str]:
    """Screen colours of hair lifted from one start level to each of `levels`."""
    check_level("start_level", start_level)
    return seen_hexes(hair_lab(start_level, np.array(levels, dtype=float)))


def undertone(level: float) -> Undertone:
    """The name of the warm pigment that shows at a level on lightened hair (common practice, no source)."""
    check_level("level", level)
    return next(name for upper, name in _UNDERTONES if level < upper)
