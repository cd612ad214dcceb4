"""The parts of a head ready to be toned: alike ones together, goals, hands, and every setting of rinse and waits."""

from __future__ import annotations

import itertools
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field

import numpy as np
import numpy.typing as npt

from fervens_core.base import Floats
from fervens_core.colour import delta_e_2000
from fervens_core.toning.fit import LAST_LONG_MIN, LAST_SHORT_MIN, SHORT_TIME_MIN, Goal, goal_of
from fervens_core.toning.formula import Formula
from fervens_core.toning.judge import Judge
from fervens_core.toning.session import Hand, SessionPart
from fervens_core.toning.shelf import ToneShelf, sketch

WAITS_FIRST: tuple[float, ...] = (0.0, 5.0, 10.0)
WAITS_LAST: tuple[float, ...] = (0.0, 2.0, 4.0, 6.0, 8.0, 10.0, 13.0, 16.0, 20.0)
"""Minutes hands wait before lengths, and before ends."""


@dataclass(frozen=True, slots=True)
class Setting:
    """When parts go on and off: minutes of the last part of each hand until the rinse."""

    lasts: tuple[float, ...]
    waits: int


@dataclass(slots=True)
class Group:
    """Parts alike in what they are, wish and hand."""

    first: SessionPart
    rows: list[int] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class Family:
    """Every two of some parts that are to end alike, and how much their goals differ: some cannot, CIEDE2000."""

    left: npt.NDArray[np.intp]
    right: npt.NDArray[np.intp]
    meant: Floats


@dataclass(frozen=True, slots=True)
class Drawn:
    """A session by its groups: formulas, which is for which group, a setting, and about its price."""

    formulas: tuple[Formula, ...]
    bowl_of: tuple[int, ...]
    setting: Setting
    price: float


class ToneHead:
    """The parts of a head with their goals, ready for the search."""

    def __init__(self, parts: Sequence[SessionPart], shelf: ToneShelf, stays_bright: bool) -> None:
        self.parts = sorted(parts, key=lambda p: p.hand)
        self.shelf = shelf
        self.goals = [goal_of(p.result, p.wish, stays_bright=stays_bright, may_deepen=p.may_deepen) for p in self.parts]
        groups: dict[object, Group] = {}
        for row, part in enumerate(self.parts):
            kind = (part.result.kind, part.wish, part.hand, part.only, part.may_deepen, part.alike)
            groups.setdefault(kind, Group(part)).rows.append(row)
        self.groups = list(groups.values())
        self.group_of = np.empty(len(self.parts), dtype=int)
        for g, group in enumerate(self.groups):
            self.group_of[group.rows] = g
        self.weights = np.array([len(g.rows) for g in self.groups]) / len(self.parts)
        self.sketches = [sketch(g.first.result, shelf) for g in self.groups]
        self.hands = sorted({p.hand for p in self.parts})
        self.hand_of = np.array([self.hands.index(p.hand) for p in self.parts])
        self.takes = [sum(p.application_min for p in self.parts if p.hand is h) for h in self.hands]
        self.before = self.before_in(range(len(self.parts)))
        first_rows = [g.rows[0] for g in self.groups]
        self.by_part = self._judge(self.parts, self.goals)
        self.by_group = self._judge([g.first for g in self.groups], [self.goals[r] for r in first_rows])
        self.wanted = [p.wish.wanted for p in self.parts]
        self.families = self._families([p.alike for p in self.parts], self.goals)
        self.group_families = self._families(
            [g.first.alike for g in self.groups], [self.goals[g.rows[0]] for g in self.groups]
        )
        self.settings = self._settings()

    @staticmethod
    def _judge(parts: Sequence[SessionPart], goals: Sequence[Goal]) -> Judge:
        short = [LAST_SHORT_MIN if p.hand is Hand.LAST else SHORT_TIME_MIN for p in parts]
        long = [LAST_LONG_MIN if p.hand is Hand.LAST else np.inf for p in parts]
        return Judge([p.result for p in parts], goals, short, long)

    @staticmethod
    def _families(alike: Sequence[str], goals: Sequence[Goal]) -> list[Family]:
        """Places that are to end alike, where there are several."""
        named: dict[str, list[int]] = {}
        for place, name in enumerate(alike):
            if name:
                named.setdefault(name, []).append(place)
        found = []
        for rows in (np.array(r) for r in named.values() if len(r) > 1):
            i, j = np.triu_indices(rows.size, 1)
            aims = np.array([goals[r].lab for r in rows])
            found.append(Family(rows[i], rows[j], delta_e_2000(aims[i], aims[j])))
        return found

    def _settings(self) -> list[Setting]:
        """Every rinse, and every wait before the lengths and before the ends."""
        longest = float(self.shelf.minutes[-1])
        waits: list[tuple[float, ...]] = [()]
        if len(self.hands) == 3:
            waits = [(a, b) for a in WAITS_FIRST for b in WAITS_LAST]
        elif len(self.hands) == 2:
            waits = [(w,) for w in (WAITS_LAST if Hand.LAST in self.hands else WAITS_FIRST)]
        found = []
        for last in self.shelf.minutes.tolist():
            for some in waits:
                lasts = [float(last)]
                for take, wait in zip(reversed(self.takes[1:]), reversed(some), strict=True):
                    lasts.insert(0, lasts[0] + take + wait)
                if lasts[0] <= longest:
                    found.append(Setting(tuple(lasts), sum(w > 0.0 for w in some)))
        # where no order fits the longest label, the shortest is begun with all the same
        return found or [Setting(tuple(float(self.shelf.minutes[0]) for _ in self.hands), 0)]

    def near(self, setting: Setting, moves: Sequence[float]) -> list[Setting]:
        """Settings around one that hands can do."""
        found = []
        for move in itertools.product(*[moves] * len(self.hands)):
            lasts = [x + m for x, m in zip(setting.lasts, move, strict=True)]
            gaps = [a - b - t for a, b, t in zip(lasts[:-1], lasts[1:], self.takes[1:], strict=True)]
            if lasts[-1] >= 1.0 and all(g >= -1e-9 for g in gaps):
                found.append(Setting(tuple(lasts), sum(g > 0.5 for g in gaps)))
        return found or [setting]

    def before_in(self, order: Iterable[int]) -> Floats:
        """Minutes from each part's last section to that of the last of its hand, in an order."""
        found, later = np.zeros(len(self.parts)), np.zeros(len(self.hands))
        for row in reversed(list(order)):
            hand = self.hand_of[row]
            found[row] = later[hand]
            later[hand] += self.parts[row].application_min
        return found


def spreads(labs: Floats, families: Sequence[Family]) -> Floats:
    """By how much parts that are to end alike differ more than their own goals do, at most; (m, n, 3) to (m,)."""
    found: Floats = np.zeros(labs.shape[0])
    for family in families:
        apart = delta_e_2000(labs[:, family.left], labs[:, family.right]) - family.meant
        found = np.maximum(found, apart.max(axis=1))
    return found
