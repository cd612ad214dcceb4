"""The mixing list: what each bowl holds, when it is mixed, how stale it gets. docs/models/mixing.md."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from fervens_core.base import Message
from fervens_core.head import USUAL_LENGTH_MM, Covering, Density, Developer, Lightener, Load, Texture, Zone
from fervens_core.planning.mixing import MIX_PER_FOIL_G, SPARE_SHARE, Pour, blend

LARGE_BOWL_G = 280.0
"""One large bowl for a quarter of the head (common practice, no source)."""
STALE_LIFT_LOSS_PER_MIN = 0.01
"""[MODEL] a bowl past its life lifts one per cent less far for each minute."""
LEFT_IN_BOWL_G = 3.0
"""[MODEL] what stays in a bowl and on the brush."""
_LOAD = {Load.LIGHT: 0.8, Load.USUAL: 1.0, Load.HEAVY: 1.25}
_TEXTURE = {Texture.SLEEK: 0.9, Texture.USUAL: 1.0, Texture.THIRSTY: 1.3}
_DENSITY = {Density.THIN: 0.75, Density.MEDIUM: 1.0, Density.THICK: 1.35}
_COVERING = {Covering.OPEN_AIR: 1.15, Covering.FOIL: 1.0, Covering.FILM: 1.05}
"""[MODEL] thicker product in the open air; a film is filled to its edges; textured hair drinks product."""


class BowlStyle(StrEnum):
    """As few as keep some strength, small and fresh, or one large bowl; all three schools exist."""

    USUAL = "usual"
    FRESH = "fresh"
    LARGE = "large"


_AGE = {BowlStyle.FRESH: 1.0, BowlStyle.USUAL: 1.75, BowlStyle.LARGE: math.inf}
"""[MODEL] how long a bowl is used, in its own life: a head takes one to four of them (common practice, no source)."""


def section_mix_g(zone: Zone, mix_per_foil_g: float = MIX_PER_FOIL_G) -> float:
    """Mixed product for one section of a lane, g: by density, texture, treated length, covering and load. [MODEL]

    Args:
        mix_per_foil_g: for a medium section of usual length in foil, 1 to 40 g.
    """
    by_length = min(max(zone.length_mm / USUAL_LENGTH_MM, 0.2), 3.0)
    drinks = _DENSITY[zone.density] * _TEXTURE[zone.hair.texture]
    return mix_per_foil_g * drinks * by_length * _COVERING[zone.covering] * _LOAD[zone.load]


@dataclass(frozen=True, slots=True)
class Fill:
    """A lane that is filled from a bowl.

    Args:
        start_min, end_min: when; oldest_min: age of the bowl at the last section, min.
        lift_lost_share: how much less far its last section lifts for the bowl's age, 0 to 1.
    """

    lane_key: str
    lane_name: Message | str
    mass_g: float
    start_min: float
    end_min: float
    oldest_min: float
    lift_lost_share: float


@dataclass(frozen=True, slots=True)
class PlannedBowl:
    """One bowl of the mixing list.

    Args:
        number: from 1 in mixing order. mix_min: when, min after the first product on hair. lightener: what is in it.
        waste_g: what is mixed and not used.
    """

    number: int
    mix_min: float
    lightener: Lightener
    volume_strength: float
    product_g: float
    pours: tuple[Pour, ...]
    fills: tuple[Fill, ...]
    waste_g: float

    @property
    def life_min(self) -> float:
        """How long it keeps its strength, min."""
        return self.lightener.bowl_life_min

    @property
    def developer_g(self) -> float:
        """All developer in the bowl, g."""
        return sum(p.mass_g for p in self.pours)

    @property
    def total_g(self) -> float:
        """Everything in the bowl, g."""
        return self.product_g + self.developer_g

    @property
    def oldest_min(self) -> float:
        """Age at its last use, min."""
        return max(f.oldest_min for f in self.fills)


@dataclass(frozen=True, slots=True)
class Serving:
    """A lane as the bowls see it; `share` of it is still to be filled, 0 to 1."""

    zone: Zone
    lightener: Lightener
    volume_strength: float
    start_min: float
    end_min: float
    share: float = 1.0

    @property
    def mix(self) -> tuple[str, float]:
        """What is in its bowl: lanes of the same can share one."""
        return self.lightener.key, self.volume_strength


@dataclass(frozen=True, slots=True)
class _Portion:
    serving: Serving
    mass_g: float
    start_min: float
    end_min: float


def bowl_use_min(lightener: Lightener, style: BowlStyle) -> float:
    """How long a bowl is used at most, min."""
    return lightener.bowl_life_min * _AGE[style]


def lift_lost_share(age_min: float, life_min: float) -> float:
    """How much less far a bowl of some age lifts: 0 within its life, then 1 % a minute, at most half."""
    return min(max(age_min - life_min, 0.0) * STALE_LIFT_LOSS_PER_MIN, 0.5)


def _portions(serving: Serving, mix_per_foil_g: float, style: BowlStyle) -> list[_Portion]:
    mass = serving.zone.foil_count * section_mix_g(serving.zone, mix_per_foil_g) * serving.share
    minutes = serving.end_min - serving.start_min
    longest = bowl_use_min(serving.lightener, style)
    count = max(1, math.ceil(round(minutes / longest, 6))) if style is not BowlStyle.LARGE else 1
    edges = np.linspace(serving.start_min, serving.end_min, count + 1).tolist()
    return [_Portion(serving, mass / count, edges[i], edges[i + 1]) for i in range(count)]


def _longest(portions: list[_Portion], style: BowlStyle) -> dict[tuple[str, float], float]:
    """How long a bowl of each mix is used, min: for the usual way all bowls of a mix about alike."""
    found = {}
    for mix in dict.fromkeys(p.serving.mix for p in portions):
        own = [p for p in portions if p.serving.mix == mix]
        most = bowl_use_min(own[0].serving.lightener, style)
        found[mix] = most
        if style is BowlStyle.USUAL:
            span, longest_portion = own[-1].end_min - own[0].start_min, max(p.end_min - p.start_min for p in own)
            count = math.ceil(span / most - 1e-9)
            found[mix] = min(max(span / max(count, 1) + longest_portion, own[0].serving.lightener.bowl_life_min), most)
    return found


def _groups(portions: list[_Portion], style: BowlStyle) -> list[list[_Portion]]:
    """Portions by bowl: those of the same mix share one while its age, or its size, allows; two may be open at once."""
    groups: list[list[_Portion]] = []
    open_bowls: dict[tuple[str, float], list[_Portion]] = {}
    longest = _longest(portions, style)
    for portion in portions:
        mix = portion.serving.mix
        last = open_bowls.get(mix, [])
        is_room = bool(last)
        if style is BowlStyle.LARGE:
            is_room = is_room and sum(p.mass_g for p in [*last, portion]) <= LARGE_BOWL_G
        elif last:
            is_room = portion.end_min - last[0].start_min <= longest[mix] + 1e-6
        if is_room:
            last.append(portion)
        else:
            open_bowls[mix] = [portion]
            groups.append(open_bowls[mix])
    return groups


def plan_bowls(
    servings: tuple[Serving, ...],
    bottles: tuple[Developer, ...],
    *,
    style: BowlStyle = BowlStyle.FRESH,
    mix_per_foil_g: float = MIX_PER_FOIL_G,
) -> tuple[PlannedBowl, ...]:
    """The bowls for lanes in the order they are applied.

    Fresh: no bowl lives longer than its label says, so a long zone takes several, and small ones share. Large: lanes
    that follow each other with the same mix share a bowl up to 280 g, whatever its age gets to. Usual: as few as are
    used up within one and three quarters of their life. Each holds 8 % to spare.
    """
    ordered = sorted(servings, key=lambda s: s.start_min)
    portions = [p for s in ordered for p in _portions(s, mix_per_foil_g, style)]
    found = []
    for number, group in enumerate(_groups(portions, style), start=1):
        used = sum(p.mass_g for p in group)
        made = used * (1.0 + SPARE_SHARE) + LEFT_IN_BOWL_G
        lightener = group[0].serving.lightener
        product_g, developer_g = lightener.ratio.split_g(made)
        volume = group[0].serving.volume_strength
        mixed_at = group[0].start_min
        fills = tuple(
            Fill(
                p.serving.zone.key,
                p.serving.zone.label,
                p.mass_g,
                p.start_min,
                p.end_min,
                p.end_min - mixed_at,
                lift_lost_share(p.end_min - mixed_at, lightener.bowl_life_min),
            )
            for p in group
        )
        found.append(
            PlannedBowl(
                number=number,
                mix_min=mixed_at,
                lightener=lightener,
                volume_strength=volume,
                product_g=product_g,
                pours=blend(volume, developer_g, bottles),
                fills=fills,
                waste_g=made - used,
            )
        )
    return tuple(found)
