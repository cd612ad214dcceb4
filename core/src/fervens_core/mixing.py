"""Bowls: how much to weigh, and a developer blended from two bottles. docs/models/mixing.md."""

from __future__ import annotations

import math
from dataclasses import dataclass

from fervens_core.errors import LimitError
from fervens_core.products import Developer
from fervens_core.quantities import Ratio, check_range, check_volume_strength

MIX_PER_FOIL_G = 7.0
"""[MODEL] mixed product for one section of medium length; "about 18 g for a few foils" (common practice)."""
SPARE_SHARE = 0.08
"""Over-mix rather than run out (common practice)."""
BLEND_TOLERANCE_VOLUME = 0.05


@dataclass(frozen=True, slots=True)
class Pour:
    """So many grams of one bottle."""

    developer: Developer
    mass_g: float


@dataclass(frozen=True, slots=True)
class Bowl:
    """One bowl to mix: grams of lightener, and of each developer bottle."""

    product_g: float
    pours: tuple[Pour, ...]

    @property
    def total_g(self) -> float:
        """Everything in the bowl, g."""
        return self.product_g + sum(p.mass_g for p in self.pours)

    @property
    def volume_strength(self) -> float:
        """Strength of the developer as poured, vol, blended linearly by weight."""
        poured = sum(p.mass_g for p in self.pours)
        return sum(p.mass_g * p.developer.volume_strength for p in self.pours) / poured


def blend(volume_strength: float, mass_g: float, bottles: tuple[Developer, ...]) -> tuple[Pour, ...]:
    """Pour a developer of a wanted strength from at most two bottles, by the alligation (Pearson square) rule.

    Args:
        volume_strength: wanted, vol. mass_g: how much, 0.1 to 2000 g.
        bottles: what stands on the shelf, at least one.
    Returns:
        one pour if a bottle has that strength, else two: the closest weaker and the closest stronger bottle.
    Raises:
        LimitError: no bottles, or the strength is outside what they span.
    """
    wanted = check_volume_strength("volume_strength", volume_strength)
    mass = check_range("mass_g", mass_g, 0.1, 2000.0, "g")
    if not bottles:
        raise LimitError("bottles", "at least one developer on the shelf", bottles)
    ordered = sorted(bottles, key=lambda b: b.volume_strength)
    for bottle in ordered:
        if abs(bottle.volume_strength - wanted) < BLEND_TOLERANCE_VOLUME:
            return (Pour(bottle, mass),)
    weaker = [b for b in ordered if b.volume_strength < wanted]
    stronger = [b for b in ordered if b.volume_strength > wanted]
    if not weaker or not stronger:
        span = f"from {ordered[0].volume_strength:g} to {ordered[-1].volume_strength:g} vol (the shelf's bottles)"
        raise LimitError("volume_strength", span, wanted)
    low, high = weaker[-1], stronger[0]
    share = (wanted - low.volume_strength) / (high.volume_strength - low.volume_strength)
    return Pour(low, mass * (1.0 - share)), Pour(high, mass * share)


def bowls_for(
    *,
    foil_count: int,
    application_min: float,
    bowl_life_min: float,
    ratio: Ratio,
    volume_strength: float,
    bottles: tuple[Developer, ...],
    mix_per_foil_g: float = MIX_PER_FOIL_G,
) -> tuple[Bowl, ...]:
    """Bowls for one zone: no bowl lives longer than its label says, so a long zone takes several fresh ones.

    Args:
        foil_count: 1 to 60 sections. application_min: first section to last, min.
        bowl_life_min: min. mix_per_foil_g: 1 to 40 g of mixed product a section.
    Returns:
        equal bowls that together hold the zone's need plus 8 % to spare.
    """
    check_range("foil_count", foil_count, 1, 60, "sections")
    check_range("mix_per_foil_g", mix_per_foil_g, 1.0, 40.0, "g")
    check_range("bowl_life_min", bowl_life_min, 1.0, 120.0, "min")
    count = max(1, math.ceil(round(application_min / bowl_life_min, 6)))
    each_g = foil_count * mix_per_foil_g * (1.0 + SPARE_SHARE) / count
    product_g, developer_g = ratio.split_g(each_g)
    return (Bowl(product_g, blend(volume_strength, developer_g, bottles)),) * count
