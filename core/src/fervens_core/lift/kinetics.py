"""How far and how fast hair lifts: effort scale, level at a time, time to a level, developer. docs/models/lift.md."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import LEVEL_MAX, Floats, check_level, check_range, check_volume_strength
from fervens_core.head import Covering, Hair, History, Lightener, Load, Porosity, Thickness, Zone

EFFORT_PER_LEVEL: tuple[float, ...] = (1.2, 1.1, 0.9, 0.9, 1.0, 1.1, 1.2, 1.5, 2.2)
"""[MODEL] work of going from level n to n+1, n = 1..9; fitted to one bench trial (common practice, +-0.7 level)."""
CAPACITY_BASE = 3.1
CAPACITY_PER_VOLUME = 0.108
TIME_CONSTANT_MIN = 9.25
"""[MODEL, fitted to the trial by docs/models/lift_fit.py] of each of the two stages, room temperature, in foil."""
Q10 = 2.0
"""[MODEL] a reaction about doubles in rate for 10 K."""
HALLEY_STEPS = 2
SCALP_WARMTH_K = 5.0
"""[MODEL] hair within 12 mm of the scalp is about this much warmer than a foil in the room."""
OPEN_AIR_COOLING_K = 2.0
LATER_EXTENT_FACTOR = 0.95
"""[MODEL] hair lifted before, this visit or another, lifts a little less far each time."""
ADDITIVE_STRENGTH_FACTOR = 0.75
"""A bond-building additive makes 40 vol act like about 30 (common practice, no source)."""

_LEVELS: Floats = np.arange(1.0, LEVEL_MAX + 1.0)
_EFFORTS: Floats = np.concatenate([[0.0], np.cumsum(EFFORT_PER_LEVEL)])

# [MODEL] (how far, how fast) beside the bench trial's hair: virgin, straight, medium.
_HISTORY = {
    History.VIRGIN: (1.0, 1.0),
    History.TINTED: (0.80, 0.90),
    History.LIGHTENED: (0.95, 1.25),
    History.HENNA: (0.70, 0.80),
    History.METALLIC: (0.60, 0.80),
    History.DIRECT_DYE: (0.90, 0.90),
    History.UNKNOWN: (0.85, 0.90),
}
TINT_EXTENT_PER_LEVEL = 0.02
"""[MODEL] each level a tint is deeper than 6 takes this much more of how far the hair lifts."""
_THICKNESS = {Thickness.FINE: (1.03, 1.20), Thickness.MEDIUM: (1.0, 1.0), Thickness.COARSE: (0.96, 0.85)}
CEILING_BEND = 8.0
"""[MODEL] how sharply lift bends under a ceiling: at the ceiling's own effort it has lost 8 %."""
CEILING_ROOM_LEAST = 1.0
"""[MODEL] effort, about a level, that a visit does in any hair, stalled or not."""
_CEILINGS = {History.HENNA: (6.5, 0.8), History.METALLIC: (5.5, 0.8), History.UNKNOWN: (9.0, 1.0)}
TINT_CEILING, TINT_CEILING_PER_LEVEL, TINT_CEILING_STD = 8.75, 0.5, 0.8
"""[MODEL] (level, spread) at which treated hair stalls in one visit. A tint at 6 or lighter stalls near 8.75, each
level deeper half a level sooner: black put on for years at orange, 6 to 7 (common practice says 5 to 6 may happen)."""
RESISTANT_CEILING = (9.25, 0.7)
"""[MODEL] coarse hair of low porosity hardly goes past pale yellow in one visit."""
_LOAD = {Load.LIGHT: 0.97, Load.USUAL: 1.0, Load.HEAVY: 1.02}
"""[MODEL] thicker product lifts a little farther, thin a little less (common practice, no source)."""
_POROSITY = {Porosity.LOW: (0.97, 0.85), Porosity.NORMAL: (1.0, 1.0), Porosity.HIGH: (1.0, 1.20)}


