"""A tone session as it is asked for and answered: parts, what it makes of them, and what sessions are compared by.

docs/models/tonematch.md.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import IntEnum

import numpy as np

from fervens_core.base import Floats, check_range
from fervens_core.colour import delta_e_2000
from fervens_core.toning.formula import Formula, Result
from fervens_core.toning.wish import Wish

BOWLS_MAX = 3
WORST_SHARE, SPREAD_SHARE = 0.25, 0.8
"""[MODEL] beside the parts' mean: how much the part that is farthest off counts, and how much it counts that parts
with one wish differ from one another. CIEDE2000 units, as all prices here."""
BOWL_PRICES: Floats = np.array([0.0, 0.0, 1.0, 2.1])
RINSE_PRICE, MINUTE_PRICE, WAIT_PRICE, CHANGE_PRICE = 1.5, 0.03, 0.1, 0.4
"""[MODEL] none to three bowls; a further rinse, a minute until the last rinse, hands that wait before a group of
parts, and hands that take up a bowl again that they had put down."""


class Hand(IntEnum):
    """In which order parts go on: what resists or regrew, lengths, and ends or what grabs."""

    FIRST = 0
    LENGTHS = 1
    LAST = 2


@dataclass(frozen=True, slots=True)
class SessionPart:
    """A part of the head to be toned.

    Args:
        application_min: from its first section to its last, 0 to 60 min. only: keys of the formulas it may have, None
        for all. may_deepen: a shadow or a filling: any shade may go on. alike: parts with the same are to end alike.
    """

    key: str
    result: Result
    wish: Wish
    hand: Hand = Hand.LENGTHS
    application_min: float = 1.0
    only: frozenset[str] | None = None
    may_deepen: bool = False
    alike: str = ""

    def __post_init__(self) -> None:
        check_range("application_min", self.application_min, 0.0, 60.0, "min")


@dataclass(frozen=True, slots=True)
class SessionTone:
    """What a session makes of a part.

    Args:
        bowl: its number, from 1. start_min, on_min: its first and its last section is on; off_min: it is rinsed; min
        after the first toner. lab: what it ends at. delta_e: CIEDE2000 to its own wish as far as it can hold it.
        wish_delta_e: to the wish itself. levels_deeper: than meant; is_too_deep: by more than there is room for.
    """

    key: str
    bowl: int
    formula: Formula
    start_min: float
    on_min: float
    off_min: float
    lab: tuple[float, float, float]
    delta_e: float
    wish_delta_e: float
    levels_deeper: float
    is_too_deep: bool

    @property
    def minutes(self) -> float:
        """How long its last section is on, min."""
        return self.off_min - self.on_min


@dataclass(frozen=True, slots=True)
class ToneSession:
    """Bowls and parts in the order of hands, and when they are rinsed.

    Args:
        spread: by how much parts that are to end alike differ more than what each can reach, CIEDE2000. price: what
            sessions are compared by.
    """

    bowls: tuple[Formula, ...]
    tones: tuple[SessionTone, ...]
    rinses: tuple[float, ...]
    spread: float
    price: float

    @property
    def by_key(self) -> dict[str, SessionTone]:
        """Each part's tone."""
        return {t.key: t for t in self.tones}

    @property
    def minutes(self) -> float:
        """Until the last rinse, min after the first toner."""
        return max(self.rinses)

    @property
    def mean_delta_e(self) -> float:
        """Mean difference of the parts from their own wishes."""
        return float(np.mean([t.wish_delta_e for t in self.tones]))

    @property
    def mean_held_e(self) -> float:
        """Mean difference from the wishes as far as the parts can hold them: what sessions are told apart by."""
        return float(np.mean([t.delta_e for t in self.tones]))

    @property
    def worst_held_e(self) -> float:
        """The largest of these."""
        return max(t.delta_e for t in self.tones)

    @property
    def worst_delta_e(self) -> float:
        """That of the part that is farthest off."""
        return max(t.wish_delta_e for t in self.tones)


def spread_of(labs: Sequence[Sequence[float]]) -> float:
    """Largest CIEDE2000 between any two colours; 0 for one."""
    if len(labs) < 2:
        return 0.0
    every = np.array(labs)
    return float(delta_e_2000(every[:, None, :], every[None, :, :]).max())
