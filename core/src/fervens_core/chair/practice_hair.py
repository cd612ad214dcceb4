"""Hair to lay under a simulated reader: close to what is believed of a lane, with a secret of its own."""

from __future__ import annotations

import numpy as np

from fervens_core.chair.lanes import Chair, head_belief, lane_times, minutes_between
from fervens_core.colour import hair_lab
from fervens_core.head import Zone
from fervens_core.lift import effort_to_level

SECRET_STD = 0.05
"""[MODEL] how far the simulated hair is from the likeliest, in the logs of how far and how fast."""


def kept_lab(part: Zone, seed: int) -> tuple[float, float, float]:
    """CIELAB of a part no lightener went on, in the simulation; the same seed is the same hair."""
    level = part.hair.start_level + float(np.random.default_rng(seed).normal(0.0, SECRET_STD))
    level = min(max(level, part.hair.colour_start), 10.0)
    lightness, a, b = hair_lab(part.hair.colour_start, np.array([level]))[0].tolist()
    return lightness, a, b


def practice_lab(chair: Chair, key: str, seed: int) -> tuple[float, float, float]:
    """CIELAB the hair of a lane has now in the simulation; the same seed is the same hair.

    Raises:
        ConflictError: the plan has no such lane.
    """
    lane = chair.state.lane(key)
    index = chair.state.lanes.index(lane)
    times = lane_times(chair)
    belief = head_belief(chair, times)
    factors = belief.factors(index)
    secret = np.random.default_rng(seed).normal(0.0, SECRET_STD, 2)
    minutes = minutes_between(times[index].zero, min(lane.rinsed_at or chair.now, chair.now))
    kinetics = belief.lanes[index]
    gained = kinetics.gained(
        np.array([max(minutes, 0.0)]),
        np.array([factors.extent * np.exp(secret[0])]),
        np.array([factors.rate * np.exp(secret[1])]),
    )
    level = float(effort_to_level(kinetics.start_effort + gained)[0, 0])
    lightness, a, b = hair_lab(chair.zones[key].hair.colour_start, np.array([level]))[0].tolist()
    return lightness, a, b
