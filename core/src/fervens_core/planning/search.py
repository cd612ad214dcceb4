"""The search for a schedule: few basin visits, few strengths, the rest lane by lane. docs/models/schedule.md.

It begins with as few visits as labels force and moves them until no move makes the schedule cheaper.
"""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.lift import level_to_effort
from fervens_core.planning.entry import PROCESSING_MIN_MIN, Entry, LaneTable
from fervens_core.planning.hands import VisitSets, turns_of
from fervens_core.planning.price import NOTHING, Price
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.weigh import Scales, Weighed

ORDER_WORTH_MIN = 10.0
IMPROVED_MOST, PROMISING_SHARE, SMALL_LANES, SMALL_IMPROVED_MOST = 3, 1.2, 7, 8
"""[MODEL] how many starts are worth improving; small heads are quick enough for all."""
SEED_TOLERANCES = (0.1, 0.5)
SEED_SHARES = (0.85, 0.6)
"""[MODEL] no lane is waited for longer than these shares of what its label leaves it."""
HOLDS = (0.0, 4.0, 10.0, 25.0, -4.0, -25.0)
SEED_HOLDS = (0.0, 4.0, 25.0, -4.0)
SEED_EARLY_MIN = (1.0, 3.0, 6.0, 10.0, 15.0, 20.0)
WIPED = -1
_ONE = np.array([w * x for x in (1.0, 2.0, 3.0, 5.0, 7.0, 10.0, 14.0) for w in (-1.0, 1.0)])
_PAIRS = np.array(list(itertools.product((-7.0, -3.0, -1.0, 1.0, 3.0, 7.0), repeat=2)))
PAIRED_MOST = 3
_REST = np.array([w * x for x in (1.0, 3.0, 7.0) for w in (-1.0, 1.0)])


@dataclass(frozen=True, slots=True)
class Found:
    """One schedule: per lane its start, end, rinse and strength, and the visits; min and vol.

    Args:
        visit: of each lane, by index; -1 for one that is wiped out before. columns: the visit of each block.
        price: without bowls; parts: what it is made of, once it is chosen.
    """

    starts: Floats
    ends: Floats
    rinses: Floats
    walls: Floats
    volumes: Floats
    visit: tuple[int, ...]
    visits: tuple[float, ...]
    hold: float
    columns: tuple[int, ...]
    price: float
    parts: Price


