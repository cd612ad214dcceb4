"""Painting a lane: for each minute the level as slow, likely and fast, and the colour the hair should have."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import fibre_hexes, hair_lab, seen_hexes
from fervens_core.planning import Plan


@dataclass(frozen=True, slots=True)
class CurvePoint:
    """One minute of a lane: levels (slow, likely, fast) and the colour the hair should have."""

    minute: float
    level_slow: float
    level_likely: float
    level_fast: float
    hex: str


@dataclass(frozen=True, slots=True)
class FibrePoint:
    """How the fibres of a lane look at a minute: those in the shade of others, on top, and where they shine."""

    minute: float
    shade: str
    light: str
    sheen: str


@dataclass(frozen=True, slots=True)
class Window:
    """When a level should be reached, min: 10, 50 and 90 % sure; None where it is not reached at all."""

    early: float | None
    likely: float | None
    late: float | None


@dataclass(frozen=True, slots=True)
class LevelBand:
    """A level as slow, likely and fast hair would have it."""

    slow: float
    likely: float
    fast: float


def window_of(minutes: tuple[float, float, float], span_min: float = 0.0) -> Window:
    """A window from (early, likely, late) minutes in which infinity means never.

    Args:
        span_min: the first sections are there so much sooner.
    """
    early, likely, late = (m if math.isfinite(m) else None for m in minutes)
    return Window(early if early is None else max(early - span_min, 0.0), likely, late)


@dataclass(frozen=True, slots=True)
class Crossing:
    """When a lane is likely to pass a whole level."""

    level: int
    minute: float


def minute_grid(end_min: float) -> Floats:
    """Whole minutes from 0 and the end itself; at least half a minute long."""
    end = max(end_min, 0.5)
    return np.append(np.arange(0.0, end, 1.0), end)


def curve_points(minutes: Floats, bands: Floats, colours: list[str]) -> tuple[CurvePoint, ...]:
    """Points of a curve from its minutes (m,), level bands (3, m) and colours; levels to a thousandth."""
    rounded = np.round(np.vstack([minutes, bands]), 3).T.tolist()
    return tuple(
        CurvePoint(minute, slow, likely, fast, colour)
        for (minute, slow, likely, fast), colour in zip(rounded, colours, strict=True)
    )


FIBRE_POINTS = 7
"""So many places along a lane's minutes tell how its fibres look; between them they are painted over."""


def fibre_points(start_level: float, minutes: Floats, likely: Floats) -> tuple[FibrePoint, ...]:
    """Fibres of a lane along its minutes (m,), the first and the last among them.

    Args:
        start_level: what the hair's colour begins from. likely: levels (m,).
    """
    at = np.linspace(minutes[0], minutes[-1], FIBRE_POINTS)
    colours = fibre_hexes(start_level, np.interp(at, minutes, likely))
    return tuple(FibrePoint(*told) for told in zip(np.round(at, 3).tolist(), *colours, strict=True))


def crossings(start_level: float, minutes: Floats, likely: Floats) -> tuple[Crossing, ...]:
    """Whole levels above the start that the likely curve passes, with their minute."""
    found = []
    for level in range(math.floor(start_level) + 1, 11):
        if likely[-1] < level:
            break
        found.append(Crossing(level, float(np.interp(level, likely, minutes))))
    return tuple(found)


def paint_plan(plan: Plan) -> tuple[tuple[tuple[CurvePoint, ...], tuple[FibrePoint, ...], tuple[Crossing, ...]], ...]:
    """For each lane of a plan its curve from the end of its application to its wall, its fibres and its crossings."""
    painted = []
    for index, lane in enumerate(plan.lanes):
        minutes = minute_grid(lane.wall_min - lane.end_min)
        bands = plan.belief.outlook(index).level_bands(minutes)
        start = lane.zone.hair.start_level
        from_level = lane.zone.hair.colour_start
        colours = seen_hexes(hair_lab(from_level, bands[1]))
        painted.append(
            (
                curve_points(minutes, bands, colours),
                fibre_points(from_level, minutes, bands[1]),
                crossings(start, minutes, bands[1]),
            )
        )
    return tuple(painted)
