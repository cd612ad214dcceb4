"""Hair to lay under a simulated reader or camera: close to what is believed of a lane, with a secret of its own."""

from __future__ import annotations

import numpy as np

from fervens_core.base import Floats
from fervens_core.chair.lanes import Chair, head_belief, lane_times, minutes_between
from fervens_core.colour import hair_lab, hair_reflectance
from fervens_core.head import Zone

SECRET_STD, KEPT_SECRET_STD = 0.15, 0.05
"""[MODEL] how far simulated hair is from the likeliest, levels; of a part that is left alone, from what was read."""
Lab = tuple[float, float, float]


def kept_level(part: Zone, seed: int) -> float:
    """Level of a part no lightener went on, in the simulation; the same seed is the same hair."""
    level = part.hair.start_level + float(np.random.default_rng(seed).normal(0.0, KEPT_SECRET_STD))
    return min(max(level, part.hair.colour_start), 10.0)


def simulated_level(chair: Chair, key: str, seed: int) -> float:
    """Level the hair of a lane has now in the simulation; the same seed is the same hair.

    Raises:
        ConflictError: the plan has no such lane.
    """
    lane = chair.state.lane(key)
    index = chair.state.lanes.index(lane)
    times = lane_times(chair)
    minutes = minutes_between(times[index].zero, min(lane.rinsed_at or chair.now, chair.now))
    likely = float(head_belief(chair, times).outlook(index).level_bands(np.array([max(minutes, 0.0)]))[1, 0])
    secret = float(np.random.default_rng(seed).normal(0.0, SECRET_STD))
    return float(np.clip(likely + secret, chair.zones[key].hair.colour_start, 10.0))


def as_lab(zone: Zone, level: float) -> Lab:
    """CIELAB of a lane's hair at a level."""
    lightness, a, b = hair_lab(zone.hair.colour_start, np.array([level]))[0].tolist()
    return lightness, a, b


def as_reflectance(zone: Zone, level: float) -> Floats:
    """Reflectance spectrum of a lane's hair at a level, shape (81,)."""
    return hair_reflectance(zone.hair.colour_start, np.array(level))
