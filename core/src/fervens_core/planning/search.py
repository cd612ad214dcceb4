"""The search for a schedule: few basin visits, few strengths, the rest lane by lane. docs/models/schedule.md.

It begins with as few visits as labels force and moves them until no move makes the schedule cheaper.
"""

from __future__ import annotations

import functools
import itertools
import math
from collections.abc import Iterable, Sequence
from dataclasses import replace

import numpy as np

from fervens_core.base import Floats
from fervens_core.lift import level_to_effort
from fervens_core.planning.blocks import turns_of, visits_of
from fervens_core.planning.entry import PROCESSING_MIN_MIN, Entry, LaneTable
from fervens_core.planning.finder import Finder, Found, cheapness
from fervens_core.planning.hands import VisitSets
from fervens_core.planning.ownlines import on_own_lines, promising
from fervens_core.planning.request import PlanRequest
from fervens_core.planning.weigh import NEVER, Weighed

PROMISING_SHARE, PROMISING_ROW, EACH_LEAST = 1.25, 1.05, 3
EFFORTS = ((8, 12, 1, 4, 5), (14, 8, 1, 3, 5), (26, 8, 1, 2, 3), (math.inf, 3, 1, 1, 2))
"""Up to so many lanes, so many starts are moved so many times, and so many of the best of them to the end; at least
three starts of each order of hands, and so many orders where parts join."""
SMALL_LANES, PAIRS_BY_MIN, MANY_LANES_BY_MIN, ONE_BY_MIN = 7, 5.0, 10.0, 2.0
"""So few lanes begin from every pair of visits so many minutes apart as well, more lanes from coarser ones; all from
every single visit."""
SEED_TOLERANCES = (0.1, 0.5)
SEED_SHARES = (0.85, 0.6)
"""[MODEL] no lane is waited for longer than these shares of what its label leaves it."""
HOLDS, SEED_HOLDS = (0.0, 4.0, 10.0, 25.0, -4.0, -25.0), (0.0, 4.0, 25.0, -4.0)
OWN_HOLDS, ROW_HOLDS = (4.0, 0.0, 25.0, -4.0), (4.0, 0.0)
"""What her own lines are laid out with, the cheapest of them; and rows of trips."""
BREAKS = 4
"""A visit is tried when hands are done with each of so many turns: it breaks nothing off."""
SEED_ROWS, BEGUN = 2, 2
"""Where parts join, so many rows of trips go on from one block to the next, and so many are begun from."""
_ONE = np.array([w * x for x in (1.0, 2.0, 3.0, 5.0, 7.0, 10.0, 14.0) for w in (-1.0, 1.0)])
_PAIRS = np.array(list(itertools.product((-7.0, -3.0, -1.0, 1.0, 3.0, 7.0), repeat=2)))
PAIRED_MOST, MANY_VISITS = 8, 5
_REST = np.array([w * x for x in (1.0, 2.0, 3.0, 7.0) for w in (-1.0, 1.0)])
_ONE_OF_MANY, _REST_OF_MANY, FINE_VISITS = _ONE[[0, 1, 4, 5, 8, 9]], _REST[4:6], 10
"""With more visits than this, fewer steps are tried for each."""
NEAR_MOST = 3
"""So many of the sets around a schedule have their strengths exchanged as well."""


def _all(one: VisitSets, other: VisitSets) -> VisitSets:
    """Both; `other` has more columns."""
    at = np.full((len(one.at), other.at.shape[1]), np.inf)
    at[:, : one.at.shape[1]] = one.at
    return VisitSets(
        np.vstack([at, other.at]),
        np.append(one.hold_min, other.hold_min),
        np.vstack([one.columns, other.columns]),
        None if one.waits is None or other.waits is None else np.vstack([one.waits, other.waits]),
    )