class Search(Scales):
    """The search with one order of hands."""

    def told(self, found: Found) -> Found:
        """The same with its price by parts."""
        wiped = np.array(found.visit) == WIPED
        parts = self.price_of(found.volumes, found.starts, found.ends, found.rinses, found.visits, wiped)
        further = self.prices.bowl * (len({round(float(v), 3) for v in found.volumes}) - 1)
        return replace(found, parts=replace(parts, spared=max(found.price - further - parts.total, 0.0)))

    def holds(self, known: Sequence[float]) -> list[float]:
        """Those of some holds that make a difference: delicate hair can only be held back where there is some."""
        return [h for h in known if h >= 0.0 or any(t.is_held for t in self.turns.tasks)]

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
        visits = tuple(float(t) for t in at if np.isfinite(t))
        return Found(
            starts=starts,
            ends=ends,
            rinses=rinses,
            volumes=volumes,
            walls=self.walls(tried.timelines)[:, i],
            visit=tuple(WIPED if w else int(v) for v, w in zip(visit, is_wiped, strict=True)),
            visits=visits,
            hold=float(tried.sets.hold_min[i]),
            columns=tuple(int(c) for c in tried.sets.columns[i]),
            price=float(tried.prices[i]),
            parts=NOTHING,
        )

    def seeds(self) -> VisitSets:
        """Sets of visits to begin from: as few as labels force, each as late as they let it.

        For every strongest developer and two tolerances: nothing waits past a wall, and whatever has worked enough by
        then goes with it.
        """
        if self.turns.blocks:
            return self._block_seeds()
        table, needs = self.table, []
        most = np.maximum(table.label - table.application, PROCESSING_MIN_MIN)[:, None]
        for volume in self.strengths:
            capped = np.clip(np.full(len(self.entries), volume), table.weakest, table.strongest)
            for tolerance in SEED_TOLERANCES:
                needs.append(table.minutes_to(capped, level_to_effort(table.target - tolerance) - table.start))
        told = np.array(needs).T
        shares = np.hstack([np.clip(told, PROCESSING_MIN_MIN, share * most) for share in SEED_SHARES])
        holds = self.holds(SEED_HOLDS)
        need = np.repeat(np.unique(np.round(shares), axis=1), len(holds), axis=1)
        m = need.shape[1]
        hold = np.tile(holds, m // len(holds))
        visits, no_blocks = np.zeros((m, 0)), np.zeros((m, 0), dtype=int)
        longest = max(e.section_min for e in self.entries)
        waiting = np.ones(need.shape, dtype=bool)
        for _ in range(len(self.entries) + 1):
            timelines = self.lay_out(VisitSets(visits, hold, no_blocks))
            walls = np.where(waiting, self.walls(timelines), np.inf)
            ready = timelines.ends + need
            wall = walls.min(axis=0)
            late = np.where(waiting, ready, -np.inf).max(axis=0)
            # a visit waits for the section under the brush: so long before the wall it is due
            at = np.where(waiting.any(axis=0), np.floor(np.minimum(late, wall - longest)), np.inf)
            visits = np.column_stack([visits, at])
            first = walls <= wall + 1e-9
            waiting &= ~((ready <= at + 1e-6) | first)
            if not waiting.any():
                break
        if len(self.entries) > SMALL_LANES:
            return VisitSets(visits, hold, no_blocks)
        # few lanes: every pair of visits by fives as well
        last = float(timelines.ends.max() + self.table.label.max())
        minutes = np.arange(self.start_min + 15.0, last, 5.0)
        one, two = np.triu_indices(minutes.size)
        pairs = np.column_stack([minutes[one], np.where(one == two, np.inf, minutes[two])])
        rest = np.full((len(pairs), max(visits.shape[1] - 2, 0)), np.inf)
        pairs = np.column_stack([pairs, rest])
        lines = np.column_stack([visits, np.full((m, pairs.shape[1] - visits.shape[1]), np.inf)])
        return VisitSets(
            np.vstack([lines, pairs]),
            np.append(hold, np.zeros(len(pairs))),
            np.zeros((m + len(pairs), 0), dtype=int),
        )

    def _block_seeds(self) -> VisitSets:
        holds = self.holds(SEED_HOLDS)
        early = np.repeat(SEED_EARLY_MIN, len(holds))
        hold = np.tile(holds, early.size // len(holds))
        visits = np.full((early.size, self.turns.blocks), np.inf)
        columns = np.repeat(np.arange(self.turns.blocks)[None], early.size, axis=0)
        for b, row in enumerate(self.turns.firsts):
            wall = self.walls(self.lay_out(VisitSets(visits, hold, columns)))[row]
            visits[:, b] = np.floor(wall - early)
        return VisitSets(visits, hold, columns)

    def _moves(self, found: Found, tip: Floats | None) -> VisitSets:
        """Sets of visits one move away.

        A line moved (the first k times `_ONE`); it and all later ones; to its wall; another hold; a visit more or less.

        Args:
            tip: one more set worth trying.
        """
        here, columns = np.array(found.visits), np.array(found.columns, dtype=int)
        k = here.size
        lines = np.arange(k)
        one = here + (lines[:, None] == lines)[:, None] * _ONE[:, None]
        rest = here + (lines[:-1, None] <= lines)[:, None] * _REST[:, None]
        walls = np.array(found.walls)
        at_wall, after_wall = np.repeat(here[None], k, axis=0), np.repeat(here[None], k, axis=0)
        for j in range(k):
            in_it = walls[np.array(found.visit) == j]
            later = (in_it.min() if in_it.size else here[j]) - here[j]
            at_wall[j, j] += later
            after_wall[j, j:] += later
        holds = [h for h in self.holds(HOLDS) if h != found.hold]
        same = [
            one.reshape(-1, k),
            rest.reshape(-1, k),
            at_wall,
            after_wall,
            *([] if tip is None else [tip[None]]),
        ]
        same.append(np.repeat(here[None], len(holds), axis=0))
        sets = np.vstack(same)
        at = [np.column_stack([sets, np.full(len(sets), np.inf)])]
        of = [np.repeat(columns[None], len(sets), axis=0)]
        for added in (*np.round((here + np.append(self.start_min, here[:-1])) / 2.0), here[-1] + 12.0, here[-1] + 22.0):
            at.append(np.sort(np.append(here, added))[None])
            of.append((columns + (columns >= np.searchsorted(here, added)))[None])
        for j in range(k if k > 1 else 0):
            if j in found.columns:
                continue
            sooner = here - np.where(lines > j, self.request.pace.rinse_min, 0.0)
            for x in (here, sooner):
                at.append(np.append(np.delete(x, j), (np.inf, np.inf))[None])
                of.append((columns - (columns > j))[None])
        hold = np.full(sum(len(x) for x in at), found.hold)
        hold[len(sets) - len(holds) : len(sets)] = holds
        return VisitSets(np.vstack(at), hold, np.vstack(of))

    def _pair_moves(self, found: Found) -> VisitSets:
        """Two lines that follow each other moved, each by its own step."""
        here = np.array(found.visits)
        moved = [here[None]]
        for j in range(here.size - 1):
            both = np.repeat(here[None], len(_PAIRS), axis=0)
            both[:, j : j + 2] += _PAIRS
            moved.append(both)
        sets = np.vstack(moved)
        columns = np.repeat(np.array(found.columns, dtype=int)[None], len(sets), axis=0)
        return VisitSets(sets, np.full(len(sets), found.hold), columns)

    def starts(self) -> list[Found]:
        """Schedules to begin from, the cheapest for each number of visits and each set of strengths."""
        tried = self.weigh(self.seeds())
        known: dict[object, Found] = {}
        for i in np.argsort(tried.prices, kind="stable").tolist():
            count = int(np.isfinite(tried.timelines.visits[i]).sum())
            key = count, frozenset(tried.chosen[:, i].tolist())
            if key not in known:
                known[key] = self.found(tried, i)
        return list(known.values())

    def improved(self, found: Found) -> Found:
        """Moved until no move makes it cheaper; after each, every line's own best at once is tried as well."""
        tip: Floats | None = None
        while True:
            tried = self.weigh(self._moves(found, tip))
            i = int(np.argmin(tried.prices))
            k = len(found.visits)
            if tried.prices[i] >= found.price - 1e-6:
                if not 1 < k <= PAIRED_MOST:
                    return found
                tried, tip = self.weigh(self._pair_moves(found)), None
                i = int(np.argmin(tried.prices))
                if tried.prices[i] >= found.price - 1e-6:
                    return found
                found = self.found(tried, i)
                continue
            own = tried.prices[: k * _ONE.size].reshape(k, _ONE.size)
            steps = np.where(own.min(axis=1) < found.price - 1e-6, _ONE[own.argmin(axis=1)], 0.0)
            tip = np.array(found.visits) + steps
            found = self.found(tried, i)
            tip = tip if tip.size == len(found.visits) else None

    def with_own(self, visits: Sequence[float]) -> Found:
        """With the technician's own visits; a lane whose label ends before any of them is rinsed alone, then."""
        lines = [(t, False) for t in sorted(visits)]
        for _ in range(len(self.entries) + 1):
            found = self._held(np.array([t for t, _ in lines]))
            lost = np.flatnonzero(found.rinses > found.walls + 1e-6)
            if not lost.size:
                break
            first = math.floor(float(found.walls[lost].min()) * 2.0) / 2.0
            alone = frozenset(int(i) for i in lost if found.walls[i] < first + 1.0)
            before = {lines[c][0]: rows for c, rows in self.only.items()} | {first: alone}
            lines = sorted([*lines, (first, True)])
            self.only = {i: before[t] for i, (t, is_alone) in enumerate(lines) if is_alone}
        self.only = {}
        return found

    def _held(self, at: Floats) -> Found:
        """With lines that stand still; each block in the first of them that its last join has worked enough by."""
        hold, blocks = np.array([HOLDS[1]]), self.turns.blocks
        columns = np.full((1, blocks), at.size - 1)
        for b in range(blocks):
            ends = self.lay_out(VisitSets(at[None], hold, columns)).ends[self.block == b, 0]
            after = np.flatnonzero(at >= ends.max() + PROCESSING_MIN_MIN) if ends.size else np.zeros(0, dtype=int)
            columns[0, b] = after[0] if after.size else at.size - 1
        return self.found(self.weigh(VisitSets(at[None], hold, columns)), 0)


def search(request: PlanRequest, entries: Sequence[Entry], *, start_min: float = 0.0) -> tuple[Found, Search]:
    """The cheapest schedule of some lanes over every order of hands worth trying, and the search that found it.

    Another order than was told has to buy ten minutes.
    """
    choice = request.choice
    table = LaneTable(entries, has_additive=choice.has_additive)
    tried = turns_of(entries, table, request.pace, choice.delicate_way, keeps_order=choice.keeps_order)
    searches = [Search(request, entries, table, t, start_min=start_min) for t in tried]
    if choice.visit_mins:
        own = [(s.with_own(choice.visit_mins), s) for s in searches]
        return min(own, key=_worth)
    begun = sorted(((f, s) for s in searches for f in s.starts()), key=_worth)
    best = begun[0][1].improved(begun[0][0]), begun[0][1]
    is_small = len(entries) <= SMALL_LANES
    for f, s in begun[1 : SMALL_IMPROVED_MOST if is_small else IMPROVED_MOST]:
        if is_small or f.price < best[0].price * PROMISING_SHARE:
            best = min(best, (s.improved(f), s), key=_worth)
    return best


def _worth(found: tuple[Found, Search]) -> float:
    return found[0].price + (0.0 if found[1].turns.is_told else ORDER_WORTH_MIN)


def search_again(before: Found, by: Search, entries: Sequence[Entry]) -> tuple[Found, Search]:
    """The schedule improved for lanes whose factors moved a little: bowls are not all fresh."""
    table = LaneTable(entries, has_additive=by.request.choice.has_additive)
    again = Search(by.request, entries, table, by.turns, start_min=by.start_min)
    if by.request.choice.visit_mins:
        return again.with_own(by.request.choice.visit_mins), again
    sets = VisitSets(np.array([before.visits]), np.array([before.hold]), np.array([before.columns], dtype=int))
    return again.improved(again.found(again.weigh(sets), 0)), again