@dataclass(frozen=True, slots=True)
class LiftFactors:
    """How hair lifts beside the bench trial's.

    Args:
        extent: how far, 0.2 to 2. rate: how fast, 0.2 to 5.
        ceiling: level past which it hardly goes in one visit, 3 or more; infinity for none. ceiling_std: spread of
        that, levels.
    """

    extent: float = 1.0
    rate: float = 1.0
    ceiling: float = math.inf
    ceiling_std: float = 0.0

    def __post_init__(self) -> None:
        check_range("extent", self.extent, 0.2, 2.0)
        check_range("rate", self.rate, 0.2, 5.0)
        if math.isfinite(self.ceiling):
            check_range("ceiling", self.ceiling, 3.0, 12.0)
        check_range("ceiling_std", self.ceiling_std, 0.0, 2.0)

    def room(self, start_level: float) -> float:
        """Effort between a level and the ceiling, never so little that a visit does nothing; infinity for none."""
        if math.isinf(self.ceiling):
            return math.inf
        return max(float(going_effort(self.ceiling) - going_effort(start_level)), CEILING_ROOM_LEAST)


def going_effort(level: Floats | float) -> Floats:
    """`level_to_effort`, going on below 1 and above 10 with the last slopes: for levels that are not known exactly."""
    at = np.asarray(level, dtype=float)
    past = np.maximum(at - LEVEL_MAX, 0.0) * EFFORT_PER_LEVEL[-1] - np.maximum(1.0 - at, 0.0) * EFFORT_PER_LEVEL[0]
    return np.asarray(level_to_effort(at) + past, dtype=np.float64)


def going_level(effort: Floats | float) -> Floats:
    """Inverse of `going_effort`."""
    at = np.asarray(effort, dtype=float)
    past = np.maximum(at - _EFFORTS[-1], 0.0) / EFFORT_PER_LEVEL[-1] - np.maximum(-at, 0.0) / EFFORT_PER_LEVEL[0]
    return np.asarray(effort_to_level(at) + past, dtype=np.float64)


def capped(gained: Floats | float, room: Floats | float) -> Floats:
    """Effort that is left of a gain under a ceiling: g (1 + (g/room)^8)^(-1/8). Broadcasts; room may be infinite."""
    share = np.asarray(gained, dtype=float) / room
    share = share * share
    share = share * share
    return np.asarray(gained / np.sqrt(np.sqrt(np.sqrt(1.0 + share * share))))


def uncapped(work: Floats | float, room: Floats | float) -> Floats:
    """Gain that leaves so much work under a ceiling; infinity from the ceiling on. Inverse of `capped`; broadcasts."""
    work = np.asarray(work, dtype=float)
    share = np.clip(work / room, 0.0, 1.0) ** CEILING_BEND
    with np.errstate(divide="ignore"):
        return np.asarray(np.where(work > 0.0, work * (1.0 - share) ** (-1.0 / CEILING_BEND), work))


def level_to_effort(level: Floats | float) -> Floats:
    """Work from level 1 to a level, 0 to 11.1; piecewise linear in the level. Accepts arrays."""
    return np.asarray(np.interp(level, _LEVELS, _EFFORTS), dtype=np.float64)


def effort_to_level(effort: Floats | float) -> Floats:
    """Level reached by an amount of work; inverse of `level_to_effort`, held at 1 and 10. Accepts arrays."""
    return np.asarray(np.interp(effort, _EFFORTS, _LEVELS), dtype=np.float64)


def temperature_rate_factor(warmer_k: float) -> float:
    """Factor on the rate for `warmer_k` kelvin above a foil at room temperature: Q10 of 2."""
    return float(Q10 ** (check_range("warmer_k", warmer_k, -20.0, 30.0, "K") / 10.0))


def effective_volume(volume_strength: float, *, has_additive: bool = False) -> float:
    """Strength the hair sees, vol; a bond-building additive weakens it by a factor of 0.75."""
    volume = check_volume_strength("volume_strength", volume_strength)
    return volume * ADDITIVE_STRENGTH_FACTOR if has_additive else volume


