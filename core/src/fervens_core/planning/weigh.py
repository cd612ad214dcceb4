"""What sets of basin visits come to: every lane with every strength at every visit, as arrays. docs/models/schedule.md.

Once the visits and the set of strengths stand, lanes do not touch each other but through the hands, so sets of visits
are weighed side by side (n lanes, s strengths, m sets, k visits).
"""

from __future__ import annotations

import itertools
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.head import Part
from fervens_core.planning.bowlcost import BowlCounter
from fervens_core.planning.entry import PROCESSING_MIN_MIN, Entry, LaneTable, strengths_of
from fervens_core.planning.hands import (
    DELICATE_SHARE,
    HEAD_LABEL_SHARE,
    JOIN_LEAST_MIN,
    NO_BLOCK,
    Timelines,
    Turns,
    VisitSets,
    lay_out,
    mirrored,
)
from fervens_core.planning.price import (
    BLENDED_MIN,
    CLOSE_LEVELS,
    CLOSE_VISITS_MIN,
    NOTHING,
    Price,
    Prices,
    looks_of,
    missed_min,
    prices_for,
    sitting_min,
    strain_min,
    tenderness,
)
from fervens_core.planning.request import PlanRequest
from fervens_core.safety import usual_volume

NEVER = 1e6
"""Price of what cannot be done."""
APART_MIN = 15.0
"""[MODEL] left and right that cannot be rinsed in one visit."""
HURRIED_MIN, GRACE_MIN = 80.0, 4.0
"""[MODEL] roots that would join for less than 10 min, delicate hair that stays on too long: and 8 more a minute."""
JOIN_LEVELS_SHORT, EARLY_JOIN_MIN = 1.5, 6.0
"""Roots join when the lengths are about one level short (common practice, no source); each level more that is still to
go then costs so much [MODEL]: roots that need half an hour have to join before."""
STRENGTHS_MAX, MANY_STRENGTHS = 3, 12
EXACT_LEAST = 64
"""Of many sets so many of the cheapest, as far as can be told without bowls, have their bowls counted."""
DELICATE_MISS_SHARE, ROOT_MISS_SHARE = 0.8, 0.5
"""[MODEL] delicate hair may stay a little deeper, roots up to half a level deeper than their lengths: missing there
weighs less."""
UNREACHED_MISS_SHARE = 0.2
"""[MODEL] where the wish takes another visit anyway, the last quarter level today weighs less."""
DELICATE_WIPED_SHARE = 0.54
"""[MODEL] delicate hair is wiped out by then, in its label's time: nine tenths of the 60 % it may be on."""
WIPED_LEAST_MIN, WIPE_SECTION_MIN = 10.0, 0.2
"""[MODEL] a lane is not wiped out sooner; it takes so long a section."""


@dataclass(frozen=True, slots=True)
class Weighed:
    """What sets come to: prices (m,), each group's strength (g, m), each lane's visit for each strength (n, s, m).

    Args:
        picks, picked_prices: the strengths weighed for each set, (c, g, m) and (c, m); `chosen` are the cheapest.
    """

    sets: VisitSets
    timelines: Timelines
    visits: np.ndarray
    chosen: np.ndarray
    prices: Floats
    picks: np.ndarray
    picked_prices: Floats

    def with_pick(self, which: int) -> Weighed:
        """The same with another of the strengths weighed."""
        return replace(self, chosen=self.picks[which], prices=self.picked_prices[which])


def _subsets(count: int) -> list[np.ndarray]:
    """Sets of up to three of so many strengths; of many, where every whole volume may be weighed, of up to two."""
    most = STRENGTHS_MAX if count <= MANY_STRENGTHS else 2
    return [np.array(list(itertools.combinations(range(count), size))) for size in range(1, min(most, count) + 1)]


def _overstayed(over: Floats) -> Floats:
    """Price of delicate hair that is on so many minutes too long: a minute or two may be worth a trip saved."""
    return np.where(over > 0.05, HURRIED_MIN * np.minimum(over / GRACE_MIN, 1.0) + 8.0 * over, 0.0)


