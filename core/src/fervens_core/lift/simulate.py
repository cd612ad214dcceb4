"""A simulated head: hidden factors, read with noise. The stand-in for hair in tests, demo and practice."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import ReadingMode
from fervens_core.lift.belief import (
    HEAD_EXTENT_STD,
    HEAD_RATE_STD,
    ZONE_EXTENT_STD,
    ZONE_RATE_STD,
    LaneKinetics,
    Reading,
)
from fervens_core.lift.kinetics import effort_to_level


@dataclass(frozen=True, slots=True)
class SimulatedHead:
    """Lanes with their hidden truth: log deviations of how far and how fast, shape (n,) each."""

    lanes: tuple[LaneKinetics, ...]
    log_extent: Floats
    log_rate: Floats

    def level(self, lane: int, minutes: float) -> float:
        """True level of a lane so many minutes after its application, 1 to 10."""
        kinetics = self.lanes[lane]
        extent = kinetics.factors.extent * np.exp(self.log_extent[lane : lane + 1])
        rate = kinetics.factors.rate * np.exp(self.log_rate[lane : lane + 1])
        gained = kinetics.gained(np.array([minutes]), extent, rate)
        return float(effort_to_level(kinetics.start_effort + gained)[0, 0])

    def read(self, lane: int, minutes: float, mode: ReadingMode, random: np.random.Generator) -> Reading:
        """What an eye says of it, to the half level: the mode's own bias and spread over the truth."""
        plain = Reading(lane, minutes, 5.0, mode)
        noise = float(random.normal(0.0, plain.eye_std))
        seen = self.level(lane, minutes) + plain.bias + noise
        return Reading(lane, minutes, float(np.clip(round(seen * 2.0) / 2.0, 1.0, 10.0)), mode)


def simulated_head(lanes: tuple[LaneKinetics, ...], random: np.random.Generator) -> SimulatedHead:
    """A head drawn from what is believed of heads before any reading."""
    n = len(lanes)
    return SimulatedHead(
        lanes=lanes,
        log_extent=random.normal(0.0, HEAD_EXTENT_STD) + random.normal(0.0, ZONE_EXTENT_STD, n),
        log_rate=random.normal(0.0, HEAD_RATE_STD) + random.normal(0.0, ZONE_RATE_STD, n),
    )
