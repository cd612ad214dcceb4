"""From weighed sets to one schedule: who is rinsed when, with what, and the strengths that are best together.

docs/models/schedule.md
"""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.planning.hands import VisitSets
from fervens_core.planning.price import NOTHING, Price
from fervens_core.planning.weigh import NEVER, Scales, Weighed

WIPED = -1


@dataclass(frozen=True, slots=True)
class Found:
    """One schedule: per lane its start, end, rinse and strength, and the visits; min and vol.

    Args:
        visit: of each lane, by index; -1 for one that is wiped out before. columns: the visit of each block.
        asked: the visits as they were asked for: a trip waits for the section under the brush, and roots that join a
            visit go on by when it is asked for. What is laid out again begins from these.
        waits: whether hands wait before each block.
        price: of all; parts: what it is made of without bowls and their age, once it is chosen.
    """

    starts: Floats
    ends: Floats
    rinses: Floats
    walls: Floats
    volumes: Floats
    visit: tuple[int, ...]
    visits: tuple[float, ...]
    asked: tuple[float, ...]
    hold: float
    columns: tuple[int, ...]
    waits: tuple[bool, ...]
    price: float
    parts: Price


def cheapness(found: Found) -> float:
    """What schedules are compared by."""
    return found.price


def _with(strength: np.ndarray, lanes: Sequence[int], to: int) -> np.ndarray:
    found = strength.copy()
    found[list(lanes)] = to
    return found


class Finder(Scales):
    """Scales that turn what they weighed into schedules."""

    def told(self, found: Found) -> Found:
        """The same with its price by parts."""
        wiped = np.array(found.visit) == WIPED
        parts = self.price_of(found.volumes, found.starts, found.ends, found.rinses, found.visits, wiped)
        strength, minutes = self.indices(found)[:, None], (found.rinses - found.ends)[:, None]
        bowls = float(self._bowled(strength, found.starts[:, None], found.ends[:, None], minutes)[0])
        # what cannot be done at all is repaired in the plan and has no price
        return replace(found, parts=replace(parts, spared=max(found.price % NEVER - bowls - parts.total, 0.0)))

    def indices(self, found: Found) -> np.ndarray:
        """Each lane's strength by its index."""
        return np.asarray(np.abs(self.strengths[None] - found.volumes[:, None]).argmin(axis=1))

    def found(self, tried: Weighed, i: int) -> Found:
        """One of the tried sets as a schedule; visits nobody uses are gone from it."""
        n = len(self.entries)
        strength, visit = np.zeros(n, dtype=int), np.zeros(n, dtype=int)
        for g, rows in enumerate(self.groups):
            for row in rows:
                strength[row] = tried.chosen[g, i]
                visit[row] = tried.visits[row, strength[row], i]
        starts, ends = tried.timelines.starts[:, i], tried.timelines.ends[:, i]
        at = tried.timelines.visits[i]
        is_wiped = visit == at.size
        volumes = np.clip(self.strengths[strength], self.table.weakest_ever, self.table.strongest)
        ready = ends + self.ready[np.arange(n), strength]
        rinses = np.where(is_wiped, ready, np.append(at, 0.0)[visit])
        visits = tuple(at[np.isfinite(at)].tolist())
        apart = self.request.pace.rinse_min * np.arange(len(visits))  # one trip ends before the next begins
        asked = tuple((np.maximum.accumulate(tried.sets.at[i][: len(visits)] - apart) + apart).tolist())
        return Found(
            starts=starts,
            ends=ends,
            rinses=rinses,
            volumes=volumes,
            walls=self.walls(tried.timelines)[:, i],
            visit=tuple(WIPED if w else int(v) for v, w in zip(visit, is_wiped, strict=True)),
            visits=visits,
            asked=asked,
            hold=float(tried.sets.hold_min[i]),
            columns=tuple(int(c) for c in tried.sets.columns[i]),
            waits=() if tried.sets.waits is None else tuple(tried.sets.waits[i].tolist()),
            price=float(tried.prices[i]),
            parts=NOTHING,
        )

    def near(self, found: Found, at: Floats) -> VisitSets:
        """A schedule with other visits, as many as it has."""
        count = len(at)
        columns = np.repeat(np.array([found.columns], dtype=int), count, axis=0)
        return VisitSets(at, np.full(count, found.hold), columns, self.waits_of(found, count))

    def waits_of(self, found: Found, count: int) -> np.ndarray | None:
        """Before which blocks hands wait, so many times."""
        return np.repeat(np.array([found.waits]), count, axis=0) if found.waits else None

    def set_of(self, found: Found) -> VisitSets:
        """Its visits by themselves."""
        return self.near(found, np.array([found.asked]))

    def each(self, tried: Weighed) -> list[Found]:
        """The first of some sets with each of the strengths weighed for it, polished."""
        known = {tuple(p[:, 0].tolist()): which for which, p in reversed(list(enumerate(tried.picks)))}
        return [self.polished(self.found(tried.with_pick(which), 0)) for which in sorted(known.values())]

    def _together_moved(self, strength: np.ndarray, tried: Sequence[np.ndarray], prices: Floats) -> np.ndarray:
        """Every lane with the change that makes it cheaper by itself, the cheapest of each lane's."""
        moved = strength.copy()
        for i in np.argsort(-prices, kind="stable").tolist():
            if prices[i] < prices[0] - 1e-6:
                moved = np.where(tried[i] != strength, tried[i], moved)
        return moved

    def polished(self, found: Found) -> Found:
        """Strengths as they are best together, where everyone's times stand.

        While visits are weighed, roots aim at what their lengths would reach by themselves.
        """
        strength = self.indices(found)
        is_free = np.array(found.visit) != WIPED
        before = math.inf
        while True:
            tried = [strength]
            for rows in self.groups:
                lanes = [r for r in rows if is_free[r]]
                for s in range(self.strengths.size):
                    if lanes and s != strength[lanes[0]] and not self.barred[lanes, s].any():
                        tried.append(_with(strength, lanes, s))
            for s, t in itertools.permutations(sorted(set(strength.tolist())), 2):
                lanes = [int(r) for r in np.flatnonzero((strength == s) & is_free) if not self.barred[r, t]]
                tried.append(_with(strength, lanes, t))
            prices = self.weigh_strengths(np.array(tried).T, found.starts, found.ends, found.rinses)
            before = float(prices[0]) if math.isinf(before) else before
            best = int(np.argmin(prices))
            if not prices[best] < prices[0] - 1e-6:
                break
            together = self._together_moved(strength, tried, prices)
            price = self.weigh_strengths(together[:, None], found.starts, found.ends, found.rinses)
            strength = together if price[0] < prices[best] else tried[best]
        if self.joined:
            return self._exactly(found, strength)
        told = np.clip(self.strengths[strength], self.table.weakest_ever, self.table.strongest)
        return replace(found, volumes=told, price=found.price - before + float(prices[0]))

    def _exactly(self, found: Found, strength: np.ndarray) -> Found:
        """With these strengths and no others: what joins aims at what its own lengths reach with theirs."""
        barred = np.where(np.arange(self.strengths.size) == strength[:, None], 0.0, NEVER)
        return self.found(self.weigh(self.set_of(found), bowls=None, barred=barred), 0)
