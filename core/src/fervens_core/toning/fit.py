"""A formula on one zone at its best whole minute, and what it is ranked by. docs/models/tonematch.md."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import delta_e_2000
from fervens_core.toning.formula import Formula, Result, toned_lab, whole_minutes

SHORT_TIME_MIN, SHORT_TIME_PENALTY = 5.0, 0.3
DEEP_SHADE_PENALTY = 0.5
MIX_PENALTY = 0.25
"""[MODEL] ranking in CIEDE2000 units: per minute under 5 (hard to hit at the basin), per level a formula is deeper than
the hair, and for a second shade to weigh."""
MOST_LOST_L = 8.0
"""[MODEL] most L* a toner may cost beyond what the wish itself asks for, before a zone counts as darkened."""
NEUTRALISING_COST_L = 2.0
"""[MODEL] L* that taking the warmth out costs a zone at least."""
TOO_DARK_COST = 100.0


@dataclass(frozen=True, slots=True)
class Match:
    """A formula on one zone at its best whole minute.

    Args:
        minutes: min. lab: the colour it should leave. delta_e: CIEDE2000 to the wanted colour.
        depth_lost_l: L* lost beside the untoned hair. cost: what it is ranked by.
    """

    formula: Formula
    minutes: float
    lab: tuple[float, float, float]
    delta_e: float
    depth_lost_l: float
    cost: float
    is_too_dark: bool


def _penalties(result: Result, formula: Formula, minutes: Floats) -> Floats:
    short = SHORT_TIME_PENALTY * np.maximum(0.0, SHORT_TIME_MIN - minutes)
    deep = DEEP_SHADE_PENALTY * max(0.0, result.level - formula.level - 0.5)
    found: Floats = short + (deep + MIX_PENALTY * (len(formula.shades) - 1))
    return found


def most_lost_l(result: Result, wanted: Floats) -> float:
    """Most L* a toner may cost on a zone for a wanted colour."""
    return float(max(MOST_LOST_L, result.lab[0] - wanted[0] + MOST_LOST_L / 2))


def goal_of(result: Result, wish: Floats) -> Floats:
    """The wished colour as far as a zone can hold it: a toner never lightens, and neutralising costs a little.

    Args:
        wish: CIELAB (3,).
    Returns:
        the same hue and chroma, no lighter than the zone less NEUTRALISING_COST_L; CIELAB (3,).
    """
    return np.array([min(float(wish[0]), float(result.lab[0]) - NEUTRALISING_COST_L), wish[1], wish[2]])


def match(result: Result, formula: Formula, wanted: Floats) -> Match:
    """A formula at the whole minute that brings a zone nearest to the wanted colour without making it too dark.

    Args:
        wanted: CIELAB (3,).
    """
    minutes = whole_minutes(formula)
    labs = toned_lab(result, formula, minutes)
    away = delta_e_2000(labs, wanted)
    lost = result.lab[0] - labs[:, 0]
    is_dark = lost > most_lost_l(result, wanted)
    costs = away + _penalties(result, formula, minutes) + np.where(is_dark, TOO_DARK_COST + lost, 0.0)
    best = int(np.argmin(costs))
    return Match(
        formula=formula,
        minutes=float(minutes[best]),
        lab=(float(labs[best, 0]), float(labs[best, 1]), float(labs[best, 2])),
        delta_e=float(away[best]),
        depth_lost_l=float(lost[best]),
        cost=float(costs[best]),
        is_too_dark=bool(is_dark[best]),
    )