class Scales:
    """Lanes of one request in one order of hands, ready to have sets of visits weighed.

    Args:
        table: their numbers. turns: the order of hands. start_min: when hands are free.
        is_part: other lanes of the head, that are not delicate, are weighed elsewhere.
        fresh: the same with fresh bowls, where the age of the bowls is in the lanes' factors already: what was within
            reach before is so still.
    """

    def __init__(
        self,
        request: PlanRequest,
        entries: Sequence[Entry],
        table: LaneTable,
        turns: Turns,
        *,
        start_min: float = 0.0,
        fresh: Scales | None = None,
        is_part: bool = False,
    ) -> None:
        self.request, self.entries, self.start_min = request, tuple(entries), start_min
        self.prices: Prices = prices_for(request.choice.aim, request.pace)
        self.table, self.turns = table, turns
        self.strengths = strengths_of(request, entries)
        self.groups = mirrored(entries)
        self.group_of = np.zeros(len(entries), dtype=int)
        for g, rows in enumerate(self.groups):
            self.group_of[list(rows)] = g
        self.is_staled, self.is_part = fresh is not None, is_part
        order = [row for task in turns.tasks for row in task.rows]
        self.counter = BowlCounter(request, [e.zone for e in entries], order)
        self.only: dict[int, frozenset[int]] = {}
        n = len(entries)
        self.block = np.full(n, NO_BLOCK)
        self.is_join = np.zeros(n, dtype=bool)
        for task in self.turns.tasks:
            self.block[list(task.rows)] = task.block
            self.is_join[list(task.rows)] = task.is_join
        self.own_visit = np.array([request.choice.visits.get(e.zone.key, 0) - 1 for e in entries])
        self.counts_from_end = np.array([e.counts_from_end for e in entries])
        bottles = np.array([b.volume_strength for b in request.bottles])
        is_blend = (np.abs(self.strengths[:, None] - bottles) > 1e-6).all(axis=1)
        self.blended = np.where(is_blend, BLENDED_MIN, 0.0)
        self.tender = np.array([tenderness(e.zone.hair) for e in entries])
        self.usual = np.maximum([usual_volume(e.zone.hair) for e in entries], table.weakest)
        self.barred = np.where(self.table.allowed(self.strengths), 0.0, NEVER)
        place = {e.zone.key: i for i, e in enumerate(entries)}
        self.joined = [
            (i, place[e.zone.waits_for or ""])
            for i, e in enumerate(entries)
            if self.is_join[i] and (e.zone.waits_for or "") in place
        ]
        self.is_delicate = np.array([e.zone.is_delicate for e in entries])
        most = self.table.levels(self.table.strongest[:, None], (self.table.label - self.table.application)[:, None])
        self.aimed = np.minimum(self.table.target, most[:, 0] + CLOSE_LEVELS)
        self.weight = np.where(self.is_delicate, DELICATE_MISS_SHARE, 1.0)
        is_root = np.array([e.zone.part is Part.ROOT for e in entries]) & self.is_join
        self.weight = np.where(is_root, np.minimum(self.weight, ROOT_MISS_SHARE), self.weight)
        self.weight = self.weight * np.where(self.aimed < self.table.target - 0.5, UNREACHED_MISS_SHARE, 1.0)
        if fresh is not None:
            self.aimed, self.weight = fresh.aimed, fresh.weight
        self.capacities = self.table.capacities(np.broadcast_to(self.strengths, (n, self.strengths.size)))
        self.subsets = _subsets(self.strengths.size)
        self.ready, self.wiped = self._wiped(request)

    def _wiped(self, request: PlanRequest) -> tuple[Floats, Floats]:
        """Minutes after which each lane could be wiped out, on target, and its price, for each strength; (n, s)."""
        table, prices = self.table, self.prices
        strengths = np.broadcast_to(self.strengths, self.capacities.shape)
        ready = np.array([table.minutes_to(strengths[:, s]) for s in range(self.strengths.size)]).T
        spared = DELICATE_WIPED_SHARE * table.label - table.application
        ready = np.where(self.is_delicate[:, None], np.minimum(ready, spared[:, None]), ready)
        ready = np.maximum(ready, WIPED_LEAST_MIN)
        on = np.where(np.isfinite(ready), ready, 0.0) + table.application[:, None]
        price = strain_min(prices, strengths, on, self.tender[:, None], self.is_delicate[:, None], self.usual[:, None])
        price = price + prices.look * looks_of(on) + self.blended + self.barred
        sections = np.array([e.zone.foil_count for e in self.entries])
        cannot = np.array([e.zone.touches_scalp for e in self.entries]) | (self.block != NO_BLOCK) | self.is_join
        cannot |= np.array([e.zone.key in request.choice.minutes for e in self.entries]) | (self.own_visit >= 0)
        cannot[[row for rows in self.groups if len(rows) > 1 for row in rows]] = True  # left and right end together
        price = price + (prices.wipe + WIPE_SECTION_MIN * sections + np.where(cannot, NEVER, 0.0))[:, None]
        reached = table.levels(strengths, np.where(np.isfinite(ready), ready, 0.0))
        return ready, price + self.weight[:, None] * missed_min(prices, table.target[:, None], reached)

    def lay_out(self, sets: VisitSets) -> Timelines:
        """Everyone's times with sets of visits."""
        return lay_out(
            self.turns,
            self.entries,
            sets,
            pace=self.request.pace,
            hands=self.request.choice.hands,
            start_min=self.start_min,
        )

    def walls(self, timelines: Timelines) -> Floats:
        """When each lane's label ends, shape (n, m)."""
        begins = np.where(self.counts_from_end[:, None], timelines.ends, timelines.starts)
        return np.asarray(begins + self.table.label[:, None])

    def weigh(self, sets: VisitSets, *, bowls: int | None = EXACT_LEAST, barred: Floats | None = None) -> Weighed:
        """What sets of visits come to.

        Args:
            bowls: of so many of the cheapest, by lanes and strengths alone, bowls are counted, and the others given
                up; None: of all. With 0 none are counted, and all bear the fewest there can be.
            barred: what is added for each lane with each strength, shape (n, s).
        """
        timelines = self.lay_out(sets)
        costs = self._costs(timelines, sets.columns)
        if barred is not None:
            costs = costs + barred[:, :, None, None]
        visits, group_costs = self._together(costs)
        at = timelines.visits
        is_there = np.isfinite(at)
        last = np.where(is_there, at, 0.0).max(axis=1)
        gaps = np.where(is_there[:, 1:], np.diff(np.where(is_there, at, 0.0), axis=1), np.inf)
        base = sitting_min(self.prices, last) + self.prices.visit * is_there.sum(axis=1)
        base = base + np.maximum(CLOSE_VISITS_MIN - gaps, 0.0).sum(axis=1)
        picks, bounds = self._choose(group_costs)
        bounds += base
        prices = bounds if bowls == 0 else self._with_bowls(picks, bounds, visits, timelines, bowls or bounds.size)
        best, every = np.argmin(prices, axis=0), np.arange(at.shape[0])
        return Weighed(sets, timelines, visits, picks[best, :, every].T, prices[best, every], picks, prices)

    def but_usual(self) -> Floats:
        """Bars every strength but the one that is usual for each lane, as near as it may have it; shape (n, s)."""
        away = np.abs(self.strengths - self.usual[:, None]) + self.barred
        return np.where(away <= away.min(axis=1, keepdims=True), 0.0, NEVER)

    def _costs(self, timelines: Timelines, columns: np.ndarray) -> Floats:
        """Price of each lane with each strength at each visit, and wiped out on its own; shape (n, s, m, k + 1)."""
        at = timelines.visits
        n, (m, k), count = len(self.entries), at.shape, self.strengths.size
        numbers = np.arange(k)
        is_ok = at[None] - timelines.ends[:, :, None] >= PROCESSING_MIN_MIN - 1e-6
        is_ok &= (at[None] <= self.walls(timelines)[:, :, None] + 1e-6) & np.isfinite(at)[None]
        if self.turns.blocks:
            own = columns.T[self.block]
            is_ok &= (self.block[:, None] == NO_BLOCK)[:, :, None] | (own[:, :, None] == numbers)
        if (self.own_visit >= 0).any():
            own = np.minimum(self.own_visit, k - 1)
            is_ok &= ((own[:, None] < 0) | (own[:, None] == numbers))[:, None, :]
        for column, rows in self.only.items():
            is_ok[[r for r in range(n) if r not in rows], :, column] = False
        i, j, v = np.nonzero(is_ok)  # what can be done: one row of strengths for each
        minutes, on = at[j, v] - timelines.ends[i, j], at[j, v] - timelines.starts[i, j]
        gained = self.capacities[i] * self.table.shares_of(i, minutes)[:, None]
        levels = self.table.levels_of(i[:, None], gained)
        rest = strain_min(
            self.prices,
            self.strengths,
            on[:, None],
            self.tender[i, None],
            self.is_delicate[i, None],
            self.usual[i, None],
        )
        rest += (self.prices.look * looks_of(on))[:, None] + self.blended + self.barred[i]
        missed = missed_min(self.prices, self.aimed[i, None], levels)
        costs = np.empty((n, count, m, k + 1))
        costs[:] = (NEVER + self.barred)[:, :, None, None]
        costs[i, :, j, v] = self.weight[i, None] * missed + rest
        last = np.where(np.isfinite(at), at, -np.inf).max(axis=1)
        room = np.minimum(self.walls(timelines), last) - timelines.ends
        costs[:, :, :, k] = self.wiped[:, :, None] + np.where(
            self.ready[:, :, None] <= room[:, None] + 1e-6, 0.0, NEVER
        )
        off = timelines.ends[:, None] + self.ready[:, :, None]
        wiping = np.array([WIPE_SECTION_MIN * e.zone.foil_count for e in self.entries])[:, None, None]
        for column in at.T:  # who is at the basin is not wiped out meanwhile
            is_there = (off > column - wiping) & (off < column + self.request.pace.rinse_min)
            costs[:, :, :, k] += np.where(is_there, NEVER, 0.0)
        if self.is_join.any():
            self._join(costs, (i, j, v), levels, rest, minutes, timelines)
        if self.is_delicate.any() and (self.is_part or not self.is_delicate.all()):
            self._spare(costs, at[None] - timelines.starts[:, :, None], timelines.ends - timelines.starts)
        return costs

    def _join(
        self,
        costs: Floats,
        where: tuple[np.ndarray, np.ndarray, np.ndarray],
        levels: Floats,
        rest: Floats,
        minutes: Floats,
        timelines: Timelines,
    ) -> None:
        """Roots and ends end where their lengths end: those that join aim at what the lengths reach, if less."""
        i, j, v = where
        for row, main in self.joined:
            here = np.flatnonzero(i == row)
            mains = np.flatnonzero(i == main)
            if not here.size or not mains.size:
                continue
            best = np.argmin(costs[main][:, j[mains], v[mains]], axis=0)
            reached = np.full(costs.shape[2:], self.aimed[row])
            reached[j[mains], v[mains]] = levels[mains, best]
            aimed = np.clip(reached[j[here], v[here]], self.table.start_level[row], self.aimed[row])
            found = self.weight[row] * missed_min(self.prices, aimed[:, None], levels[here]) + rest[here]
            if self.entries[row].zone.part is Part.ROOT:
                found += self._early_min(row, main, costs.shape[2:], (j, v), (mains, here), best, timelines)[:, None]
                hurry = np.maximum(JOIN_LEAST_MIN - minutes[here], 0.0)
                found += np.where(hurry > 1e-6, HURRIED_MIN + 8.0 * hurry, 0.0)[:, None]
            costs[row, :, j[here], v[here]] = found

    def _early_min(
        self,
        row: int,
        main: int,
        shape: tuple[int, ...],
        where: tuple[np.ndarray, np.ndarray],
        rows: tuple[np.ndarray, np.ndarray],
        best: np.ndarray,
        timelines: Timelines,
    ) -> Floats:
        """Price of roots that join while their lengths are still far off; for the rows of one root."""
        (j, v), (mains, here) = where, rows
        strength = np.zeros(shape, dtype=int)
        strength[j[mains], v[mains]] = best
        worked = timelines.starts[row, j[here]] - timelines.ends[main, j[here]]
        capacity = self.capacities[main, strength[j[here], v[here]]]
        then = self.table.levels_of(main, capacity * self.table.shares_of(np.full(here.size, main), worked))
        early = self.aimed[main] - then - JOIN_LEVELS_SHORT
        return np.asarray(EARLY_JOIN_MIN * np.maximum(early, 0.0))

    def _spare(self, costs: Floats, on: Floats, application: Floats) -> None:
        """Delicate hair that would be on for more than 60 % of what the others are."""
        others = np.flatnonzero(~self.is_delicate & ~self.is_join)
        k = on.shape[2]
        on = np.where(np.isfinite(on), on, 0.0)
        usual = np.full(on.shape[1], HEAD_LABEL_SHARE * float(self.table.label.min()))
        if others.size:
            least = costs[others].min(axis=1)
            best = np.argmin(least, axis=2)
            wiped = np.minimum(self.ready.min(axis=1), self.table.label)[others, None] + application[others]
            told = np.take_along_axis(np.dstack([on[others], wiped]), best[:, :, None], axis=2)[:, :, 0]
            usual = np.maximum(told.mean(axis=0), usual)
        rows = np.flatnonzero(self.is_delicate)
        over = np.maximum(on[rows] - DELICATE_SHARE * usual[None, :, None], 0.0)
        costs[rows, :, :, :k] += _overstayed(over)[:, None]
        alone = self.ready[rows][:, :, None] + application[rows][:, None] - DELICATE_SHARE * usual
        alone = np.minimum(np.maximum(alone, 0.0), self.table.label.max())
        costs[rows, :, :, k] += _overstayed(alone)

    def _together(self, costs: Floats) -> tuple[np.ndarray, Floats]:
        """Each lane's visit (n, s, m), each group's price (g, s, m): left and right in one visit where they can be."""
        visit = np.argmin(costs, axis=3)
        least = np.take_along_axis(costs, visit[..., None], axis=3)[..., 0]
        found = []
        for rows in self.groups:
            if len(rows) == 1:
                found.append(least[rows[0]])
                continue
            together = costs[list(rows)].sum(axis=0)
            at = np.argmin(together, axis=2)
            joint = np.take_along_axis(together, at[..., None], axis=2)[..., 0]
            apart = least[list(rows)].sum(axis=0) + APART_MIN
            is_joint = joint <= apart
            found.append(np.where(is_joint, joint, apart))
            for row in rows:
                visit[row] = np.where(is_joint, at, visit[row])
        return visit, np.array(found)

    def _choose(self, costs: Floats) -> tuple[np.ndarray, Floats]:
        """Each group's strength, the cheapest with any and with one, two, three for all: shape (4, g, m).

        And the price of lanes and strengths, with as few bowls as there can be: shape (4, m).
        """
        every, dear = np.arange(costs.shape[2]), self.prices.strength
        picks = [np.argmin(costs, axis=1)]
        for subsets in self.subsets:
            least = costs[:, subsets[:, 0]]
            for j in range(1, subsets.shape[1]):
                least = np.minimum(least, costs[:, subsets[:, j]])
            picked = subsets[np.argmin(least.sum(axis=0), axis=0)]
            inside = costs[:, picked, every[:, None]]
            own = np.broadcast_to(picked, (len(costs), *picked.shape))
            picks.append(np.take_along_axis(own, np.argmin(inside, axis=2)[..., None], axis=2)[..., 0])
        found = []
        for chosen in picks:
            lanes = np.take_along_axis(costs, chosen[:, None], axis=1)[:, 0].sum(axis=0)
            used = np.zeros(costs.shape[1:], dtype=bool)
            used[chosen, every] = True
            count = used.sum(axis=0)
            found.append(lanes + dear * (count - 1) + self.prices.bowl * np.maximum(count, self.counter.least))
        return np.array(picks), np.array(found)

    def _with_bowls(
        self, picks: np.ndarray, bounds: Floats, visits: np.ndarray, timelines: Timelines, least: int
    ) -> Floats:
        """Prices with their bowls, of the cheapest `least` and of what could still be cheaper; bounds for the rest."""
        prices, flat = bounds.copy(), bounds.ravel()
        tried = np.argsort(flat, kind="stable")[:least]
        which, column = np.divmod(tried, bounds.shape[1])
        chosen = picks[which, :, column].T
        used = np.zeros((self.strengths.size, tried.size), dtype=bool)
        used[chosen, np.arange(tried.size)] = True
        fewest = np.maximum(used.sum(axis=0), self.counter.least)
        prices[:] = np.inf
        prices[which, column] = flat[tried] + self._bowls(chosen, column, visits, timelines) - self.prices.bowl * fewest
        return prices

    def _bowls(self, chosen: np.ndarray, column: np.ndarray, visits: np.ndarray, timelines: Timelines) -> Floats:
        """Price of the bowls and of what their age takes from the lift, for some columns of the sets; shape (c,)."""
        strength, rows = chosen[self.group_of], np.arange(len(self.entries))[:, None]
        starts, ends = timelines.starts[:, column], timelines.ends[:, column]
        at = np.column_stack([timelines.visits, np.full(len(timelines.visits), np.inf)])
        minutes = at[column, visits[rows, strength, column]] - ends
        minutes = np.where(np.isfinite(minutes), minutes, self.ready[rows, strength])
        return self._bowled(strength, starts, ends, np.where(np.isfinite(minutes), minutes, 0.0))

    def _bowled(self, strength: np.ndarray, starts: Floats, ends: Floats, minutes: Floats) -> Floats:
        """The same with each lane's strength (by index) and minutes of processing; all of shape (n, m)."""
        count, lost = self.counter.count(strength, starts, ends)
        price: Floats = self.prices.bowl * count
        if self.is_staled or not lost.any():
            return price
        gained = self.capacities[np.arange(len(strength))[:, None], strength] * self.table.shares(minutes)
        aimed, rows = self.aimed[:, None], np.arange(len(strength))[:, None]
        fresh = missed_min(self.prices, aimed, self.table.levels_of(rows, gained))
        stale = missed_min(self.prices, aimed, self.table.levels_of(rows, gained * (1.0 - lost)))
        return np.asarray(price + (self.weight[:, None] * (stale - fresh)).sum(axis=0))

    def weigh_strengths(self, strength: np.ndarray, starts: Floats, ends: Floats, rinses: Floats) -> Floats:
        """What strengths come to where everyone's times stand: what depends on them of the price, shape (m,).

        Roots that join aim at what their lengths reach with these.

        Args:
            strength: each lane's, by index, shape (n, m). starts, ends, rinses: shape (n,).
        """
        rows = np.arange(len(strength))[:, None]
        minutes = np.broadcast_to((rinses - ends)[:, None], strength.shape)
        gained = self.capacities[rows, strength] * self.table.shares(minutes)
        levels = self.table.levels_of(rows, gained)
        aimed = np.repeat(self.aimed[:, None], strength.shape[1], axis=1)
        early = np.zeros(strength.shape[1])
        for row, main in self.joined:
            aimed[row] = np.clip(levels[main], self.table.start_level[row], self.aimed[row])
            if self.entries[row].zone.part is Part.ROOT:
                share = self.table.shares_of(np.array([main]), np.array([starts[row] - ends[main]]))
                then = self.table.levels_of(main, self.capacities[main, strength[main]] * share)
                short = self.aimed[main] - then - JOIN_LEVELS_SHORT
                early += EARLY_JOIN_MIN * np.maximum(short, 0.0)
        strain = strain_min(
            self.prices,
            self.strengths[strength],
            (rinses - starts)[:, None],
            self.tender[:, None],
            self.is_delicate[:, None],
            self.usual[:, None],
        )
        lanes = self.weight[:, None] * missed_min(self.prices, aimed, levels) + strain + self.blended[strength]
        used = np.zeros((self.strengths.size, strength.shape[1]), dtype=bool)
        used[strength, np.arange(strength.shape[1])] = True
        wide = strength.shape
        bowls = self._bowled(
            strength, np.broadcast_to(starts[:, None], wide), np.broadcast_to(ends[:, None], wide), minutes
        )
        total: Floats = lanes.sum(axis=0) + early + self.prices.strength * used.sum(axis=0) + bowls
        return total

    def price_of(
        self, volumes: Floats, starts: Floats, ends: Floats, rinses: Floats, visits: Sequence[float], wiped: np.ndarray
    ) -> Price:
        """A schedule's price by its parts, without bowls and what is spared; lanes of shape (n,).

        Args:
            wiped: which lanes are wiped out.
        """
        prices, on = self.prices, rinses - starts
        levels = self.table.levels(volumes[:, None], (rinses - ends)[:, None])[:, 0]
        aimed = self.aimed.copy()
        for row, main in self.joined:
            aimed[row] = min(max(levels[main], self.table.start_level[row]), aimed[row])
        sections = np.array([e.zone.foil_count for e in self.entries])
        used = sorted({round(float(v), 3) for v in volumes})
        bottles = [b.volume_strength for b in self.request.bottles]
        blends = sum(all(abs(v - b) > 1e-3 for b in bottles) for v in volumes.tolist())
        return replace(
            NOTHING,
            minutes=float(sitting_min(prices, np.array(max(visits)))),
            visits=prices.visit * len(visits),
            wiped=float((prices.wipe + WIPE_SECTION_MIN * sections)[wiped].sum()),
            strengths=prices.strength * (len(used) - 1) + BLENDED_MIN * blends,
            looks=float((prices.look * looks_of(on)).sum()),
            missed=float((self.weight * missed_min(prices, aimed, levels)).sum()),
            strain=float(strain_min(prices, volumes, on, self.tender, self.is_delicate, self.usual).sum()),
        )