class Search(Finder):
    """The search with one order of hands."""

    @functools.cached_property
    def _ends(self) -> dict[object, Found]:
        """Where moves led from each schedule that was moved to the end."""
        return {}

    def holds(self, known: Sequence[float]) -> list[float]:
        """Those of some holds that make a difference: delicate hair is held back."""
        has_held = any(t.is_held for t in self.turns.tasks)
        return [h for h in known if h >= 0.0 or has_held]

    def seeds(self) -> VisitSets:
        """Sets of visits to begin from: as few as labels force, each as late as they let it.

        For every strongest developer and two tolerances: nothing waits past a wall, and whatever has worked enough by
        then goes with it.
        """
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
        pairs = self.few_visits(PAIRS_BY_MIN).at
        rest = np.full((len(pairs), max(visits.shape[1] - 2, 0)), np.inf)
        pairs = np.column_stack([pairs, rest])
        lines = np.column_stack([visits, np.full((m, pairs.shape[1] - visits.shape[1]), np.inf)])
        return VisitSets(
            np.vstack([lines, pairs]),
            np.append(hold, np.zeros(len(pairs))),
            np.zeros((m + len(pairs), 0), dtype=int),
        )

    def few_visits(self, by_min: float) -> VisitSets:
        """Every single visit by two minutes, and every pair of visits, so many minutes apart."""
        ends = self.lay_out(VisitSets(np.full((1, 1), np.inf), np.zeros(1), np.zeros((1, 0), dtype=int))).ends
        last = float(ends.max() + self.table.label.max())
        alone = np.arange(self.start_min + 15.0, last, ONE_BY_MIN)
        minutes = np.arange(self.start_min + 15.0, last, by_min)
        one, two = np.triu_indices(minutes.size, k=1)
        at = np.column_stack([np.append(alone, minutes[one]), np.append(np.full(alone.size, np.inf), minutes[two])])
        return VisitSets(at, np.zeros(len(at)), np.zeros((len(at), 0), dtype=int))

    def rows_of_trips(self, *, is_usual: bool) -> list[Found]:
        """A trip for each block, one after the other: before its label ends, or between two turns, as is cheapest.

        Args:
            is_usual: with each lane's usual strength, else with any.
        """
        barred = self.but_usual() if is_usual else None
        sets = _all(*(self._rows_of_trips(barred, always=a) for a in (False, True)))
        return self._cheapest_of_each([self.weigh(sets, bowls=None)])

    def _rows_of_trips(self, barred: Floats | None, *, always: bool) -> VisitSets:
        """The best few rows of trips with each hold, from one block to the next; hands wait before some, or always."""
        count, blocks = len(ROW_HOLDS), self.turns.blocks
        hold, every = np.array(ROW_HOLDS), np.arange(blocks)[None]
        visits, waits = np.full((count, blocks), np.inf), np.full((count, blocks), always)
        for b, row in enumerate(self.turns.firsts):
            if b and not always:
                visits, hold, waits = (np.repeat(x, 2, axis=0) for x in (visits, hold, waits))
                waits[1::2, b] = True
            so_far = np.repeat(np.minimum(every, b), len(visits), axis=0)
            timelines = self.lay_out(VisitSets(visits[:, :b], hold, so_far, waits))
            wall = self.walls(timelines)[row]
            of_it = [r for t in self.turns.tasks if t.block == b for r in t.rows]
            ended = timelines.ends[of_it or [row]].max(axis=0)
            after = np.minimum(self._next_ends(b, timelines.ends), np.floor(wall)[:, None])
            tried = np.column_stack([visits_of(ended, wall), after])
            visits, hold, waits = (np.repeat(x, tried.shape[1], axis=0) for x in (visits, hold, waits))
            visits[:, b] = tried.ravel()
            # what comes later has no trip yet: one column more than there are stands for it
            so_far = np.repeat(np.minimum(every, b + 1), len(visits), axis=0)
            sets = VisitSets(visits[:, : b + 1], hold, so_far, waits)
            prices = self.weigh(sets, bowls=0, barred=barred).prices.reshape(count, -1)
            best = np.argsort(prices, axis=1, kind="stable")[:, :SEED_ROWS]
            kept = (best + np.arange(count)[:, None] * prices.shape[1]).ravel()
            visits, hold, waits = visits[kept], hold[kept], waits[kept]
        return VisitSets(visits, hold, np.repeat(every, len(visits), axis=0), waits)

    def _next_ends(self, block: int, ends: Floats) -> Floats:
        """When hands are done with each of the next turns after a block's last, were there no visit; shape (m, c)."""
        last = max((i for i, t in enumerate(self.turns.tasks) if t.block == block), default=-1)
        rows = [t.rows[-1] for t in self.turns.tasks[last + 1 : last + 1 + BREAKS]]
        return np.ceil(ends[rows]).T

    def _line_moves(self, found: Found, tip: Floats | None) -> VisitSets:
        """A line moved (the first k times as many as there are steps); it and all later ones; to its wall.

        Args:
            tip: one more set worth trying.
        """
        here = np.array(found.asked)
        k = here.size
        lines = np.arange(k)
        steps, rest_steps = (_ONE, _REST) if k <= FINE_VISITS else (_ONE_OF_MANY, _REST_OF_MANY)
        one = here + (lines[:, None] == lines)[:, None] * steps[:, None]
        rest = here + (lines[:-1, None] <= lines)[:, None] * rest_steps[:, None]
        walls = np.array(found.walls)
        at_wall, after_wall = np.repeat(here[None], k, axis=0), np.repeat(here[None], k, axis=0)
        for j in range(k):
            in_it = walls[np.array(found.visit) == j]
            later = (in_it.min() if in_it.size else here[j]) - here[j]
            at_wall[j, j] += later
            after_wall[j, j:] += later
        more = [] if tip is None else [tip[None]]
        sets = np.vstack([one.reshape(-1, k), rest.reshape(-1, k), at_wall, after_wall, *more])
        return self.near(found, sets)

    def _set_moves(self, found: Found) -> VisitSets:
        """A visit less or more; another hold; hands that wait before one more block, or one less."""
        here, columns = np.array(found.asked), np.array(found.columns, dtype=int)
        k = here.size
        lines = np.arange(k)
        holds = [h for h in self.holds(HOLDS) if h != found.hold]
        at = [np.append(here, np.inf) for _ in holds]
        of = [columns for _ in holds]
        for added in (*np.round((here + np.append(self.start_min, here[:-1])) / 2.0), here[-1] + 12.0, here[-1] + 22.0):
            at.append(np.sort(np.append(here, added)))
            of.append(columns + (columns >= np.searchsorted(here, added)))
        for j in range(k if k > 1 else 0):
            left = np.append(np.delete(here, j), (np.inf, np.inf))
            sooner = np.delete(here - np.where(lines > j, self.request.pace.rinse_min, 0.0), j)
            # its blocks go with the next trip, or the one before
            after, before = np.minimum(columns - (columns > j), k - 2), columns - (columns >= j)
            at += [left, np.append(sooner, (np.inf, np.inf))]
            of += [after, after]
            if j in found.columns and j:
                at += [left, left.copy()]
                at[-1][j - 1] = self._wall_of(found, j - 1)  # as late as the earlier of both lets it
                of += [before, before]
        others = range(1, len(found.waits))
        at += [np.append(here, np.inf) for _ in others]
        of += [columns for _ in others]
        hold = np.full(len(at), found.hold)
        hold[: len(holds)] = holds
        waits = self.waits_of(found, len(at))
        if waits is not None:
            for i, block in enumerate(others, start=len(at) - len(others)):
                waits[i, block] ^= True
        return VisitSets(np.array(at), hold, np.array(of).reshape(len(at), columns.size), waits)

    def _wall_of(self, found: Found, visit: int) -> float:
        """When the first label of those rinsed at a visit ends; the visit where none is."""
        walls = found.walls[np.array(found.visit) == visit]
        return float(np.floor(walls.min())) if walls.size else found.asked[visit]

    def _pair_moves(self, found: Found) -> VisitSets:
        """Two lines that follow each other moved, each by its own step."""
        here = np.array(found.asked)
        moved = [here[None]]
        for j in range(here.size - 1):
            both = np.repeat(here[None], len(_PAIRS), axis=0)
            both[:, j : j + 2] += _PAIRS
            moved.append(both)
        return self.near(found, np.vstack(moved))

    def starts(self) -> list[Found]:
        """Schedules to begin from, the cheapest for each number of visits and each set of strengths."""
        each = [self.weigh(self.seeds(), bowls=None)]
        if len(self.entries) > SMALL_LANES:
            each.append(self.weigh(self.few_visits(MANY_LANES_BY_MIN)))
        return self._cheapest_of_each(each)

    def _cheapest_of_each(self, each: Sequence[Weighed]) -> list[Found]:
        """The cheapest for each number of visits and each set of strengths, the cheapest of all first."""
        known: dict[object, Found] = {}
        for tried in each:
            for i in np.argsort(tried.prices, kind="stable").tolist():
                count = int(np.isfinite(tried.timelines.visits[i]).sum())
                key = count, frozenset(tried.chosen[:, i].tolist())
                if np.isfinite(tried.prices[i]) and (key not in known or known[key].price > tried.prices[i]):
                    known[key] = self.found(tried, i)
        return sorted(known.values(), key=cheapness) or [self.found(each[0], int(np.argmin(each[0].prices)))]

    def improved(self, found: Found, moves: float = math.inf) -> Found:
        """Moved until no move makes it cheaper; after each, every line's own best at once is tried as well.

        Args:
            moves: at most so many.
        """
        while len(found.visits) > MANY_VISITS and (better := self._better(found, self._set_moves(found))) is not None:
            found = better[0]
        tip: Floats | None = None
        way: list[object] = []
        while moves > 0:
            here = found.asked, found.hold, found.columns, found.waits, found.volumes.tobytes()
            if moves == math.inf:
                if here in self._ends:
                    return self._led(way, self._ends[here])
                way.append(here)
            moves -= 1
            k = len(found.visits)
            better = self._better(found, _all(self._line_moves(found, tip), self._set_moves(found)))
            if better is None:
                better, tip = self._better(found, self._pair_moves(found)) if 1 < k <= PAIRED_MOST else None, None
                if better is None:
                    return self._led(way, self._finished(found))
                found = better[0]
                continue
            one = _ONE if k <= FINE_VISITS else _ONE_OF_MANY
            own = better[1].prices[: k * one.size].reshape(k, one.size)
            steps = np.where(own.min(axis=1) < found.price - 1e-6, one[own.argmin(axis=1)], 0.0)
            tip = np.array(found.asked) + steps
            found = better[0]
            tip = tip if tip.size == len(found.visits) else None
        return found

    def _led(self, way: Sequence[object], end: Found) -> Found:
        self._ends.update(dict.fromkeys(way, end))
        return end

    def _better(self, found: Found, sets: VisitSets) -> tuple[Found, Weighed] | None:
        """The best of some sets if it is cheaper, and what they all come to."""
        tried = self.weigh(sets)
        i = int(np.argmin(tried.prices))
        return (self.found(tried, i), tried) if tried.prices[i] < found.price - 1e-6 else None

    def _finished(self, found: Found) -> Found:
        """With the strengths that are best together, from every set of strengths weighed; then near lines likewise."""
        again = self.weigh(self.set_of(found), bowls=None)
        best = min(self.polished(found), *self.each(again), key=cheapness)
        while len(best.visits) <= FINE_VISITS:
            moves = self._line_moves(best, None)
            others = [h for h in self.holds(OWN_HOLDS) if h != best.hold]
            for hold in others:  # lines moved by hand are laid out with these as well
                moves = _all(moves, self._line_moves(replace(best, hold=hold), None))
            tried = self.weigh(moves)
            cheapest = [int(i) for i in np.argsort(tried.prices)[:NEAR_MOST] if tried.prices[i] < NEVER / 2.0]
            nearest = min((self.polished(self.found(tried, i)) for i in cheapest), key=cheapness, default=best)
            if nearest.price >= best.price - 1e-6:
                return best
            best = nearest
        return best


