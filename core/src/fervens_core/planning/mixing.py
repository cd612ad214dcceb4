"""A developer blended from two bottles. docs/models/mixing.md."""

from __future__ import annotations

from dataclasses import dataclass

from fervens_core.base import LimitError, check_range, check_volume_strength, say
from fervens_core.head import Developer

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
        raise LimitError("bottles", say("limit-one_developer_on_shelf"), bottles)
    ordered = sorted(bottles, key=lambda b: b.volume_strength)
    for bottle in ordered:
        if abs(bottle.volume_strength - wanted) < BLEND_TOLERANCE_VOLUME:
            return (Pour(bottle, mass),)
    weaker = [b for b in ordered if b.volume_strength < wanted]
    stronger = [b for b in ordered if b.volume_strength > wanted]
    if not weaker or not stronger:
        span = say("limit-bottles", low=ordered[0].volume_strength, high=ordered[-1].volume_strength)
        raise LimitError("volume_strength", span, wanted)
    low, high = weaker[-1], stronger[0]
    share = (wanted - low.volume_strength) / (high.volume_strength - low.volume_strength)
    return Pour(low, mass * (1.0 - share)), Pour(high, mass * share)
