"""What a wish out of reach would need: the kind of shade, by family, depth and ratio. docs/models/tonematch.md."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from fervens_core.base import Message, say, term
from fervens_core.colour import delta_e_2000
from fervens_core.head import DyeFamily, Tone, TonerShade
from fervens_core.toning.fit import OUT_OF_REACH_DELTA_E, costs_of, goal_of
from fervens_core.toning.formula import Formula, Result, toned_lab
from fervens_core.toning.wish import Wish

_KINDS: tuple[tuple[tuple[DyeFamily, float], ...], ...] = (
    *(((f, 1.0),) for f in DyeFamily),
    ((DyeFamily.VIOLET, 0.6), (DyeFamily.BLUE, 0.4)),
    ((DyeFamily.VIOLET, 0.7), (DyeFamily.RED, 0.3)),
    ((DyeFamily.RED, 0.7), (DyeFamily.ORANGE, 0.3)),
    ((DyeFamily.ORANGE, 0.6), (DyeFamily.YELLOW, 0.4)),
    ((DyeFamily.ORANGE, 0.6), (DyeFamily.RED, 0.4)),
    ((DyeFamily.BLUE, 0.6), (DyeFamily.GREEN, 0.4)),
    ((DyeFamily.VIOLET, 0.45), (DyeFamily.ORANGE, 0.25), (DyeFamily.RED, 0.3)),
    ((DyeFamily.YELLOW, 0.34), (DyeFamily.ORANGE, 0.32), (DyeFamily.BLUE, 0.3), (DyeFamily.RED, 0.04)),
    ((DyeFamily.YELLOW, 0.38), (DyeFamily.BLUE, 0.34), (DyeFamily.RED, 0.21), (DyeFamily.ORANGE, 0.07)),
)
"""Kinds of shade as they are made: one family, or its usual company. [MODEL]"""
PASTEL_LEVEL = 9.5
"""Pastels need hair of 9.5 to 10 (common practice, no source)."""
_RATIOS = ((1.0, 10.0), (2.0, 5.0))
_MINUTES = np.array([5.0, 10.0, 15.0, 20.0])


@dataclass(frozen=True, slots=True)
class Needed:
    """What would reach a wish.

    Args:
        families: of the dye, most first; empty where no shade would: the hair has to be lighter. level: its depth.
        developer_parts: to one of the shade. delta_e: CIEDE2000 it would leave.
        says: the kind of shade in words, or what else is needed.
    """

    families: tuple[DyeFamily, ...]
    level: float | None
    developer_parts: float | None
    delta_e: float | None
    says: Message


@lru_cache(maxsize=500)
def needed_for(result: Result, wish: Wish, *, may_deepen: bool = False) -> Needed:
    """The kind of shade that would bring a part to its wish; or how light the hair has to be for one to."""
    if wish.tone is Tone.PASTEL and wish.lab is None and result.level < PASTEL_LEVEL:
        return Needed((), None, None, None, say("would_reach-lighter", level=PASTEL_LEVEL))
    found = _best_kind(result, wish, may_deepen)
    if found is not None and found[0] <= OUT_OF_REACH_DELTA_E:
        away, shade = found
        families = tuple(f for f, _ in sorted(shade.dyes, key=lambda d: -d[1]))
        named = term(families[0])
        if len(families) > 1:
            named = say("counter-two", first=families[0], second=families[1])
        ratio = shade.developer_parts or 0.0
        told = say("would_reach-shade", family=named, level=shade.level, parts=ratio)
        return Needed(families, shade.level, shade.developer_parts, away, told)
    if result.rest is not None:
        drawn = _best_kind(replace(result, rest=None, rest_amount=0.0), wish, may_deepen)
        if drawn is not None and drawn[0] <= OUT_OF_REACH_DELTA_E:
            return Needed((), None, None, None, say("would_reach-drawn_out", rest=result.rest))
    lighter_levels = np.arange(result.level + 0.5, 10.25, 0.5).tolist() if wish.level > result.level - 0.5 else []
    for level in lighter_levels:
        lighter = _best_kind(replace(result, level=level), wish, may_deepen)
        if lighter is not None and lighter[0] <= OUT_OF_REACH_DELTA_E:
            return Needed((), None, None, None, say("would_reach-lighter", level=level))
    return Needed((), None, None, None, say("would_reach-nothing"))


def _best_kind(result: Result, wish: Wish, may_deepen: bool) -> tuple[float, TonerShade] | None:
    """The kind of shade that comes nearest to a wish, and its CIEDE2000 to it; None where none is deep enough."""
    goal = goal_of(result, wish, may_deepen=may_deepen)
    best: tuple[float, float, TonerShade] | None = None
    for dyes in _KINDS:
        for parts, volume in _RATIOS:
            for level in np.arange(max(np.ceil(goal.from_level), 4.0), 10.5, 1.0).tolist():
                shade = TonerShade("x", "X", level, dyes, 20.0, parts, volume)
                formula = Formula((shade,))
                labs = toned_lab(result, formula, _MINUTES)
                costs = costs_of(labs, _MINUTES, formula, goal)
                at = int(costs.argmin())
                if best is None or costs[at] < best[0]:
                    best = float(costs[at]), float(delta_e_2000(labs[at], wish.wanted)), shade
    return None if best is None else best[1:]
