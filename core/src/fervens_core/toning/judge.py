"""Formulas on many parts at many minutes at once: colours and costs as arrays. docs/models/tonematch.md."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import absorption_to_lab, brighten, delta_e_2000
from fervens_core.toning.dyes import UPTAKE
from fervens_core.toning.fit import (
    LAST_LONG_PENALTY,
    SHORT_TIME_PENALTY,
    TOO_DEEP_COST,
    TOO_DEEP_PER_L,
    Goal,
    fixed_cost,
)
from fervens_core.toning.formula import BRIGHTEN_TAU_MIN, Formula, Result

NEVER = 1e3
"""Cost of what a label does not allow."""


class Judge:
    """Parts with their goals, ready to have formulas and minutes judged.

    Args:
        short_from: min, of each part: shorter times are hard to hit. long_from: longer ones are a risk.
    """

    def __init__(
        self, results: Sequence[Result], goals: Sequence[Goal], short_from: Sequence[float], long_from: Sequence[float]
    ) -> None:
        self.goals = list(goals)
        self.hair = np.array([r.absorption for r in results])
        takes = [UPTAKE[r.porosity] for r in results]
        self.uptake = np.array([u * r.uptake_factor for (u, _), r in zip(takes, results, strict=True)])
        self.tau_min = np.array([tau for _, tau in takes])
        self.aim = np.array([g.lab for g in goals])
        self.least_l = np.array([g.least_l for g in goals])
        self.short_from, self.long_from = np.array(short_from), np.array(long_from)

    def judge(self, formulas: Sequence[Formula], on_min: Floats) -> tuple[Floats, Floats]:
        """What each part's formula costs and leaves.

        Args:
            formulas: of each part, n. on_min: minutes, (m, n).
        Returns:
            costs (m, n), CIELAB (m, n, 3).
        """
        each = {f.key: f.absorption for f in {f.key: f for f in formulas}.values()}
        dye = np.array([each[f.key] for f in formulas])
        gone = np.array([f.brighten_levels for f in formulas]) * -np.expm1(-on_min / BRIGHTEN_TAU_MIN)
        taken = self.uptake * -np.expm1(-np.maximum(on_min, 0.0) / self.tau_min)
        labs = absorption_to_lab(brighten(self.hair, gone) + taken[..., None] * dye)
        fixed = [fixed_cost(f, g) for f, g in zip(formulas, self.goals, strict=True)]
        costs = delta_e_2000(labs, self.aim) + np.array(fixed)
        costs += SHORT_TIME_PENALTY * np.maximum(0.0, self.short_from - on_min)
        costs += LAST_LONG_PENALTY * np.maximum(0.0, on_min - self.long_from)
        under = self.least_l - labs[..., 0]
        costs += np.where(under > 0.0, TOO_DEEP_COST + TOO_DEEP_PER_L * under, 0.0)
        longest = np.array([f.label_max_min for f in formulas]) + 1e-9
        shortest = np.array([f.label_min_min for f in formulas]) - 1e-9
        return np.where((on_min > longest) | (on_min < shortest), NEVER, costs), labs