def capacity(volume_strength: Floats | float) -> Floats:
    """Effort a developer can do in the end on the bench trial's hair: 3.1 + 0.108 per vol."""
    return CAPACITY_BASE + CAPACITY_PER_VOLUME * np.asarray(volume_strength, dtype=float)


def hair_factors(hair: Hair) -> LiftFactors:
    """Expected factors of hair of this kind, before anything is known of this head. [MODEL]"""
    tables = (_HISTORY[hair.history], _THICKNESS[hair.thickness], _POROSITY[hair.porosity])
    extent, rate = (math.prod(t[i] for t in tables) for i in (0, 1))
    if hair.history is History.TINTED and hair.tint_level is not None:
        extent -= TINT_EXTENT_PER_LEVEL * max(0.0, 6.0 - hair.tint_level)
    ceiling, ceiling_std = hair_ceiling(hair)
    return LiftFactors(extent, rate, ceiling, ceiling_std)


def hair_ceiling(hair: Hair) -> tuple[float, float]:
    """The level at which hair of this kind stalls in one visit and the spread of that; infinity for none. [MODEL]"""
    if hair.history is History.TINTED:
        deeper = 0.0 if hair.tint_level is None else max(0.0, 6.0 - hair.tint_level)
        return TINT_CEILING - TINT_CEILING_PER_LEVEL * deeper, TINT_CEILING_STD
    if hair.history is History.VIRGIN and hair.thickness is Thickness.COARSE and hair.porosity is Porosity.LOW:
        return RESISTANT_CEILING
    return _CEILINGS.get(hair.history, (math.inf, 0.0))


def zone_factors(zone: Zone, lightener: Lightener) -> LiftFactors:
    """Expected factors of a zone: its hair, its covering and load, scalp warmth, and the lightener's own strength."""
    base = hair_factors(zone.hair)
    warmer_k = SCALP_WARMTH_K if zone.touches_scalp else 0.0
    if zone.covering is Covering.OPEN_AIR:
        warmer_k -= OPEN_AIR_COOLING_K
    far, fast = lightener.factors_on(zone.hair)
    extent = base.extent * far * _LOAD[zone.load]
    return replace(base, extent=extent, rate=base.rate * fast * temperature_rate_factor(warmer_k))


def scaled_time(worked_min: Floats | float, rate: Floats | float) -> Floats:
    """Minutes of full work in time constants of this hair."""
    return np.asarray(np.asarray(rate) * np.asarray(worked_min, dtype=float) / TIME_CONSTANT_MIN)


def share_done(scaled: Floats | float) -> Floats:
    """Share of all that a developer can do, done after a scaled time x of 0 or more: 1 - (1 + x) exp(-x).

    The law of lift: product soaks in, then oxidises, two first-order stages of one time constant.
    """
    x = np.asarray(scaled, dtype=float)
    left = np.exp(-x)
    left *= x + 1.0
    return np.asarray(1.0 - left)


def share_pace(scaled: Floats | float) -> Floats:
    """How fast that share grows: x exp(-x), steepest after one time constant."""
    x = np.asarray(scaled, dtype=float)
    return np.asarray(x * np.exp(-x))


def scaled_time_for(share: Floats | float) -> Floats:
    """Scaled time until a share is done, infinity from a share of 1 on: inverse of `share_done`. Any shape.

    In closed form -1 - W(-(1 - share)/e) on the lower branch of Lambert's W; here by Halley's steps on
    x - log(1 + x) = -log(1 - share), from the two asymptotes.

    Accuracy: 1e-12 of x or better for shares of 1e-9 to 1 - 1e-12, against scipy's W in the tests.
    """
    wanted = np.clip(np.asarray(share, dtype=float), 0.0, 1.0)
    with np.errstate(divide="ignore"):
        left = -np.log1p(-wanted)
    is_finite = np.isfinite(left)
    work = np.where(is_finite, left, 1.0)
    root = np.sqrt(2.0 * work)
    x = np.where(work < 1.5, root * (1.0 + root / 3.0 + work / 18.0), work + np.log1p(work + np.log1p(work + 1.0)))
    for _ in range(HALLEY_STEPS):
        off, over = x - np.log1p(x) - work, np.maximum(1.0 + x, 1.0)
        slope = np.maximum(x, 1e-30) / over
        step = off / slope
        x = np.maximum(x - step / (1.0 - 0.5 * step / (np.maximum(x, 1e-30) * over)), 0.5 * x)
    return np.where(is_finite, np.where(wanted > 0.0, x, 0.0), np.inf)


