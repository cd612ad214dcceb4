"""What a schedule costs, in minutes: named constants, a set for each aim. docs/models/schedule.md."""

from __future__ import annotations

from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import ON_TARGET_LEVELS, Floats
from fervens_core.head import Hair, Thickness
from fervens_core.planning.request import USUAL_PACE, Aim, Paces

CLOSE_LEVELS = 0.1
"""Nearer to the target than an eye can tell costs nothing."""
OVER_FREE_LEVELS = 0.25
READ_LEVELS = 0.25
"""Beyond a quarter level a lane may read short (technicians read to halves)."""
BENT_LEVELS = 0.5
"""[MODEL] what an eye can tell weighs more the more of it is missing; past half a level every further one the same."""
SHORT_LEVELS = 0.5
"""[MODEL] a lane that reads short may take a session of its own: that weighs as much as half a level more."""
DARK_LEVEL, TENDER_PER_LEVEL, COARSE_TENDER_SHARE = 4.0, 0.75, 0.6
"""[MODEL]"""
USUAL_VOLUME = 20.0
HARSHER_VOLUME = 10.0
"""[MODEL] 30 vol weighs two, 40 vol six times what 25 vol would if it were even."""
CLOSE_VISITS_MIN = 15.0
"""[MODEL] who was at the basin is not fetched again sooner: each minute less costs one."""
LONG_MIN, LONGER_SHARE = 165.0, 0.3
"""A last rinse after so long makes more than 4 h in the chair, which is what a whole head takes (common practice, no
source); each minute past it weighs so much more [MODEL]."""
BLENDED_MIN = 1.0
"""[MODEL] weighing a strength from two bottles, beside pouring one."""


@dataclass(frozen=True, slots=True)
class Prices:
    """What things weigh beside a minute in the chair, min. [MODEL]

    Args:
        minute: a minute until the last rinse. visit: a trip to the basin. wipe: a lane wiped out or left to dry alone.
        strength: one more in use; bowl: one mixed.
        level: missing a target by a level on one lane (and as much again for its square). over: passing it by one.
        harsh: each vol above 20 on a lane. mild: each up to 20 above what is usual on its hair.
        load: 1000 vol min on a lane. look: one lane opened and read.
        delicate: 1000 vol min on delicate hair, on top.
    """

    minute: float = 1.0
    visit: float = 15.0
    wipe: float = 6.0
    strength: float = 10.0
    bowl: float = 4.0
    level: float = 40.0
    over: float = 20.0
    harsh: float = 0.15
    mild: float = 0.4
    load: float = 0.5
    look: float = 0.5
    delicate: float = 2.0


_USUAL = Prices()
_PRICES = {
    Aim.SIMPLE: _USUAL,
    Aim.GENTLE: replace(_USUAL, minute=0.6, load=6.0, delicate=8.0, harsh=1.0, strength=8.0),
    Aim.EVEN: replace(_USUAL, minute=0.5, level=120.0, over=60.0, strength=5.0, bowl=3.0, visit=10.0),
    Aim.QUICK: replace(_USUAL, minute=2.5, harsh=0.0, mild=0.0, load=0.0, strength=5.0, bowl=3.0, visit=10.0),
}


def prices_for(aim: Aim, pace: Paces = USUAL_PACE) -> Prices:
    """An aim's prices, with a look and a bowl dearer where they take the studio longer."""
    found = _PRICES[aim]
    look, bowl = pace.look_min / USUAL_PACE.look_min, pace.mix_min / USUAL_PACE.mix_min
    return replace(found, look=found.look * look, bowl=found.bowl * bowl)


def sitting_min(prices: Prices, last: Floats) -> Floats:
    """Price of the minutes until the last rinse; of a long day the more."""
    result: Floats = prices.minute * (last + LONGER_SHARE * np.maximum(last - LONG_MIN, 0.0))
    return result


def missed_min(prices: Prices, target: Floats, level: Floats) -> Floats:
    """Price of ending at a level instead of the target; broadcasts."""
    short = np.maximum(target - level, 0.0)
    over = np.maximum(level - target - OVER_FREE_LEVELS, 0.0)
    told = np.maximum(short - CLOSE_LEVELS, 0.0) + 1.5 * np.maximum(short - READ_LEVELS, 0.0)
    told = told + np.where(short > ON_TARGET_LEVELS, SHORT_LEVELS, 0.0)
    bent = np.where(short < BENT_LEVELS, short**2, 2.0 * BENT_LEVELS * short - BENT_LEVELS**2)
    result: Floats = prices.level * (told + bent) + prices.over * (over + 2.0 * over**2)
    return result


def tenderness(hair: Hair) -> float:
    """How much a strong developer weighs on hair: 1 for dark hair, more the lighter it is, less for coarse hair.

    25 to 40 vol is for off-scalp foils on dark or coarse hair, with a reason (common practice, no source).
    """
    found = 1.0 + TENDER_PER_LEVEL * max(hair.start_level - DARK_LEVEL, 0.0)
    return found * (COARSE_TENDER_SHARE if hair.thickness is Thickness.COARSE else 1.0)


def strain_min(
    prices: Prices, volume: Floats, minutes_on: Floats, tender: Floats, is_delicate: Floats, usual: Floats
) -> Floats:
    """Price of strong developer and of contact, minutes counted from a lane's first section; broadcasts.

    Args:
        tender: as `tenderness` has it. is_delicate: 1 for delicate hair. usual: vol a lane is usually
            lightened with: 20 is no more than that on natural hair, but more than light, fine or porous hair needs.
    """
    load = prices.load + prices.delicate * is_delicate
    over = np.maximum(volume - USUAL_VOLUME, 0.0)
    more = np.maximum(np.minimum(volume, USUAL_VOLUME) - usual, 0.0)
    strong = prices.harsh * tender * over * (1.0 + over / HARSHER_VOLUME) + prices.mild * more
    result: Floats = strong + load * volume * minutes_on / 1000.0
    return result


def looks_of(minutes_on: Floats) -> Floats:
    """How often a lane is opened: at 10 min and then every 10 (common practice); broadcasts."""
    return np.maximum(np.ceil((minutes_on - 10.0) / 10.0 - 1e-9), 0.0)


@dataclass(frozen=True, slots=True)
class Price:
    """A schedule's price by its parts, min.

    Args:
        spared: delicate hair on too long, roots that join late or early, left and right apart, visits close together.
    """

    minutes: float
    visits: float
    wiped: float
    strengths: float
    bowls: float
    looks: float
    missed: float
    strain: float
    spared: float

    @property
    def total(self) -> float:
        """All of it."""
        parts = (
            self.minutes,
            self.visits,
            self.wiped,
            self.strengths,
            self.bowls,
            self.looks,
            self.missed,
            self.strain,
            self.spared,
        )
        return sum(parts)


NOTHING = Price(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0)
