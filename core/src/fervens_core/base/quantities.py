"""Levels, strengths, ratios and masses: what the work is measured in, and how strength converts."""

from __future__ import annotations

import math
from dataclasses import dataclass

from fervens_core.base.errors import LimitError
from fervens_core.base.messages import say

LEVEL_MIN = 1.0
LEVEL_MAX = 10.0
VOLUME_MIN, VOLUME_MAX = 0.5, 40.0
"""Strongest developer for hair: 40 vol, nominal 12 %. Regulation (EC) No 1223/2009, Annex III (from memory)."""
ON_TARGET_LEVELS = 0.5
"""Within half a level a lane counts as on target: technicians read to about that (common practice, no source)."""

HYDROGEN_PEROXIDE_G_PER_MOL = 34.0147
"""From IUPAC standard atomic weights, H 1.008 and O 15.999."""
OXYGEN_MOLAR_VOLUME_L = 22.41397
"""Ideal gas at 0 degC and 101.325 kPa, the reference state of volume strength (CODATA)."""
SOLUTION_DENSITY_WATER = 0.9982
SOLUTION_DENSITY_PER_PERCENT = 0.0036
"""Density of dilute peroxide near 20 degC in g/mL is about 0.9982 + 0.0036 per percent by mass (from memory)."""
NOMINAL_PERCENT_PER_VOLUME = 0.3


def check_range(field: str, value: float, low: float, high: float, unit: str = "") -> float:
    """Return the value as a float, or raise LimitError naming field, limit and value (also for NaN, infinity)."""
    is_number = isinstance(value, int | float) and not isinstance(value, bool)
    if not is_number or not math.isfinite(value) or not low <= value <= high:
        raise LimitError(field, say("limit-range", low=low, high=high, unit=unit or "none"), value)
    return float(value)


def check_level(field: str, value: float) -> float:
    """A level on the trade's scale, 1 (black) to 10 (lightest blonde). Raises LimitError."""
    return check_range(field, value, LEVEL_MIN, LEVEL_MAX, "level")


def check_volume_strength(field: str, value: float) -> float:
    """A developer's strength, above 0 to 40 vol. Raises LimitError."""
    return check_range(field, value, VOLUME_MIN, VOLUME_MAX, "vol")


def check_text(field: str, value: str, longest: int = 80) -> str:
    """A name: 1 to `longest` characters, not blank. Raises LimitError."""
    if not isinstance(value, str) or not value.strip() or len(value) > longest:
        raise LimitError(field, say("limit-text", most=longest), value if not isinstance(value, str) else value[:90])
    return value


def volume_to_percent(volume_strength: float) -> float:
    """Percent hydrogen peroxide by mass of a developer of this volume strength.

    One litre of n vol gives off n litres of oxygen: 2 H2O2 -> 2 H2O + O2, so it holds 2 n / 22.414 mol of peroxide;
    the mass of the litre follows from the solution's density.

    Args:
        volume_strength: 0.5 to 40 vol.
    Returns:
        percent by mass, about 0.298 per vol. The trade rounds to 0.3 per vol (see `nominal_percent`).
    Raises:
        LimitError: outside 0.5 to 40 vol.
    Accuracy: 0.03 percentage points, from the density line.
    """
    volume = check_volume_strength("volume_strength", volume_strength)
    grams_per_l = 2.0 * HYDROGEN_PEROXIDE_G_PER_MOL * volume / OXYGEN_MOLAR_VOLUME_L
    # 10 p (rho0 + k p) = grams per litre, a quadratic in p
    return (
        math.sqrt(SOLUTION_DENSITY_WATER**2 + 0.4 * SOLUTION_DENSITY_PER_PERCENT * grams_per_l) - SOLUTION_DENSITY_WATER
    ) / (2.0 * SOLUTION_DENSITY_PER_PERCENT)


def percent_to_volume(percent: float) -> float:
    """Volume strength of a developer that holds this percent by mass; inverse of `volume_to_percent`.

    Args:
        percent: above 0 to 12 % by mass (Regulation (EC) No 1223/2009, Annex III; from memory).
    Raises:
        LimitError: outside 0.1 to 12 %.
    """
    p = check_range("percent", percent, 0.1, 12.0, "%")
    grams_per_l = 10.0 * p * (SOLUTION_DENSITY_WATER + SOLUTION_DENSITY_PER_PERCENT * p)
    return grams_per_l * OXYGEN_MOLAR_VOLUME_L / (2.0 * HYDROGEN_PEROXIDE_G_PER_MOL)


def nominal_percent(volume_strength: float) -> float:
    """The percent printed on the bottle: 0.3 per vol, so 10 vol = 3 % (common practice, no source)."""
    return NOMINAL_PERCENT_PER_VOLUME * check_volume_strength("volume_strength", volume_strength)


@dataclass(frozen=True, slots=True)
class Ratio:
    """Parts of developer to one part of lightener or toner, by weight: 1 to 4."""

    developer_parts: float

    def __post_init__(self) -> None:
        check_range("developer_parts", self.developer_parts, 0.5, 4.0, "parts")

    def split_g(self, total_g: float) -> tuple[float, float]:
        """Grams of product and of developer in a bowl of `total_g` grams (0.1 to 2000)."""
        total = check_range("total_g", total_g, 0.1, 2000.0, "g")
        product = total / (1.0 + self.developer_parts)
        return product, total - product