def minutes_for_share(share: Floats | float, rate: Floats | float) -> Floats:
    """Minutes of full work until a share is done; infinity where it never is. Inverse of `share_done`; broadcasts."""
    return np.asarray(TIME_CONSTANT_MIN / np.asarray(rate) * scaled_time_for(share))


def effort_gained(
    minutes: Floats | float, volume: Floats | float, extent: Floats | float, rate: Floats | float
) -> Floats:
    """Effort gained, broadcasting: extent A(v) (1 - (1 + x) exp(-x)), x = rate t / 9.25 min; 0 before time 0."""
    t = np.maximum(np.asarray(minutes, dtype=float), 0.0)
    result: Floats = np.asarray(extent) * capacity(volume) * share_done(scaled_time(t, rate))
    return result


def level_at(
    minutes: Floats | float,
    *,
    start_level: float,
    volume_strength: float,
    factors: LiftFactors = LiftFactors(),
) -> Floats:
    """Level after some minutes of one application.

    Args:
        minutes: time since the product went on, min, any shape; negative counts as 0.
        start_level: 1 to 10. volume_strength: vol.
    Returns:
        levels, same shape, never above 10.
    Accuracy: +-0.7 level against the bench trial from 10 min on; a model of one head before readings are taken.
    """
    check_level("start_level", start_level)
    check_volume_strength("volume_strength", volume_strength)
    gained = effort_gained(minutes, volume_strength, factors.extent, factors.rate)
    return effort_to_level(level_to_effort(start_level) + capped(gained, factors.room(start_level)))


def time_to_level(
    target_level: float, *, start_level: float, volume_strength: float, factors: LiftFactors = LiftFactors()
) -> float | None:
    """Minutes of one application until a level is reached; None when this developer never gets there."""
    check_level("start_level", start_level)
    check_level("target_level", target_level)
    check_volume_strength("volume_strength", volume_strength)
    work = float(level_to_effort(target_level) - level_to_effort(start_level))
    times = times_to_effort(
        float(uncapped(work, factors.room(start_level))),
        volume_strength,
        np.array([factors.extent]),
        np.array([factors.rate]),
    )
    return float(times[0]) if np.isfinite(times[0]) else None


def times_to_effort(effort: float, volume: float, extent: Floats, rate: Floats) -> Floats:
    """Minutes until an amount of work is done, for arrays of factors; infinity where it never is."""
    if effort <= 0.0:
        return np.zeros_like(extent)
    return minutes_for_share(effort / (extent * capacity(volume)), rate)


def volumes_for(work: float, minutes: Floats, factors: LiftFactors) -> Floats:
    """Developer strengths, vol, that do an amount of effort in each of `minutes` (all above 0). Not limited."""
    share = share_done(scaled_time(minutes, factors.rate))
    result: Floats = (work / (factors.extent * share) - CAPACITY_BASE) / CAPACITY_PER_VOLUME
    return result


def volume_for(
    target_level: float, minutes: float, *, start_level: float, factors: LiftFactors = LiftFactors()
) -> float:
    """Developer strength, vol, that reaches a level in a time. Not limited: may be below 0 or above 40.

    Args:
        minutes: 0.1 to 180 min.
    """
    check_level("start_level", start_level)
    check_level("target_level", target_level)
    check_range("minutes", minutes, 0.1, 180.0, "min")
    work = float(level_to_effort(target_level) - level_to_effort(start_level))
    gain = float(uncapped(work, factors.room(start_level)))
    return float(volumes_for(gain, np.array([minutes]), factors)[0])
