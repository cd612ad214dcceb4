"""A formula on one part at its best whole minute, and what it is ranked by. docs/models/tonematch.md."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from fervens_core.base import Floats
from fervens_core.colour import delta_e_2000
from fervens_core.head import DyeHue, Tone
from fervens_core.toning.depth import level_of_lightness, lightness_of_level
from fervens_core.toning.formula import Formula, Result, toned_lab, whole_minutes
from fervens_core.toning.wish import Wish

SHORT_TIME_MIN, SHORT_TIME_PENALTY = 5.0, 0.3
MIX_PENALTY = 0.25
"""[MODEL] ranking in CIEDE2000 units: per minute under 5 (hard to hit at the basin), for a second shade to weigh."""
LAST_SHORT_MIN, LAST_LONG_MIN, LAST_LONG_PENALTY = 2.0, 8.0, 0.15
"""[MODEL] ends and what grabs go on in the last minutes (common practice): from the first on their time is not hard to
hit; past the second each minute costs, in CIEDE2000 units: what grabs does so beyond what is expected of it."""
NEUTRALISING_COST_L = 2.0
"""[MODEL] L* that taking the warmth out costs a part at least."""
BRIGHT_FROM_LEVEL, BRIGHT_ROOM_LEVELS, ROOM_LEVELS = 8.0, 0.5, 1.0
"""A pale wish never ends more than half a level deeper than wanted (common practice); others may by a level [MODEL]."""
SHADE_ROOM_LEVELS, DEEPENING_ROOM_LEVELS = 1.0, 1.5
"""Shades deeper than the hair by more are for shadow, deepening and filling only (common practice). What is to go a
level deeper or more is deepened: pale hair ends about a level lighter than the shade [MODEL]."""
WASH_PENALTY, ODD_PER_SHARE = 2.0, 6.0
"""[MODEL] a pigment wash fades in a few washes, so that a demi is taken where the person may have one; and a shade that
points away from the wish, as coral in an icy bowl or ash in a gold one, for all of it past what there is room for:
colour theory may allow it, no hand mixes it (common practice, no source)."""
REACHED_DELTA_E, OUT_OF_REACH_DELTA_E = 3.0, 5.0
"""[MODEL] nearer than the first a colour counts as reached (hardly told apart in hair), past the second as missed."""
TOO_DEEP_COST, TOO_DEEP_PER_L, WRONG_SHADE_COST = 3.0, 8.0, 60.0
"""[MODEL] too deep: at once, and for each L* past what there is room for; a shade that is not for the part."""

_COPPERY_ROOM = dict.fromkeys((Tone.ICY, Tone.SILVER, Tone.PEARL, Tone.COOL, Tone.NEUTRAL, Tone.BEIGE), 0.25)
_ASH_ROOM = dict.fromkeys((Tone.GOLD, Tone.COPPER), 0.25) | dict.fromkeys((Tone.RED_BROWN, Tone.ROSE), 0.5)


@dataclass(frozen=True, slots=True)
class Goal:
    """What a part is to end at, as far as it can hold it.

    Args:
        lab: CIELAB. least_l: a result darker than that is too deep. from_level: shades deeper than that are not for it.
        coppery_room, ash_room: how much of a bowl may be red or copper, ash or violet, before it is an odd one, 0 to 1.
    """

    lab: tuple[float, float, float]
    least_l: float
    from_level: float
    coppery_room: float = 1.0
    ash_room: float = 1.0

    @property
    def colour(self) -> Floats:
        """As an array, (3,)."""
        return np.array(self.lab)

    def levels_deeper(self, lab: Floats | tuple[float, ...]) -> float:
        """How many levels deeper a colour is than meant; less than 0 for lighter."""
        now = np.asarray(lab, dtype=float)[..., 0]
        return float(level_of_lightness(self.lab[0]) - level_of_lightness(now))


def goal_of(result: Result, wish: Wish, *, stays_bright: bool = True, may_deepen: bool = False) -> Goal:
    """The wished colour as far as a part can hold it: a toner never lightens, and neutralising costs a little.

    Args:
        stays_bright: a pale wish is held to within half a level. may_deepen: a shadow, a filling: any shade may go on.
    """
    wanted = wish.wanted
    lightness = min(float(wanted[0]), float(result.lab[0]) - NEUTRALISING_COST_L)
    is_bright = stays_bright and wish.level >= BRIGHT_FROM_LEVEL
    room = BRIGHT_ROOM_LEVELS if is_bright else ROOM_LEVELS
    depth = float(level_of_lightness(lightness))
    is_own = wish.lab is not None
    # what is wanted deeper than the hair is made with shades of that depth
    is_deepened = wish.level <= result.level - SHADE_ROOM_LEVELS
    held = result.level if is_bright and not is_deepened else min(result.level, wish.level)
    shade_room = DEEPENING_ROOM_LEVELS if is_deepened and not is_bright else SHADE_ROOM_LEVELS
    return Goal(
        lab=(lightness, float(wanted[1]), float(wanted[2])),
        least_l=float(lightness_of_level(max(depth - room, 1.0))),
        from_level=1.0 if may_deepen else held - shade_room,
        coppery_room=1.0 if is_own or _is_green(result) else _COPPERY_ROOM.get(wish.tone, 1.0),
        ash_room=1.0 if is_own else _ASH_ROOM.get(wish.tone, 1.0),
    )


def _is_green(result: Result) -> bool:
    """Whether red or pink takes out what shows (common practice)."""
    return result.rest is DyeHue.GREEN and result.rest_amount > 0.0


@dataclass(frozen=True, slots=True)
class Match:
    """A formula on one part at its best whole minute.

    Args:
        minutes: min. lab: the colour it should leave. delta_e: CIEDE2000 to the goal.
        levels_deeper: than meant. cost: what it is ranked by.
    """

    formula: Formula
    minutes: float
    lab: tuple[float, float, float]
    delta_e: float
    levels_deeper: float
    cost: float
    is_too_dark: bool


def fixed_cost(formula: Formula, goal: Goal) -> float:
    """What a formula is ranked by whatever its minutes: more to weigh, a wash, an odd shade, one not for the part."""
    found = MIX_PENALTY * (len(formula.shades) - 1) + (0.0 if formula.is_oxidative else WASH_PENALTY)
    odd = max(0.0, formula.coppery_share - goal.coppery_room) + max(0.0, formula.ash_share - goal.ash_room)
    return found + ODD_PER_SHARE * odd + (0.0 if is_for(formula, goal) else WRONG_SHADE_COST)


def is_for(formula: Formula, goal: Goal) -> bool:
    """Whether none of its shades is too deep for what is meant."""
    return min(s.level for s in formula.shades) >= goal.from_level - 1e-9


def costs_of(labs: Floats, minutes: Floats, formula: Formula, goal: Goal, short_from: float = SHORT_TIME_MIN) -> Floats:
    """What a formula is ranked by at some minutes: nearness, short times, a second shade, too deep; broadcasts.

    Args:
        labs: (..., 3). minutes: (...). short_from: shorter times are hard to hit.
    """
    costs = delta_e_2000(labs, goal.colour) + SHORT_TIME_PENALTY * np.maximum(0.0, short_from - minutes)
    under = goal.least_l - labs[..., 0]
    costs = costs + np.where(under > 0.0, TOO_DEEP_COST + TOO_DEEP_PER_L * under, 0.0)
    result: Floats = costs + fixed_cost(formula, goal)
    return result


def match(result: Result, formula: Formula, goal: Goal) -> Match:
    """A formula at the whole minute that brings a part nearest to its goal without making it too deep."""
    minutes = whole_minutes(formula)
    labs = toned_lab(result, formula, minutes)
    costs = costs_of(labs, minutes, formula, goal)
    best = int(np.argmin(costs))
    lab = labs[best]
    return Match(
        formula=formula,
        minutes=float(minutes[best]),
        lab=(float(lab[0]), float(lab[1]), float(lab[2])),
        delta_e=float(delta_e_2000(lab, goal.colour)),
        levels_deeper=goal.levels_deeper(lab),
        cost=float(costs[best]),
        is_too_dark=bool(lab[0] < goal.least_l or not is_for(formula, goal)),
    )