def search(request: PlanRequest, entries: Sequence[Entry], *, start_min: float = 0.0) -> tuple[Found, Search]:
    """The cheapest schedule of some lanes over every order of hands worth trying, and the search that found it.

    Another order than was told has to buy something.
    """
    choice = request.choice
    table = LaneTable(entries, has_additive=choice.has_additive)
    tried = turns_of(request, entries, table)
    searches = [Search(request, entries, table, t, start_min=start_min) for t in tried]
    if choice.visit_mins:
        likely = promising(searches, choice.visit_mins, HOLDS[1])
        own = [(on_own_lines(s, choice.visit_mins, s.holds(OWN_HOLDS)), s) for s in likely]
        return min(own, key=_worth)
    raced_most, race_moves, finished_most, orders_most = next(e[1:] for e in EFFORTS if len(entries) <= e[0])
    if searches[0].turns.blocks:
        best = min(((s.improved(f), s) for f, s in _rows_begun(searches, orders_most)), key=_worth)
    else:
        each = max(EACH_LEAST, raced_most // len(searches))
        begun = _worth_moving(((f, s) for s in searches for f in s.starts()[:each]), raced_most)
        raced = _worth_moving(((s.improved(f, race_moves), s) for f, s in begun), finished_most)
        best = raced[0][1].improved(raced[0][0]), raced[0][1]
        for f, s in raced[1:]:
            if f.price < best[0].price * PROMISING_SHARE:
                best = min(best, (s.improved(f), s), key=_worth)
    if best[0].price > NEVER / 2.0:  # some lane fits none of the trips: it gets one of its own
        return on_own_lines(best[1], best[0].asked, best[1].holds(OWN_HOLDS)), best[1]
    return best


def _rows_begun(searches: Sequence[Search], most: int) -> list[tuple[Found, Search]]:
    """Rows of trips to begin from where parts join: those of so many orders that are cheapest after one move, with any
    strength and with each lane's usual one. Of orders that lead to one and the same row the first."""
    rows: dict[object, tuple[list[Found], Search]] = {}
    for s in searches:
        found = s.rows_of_trips(is_usual=False)
        rows.setdefault((round(found[0].price, 3), found[0].asked), (found, s))
    near = PROMISING_ROW * min(found[0].price for found, _ in rows.values())

    def worth(row: tuple[list[Found], Search]) -> float:
        (first, *_), s = row
        return _worth((s.improved(first, 1) if first.price < near else first, s))

    ranked = sorted(rows.values(), key=worth)[:most]
    return [(f, s) for found, s in ranked for f in (*found[:BEGUN], *s.rows_of_trips(is_usual=True)[:1])]


def _worth_moving(tried: Iterable[tuple[Found, Search]], most: int) -> list[tuple[Found, Search]]:
    """So many of the cheapest, and the cheapest of each number of visits: moves seldom lead to far fewer or more."""
    ranked = sorted(tried, key=_worth)
    counts = [len(found[0].visits) for found in ranked]
    firsts = {counts.index(count) for count in set(counts)}
    return [found for i, found in enumerate(ranked) if i < most or i in firsts]


def _worth(found: tuple[Found, Search]) -> float:
    return found[0].price + found[1].turns.moved_min


def search_again(before: Found, by: Search, entries: Sequence[Entry]) -> tuple[Found, Search]:
    """The schedule improved for lanes whose factors moved a little: bowls are not all fresh."""
    table = LaneTable(entries, has_additive=by.request.choice.has_additive)
    again = Search(by.request, entries, table, by.turns, start_min=by.start_min, fresh=by)
    if by.request.choice.visit_mins:
        return on_own_lines(again, by.request.choice.visit_mins, [before.hold]), again
    return again.improved(again.found(again.weigh(again.set_of(before)), 0)), again
